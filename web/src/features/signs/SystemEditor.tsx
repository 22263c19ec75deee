import {
  freeTouches,
  hotTouches,
  phraseFor,
  SIGN_PLAYS,
  TOUCH_SPOTS,
  type Indicator,
  type Scheme,
  type SignSystem,
  type Touch,
} from '@bradyon/core/signs';
import { X } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { PickOne } from '../../ui/index.ts';
import { Sortable, SortableRow } from '../../ui/sortable/index.ts';
import { signWord, touchWord } from './words.ts';

const ALL_TOUCHES = TOUCH_SPOTS.map(({ id }) => id);
type Change = (system: SignSystem) => void;

/** Touches to choose from; one that is not used yet joins the system. */
const touchOptions = ALL_TOUCHES.map((value) => ({ value, text: touchWord(value) }));

function withTouch(system: SignSystem, touch: Touch): SignSystem {
  if (system.touches.includes(touch)) return system;
  return { ...system, touches: [...system.touches, touch] };
}

/** Plays, what stands for each, the indicator, and what changes a play or takes it back. */
export function SystemEditor({
  system,
  phrase,
  onChange,
  onPhrase,
}: {
  system: SignSystem;
  phrase: string;
  onChange: Change;
  onPhrase: (phrase: string) => void;
}) {
  return (
    <>
      <section className="card-box" aria-label="Plays">
        <PlaysOf system={system} onChange={onChange} />
        {system.scheme.kind === 'count' && (
          <Form.Group className="signs-phrase">
            <Form.Label htmlFor="signs-phrase">Phrase to remember the list by</Form.Label>
            <Form.Control
              id="signs-phrase"
              value={phrase}
              maxLength={120}
              autoComplete="off"
              onChange={({ target }) => {
                onPhrase(target.value);
              }}
            />
            <Button
              variant="link"
              onClick={() => {
                if (system.scheme.kind === 'count') onPhrase(phraseFor(system.scheme.list));
              }}
            >
              Suggest one
            </Button>
          </Form.Group>
        )}
        <AddPlay system={system} onChange={onChange} />
      </section>
      <section className="card-box" aria-label="Indicator and more">
        <IndicatorOf system={system} onChange={onChange} />
        <Extras system={system} onChange={onChange} />
      </section>
    </>
  );
}

/** Puts a play into the scheme, on a touch or a place that is free. */
function added(system: SignSystem, play: SignSystem['plays'][number]): SignSystem {
  const { scheme } = system;
  const [free = 'shoulder'] = freeTouches(system);
  const next = { ...system, plays: [...system.plays, play] };
  switch (scheme.kind) {
    case 'direct':
    case 'indicator':
      return withTouch(
        { ...next, scheme: { ...scheme, map: [...scheme.map, { touch: free, play: play.id }] } },
        free,
      );
    case 'count':
      return {
        ...next,
        scheme: { ...scheme, list: [...scheme.list, ...(play.critical ? [null] : []), play.id] },
      };
    case 'sum': {
      const sums = new Set(scheme.table.map(({ sum }) => sum));
      const sum =
        Array.from({ length: 20 }, (_, index) => index + 2).find((each) => !sums.has(each)) ?? 2;
      return { ...next, scheme: { ...scheme, table: [...scheme.table, { sum, play: play.id }] } };
    }
    case 'card': {
      const used = new Set(scheme.codes.map(({ code }) => code));
      const figures = scheme.values.map(({ value }) => value);
      // The last figure checks the first two, as in all the others.
      const codes = figures.flatMap((a) =>
        figures.map((b) => `${String(a)}${String(b)}${String(((a + b) % 5) + 1)}`),
      );
      const code = codes.find((each) => !used.has(each)) ?? '111';
      return { ...next, scheme: { ...scheme, codes: [...scheme.codes, { code, play: play.id }] } };
    }
  }
}

function without(system: SignSystem, play: string): SignSystem {
  const { scheme } = system;
  const others = <T extends { play: string }>(list: readonly T[]): T[] =>
    list.filter((each) => each.play !== play);
  const left = (): Scheme => {
    switch (scheme.kind) {
      case 'direct':
      case 'indicator':
        return { ...scheme, map: others(scheme.map) };
      case 'count':
        return { ...scheme, list: scheme.list.filter((each) => each !== play) };
      case 'sum':
        return { ...scheme, table: others(scheme.table) };
      case 'card':
        return { ...scheme, codes: others(scheme.codes) };
    }
  };
  return {
    ...system,
    plays: system.plays.filter(({ id }) => id !== play),
    scheme: left(),
    modifiers: system.modifiers.filter(({ from, to }) => from !== play && to !== play),
    situational: system.situational.filter((rule) => rule.play !== play && rule.to !== play),
  };
}

function AddPlay({ system, onChange }: { system: SignSystem; onChange: Change }) {
  const known = new Set([
    ...system.plays.map(({ id }) => id),
    ...[...system.modifiers, ...system.situational].map(({ to }) => to),
  ]);
  const others = SIGN_PLAYS.filter(({ id }) => !known.has(id));
  if (others.length === 0 || system.plays.length >= 12) return null;
  return (
    <PickOne
      label="Add a play"
      value=""
      options={[
        { value: '', text: 'Choose' },
        ...others.map(({ id }) => ({ value: id, text: signWord(id) })),
      ]}
      onChange={(id) => {
        const play = others.find((each) => each.id === id);
        if (play) onChange(added(system, play));
      }}
    />
  );
}

function Leave({ system, play, onChange }: { system: SignSystem; play: string; onChange: Change }) {
  return (
    <Button
      variant="link"
      aria-label={`Remove ${signWord(play)}`}
      disabled={system.plays.length < 2}
      onClick={() => {
        onChange(without(system, play));
      }}
    >
      <X size={18} aria-hidden="true" />
    </Button>
  );
}

function PlaysOf({ system, onChange }: { system: SignSystem; onChange: Change }) {
  const { scheme } = system;
  switch (scheme.kind) {
    case 'direct':
    case 'indicator':
      return (
        <>
          {scheme.kind === 'indicator' && (
            <PickOne
              label="Which touch counts"
              value={String(scheme.offset)}
              options={[
                { value: '1', text: 'the next after the indicator' },
                { value: '2', text: 'the second after it' },
                { value: '-1', text: 'the one before it' },
              ]}
              onChange={(value) => {
                onChange({ ...system, scheme: { ...scheme, offset: Number(value) as 1 | 2 | -1 } });
              }}
            />
          )}
          <ul className="signs-plays">
            {scheme.map.map(({ touch, play }, index) => (
              <li key={`${play} ${String(index)}`}>
                <PickOne
                  label={signWord(play)}
                  value={touch}
                  options={touchOptions}
                  onChange={(to) => {
                    const map = scheme.map.with(index, { touch: to, play });
                    onChange(withTouch({ ...system, scheme: { ...scheme, map } }, to));
                  }}
                />
                <Leave system={system} play={play} onChange={onChange} />
              </li>
            ))}
          </ul>
        </>
      );
    case 'count':
      return <CountList system={system} scheme={scheme} onChange={onChange} />;
    case 'sum':
      return (
        <>
          <Values system={system} scheme={scheme} onChange={onChange} />
          <ul className="signs-plays">
            {scheme.table.map(({ sum, play }, index) => (
              <li key={play}>
                <PickOne
                  label={signWord(play)}
                  value={String(sum)}
                  options={Array.from({ length: 19 }, (_, at) => ({
                    value: String(at + 1),
                    text: `adds up to ${String(at + 1)}`,
                  }))}
                  onChange={(value) => {
                    const table = scheme.table.with(index, { sum: Number(value), play });
                    onChange({ ...system, scheme: { ...scheme, table } });
                  }}
                />
                <Leave system={system} play={play} onChange={onChange} />
              </li>
            ))}
          </ul>
        </>
      );
    case 'card':
      return (
        <>
          <Values system={system} scheme={scheme} onChange={onChange} />
          <ul className="signs-plays">
            {system.plays.map(({ id }) => (
              <li key={id}>
                <span className="signs-codes">
                  {signWord(id)}{' '}
                  <strong className="figure">
                    {scheme.codes
                      .filter(({ play }) => play === id)
                      .map(({ code }) => code)
                      .join(', ')}
                  </strong>
                </span>
                <Leave system={system} play={id} onChange={onChange} />
              </li>
            ))}
          </ul>
        </>
      );
  }
}

/** The list that is counted down: put in order by hand or by the keys, with places that say nothing. */
function CountList({
  system,
  scheme,
  onChange,
}: {
  system: SignSystem;
  scheme: Extract<Scheme, { kind: 'count' }>;
  onChange: Change;
}) {
  const ids = scheme.list.map((play, index) => play ?? `empty ${String(index)}`);
  const set = (list: (string | null)[]): void => {
    onChange({ ...system, scheme: { ...scheme, list } });
  };
  return (
    <>
      <p className="signs-note">
        Count the touches after the indicator. Drag to put them in order.
      </p>
      <Sortable
        ids={ids}
        onMove={(moved) => {
          set(moved.map((id) => (id.startsWith('empty ') ? null : id)));
        }}
      >
        <ol className="signs-list">
          {scheme.list.map((play, index) => (
            <SortableRow
              key={ids[index]}
              id={ids[index] ?? ''}
              label={`Move ${signWord(play)}, number ${String(index + 1)}`}
            >
              <span className="figure">{index + 1}</span>
              <span>{play === null ? 'nothing' : signWord(play)}</span>
              {play === null ? (
                <Button
                  variant="link"
                  aria-label={`Remove the empty place ${String(index + 1)}`}
                  onClick={() => {
                    set(scheme.list.toSpliced(index, 1));
                  }}
                >
                  <X size={18} aria-hidden="true" />
                </Button>
              ) : (
                <Leave system={system} play={play} onChange={onChange} />
              )}
            </SortableRow>
          ))}
        </ol>
      </Sortable>
      <div className="signs-row">
        <Button
          variant="outline-primary"
          disabled={scheme.list.length >= 14}
          onClick={() => {
            set([...scheme.list, null]);
          }}
        >
          Add an empty place
        </Button>
        <PickOne
          label="The count ends"
          value={scheme.until === 'end' ? 'end' : scheme.until.stop}
          options={[
            { value: 'end', text: 'with the last touch' },
            ...touchOptions.map(({ value, text }) => ({ value, text: `at the ${text}` })),
          ]}
          onChange={(value) => {
            const until = value === 'end' ? 'end' : { stop: value };
            const next: SignSystem = { ...system, scheme: { ...scheme, until } };
            onChange(value === 'end' ? next : withTouch(next, value));
          }}
        />
      </div>
    </>
  );
}

function Values({
  system,
  scheme,
  onChange,
}: {
  system: SignSystem;
  scheme: Extract<Scheme, { kind: 'sum' | 'card' }>;
  onChange: Change;
}) {
  return (
    <ul className="signs-values">
      {scheme.values.map(({ touch, value }, index) => (
        <li key={value}>
          <PickOne
            label={String(value)}
            value={touch}
            options={touchOptions}
            onChange={(to) => {
              const values = scheme.values.with(index, { touch: to, value });
              onChange(withTouch({ ...system, scheme: { ...scheme, values } }, to));
            }}
          />
        </li>
      ))}
    </ul>
  );
}

const KINDS: readonly { value: Indicator['kind']; text: string }[] = [
  { value: 'fixed', text: 'always the same' },
  { value: 'byInning', text: 'changes by inning' },
  { value: 'byOuts', text: 'changes by outs' },
  { value: 'keyTouch', text: 'picked by the first touch' },
];

/** Another kind of indicator, begun with what there is. */
function indicatorOf(kind: Indicator['kind'], system: SignSystem): Indicator {
  const [first = 'belt'] = hotTouches(system.indicator);
  const [second = 'hip', third = 'shoulder', fourth = 'elbow'] = freeTouches(system);
  switch (kind) {
    case 'none':
      return { kind };
    case 'fixed':
      return { kind, touch: first };
    case 'byInning':
    case 'byOuts':
      return { kind, touches: [first, second, third] };
    case 'keyTouch':
      return {
        kind,
        default: first,
        keys: [
          { key: third, touch: second },
          { key: fourth, touch: first },
        ],
      };
  }
}

function IndicatorOf({ system, onChange }: { system: SignSystem; onChange: Change }) {
  const { indicator, scheme } = system;
  if (scheme.kind === 'direct') return null;
  const set = (next: Indicator): void => {
    const touches = [
      ...hotTouches(next),
      ...(next.kind === 'keyTouch' ? next.keys.map(({ key }) => key) : []),
    ];
    onChange(touches.reduce(withTouch, { ...system, indicator: next }));
  };
  const pick = (label: string, value: Touch, onPick: (touch: Touch) => Indicator) => (
    <PickOne
      key={label}
      label={label}
      value={value}
      options={touchOptions}
      onChange={(touch) => {
        set(onPick(touch));
      }}
    />
  );
  const places =
    indicator.kind === 'byOuts'
      ? ['nobody out', 'one out', 'two out']
      : ['1st', '2nd', '3rd', '4th', '5th', '6th', '7th'];
  return (
    <div className="signs-row">
      <PickOne
        label="The indicator"
        value={indicator.kind}
        options={[...KINDS]}
        onChange={(kind) => {
          set(indicatorOf(kind as Indicator['kind'], system));
        }}
      />
      {indicator.kind === 'fixed' &&
        pick('It is the', indicator.touch, (touch) => ({ kind: 'fixed', touch }))}
      {(indicator.kind === 'byInning' || indicator.kind === 'byOuts') &&
        indicator.touches.map((touch, index) =>
          pick(
            indicator.kind === 'byOuts' ? (places[index] ?? '') : `${places[index] ?? ''} inning`,
            touch,
            (to) => ({ ...indicator, touches: indicator.touches.with(index, to) }),
          ),
        )}
      {indicator.kind === 'keyTouch' && (
        <>
          {pick('Usually the', indicator.default, (touch) => ({ ...indicator, default: touch }))}
          {indicator.keys.map(({ key, touch }, index) => [
            pick(`Key ${String(index + 1)}`, key, (to) => ({
              ...indicator,
              keys: indicator.keys.with(index, { key: to, touch }),
            })),
            pick(`Key ${String(index + 1)} picks the`, touch, (to) => ({
              ...indicator,
              keys: indicator.keys.with(index, { key, touch: to }),
            })),
          ])}
        </>
      )}
    </div>
  );
}

/** Wipe-off, which sign counts, what turns one play into another, and what the bases make of it. */
function Extras({ system, onChange }: { system: SignSystem; onChange: Change }) {
  const { wipe, occurrence, modifiers, situational, plays } = system;
  const playOptions = SIGN_PLAYS.map(({ id }) => ({ value: id, text: signWord(id) }));
  const own = plays.map(({ id }) => ({ value: id, text: signWord(id) }));
  const [free = 'shoulder'] = freeTouches(system);
  const [first] = plays;
  return (
    <>
      <div className="signs-row">
        <PickOne
          label="Wipe-off"
          value={wipe?.touch ?? ''}
          options={[{ value: '', text: 'none' }, ...touchOptions]}
          onChange={(touch) => {
            if (touch === '') onChange({ ...system, wipe: null });
            else
              onChange(
                withTouch({ ...system, wipe: { mode: wipe?.mode ?? 'restart', touch } }, touch),
              );
          }}
        />
        {wipe && (
          <PickOne
            label="After it"
            value={wipe.mode}
            options={[
              { value: 'restart', text: 'start over' },
              { value: 'cancel', text: 'nothing is on' },
            ]}
            onChange={(mode) => {
              onChange({ ...system, wipe: { ...wipe, mode: mode as 'restart' | 'cancel' } });
            }}
          />
        )}
        <PickOne
          label="Of several signs"
          value={occurrence}
          options={[
            { value: 'first', text: 'the first counts' },
            { value: 'last', text: 'the last counts' },
            { value: 'any', text: 'not agreed yet' },
          ]}
          onChange={(value) => {
            onChange({ ...system, occurrence: value as SignSystem['occurrence'] });
          }}
        />
      </div>
      {modifiers.map((modifier, index) => {
        const set = (change: Partial<typeof modifier>): void => {
          const next = { ...modifier, ...change };
          onChange(withTouch({ ...system, modifiers: modifiers.with(index, next) }, next.touch));
        };
        return (
          <div className="signs-row" key={`${modifier.from} ${modifier.to}`}>
            <PickOne
              label="This play"
              value={modifier.from}
              options={own}
              onChange={(from) => {
                set({ from });
              }}
            />
            <PickOne
              label="with the"
              value={modifier.touch}
              options={touchOptions}
              onChange={(touch) => {
                set({ touch });
              }}
            />
            <PickOne
              label="becomes"
              value={modifier.to}
              options={playOptions}
              onChange={(to) => {
                set({ to });
              }}
            />
            <Button
              variant="link"
              aria-label={`Remove the change to ${signWord(modifier.to)}`}
              onClick={() => {
                onChange({ ...system, modifiers: modifiers.toSpliced(index, 1) });
              }}
            >
              <X size={18} aria-hidden="true" />
            </Button>
          </div>
        );
      })}
      {situational.map((rule, index) => {
        const set = (next: typeof rule): void => {
          onChange({ ...system, situational: situational.with(index, next) });
        };
        return (
          <div className="signs-row" key={`${rule.play} ${rule.to}`}>
            <PickOne
              label="This play"
              value={rule.play}
              options={own}
              onChange={(play) => {
                set({ ...rule, play });
              }}
            />
            <PickOne
              label="with"
              value={whenOf(rule.when)}
              options={WHENS.map(({ value, text }) => ({ value, text }))}
              onChange={(value) => {
                set({ ...rule, when: WHENS.find((each) => each.value === value)?.when ?? {} });
              }}
            />
            <PickOne
              label="is a"
              value={rule.to}
              options={playOptions}
              onChange={(to) => {
                set({ ...rule, to });
              }}
            />
            <Button
              variant="link"
              aria-label={`Remove the rule for ${signWord(rule.to)}`}
              onClick={() => {
                onChange({ ...system, situational: situational.toSpliced(index, 1) });
              }}
            >
              <X size={18} aria-hidden="true" />
            </Button>
          </div>
        );
      })}
      {first && (
        <div className="signs-row">
          <Button
            variant="outline-primary"
            disabled={modifiers.length >= 4}
            onClick={() => {
              const to =
                SIGN_PLAYS.find(({ id }) => !plays.some((play) => play.id === id))?.id ?? 'delayed';
              const modifier = { touch: free, from: first.id, to, where: 'anyAfter' as const };
              onChange(withTouch({ ...system, modifiers: [...modifiers, modifier] }, free));
            }}
          >
            Add a changing touch
          </Button>
          <Button
            variant="outline-primary"
            disabled={situational.length >= 4}
            onClick={() => {
              const play = plays.find(({ id }) => id === 'bunt')?.id ?? first.id;
              const rule = { play, to: 'buntForHit', when: NOBODY_ON };
              onChange({ ...system, situational: [...situational, rule] });
            }}
          >
            Add a rule by bases
          </Button>
        </div>
      )}
    </>
  );
}

const NOBODY_ON = { first: false, second: false, third: false };
const WHENS = [
  { value: 'empty', text: 'nobody on', when: NOBODY_ON },
  { value: 'first', text: 'a runner on first', when: { first: true } },
  { value: 'second', text: 'a runner on second', when: { second: true } },
  { value: 'third', text: 'a runner on third', when: { third: true } },
  { value: 'notThird', text: 'nobody on third', when: { third: false } },
] as const;
function whenOf(when: SignSystem['situational'][number]['when']): string {
  return WHENS.find((each) => JSON.stringify(each.when) === JSON.stringify(when))?.value ?? 'first';
}
