import {
  afterSign,
  drillRound,
  dueSigns,
  isCriticalPlay,
  isMissed,
  type knownSigns,
  missOf,
  missPrior,
  pairMisses,
  signsNow,
  type DrillItem,
  type SignAnswer,
  type SignBook,
  type SignSystem,
} from '@bradyon/core/signs';
import type { Person } from '@bradyon/core/people';
import type { SignAnswerId } from '@bradyon/core/units';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { newId } from '../../api/index.ts';
import { Empty, Loading, percent, PickOne } from '../../ui/index.ts';
import { personLabel, usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { todayNow, useAnswers } from './answers.ts';
import { answerWrite } from './writes.ts';
import { DrillRunner } from './DrillRunner.tsx';
import { LinkFor, MadeLink, usePasses } from './PlayerLink.tsx';
import { secureRandom } from '../../api/random.ts';
import { SignPage } from './SignPage.tsx';
import { oneIn, signWord } from './words.ts';

/** Who misses signs, who is due, and a round for everybody. */
export function DrillsPage() {
  return <SignPage title="Sign drills">{(book) => <Drills book={book} />}</SignPage>;
}

function Drills({ book }: { book: SignBook }) {
  const team = useTeam();
  const system = signsNow(book)?.system;
  const { people, isLoading } = usePeople(team.id);
  const ours = people.filter(({ opponentId, retired }) => opponentId === null && !retired);
  if (isLoading) return <Loading what="your players" />;
  if (!system) {
    return (
      <Empty title="Lay your signs first.">
        <Link className="btn btn-primary" to={`/teams/${team.id}/signs`}>
          Lay signs
        </Link>
      </Empty>
    );
  }
  if (ours.length === 0) {
    return (
      <Empty title="Add your players first.">
        <Link className="btn btn-primary" to={`/teams/${team.id}/people`}>
          Add players
        </Link>
      </Empty>
    );
  }
  return <Table system={system} players={ours} />;
}

/** As often as a sign is missed to be named. */
const OFTEN_MISSED = 0.25;

/** The sign that somebody misses most; null: none is missed often. */
function worstOf(memories: ReturnType<typeof knownSigns>['memories']): string | null {
  const [worst] = [...memories]
    .map(([play, { miss }]) => ({ play, mean: missOf(miss).mean }))
    .toSorted((a, b) => b.mean - a.mean);
  return worst && worst.mean >= OFTEN_MISSED ? worst.play : null;
}

/** How often somebody misses, by all their answers. */
function missesOf(answers: readonly SignAnswer[], today: number): ReturnType<typeof missOf> {
  const day = Math.floor(today);
  let belief = missPrior(answers[0] ? Math.floor(answers[0].day) : day);
  for (const answer of answers.toSorted((a, b) => a.day - b.day))
    belief = afterSign(belief, { day: answer.day, missed: isMissed(answer) });
  return missOf(belief);
}

function Table({ system, players }: { system: SignSystem; players: readonly Person[] }) {
  const team = useTeam();
  const answers = useAnswers(team.id);
  const [isRound, setRound] = useState(false);
  const [today] = useState(todayNow);
  const passes = usePasses(team.id);
  const rows = players
    .map((player) => {
      const own = answers.of(player.id);
      const known = answers.known(player.id);
      return {
        player,
        count: own.length,
        miss: missesOf(own, today),
        falseAlarms: known.falseAlarms,
        due: dueSigns(system, known, today),
        worst: worstOf(known.memories),
      };
    })
    .toSorted((a, b) => b.miss.mean - a.miss.mean);
  if (isRound) {
    return (
      <TeamRound
        system={system}
        players={rows.map(({ player }) => player)}
        known={answers.known}
        onEnd={() => {
          setRound(false);
        }}
      />
    );
  }
  const hasSqueeze = system.plays.some(({ id }) => isCriticalPlay(system, id));
  return (
    <div className="drills">
      <section className="card-box" aria-label="Players">
        <div className="drills-head">
          <h2>Who misses signs</h2>
          <Button
            onClick={() => {
              setRound(true);
            }}
          >
            Round for the team
          </Button>
        </div>
        <div className="table-responsive">
          <table className="drills-table">
            <thead>
              <tr>
                <th scope="col">Player</th>
                <th scope="col">Misses</th>
                <th scope="col">Most missed</th>
                <th scope="col">Read</th>
                <th scope="col">False alarms</th>
                <th scope="col">Due</th>
                <th scope="col">Own phone</th>
              </tr>
            </thead>
            <tbody>
              {rows.map(({ player, count, miss, falseAlarms, due, worst }) => (
                <tr key={player.id}>
                  <th scope="row">{personLabel(player)}</th>
                  <td>
                    {count === 0 ? (
                      'not drilled'
                    ) : (
                      <>
                        <strong className="figure">{percent(miss.mean)}</strong>{' '}
                        <small>
                          {percent(miss.low)} to {percent(miss.high)}
                        </small>
                      </>
                    )}
                  </td>
                  <td>{worst === null ? '–' : signWord(worst)}</td>
                  <td className="figure">{count}</td>
                  <td className="figure">{falseAlarms}</td>
                  <td>{due.length === 0 ? '–' : `${String(due.length)} signs`}</td>
                  <td>
                    <LinkFor player={player} passes={passes} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </section>
      {passes.made && <MadeLink pass={passes.made} players={players} />}
      {hasSqueeze && <SqueezePair rows={rows} />}
    </div>
  );
}

/** Runner and batter both have to read it. */
function SqueezePair({ rows }: { rows: readonly { player: Person; miss: { mean: number } }[] }) {
  const [runner, setRunner] = useState<string>(rows[0]?.player.id ?? '');
  const [batter, setBatter] = useState<string>(rows[1]?.player.id ?? '');
  const missOfId = (id: string): number =>
    rows.find(({ player }) => player.id === id)?.miss.mean ?? 0;
  const options = rows.map(({ player }) => ({ value: player.id, text: personLabel(player) }));
  const fails = pairMisses(missOfId(runner), missOfId(batter));
  return (
    <section className="card-box" aria-label="Squeeze">
      <h2>Squeeze: both have to read it</h2>
      <div className="signs-row">
        <PickOne label="On third" value={runner} options={options} onChange={setRunner} />
        <PickOne label="At bat" value={batter} options={options} onChange={setBatter} />
      </div>
      <p className="drills-pair">
        One of them misses it <strong>{oneIn(fails)}</strong> times.
      </p>
    </section>
  );
}

const ROUNDS_EACH = 2;

/** Everybody in turn on one screen, whoever misses most first. */
function TeamRound({
  system,
  players,
  known,
  onEnd,
}: {
  system: SignSystem;
  players: readonly Person[];
  known: ReturnType<typeof useAnswers>['known'];
  onEnd: () => void;
}) {
  const team = useTeam();
  const [turns] = useState(() => {
    const day = todayNow();
    const rounds = players.map((player) => ({
      player,
      items: drillRound(system, known(player.id), { size: ROUNDS_EACH, day, random: secureRandom }),
    }));
    return Array.from({ length: ROUNDS_EACH }, (_, nth) =>
      rounds.flatMap(({ player, items }): { player: Person; item: DrillItem }[] => {
        const item = items[nth];
        return item ? [{ player, item }] : [];
      }),
    ).flat();
  });
  const plays = [
    ...new Set([
      ...system.plays.map(({ id }) => id),
      ...[...system.modifiers, ...system.situational].map(({ to }) => to),
    ]),
  ];
  return (
    <section className="card-box drills-round" aria-label="Round for the team">
      <DrillRunner
        items={turns.map(({ item }) => item)}
        plays={plays}
        who={(index) => {
          const player = turns[index]?.player;
          return player ? personLabel(player) : '';
        }}
        onAnswer={({ item, answered, seconds }) => {
          const turn = turns.find((each) => each.item === item);
          if (!turn) return;
          answerWrite.send(team.id, {
            id: newId<SignAnswerId>(),
            personId: turn.player.id,
            meant: item.means,
            answered,
            seconds,
            takenAt: new Date().toISOString(),
          });
        }}
        onDone={onEnd}
      />
      <Button variant="outline-primary" onClick={onEnd}>
        End the round
      </Button>
    </section>
  );
}
