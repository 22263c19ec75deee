import { NORMAL_5, tabledNormalQuantile, PANEL_7, tabledNormalCdf } from '../maths/normals.ts';
import type { Doubt } from './setup.ts';

/** One throw that the fielder may make. */
export interface Choice {
  /** Seconds by which the ball beats the runner on average, from a set throw and a hurried one. */
  margins: readonly [set: number, rush: number];
  valueIfOut: number;
}

/** What the team at bat gets when nobody is out, when the ball is thrown away, and what is at stake. */
export interface Stakes {
  allSafe: number;
  wild: number;
  stake: number;
  /** Chances that the play is made cleanly, set and rushed. */
  good: readonly [set: number, rush: number];
}

/** How often each throw is made and gets its man; what is left is everybody safe. */
export interface Decision {
  tried: readonly number[];
  out: readonly number[];
  wild: number;
  noPlay: number;
  /** To the team at bat. */
  value: number;
}

/** Beyond so many deviations nothing is looked at. */
const FAR = 4.5;
/** A share of the seen deviations that changes no figure. */
const NOTHING = 1e-7;
const MODES = [0, 1] as const;

/** Figures of every choice, two modes each; one set is enough, as no decision is made within another. */
function roomFor(choices: number): Room {
  return {
    margins: new Float64Array(2 * choices),
    gains: new Float64Array(2 * choices),
    thresholds: new Float64Array(choices),
    tried: new Float64Array(choices),
    out: new Float64Array(choices),
  };
}
type Room = Record<'margins' | 'gains' | 'thresholds' | 'tried' | 'out', Float64Array>;

/** The batter and three runners. */
let room = roomFor(4);

function cleared(choices: number): Room {
  if (room.tried.length < choices) room = roomFor(choices);
  room.tried.fill(0);
  room.out.fill(0);
  return room;
}

/**
 * What a fielder with the ball in his hand does, who sees each race only roughly and throws where the
 * team at bat is left with least: the expected result over all that he may see. Seen and unseen noise
 * are integrated, not averaged away, so that nothing jumps where one throw becomes better than another.
 *
 * Each race has a shared error (how long the fielding took), one of its own runner, what the defence
 * misjudges, and the throw's own: agreed model.
 * @param panelNodes seven points a panel are agreed and good to .015 at worst; more are slower and finer
 */
export function decidePlay(
  choices: readonly Choice[],
  stakes: Stakes,
  doubt: Doubt,
  panelNodes = PANEL_7,
): Decision {
  const { fieldingSdSeconds, runnerSdSeconds, seenSdSeconds, throwSdSeconds, sureOut } = doubt;
  const { allSafe, wild, stake, good } = stakes;
  const fielding2 = fieldingSdSeconds ** 2;
  const runner2 = runnerSdSeconds ** 2;
  const seen2 = seenSdSeconds ** 2;
  const real2 = fielding2 + runner2;
  /** How much of a seen deviation is believed. */
  const trust = real2 / (real2 + seen2);
  const seenSd = Math.sqrt(real2 * trust);
  const peak = 1 / (seenSd * Math.sqrt(2 * Math.PI));
  const beliefSd = Math.sqrt(throwSdSeconds ** 2 + real2 * (1 - trust));
  const dislike = sureOut * stake;
  const holding = allSafe + dislike;
  const hopeless = -FAR * Math.sqrt(real2 + throwSdSeconds ** 2);
  const missed = good.map((share) => holding + (1 - share) * doubt.wild * (wild - allSafe));

  // Flat arrays, two modes a choice: this runs for every fielder of every cell of a map.
  const count = choices.length;
  const { margins, gains, thresholds, tried, out } = cleared(count);
  for (let place = 0; place < count; place += 1) {
    for (const mode of MODES) {
      margins[2 * place + mode] = choices[place]?.margins[mode] ?? 0;
      gains[2 * place + mode] =
        good[mode] * (allSafe - (choices[place]?.valueIfOut ?? 0) + dislike);
    }
  }
  const seen = (at: number, z: number): number =>
    (missed[at & 1] ?? 0) - (gains[at] ?? 0) * tabledNormalCdf(((margins[at] ?? 0) + z) / beliefSd);
  /** What the team at bat is left with by this throw, as the fielder sees it; the better of set and rushed. */
  const worth = (place: number, z: number): number =>
    Math.min(seen(2 * place, z), seen(2 * place + 1, z));
  const fromWhereBy = (at: number, value: number): number =>
    beliefSd * tabledNormalQuantile(((missed[at & 1] ?? 0) - value) / (gains[at] ?? 0)) -
    (margins[at] ?? 0);
  /** From which seen deviation on this throw leaves less than a value. */
  const fromWhere = (place: number, value: number): number =>
    Math.min(fromWhereBy(2 * place, value), fromWhereBy(2 * place + 1, value));

  const possible: number[] = [];
  let worst = holding;
  for (let place = 0; place < count; place += 1) {
    const nearest = Math.max(margins[2 * place] ?? 0, margins[2 * place + 1] ?? 0);
    if ((gains[2 * place] ?? 0) <= 0 || nearest < hopeless) continue;
    possible.push(place);
    worst = Math.min(worst, worth(place, -FAR * seenSd));
  }
  const kept = possible.filter((place) => worth(place, FAR * seenSd) <= worst);

  // Given what is seen of one race, what is known of the fielding that all races share.
  const sharedMean = -fielding2 / (real2 + seen2);
  const sharedSd = Math.sqrt(fielding2 * (1 - fielding2 / (real2 + seen2)));
  const rivalSd = trust * Math.sqrt(runner2 + seen2);
  /** Beyond this a threshold is as good as endless, whatever the shared part. */
  const surely = FAR * (rivalSd + trust * fieldingSdSeconds);
  const runnerShare = runner2 / (runner2 + seen2);
  const outcomeSd = Math.sqrt(throwSdSeconds ** 2 + (runner2 * seen2) / (runner2 + seen2));
  const aloneSd = Math.sqrt(outcomeSd ** 2 + (sharedSd * (1 - runnerShare)) ** 2);

  let thrownAway = 0;
  for (const place of kept) {
    let low = Math.max(-FAR * seenSd, fromWhere(place, holding));
    const high = FAR * seenSd;
    for (const rival of kept) {
      // Below this the rival is surely better.
      if (rival !== place) low = Math.max(low, fromWhere(place, worth(rival, -surely)));
    }
    if (low >= high) continue;
    const edges = [low, high];
    // A rival's share falls like a step where it is as good: no panel may straddle it.
    for (const rival of kept) {
      if (rival === place) continue;
      const split = fromWhere(place, worth(rival, 0));
      if (split > low && split < high) edges.push(split);
    }
    if (edges.length > 2) edges.sort((a, b) => a - b);
    for (let panel = 0; panel + 1 < edges.length; panel += 1) {
      const [from, to] = [edges[panel] ?? 0, edges[panel + 1] ?? 0];
      for (let node = 0; node < panelNodes.at.length; node += 1) {
        const z = (from + to + (panelNodes.at[node] ?? 0) * (to - from)) / 2;
        const density = peak * Math.exp(-(z ** 2) / (2 * seenSd ** 2));
        const share = ((panelNodes.weights[node] ?? 0) * (to - from) * density) / 2;
        if (share < NOTHING) continue;
        const mode = seen(2 * place, z) <= seen(2 * place + 1, z) ? 0 : 1;
        const value = seen(2 * place + mode, z);
        let active = 0;
        for (const other of kept) {
          if (other === place) continue;
          const threshold = fromWhere(other, value);
          // A rival that can hardly look better changes nothing.
          if (threshold < surely) {
            thresholds[active] = threshold;
            active += 1;
          }
        }
        const raw = z / trust;
        if (active === 0) {
          // Nobody rivals it: the shared part is only one more error of the outcome.
          const margin =
            (margins[2 * place + mode] ?? 0) + raw * (runnerShare + sharedMean * (runnerShare - 1));
          tried[place] = (tried[place] ?? 0) + share;
          out[place] = (out[place] ?? 0) + share * good[mode] * tabledNormalCdf(margin / aloneSd);
          thrownAway += share * (1 - good[mode]) * doubt.wild;
          continue;
        }
        for (let draw = 0; draw < NORMAL_5.at.length; draw += 1) {
          const late = sharedMean * raw + sharedSd * (NORMAL_5.at[draw] ?? 0);
          let weight = share * (NORMAL_5.weights[draw] ?? 0);
          for (let rival = 0; rival < active; rival += 1) {
            weight *= tabledNormalCdf(((thresholds[rival] ?? 0) + trust * late) / rivalSd);
          }
          const margin = (margins[2 * place + mode] ?? 0) + (raw + late) * runnerShare - late;
          const clean = weight * good[mode];
          tried[place] = (tried[place] ?? 0) + weight;
          out[place] = (out[place] ?? 0) + clean * tabledNormalCdf(margin / outcomeSd);
          thrownAway += (weight - clean) * doubt.wild;
        }
      }
    }
  }
  let noPlay = 0;
  for (let draw = 0; draw < NORMAL_5.at.length; draw += 1) {
    const late = fieldingSdSeconds * (NORMAL_5.at[draw] ?? 0);
    let weight = NORMAL_5.weights[draw] ?? 0;
    for (const place of kept) {
      weight *= tabledNormalCdf((fromWhere(place, holding) + trust * late) / rivalSd);
    }
    noPlay += weight;
  }
  let total = noPlay;
  for (let place = 0; place < count; place += 1) total += tried[place] ?? 0;
  const wildShare = thrownAway / total;
  let safe = 1 - wildShare;
  let value = wildShare * wild;
  for (let place = 0; place < count; place += 1) {
    const share = (out[place] ?? 0) / total;
    safe -= share;
    value += share * (choices[place]?.valueIfOut ?? 0);
  }
  return {
    tried: choices.map((_, place) => (tried[place] ?? 0) / total),
    out: choices.map((_, place) => (out[place] ?? 0) / total),
    wild: wildShare,
    noPlay: noPlay / total,
    value: value + safe * allSafe,
  };
}
