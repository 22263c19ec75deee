import {
  issueNumberCard,
  signsNow,
  type NumberCard,
  type SignBook,
  type SignSystem,
  type SignVersion,
} from '@bradyon/core/signs';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { Choice, Empty, Sheet } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { secureRandom } from '../../api/random.ts';
import { SeriesTable } from './SeriesTable.tsx';
import { SignPage } from './SignPage.tsx';
import { useSaveSigns } from './useSigns.ts';
import { signWord, touchWord } from './words.ts';

/** What prints: the system for players, number cards for wristbands, the series for the catcher. */
export function CardsPage() {
  return <SignPage title="Sign cards">{(book) => <Cards book={book} />}</SignPage>;
}

const KINDS = [
  { value: 'numbers', text: 'Wristbands' },
  { value: 'system', text: 'Players’ card' },
  { value: 'series', text: 'Catcher’s card' },
] as const;
type Kind = (typeof KINDS)[number]['value'];

const CODES = 50;
const ISSUES = 10;
/** Codes of a play that is called often, and of the others. */
const [OFTEN, SELDOM] = [6, 4];

/** Ten cards at once: drawn from one tape of secure numbers, none shares a code with another. */
function newCards(system: SignSystem): NumberCard[] {
  const tape = Array.from({ length: 1000 }, secureRandom);
  const shares = system.plays.map(({ id, weight }) => ({
    play: id,
    codes: weight >= 3 ? OFTEN : SELDOM,
  }));
  return Array.from({ length: ISSUES }, (_, issue) => {
    let at = 0;
    return issueNumberCard(() => tape[at++ % tape.length] ?? 0, issue, shares, CODES);
  });
}

function Cards({ book }: { book: SignBook }) {
  const team = useTeam();
  const save = useSaveSigns(team.id);
  const [kind, setKind] = useState<Kind>('numbers');
  // Nobody looks over a shoulder at what was not asked for.
  const [isShown, setShown] = useState(false);
  const version = signsNow(book);
  if (!version) {
    return (
      <Empty title="Lay your signs first.">
        <Link className="btn btn-primary" to={`/teams/${team.id}/signs`}>
          Lay signs
        </Link>
      </Empty>
    );
  }
  const card = book.cards[book.card];
  const left = book.cards.length - book.card - 1;
  const next = (): void => {
    save.mutate((before) =>
      before.card + 1 < before.cards.length
        ? { ...before, card: before.card + 1 }
        : { ...before, cards: newCards(version.system), card: 0 },
    );
  };
  return (
    <>
      <div className="control-row no-print">
        <Choice
          label="Card"
          options={KINDS}
          value={kind}
          onChange={(value) => {
            setKind(value);
            setShown(false);
          }}
        />
        {kind === 'numbers' && (
          <Button variant="outline-primary" disabled={save.isPending} onClick={next}>
            {card ? 'New numbers for the next game' : 'Make number cards'}
          </Button>
        )}
        {kind === 'numbers' && card && (
          <span className="quiet">
            Card {String(card.issue + 1)}.{' '}
            {left === 0
              ? 'The last before codes come again.'
              : `${String(left)} more share no code with it.`}
          </span>
        )}
      </div>
      {kind === 'numbers' && !card ? (
        <p>Number cards are called aloud: three figures, and the wristband says the play.</p>
      ) : kind === 'series' && !book.series ? (
        <p>
          <Link to={`/teams/${team.id}/signs/series`}>Make the pickoff series</Link> first.
        </p>
      ) : isShown ? (
        <Sheet title="Sign card">
          {() => (
            <>
              {kind === 'numbers' && card && <Wristbands card={card} />}
              {kind === 'system' && <SystemCard version={version} />}
              {kind === 'series' && book.series && (
                <div className="wristband">
                  <h2>Pickoff series</h2>
                  <SeriesTable series={book.series} />
                </div>
              )}
            </>
          )}
        </Sheet>
      ) : (
        <section className="card-box cards-hidden">
          <p>This shows your signs. Make sure nobody else can see the screen.</p>
          <Button
            onClick={() => {
              setShown(true);
            }}
          >
            Show the card
          </Button>
        </section>
      )}
    </>
  );
}

/** Four to a sheet, with cut marks: the third figure confirms the first two. */
function Wristbands({ card }: { card: NumberCard }) {
  return (
    <div className="wristbands">
      {['a', 'b', 'c', 'd'].map((copy) => (
        <div key={copy} className="wristband wristband-cut">
          <h2>Card {card.issue + 1}</h2>
          <ol className="wristband-codes">
            {card.codes.map(({ code, play }) => (
              <li key={code}>
                <strong className="figure">{code}</strong> {play === null ? '–' : signWord(play)}
              </li>
            ))}
          </ol>
        </div>
      ))}
    </div>
  );
}

function SystemCard({ version: { system, phrase } }: { version: SignVersion }) {
  const { scheme, indicator, wipe, modifiers, situational } = system;
  return (
    <div className="wristband">
      <h2>Our signs</h2>
      <p>{indicatorLine(system)}</p>
      <table className="series-table">
        <tbody>
          {(scheme.kind === 'direct' || scheme.kind === 'indicator') &&
            scheme.map.map(({ touch, play }) => (
              <tr key={play}>
                <th scope="row">{signWord(play)}</th>
                <td>{touchWord(touch)}</td>
              </tr>
            ))}
          {scheme.kind === 'count' &&
            scheme.list.map((play, index) => (
              // Empty places are told apart by where they stand.
              <tr key={play ?? `empty ${String(index)}`}>
                <th scope="row">{index + 1}</th>
                <td>{play === null ? 'nothing' : signWord(play)}</td>
              </tr>
            ))}
          {scheme.kind === 'sum' &&
            scheme.table.map(({ sum, play }) => (
              <tr key={play}>
                <th scope="row">{signWord(play)}</th>
                <td>adds up to {sum}</td>
              </tr>
            ))}
        </tbody>
      </table>
      {scheme.kind === 'card' && <SeriesTable series={system} />}
      {phrase !== '' && <p>{phrase}</p>}
      {modifiers.map(({ touch, from, to }) => (
        <p key={`${from} ${to}`}>
          {signWord(from)} with the {touchWord(touch)} is {signWord(to).toLowerCase()}.
        </p>
      ))}
      {situational.map(({ play, to }) => (
        <p key={`${play} ${to}`}>
          {signWord(play)} can be {signWord(to).toLowerCase()}: ask which bases.
        </p>
      ))}
      {wipe && <p>The {touchWord(wipe.touch)} takes everything back.</p>}
      {indicator.kind === 'keyTouch' && (
        <p>
          First touch:{' '}
          {indicator.keys
            .map(({ key, touch }) => `${touchWord(key)} picks the ${touchWord(touch)}`)
            .join(', ')}
          .
        </p>
      )}
    </div>
  );
}

function indicatorLine({ indicator, scheme }: SignSystem): string {
  const after =
    scheme.kind === 'indicator' && scheme.offset === -1
      ? 'The touch before it counts.'
      : 'What comes after it counts.';
  switch (indicator.kind) {
    case 'none':
      return 'The first of these touches counts.';
    case 'fixed':
      return `Indicator: ${touchWord(indicator.touch)}. ${after}`;
    case 'byInning':
      return `Indicator by inning: ${indicator.touches.map(touchWord).join(', ')}, then around again. ${after}`;
    case 'byOuts':
      return `Indicator with 0, 1, 2 out: ${indicator.touches.map(touchWord).join(', ')}. ${after}`;
    case 'keyTouch':
      return `Usual indicator: ${touchWord(indicator.default)}. ${after}`;
  }
}
