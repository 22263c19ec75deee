import { tabledNormalCdf } from '../maths/normals.ts';
import { throwSeconds } from '../race/index.ts';
import { feetBetween, type Bag } from '../units/index.ts';
import { decidePlay, type Choice } from './decide.ts';
import { interceptBunt, type Intercept } from './intercept.ts';
import type { PlayOption, ReadyBunt } from './prepare.ts';
import type { Bunt } from './roll.ts';
import { BUNT_FIELDERS, type BuntFielder, type Fielder } from './setup.ts';

/** What one fair bunt comes to. Chances 0..1. */
export interface Bunted {
  /** To the team at bat. */
  value: number;
  leadOut: number;
  batterOut: number;
  anyOut: number;
  doublePlay: number;
  wild: number;
  noPlay: number;
  /** Who fields it. */
  fieldedBy: Partial<Record<BuntFielder, number>>;
  /** How often it is thrown to each base. */
  thrownTo: Record<Bag, number>;
}

interface FieldedBy extends Bunted {
  seconds: number;
}

/** The longest that a fielder who is first at the ball may need. */
const AT_MOST_SECONDS = 12;

/** Who may have the ball, and when. */
interface Reached {
  fielder: Fielder;
  /** Of the fielders. */
  place: number;
  intercept: Intercept;
}

/** Those who are at a bunt first or hardly later; the same whoever runs. */
export function whoReaches(
  bunt: Bunt,
  { fielders, ground, hands, doubt }: Pick<ReadyBunt, 'fielders' | 'ground' | 'hands' | 'doubt'>,
): readonly Reached[] {
  let until = AT_MOST_SECONDS;
  const there: Reached[] = [];
  for (const [place, fielder] of fielders.entries()) {
    const intercept = interceptBunt(bunt, fielder, ground, hands.reachFeet, until);
    if (!intercept) continue;
    there.push({ fielder, place, intercept });
    until = Math.min(until, intercept.seconds + doubt.callSeconds);
  }
  const first = Math.min(...there.map(({ intercept }) => intercept.seconds));
  return there.filter(({ intercept }) => intercept.seconds - first < doubt.callSeconds);
}

/**
 * What one fair bunt comes to against this defence.
 * @param reached as `whoReaches` says, when it is known already
 */
export function resolveBunt(
  bunt: Bunt,
  ready: ReadyBunt,
  reached: readonly Reached[] = whoReaches(bunt, ready),
): Bunted {
  const { doubt, stake } = ready;
  const each = reached.map(({ fielder, place, intercept }) =>
    playOf(fielder, place, intercept, ready),
  );
  const [only] = each;
  if (only && each.length === 1) return only;
  const first = Math.min(...each.map(({ seconds }) => seconds));
  const least = Math.min(...each.map(({ value }) => value));
  const weights = each.map(
    ({ seconds, value }) =>
      (1 - (seconds - first) / doubt.callSeconds) ** 2 *
      Math.exp(-(value - least) / (doubt.callShare * stake)),
  );
  return mixed(each, weights);
}

/** What it comes to when this fielder has the ball. */
function playOf(
  fielder: Fielder,
  place: number,
  { seconds, at }: Intercept,
  ready: ReadyBunt,
): FieldedBy {
  const { hands, ball, options } = ready;
  const covers = ready.covers[place] ?? [];
  const arm = { throwSpeed: fielder.throwSpeed, ball };
  const ran = { x: at.x - fielder.at.x, y: at.y - fielder.at.y };
  const ranFeet = feetBetween(at, fielder.at);
  const arrivals = options.map((option): readonly [set: number, rush: number] => {
    const feet = feetBetween(at, option.at);
    const cover = covers[option.bag] ?? Number.POSITIVE_INFINITY;
    const cosine =
      ranFeet === 0 || feet === 0
        ? 1
        : (ran.x * (option.at.x - at.x) + ran.y * (option.at.y - at.y)) / (ranFeet * feet);
    const turn = (hands.turnSeconds * (1 - cosine)) / 2;
    const thrown = throwSeconds(feet, arm);
    const carried = seconds + hands.carrySeconds + feet / hands.carrySpeed;
    const tag = option.tag ? hands.tagSeconds : 0;
    const ballThere = (pickup: number): number =>
      Math.min(Math.max(seconds + pickup + turn + thrown, cover), carried) + tag;
    return [ballThere(hands.setSeconds), ballThere(hands.rushSeconds)];
  });
  const relays = options.map((option, index) =>
    relayChance(option, arrivals[index]?.[0] ?? 0, arm, covers, ready),
  );
  const choices = options.map((option, index): Choice => {
    const [set, rush] = arrivals[index] ?? [0, 0];
    const two = relays[index] ?? 0;
    return {
      margins: [option.runnerSeconds - set, option.runnerSeconds - rush],
      valueIfOut: (1 - two) * option.valueIfOut + two * (option.valueIfTwoOut ?? 0),
    };
  });
  const decision = decidePlay(
    choices,
    {
      allSafe: ready.valueAllSafe,
      wild: ready.valueWild,
      stake: ready.stake,
      good: [hands.goodSet, hands.goodRush],
    },
    ready.doubt,
  );
  const { out, tried } = decision;
  const doublePlay = out.reduce((sum, each, index) => sum + each * (relays[index] ?? 0), 0);
  const lead = leadPlace(options);
  const thrownTo: Record<Bag, number> = { 1: 0, 2: 0, 3: 0, 4: 0 };
  for (const [index, { bag }] of options.entries()) thrownTo[bag] = tried[index] ?? 0;
  return {
    seconds,
    value: decision.value,
    leadOut: lead > 0 ? (out[lead] ?? 0) : 0,
    batterOut: (out[0] ?? 0) + doublePlay,
    anyOut: out.reduce((sum, each) => sum + each, 0),
    doublePlay,
    wild: decision.wild,
    noPlay: decision.noPlay,
    fieldedBy: { [fielder.position]: 1 },
    thrownTo,
  };
}

/** The runner nearest to home. */
function leadPlace(options: readonly PlayOption[]): number {
  return options.reduce(
    (best, { bag }, index) => (bag > (options[best]?.bag ?? 0) ? index : best),
    0,
  );
}

/** After a force, how often the throw on to first gets the batter too. */
function relayChance(
  { valueIfTwoOut, at }: PlayOption,
  forced: number,
  arm: { throwSpeed: number; ball: ReadyBunt['ball'] },
  covers: readonly number[],
  { hands, baseFeet, batterSeconds }: ReadyBunt,
): number {
  if (valueIfTwoOut === null) return 0;
  const feet = feetBetween(at, { x: baseFeet, y: 0 });
  const cover = covers[1] ?? Number.POSITIVE_INFINITY;
  const there = Math.max(forced + hands.relaySeconds + throwSeconds(feet, arm), cover);
  return hands.relayGood * tabledNormalCdf((batterSeconds - there) / hands.relaySdSeconds);
}

/** Several results as one, each counting as much as its weight. */
export function mixed(each: readonly Bunted[], weights: readonly number[]): Bunted {
  let total = 0;
  for (const weight of weights) total += weight;
  const all: Bunted = {
    value: 0,
    leadOut: 0,
    batterOut: 0,
    anyOut: 0,
    doublePlay: 0,
    wild: 0,
    noPlay: 0,
    fieldedBy: {},
    thrownTo: { 1: 0, 2: 0, 3: 0, 4: 0 },
  };
  for (let index = 0; index < each.length; index += 1) {
    const bunted = each[index];
    if (!bunted) continue;
    const share = (weights[index] ?? 0) / total;
    all.value += share * bunted.value;
    all.leadOut += share * bunted.leadOut;
    all.batterOut += share * bunted.batterOut;
    all.anyOut += share * bunted.anyOut;
    all.doublePlay += share * bunted.doublePlay;
    all.wild += share * bunted.wild;
    all.noPlay += share * bunted.noPlay;
    addShare(all, bunted, share);
  }
  return all;
}

/** Who fields it and where it is thrown, added to what is there by its share. */
export function addShare(
  { fieldedBy, thrownTo }: Pick<Bunted, 'fieldedBy' | 'thrownTo'>,
  more: Pick<Bunted, 'fieldedBy' | 'thrownTo'>,
  share: number,
): void {
  for (const position of BUNT_FIELDERS) {
    const chance = more.fieldedBy[position];
    if (chance !== undefined) fieldedBy[position] = (fieldedBy[position] ?? 0) + share * chance;
  }
  thrownTo[1] += share * more.thrownTo[1];
  thrownTo[2] += share * more.thrownTo[2];
  thrownTo[3] += share * more.thrownTo[3];
  thrownTo[4] += share * more.thrownTo[4];
}
