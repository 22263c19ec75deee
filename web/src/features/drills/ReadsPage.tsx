import {
  CUES,
  jumpFromRead,
  levelOf,
  nextShown,
  readJudgement,
  type Cue,
  type KeptRep,
  type ReadRep,
} from '@bradyon/core/drills';
import type { PersonId } from '@bradyon/core/units';
import { useState } from 'react';
import { giveOrTake, Loading, percent, PickOne, seconds } from '../../ui/index.ts';
import { personLabel } from '../people/index.ts';
import { useEarlierJump } from '../steals/index.ts';
import { DrillPage, type DrillsInView } from './DrillPage.tsx';
import { isFlight } from './moves.ts';
import { ReadTrainer } from './ReadTrainer.tsx';
import { useOpponentLook } from './useOpponentLook.ts';
import { CUE_TEXT, LEAN_TEXT } from './words.ts';

/** Home or over, dirt or strike: how early a runner can tell. */
export function ReadsPage() {
  return <DrillPage title="Read the pitcher">{(view) => <Reads view={view} />}</DrillPage>;
}

function Reads({ view: { team, players, reps } }: { view: DrillsInView }) {
  const [personId, setPersonId] = useState<PersonId | undefined>(players[0]?.id);
  const [cue, setCue] = useState<Cue>(team.ruleset.sport === 'softball' ? 'dirt' : 'sinkPivotR');
  const [pitcherId, setPitcherId] = useState('');
  const pitchers = useOpponentLook(team, pitcherId);
  const person = players.find(({ id }) => id === personId) ?? players[0];
  if (!person) return <Loading what="your players" />;
  const own = reps.of(person.id, 'read');
  const level = levelOf(own, cue, new Date());
  return (
    <div className="drills-two">
      <section className="card-box drills-set">
        <div className="control-row">
          <PickOne
            label="Reading"
            value={person.id}
            options={players.map((each) => ({ value: each.id, text: personLabel(each) }))}
            onChange={(id) => {
              setPersonId(id as PersonId);
            }}
          />
          <PickOne
            label="What is read"
            value={cue}
            options={CUES.map((value) => ({ value, text: CUE_TEXT[value] }))}
            onChange={(value) => {
              setCue(value as Cue);
            }}
          />
          {!isFlight(cue) && pitchers.options.length > 0 && (
            <PickOne
              label="Like"
              value={pitcherId}
              options={[{ value: '', text: 'Any pitcher' }, ...pitchers.options]}
              onChange={setPitcherId}
            />
          )}
        </div>
        <ReadTrainer
          key={`${person.id} ${cue} ${pitcherId}`}
          cue={cue}
          shownSeconds={nextShown(level)}
          own={pitchers.look}
          onAnswer={(rep) => {
            reps.add(person.id, rep);
          }}
        />
      </section>
      <section className="card-box">
        <h2>{personLabel(person)}</h2>
        <ReadResult cue={cue} own={own} level={level} />
        {!isFlight(cue) && own.length > 0 && (
          <ReadWorth team={team} runner={person} pitcher={pitchers.chosen} />
        )}
      </section>
    </div>
  );
}

const PLACED_FROM = 10;
function ReadResult({
  cue,
  own,
  level,
}: {
  cue: Cue;
  own: readonly KeptRep<ReadRep>[];
  level: ReturnType<typeof levelOf>;
}) {
  const reads = own.flatMap(({ rep }) => (rep.cue === cue ? [rep] : []));
  const right = reads.filter(({ signal, went }) => signal === went).length;
  const judged = readJudgement(reads, cue);
  if (reads.length === 0)
    return <p className="quiet">No reads of this yet. Thirty place a runner.</p>;
  return (
    <>
      <p className="drills-figure">
        Tells it with <strong className="figure">{seconds(level.thresholdSeconds)}</strong> shown,{' '}
        {giveOrTake(1.2816 * level.sdSeconds)}
      </p>
      <p>
        {right} of {reads.length} right. The picture gets shorter as they get better.
        {reads.length < PLACED_FROM && ' Too few yet to say more.'}
      </p>
      {judged && judged.words !== 'inLine' && (
        <p className="drills-advice">{LEAN_TEXT[cue][judged.words]}</p>
      )}
      {judged?.words === 'inLine' && <p>Neither too eager nor too careful.</p>}
    </>
  );
}

const EARLIER_SECONDS = 0.1;

/** What an earlier read would make of this runner's steal, against the pitcher that is looked at or faced. */
function ReadWorth({
  team,
  runner,
  pitcher,
}: {
  team: DrillsInView['team'];
  runner: DrillsInView['players'][number];
  pitcher: DrillsInView['players'][number] | null;
}) {
  const worth = useEarlierJump(team, runner, pitcher)(jumpFromRead(EARLIER_SECONDS));
  if (!worth) return null;
  return (
    <p className="quiet">
      Reading {seconds(EARLIER_SECONDS)} earlier here is about{' '}
      {seconds(jumpFromRead(EARLIER_SECONDS))} of jump in a game: a steal of second goes from{' '}
      {percent(worth.before)} to {percent(worth.after)}
      {pitcher ? ` against ${personLabel(pitcher)}` : ''}. Half of a read carries over: judgement.
    </p>
  );
}
