import {
  contextsOf,
  inSchool,
  loadOf,
  newSystem,
  phraseFor,
  schoolOf,
  SCHOOLS,
  SIGN_PLAYS,
  signGenerator,
  signsNow,
  validate,
  type School,
  type SignBook,
  type SignContext,
  type SignSystem,
} from '@bradyon/core/signs';
import type { SignVersionId } from '@bradyon/core/units';
import { newId } from '../../api/index.ts';
import { useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Choice, notify, PickOne, shortDate } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { keepDraft, useDrafts, type SignDraft } from './draftStore.ts';
import { IssuesBox } from './IssuesBox.tsx';
import { secureRandom } from '../../api/random.ts';
import { SignPage } from './SignPage.tsx';
import { SignPlayer } from './SignPlayer.tsx';
import { SlipsBox } from './SlipsBox.tsx';
import { StrengthBox } from './StrengthBox.tsx';
import { SystemEditor } from './SystemEditor.tsx';
import { useSaveSigns } from './useSigns.ts';
import { Versions } from './Versions.tsx';
import { SCHOOL_WORDS, signWord, TIER_WORDS } from './words.ts';

/** The team's signs: laid, proved, and how long they hold. */
export function SystemPage() {
  return <SignPage title="Signs">{(book) => <SystemView book={book} />}</SignPage>;
}

function SystemView({ book }: { book: SignBook }) {
  const team = useTeam();
  const now = signsNow(book);
  const begun = useDrafts(({ byTeam }) => byTeam[team.id]);
  const kept: SignDraft | null = now && { from: now.id, system: now.system, phrase: now.phrase };
  const draft = begun ?? kept;
  const save = useSaveSigns(team.id);
  if (!draft) return <FirstSystem />;
  const isChanged =
    begun !== undefined &&
    JSON.stringify({ ...begun, from: null }) !== JSON.stringify(kept && { ...kept, from: null });
  const change = (next: Partial<SignDraft>): void => {
    keepDraft(team.id, { ...draft, ...next });
  };
  const putInForce = (): void => {
    const version = {
      id: newId<SignVersionId>(),
      at: new Date().toISOString(),
      system: draft.system,
      phrase: draft.phrase,
    };
    save.mutate((before) => ({ ...before, versions: [...before.versions, version].slice(-60) }), {
      onSuccess: () => {
        keepDraft(team.id, null);
        notify('These signs are in force.');
      },
    });
  };
  const { issues, isSound } = validate(draft.system);
  return (
    <div className="signs-page">
      <div className="signs-shown card-box">
        <Shown system={draft.system} isSound={isSound} />
      </div>
      <div className="signs-laid">
        <div className="card-box">
          <Choice
            label="School"
            options={SCHOOLS.map((value) => ({ value, text: SCHOOL_WORDS[value].name }))}
            value={schoolOf(draft.system)}
            onChange={(school: School) => {
              const system = inSchool(draft.system, school, secureRandom);
              change({
                system,
                phrase: system.scheme.kind === 'count' ? phraseFor(system.scheme.list) : '',
              });
            }}
          />
          <SchoolLine school={schoolOf(draft.system)} />
        </div>
        <SystemEditor
          system={draft.system}
          phrase={draft.phrase}
          onChange={(system) => {
            change({ system });
          }}
          onPhrase={(phrase) => {
            change({ phrase });
          }}
        />
        <IssuesBox
          system={draft.system}
          issues={issues}
          onFix={(system) => {
            change({ system });
          }}
        />
        <div className="signs-save">
          {isChanged ? (
            <>
              <Button disabled={!isSound || save.isPending} onClick={putInForce}>
                Put in force
              </Button>
              <Button
                variant="outline-primary"
                onClick={() => {
                  keepDraft(team.id, null);
                }}
              >
                Drop changes
              </Button>
              {!isSound && <span className="quiet">Fix what is marked first.</span>}
            </>
          ) : (
            <span className="quiet">
              Version {book.versions.length}, in force since {shortDate(now?.at ?? '')}.
            </span>
          )}
        </div>
      </div>
      <div className="signs-proved">
        <StrengthBox system={draft.system} isSound={isSound} />
        <SlipsBox system={draft.system} isSound={isSound} />
        <Versions
          book={book}
          onTake={({ system, phrase }) => {
            keepDraft(team.id, { from: null, system, phrase });
          }}
        />
        <section className="card-box">
          <h2>To remember</h2>
          <p>
            <strong className="figure">{loadOf(draft.system).items}</strong> things.{' '}
            {TIER_WORDS[loadOf(draft.system).tier]}
          </p>
        </section>
      </div>
    </div>
  );
}

function SchoolLine({ school }: { school: School }) {
  const { how, good, bad } = SCHOOL_WORDS[school];
  return (
    <p className="signs-school">
      {how} <span className="signs-good">{good}</span> <span className="signs-bad">{bad}</span>
    </p>
  );
}

/** One play as a runner sees it, in another sequence each time. */
function Shown({ system, isSound }: { system: SignSystem; isSound: boolean }) {
  const [play, setPlay] = useState<string>('');
  const [nth, setNth] = useState(0);
  const ready = useMemo(() => {
    const [context] = contextsOf(system);
    return context && isSound ? { context, generator: signGenerator(system, context) } : null;
  }, [system, isSound]);
  if (!ready) return <p className="quiet">Fix what is marked, and the figure shows each play.</p>;
  const { context, generator } = ready;
  const plays = generator.meanings.filter((meaning) => meaning !== null);
  const shown = plays.includes(play) ? play : (plays[0] ?? '');
  const isNothing = play === NOTHING;
  return (
    <>
      <PickOne
        label="As they see it"
        value={isNothing ? NOTHING : shown}
        options={[
          ...plays.map((value) => ({ value, text: signWord(value) })),
          { value: NOTHING, text: signWord(null) },
        ]}
        onChange={setPlay}
      />
      <OneSequence
        key={`${String(isNothing)} ${shown} ${String(nth)}`}
        make={() => generator.make(isNothing ? null : shown, secureRandom)}
        system={system}
        context={context}
        onAnother={() => {
          setNth(nth + 1);
        }}
      />
    </>
  );
}
const NOTHING = 'nothing';

/** Drawn once, as long as it stands there. */
function OneSequence({
  make,
  ...shown
}: {
  make: () => string[] | null;
  system: SignSystem;
  context: SignContext;
  onAnother: () => void;
}) {
  const [sequence] = useState(make);
  if (!sequence)
    return (
      <p>Leave three or four touches that mean nothing, or there is nothing to hide a sign in.</p>
    );
  return <SignPlayer sequence={sequence} {...shown} />;
}

const SIZES = [
  { value: '4', text: '4 plays' },
  { value: '6', text: '6 plays' },
  { value: '8', text: '8 plays' },
] as const;
const AGES = [
  { value: 'young', text: '10 and under' },
  { value: 'middle', text: '11 to 14' },
  { value: 'old', text: 'High school' },
] as const;
type Age = (typeof AGES)[number]['value'];

/** What suits whom: judgement, said in words. */
const SUITS: Record<Age, readonly School[]> = {
  young: ['touch', 'indicator'],
  middle: ['indicator', 'count', 'touch'],
  old: ['indicator', 'card', 'count', 'sum'],
};

/** The first system of a team: what the team is, then a school that fits. */
function FirstSystem() {
  const team = useTeam();
  const [age, setAge] = useState<Age>('old');
  const [size, setSize] = useState<(typeof SIZES)[number]['value']>('6');
  const plays = SIGN_PLAYS.filter(
    ({ id }) => team.ruleset.stealAllowed || !/steal|delayed/i.test(id),
  );
  return (
    <section className="card-box signs-first">
      <h2>Choose how your team reads signs</h2>
      <div className="control-row">
        <Choice label="Age" options={AGES} value={age} onChange={setAge} />
        <Choice label="Plays" options={SIZES} value={size} onChange={setSize} />
      </div>
      <ul className="signs-schools">
        {SUITS[age].map((school, index) => {
          const { name, how, good, bad } = SCHOOL_WORDS[school];
          return (
            <li key={school}>
              <div>
                <h3>
                  {name} {index === 0 && <small>fits best</small>}
                </h3>
                <p>{how}</p>
                <p className="signs-good">{good}</p>
                <p className="signs-bad">{bad}</p>
              </div>
              <Button
                variant={index === 0 ? 'primary' : 'outline-primary'}
                onClick={() => {
                  const system = newSystem(school, plays.slice(0, Number(size)), secureRandom);
                  const phrase =
                    system.scheme.kind === 'count' ? phraseFor(system.scheme.list) : '';
                  keepDraft(team.id, { from: null, system, phrase });
                }}
              >
                Start with this
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
