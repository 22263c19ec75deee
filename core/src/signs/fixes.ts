import { freeTouches, hotTouches } from './schools.ts';
import type { Scheme, SignSystem, Touch } from './system.ts';
import { validate, type SignIssue } from './validate.ts';

/** What mends an issue, and the system with it mended. */
export type FixKind =
  | { kind: 'firstCounts' | 'lastCounts' }
  | { kind: 'movePlay'; play: string; to: Touch }
  | { kind: 'moveModifier'; play: string; to: Touch }
  | { kind: 'dropModifier' | 'narrowRule' | 'dropRule' | 'dropCode'; play: string }
  | {
      kind: 'addTouch' | 'moveWipe' | 'setIndicator' | 'moveIndicator' | 'dropKey' | 'dropValue';
      to: Touch;
    }
  | { kind: 'listPlay'; play: string };

export interface Fix {
  what: FixKind;
  system: SignSystem;
}

const MOST_FIXES = 2;

/** Up to two changes after each of which the issue is gone and no error more than before is there. */
export function fixesFor(issue: SignIssue, system: SignSystem): Fix[] {
  const before = validate(system).issues;
  const errors = (issues: readonly SignIssue[]): number =>
    issues.filter(({ level }) => level === 'error').length;
  const found: Fix[] = [];
  for (const fix of candidates(issue, system)) {
    if (found.length === MOST_FIXES) break;
    if (found.some(({ what }) => what.kind === fix.what.kind)) continue;
    const after = validate(fix.system).issues;
    const isGone = !after.some((each) => isSameIssue(each, issue));
    const fewer = errors(after) - errors(before) || after.length - before.length;
    if (isGone && fewer < 0) found.push(fix);
  }
  return found;
}

function isSameIssue(a: SignIssue, b: SignIssue): boolean {
  return (
    a.code === b.code && a.plays.join() === b.plays.join() && a.touches.join() === b.touches.join()
  );
}

function* candidates({ code, plays, touches }: SignIssue, system: SignSystem): Generator<Fix> {
  const { scheme, modifiers, situational, indicator } = system;
  const [free = ''] = freeTouches(system);
  const withTouch = (changed: Partial<SignSystem>): SignSystem => {
    const list = system.touches.includes(free) ? system.touches : [...system.touches, free];
    return { ...system, touches: list, ...changed };
  };
  if (code === 'UNKNOWN_TOUCH') {
    const [touch = ''] = touches;
    yield {
      what: { kind: 'addTouch', to: touch },
      system: { ...system, touches: [...system.touches, touch] },
    };
  }
  if (code === 'NO_INDICATOR' && free !== '')
    yield {
      what: { kind: 'setIndicator', to: free },
      system: withTouch({ indicator: { kind: 'fixed', touch: free } }),
    };
  if (system.wipe && code.startsWith('WIPE_') && free !== '')
    yield {
      what: { kind: 'moveWipe', to: free },
      system: withTouch({ wipe: { ...system.wipe, touch: free } }),
    };
  if (code === 'DUPLICATE_KEY' && indicator.kind === 'keyTouch') {
    const [touch = ''] = touches;
    const at = indicator.keys.findLastIndex(({ key }) => key === touch);
    yield {
      what: { kind: 'dropKey', to: touch },
      system: { ...system, indicator: { ...indicator, keys: indicator.keys.toSpliced(at, 1) } },
    };
  }
  if (code === 'DUPLICATE_VALUE' && (scheme.kind === 'sum' || scheme.kind === 'card')) {
    const [touch = ''] = touches;
    const at = scheme.values.findLastIndex((value) => value.touch === touch);
    yield {
      what: { kind: 'dropValue', to: touch },
      system: { ...system, scheme: { ...scheme, values: scheme.values.toSpliced(at, 1) } },
    };
  }
  if (system.occurrence === 'any')
    for (const [kind, occurrence] of [
      ['firstCounts', 'first'],
      ['lastCounts', 'last'],
    ] as const)
      yield { what: { kind }, system: { ...system, occurrence } };
  for (const [at, { play, touch }] of pairsOf(scheme).entries()) {
    if (free === '' || !(plays.includes(play) || touches.includes(touch))) continue;
    const isSecond = pairsOf(scheme).findIndex((pair) => pair.touch === touch) < at;
    if (code === 'TWO_MEANINGS' && !isSecond) continue;
    yield {
      what: { kind: 'movePlay', play, to: free },
      system: withTouch({ scheme: movedPair(scheme, at, free) }),
    };
  }
  for (const [at, modifier] of modifiers.entries()) {
    const { from, to, touch } = modifier;
    if (!(plays.includes(to) || plays.includes(from) || touches.includes(touch))) continue;
    if (free !== '')
      yield {
        what: { kind: 'moveModifier', play: to, to: free },
        system: withTouch({ modifiers: modifiers.with(at, { ...modifier, touch: free }) }),
      };
    yield {
      what: { kind: 'dropModifier', play: to },
      system: { ...system, modifiers: modifiers.toSpliced(at, 1) },
    };
  }
  for (const [at, rule] of situational.entries()) {
    const other = situational.find(({ play, to }) => play === rule.play && plays.includes(to));
    if (!other || other === rule || !plays.includes(rule.to)) continue;
    // Where both would apply, the first one does.
    for (const base of ['first', 'second', 'third'] as const) {
      const wanted = other.when[base];
      if (wanted === undefined || rule.when[base] !== undefined) continue;
      const when = { ...rule.when, [base]: !wanted };
      yield {
        what: { kind: 'narrowRule', play: rule.to },
        system: { ...system, situational: situational.with(at, { ...rule, when }) },
      };
    }
  }
  for (const [at, { to }] of situational.entries())
    if (plays.includes(to))
      yield {
        what: { kind: 'dropRule', play: to },
        system: { ...system, situational: situational.toSpliced(at, 1) },
      };
  if (scheme.kind === 'card')
    for (const [at, { play, code: own }] of scheme.codes.entries())
      if (plays.includes(play) && scheme.codes.findIndex((each) => each.code === own) < at)
        yield {
          what: { kind: 'dropCode', play },
          system: { ...system, scheme: { ...scheme, codes: scheme.codes.toSpliced(at, 1) } },
        };
  const [first] = plays;
  if (code === 'UNREACHABLE_PLAY' && first !== undefined) {
    if (scheme.kind === 'count')
      yield {
        what: { kind: 'listPlay', play: first },
        system: { ...system, scheme: { ...scheme, list: [...scheme.list, first] } },
      };
    if ((scheme.kind === 'direct' || scheme.kind === 'indicator') && free !== '') {
      const others = scheme.map.filter(({ play }) => play !== first);
      yield {
        what: { kind: 'movePlay', play: first, to: free },
        system: withTouch({
          scheme: { ...scheme, map: [...others, { touch: free, play: first }] },
        }),
      };
    }
  }
  // An indicator that is a play in some innings: another takes its turn.
  for (const touch of touches)
    if (free !== '' && hotTouches(indicator).includes(touch))
      yield {
        what: { kind: 'moveIndicator', to: free },
        system: withTouch({ indicator: replacedHot(indicator, touch, free) }),
      };
}

function pairsOf(scheme: Scheme): { touch: Touch; play: string }[] {
  return scheme.kind === 'direct' || scheme.kind === 'indicator' ? scheme.map : [];
}

function movedPair(scheme: Scheme, at: number, touch: Touch): Scheme {
  if (scheme.kind !== 'direct' && scheme.kind !== 'indicator') return scheme;
  const pair = scheme.map[at];
  return pair ? { ...scheme, map: scheme.map.with(at, { ...pair, touch }) } : scheme;
}

function replacedHot(
  indicator: SignSystem['indicator'],
  from: Touch,
  to: Touch,
): SignSystem['indicator'] {
  const swap = (touch: Touch): Touch => (touch === from ? to : touch);
  switch (indicator.kind) {
    case 'none':
      return indicator;
    case 'fixed':
      return { kind: 'fixed', touch: swap(indicator.touch) };
    case 'byInning':
    case 'byOuts':
      return { ...indicator, touches: indicator.touches.map(swap) };
    case 'keyTouch':
      return {
        ...indicator,
        default: swap(indicator.default),
        keys: indicator.keys.map(({ key, touch }) => ({ key, touch: swap(touch) })),
      };
  }
}
