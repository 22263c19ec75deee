import type { BattingRates } from '../innings/index.ts';

/**
 * How often a pitch that is taken is a strike, by balls and strikes. Judgement: pitchers come over the
 * plate when behind and stay off it when ahead.
 */
const STRIKE_WHEN_TAKEN: readonly (readonly [number, number, number])[] = [
  [0.49, 0.42, 0.33],
  [0.53, 0.46, 0.37],
  [0.58, 0.52, 0.42],
  [0.64, 0.6, 0.5],
];
/** What a pitch comes to for a batter who swings at what they like. Judgement. */
const PITCH = { ball: 0.36, strike: 0.27, foul: 0.17, inPlay: 0.2 } as const;

interface Ends {
  walk: number;
  strikeout: number;
  inPlay: number;
}

/** What each count has come to: there are twelve, and every pitch of a game asks for them. */
const known = new Map<number, Ends>();

/** How a turn ends from a count, pitch by pitch, with a typical pitcher and batter. */
function endsFrom(balls: number, strikes: number): Ends {
  if (balls >= 4) return { walk: 1, strikeout: 0, inPlay: 0 };
  if (strikes >= 3) return { walk: 0, strikeout: 1, inPlay: 0 };
  const count = 3 * balls + strikes;
  const ends = known.get(count) ?? endsByPitch(balls, strikes);
  known.set(count, ends);
  return ends;
}

function endsByPitch(balls: number, strikes: number): Ends {
  const { ball, strike, foul, inPlay } = PITCH;
  const ways: [number, Ends][] = [
    [ball, endsFrom(balls + 1, strikes)],
    [strike, endsFrom(balls, strikes + 1)],
    [inPlay, { walk: 0, strikeout: 0, inPlay: 1 }],
  ];
  // With two strikes a foul changes nothing: the rest is what counts.
  if (strikes < 2) ways.push([foul, endsFrom(balls, strikes + 1)]);
  const whole = ways.reduce((sum, [share]) => sum + share, 0);
  const of = (end: keyof Ends): number =>
    ways.reduce((sum, [share, ends]) => sum + (share / whole) * ends[end], 0);
  return { walk: of('walk'), strikeout: of('strikeout'), inPlay: of('inPlay') };
}

/**
 * A batter's rates from a count on: walks and strikeouts move as they do for a typical batter, and what is
 * put in play keeps its shares.
 * @param balls 0 to 3
 * @param strikes 0 to 2
 * @returns shares that add up to 1
 */
export function ratesAtCount(rates: BattingRates, balls: number, strikes: number): BattingRates {
  if (balls >= 4) return onlyWalk(rates);
  if (strikes >= 3) return onlyStrikeout(rates);
  const [now, fresh] = [endsFrom(balls, strikes), endsFrom(0, 0)];
  const walk = rates.walk * (now.walk / fresh.walk);
  const strikeout = rates.strikeout * (now.strikeout / fresh.strikeout);
  const put = (1 - rates.walk - rates.strikeout) * (now.inPlay / fresh.inPlay);
  const whole = walk + strikeout + put;
  const share = put / whole / (1 - rates.walk - rates.strikeout);
  const scaled = Object.fromEntries(
    Object.entries(rates).map(([event, rate]) => [event, rate * share]),
  ) as BattingRates;
  return { ...scaled, walk: walk / whole, strikeout: strikeout / whole };
}

function onlyWalk(rates: BattingRates): BattingRates {
  return { ...nothing(rates), walk: 1 };
}
function onlyStrikeout(rates: BattingRates): BattingRates {
  return { ...nothing(rates), strikeout: 1 };
}
function nothing(rates: BattingRates): BattingRates {
  return Object.fromEntries(Object.keys(rates).map((event) => [event, 0])) as BattingRates;
}

/** How often a pitch that is taken is a strike. */
export function strikeWhenTaken(balls: number, strikes: number): number {
  return STRIKE_WHEN_TAKEN[Math.min(3, balls)]?.[Math.min(2, strikes) as 0 | 1 | 2] ?? 0.5;
}
