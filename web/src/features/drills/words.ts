import type {
  CallDrillName,
  Clash,
  Cue,
  Decider,
  Progress,
  RepMeasure,
  SqueezeOutcome,
  StationName,
  Technique,
} from '@bradyon/core/drills';
import { hundredths, seconds } from '../../ui/index.ts';

export const CALLS_TEXT: Record<CallDrillName, string> = {
  go: 'Go',
  goBack: 'Go or back',
  hop: 'Hop, then go or back',
  clapHeard: 'Clap, back turned',
  clapSeen: 'Clap, hands seen',
  pitcher: 'Live pitcher: home or over',
};

export const TECHNIQUE_TEXT: Record<Technique, string> = {
  own: 'Their own',
  crossover: 'Crossover',
  jab: 'Jab step',
  dropStep: 'Drop step',
  hop: 'Hop',
};

export const MEASURE_TEXT: Record<RepMeasure, string> = {
  coachTap: 'Coach',
  ownTap: 'Runner’s thumb',
  gate: 'Gate',
};

export const CUE_TEXT: Record<Cue, string> = {
  sinkPivotR: 'Right-hander: home or over',
  sinkPivotL: 'Left-hander: home or over',
  insideTurn: 'Inside turn at second',
  dirt: 'Ball in the dirt',
  offSpeed: 'Off-speed pitch',
};

/** What a runner answers to a cue: going first. */
export const CUE_ANSWERS: Record<Cue, readonly [go: string, stay: string]> = {
  sinkPivotR: ['Go', 'Back'],
  sinkPivotL: ['Go', 'Back'],
  insideTurn: ['Go', 'Back'],
  dirt: ['Go', 'Stay'],
  offSpeed: ['Go', 'Stay'],
};

/** What a wrong answer is told: where going was right, and where it was not. */
export const CUE_WAS: Record<Cue, readonly [signal: string, noise: string]> = {
  sinkPivotR: ['went home', 'came over'],
  sinkPivotL: ['went home', 'came over'],
  insideTurn: ['went home', 'turned inside'],
  dirt: ['was in the dirt', 'was a strike'],
  offSpeed: ['was off-speed', 'was a fastball'],
};

/** A lean in words that say what to do about it. */
export const LEAN_TEXT: Record<Cue, { tooEager: string; tooCareful: string }> = {
  sinkPivotR: {
    tooEager: 'Too eager: goes on pickoffs. Wait for the front knee.',
    tooCareful: 'Too careful: trust the front knee and go.',
  },
  sinkPivotL: {
    tooEager: 'Too eager: goes on pickoffs. Wait for the front foot.',
    tooCareful: 'Too careful: when the foot crosses, go.',
  },
  insideTurn: {
    tooEager: 'Too eager: goes on inside turns. Wait for the hips.',
    tooCareful: 'Too careful: when the hips go home, go.',
  },
  dirt: {
    tooEager: 'Too eager: goes on strikes. Read the ball’s way down.',
    tooCareful: 'Too careful: go while the ball is still in the air.',
  },
  offSpeed: {
    tooEager: 'Too eager: calls fastballs off-speed.',
    tooCareful: 'Too careful: go on the hump out of the hand.',
  },
};

export const STATION_TEXT: Record<StationName, string> = {
  starts: 'Starts',
  reads: 'Read the pitcher',
  dives: 'Test dives',
  bunts: 'Bunts',
  squeeze: 'Squeeze timing',
  leaves: 'Leave in time',
  rounding: 'Rounding first',
  tags: 'Tag-ups',
  signs: 'Sign drills',
  throws: 'Throws to second',
  steals: 'Live steals',
  sendHold: 'Send or hold',
};

/** What to set out, and how. */
export const STATION_HOW: Record<StationName, string> = {
  starts: 'Two lines on the grass. One phone calls, the coach taps the first move.',
  reads: 'Bullpen. A phone shows the pitcher, or watch a live one.',
  dives: 'Soft grass, from the knees first. One crossover and a dive back.',
  bunts: 'Cage. One tap a bunt: where it went and how hard.',
  squeeze: 'Home and third. Front foot down, then show.',
  leaves: 'First base. Leave as the ball leaves the hand.',
  rounding: 'Cones out to the bow. Hit the inside corner.',
  tags: 'Third base. Own eyes, go on the catch.',
  signs: 'In the shade. Everybody reads the same sequence.',
  throws: 'Catchers to second, pitchers to a count.',
  steals: 'First to second with pitcher and catcher, timed.',
  sendHold: 'A phone each. Decide before the last stop.',
};

export const SQUEEZE_TEXT: Record<SqueezeOutcome, string> = {
  down: 'Fair, on the ground',
  foul: 'Foul',
  popped: 'Popped up',
  missed: 'Missed',
};

export const CLASH_TEXT: Record<Clash['what'], string> = {
  station: 'share a station',
  place: 'need the same place',
  coaches: 'need more coaches than you have',
};

export const DECIDER_TEXT: Record<Decider, readonly [up: string, down: string]> = {
  momentum: ['The outfielder was moving away from the throw.', 'The outfielder came in on it.'],
  bobble: ['It was bobbled.', 'It was fielded clean.'],
  arm: ['The arm was weak.', 'The arm was strong.'],
  runner: ['The runner was fast.', 'The runner was slow.'],
  depth: ['The outfielder played deep.', 'The outfielder played shallow.'],
  ball: ['The ball got there slowly.', 'The ball got there fast.'],
};

export const MEASURE_IN_WORDS: Record<RepMeasure, string> = {
  coachTap: 'coach taps',
  ownTap: 'own thumb',
  gate: 'to the gate',
};

/** What a line of progress is about. */
export function progressTitle({ what, sense, measure, cue }: Progress): string {
  switch (what) {
    case 'start':
      return `Start, ${sense === 'seen' ? 'seen' : 'heard'}, ${measure ? MEASURE_IN_WORDS[measure] : ''}`;
    case 'read':
      return cue ? `Read: ${CUE_TEXT[cue].toLowerCase()}` : 'Read';
    case 'leave':
      return 'Left on time';
    case 'squeeze':
      return 'Squeeze shown on time';
    case 'bunt':
      return 'Bunts fair';
  }
}

/** ".03 s", or "8 points" of a share. */
function amountText(value: number, unit: Progress['unit']): string {
  return unit === 'seconds'
    ? seconds(Math.abs(value))
    : `${String(Math.round(Math.abs(value) * 100))} points`;
}

/** "quicker by .04 s, give or take .02": what a change is, and never more than can be told. */
export function changeText({ change, unit, good, what }: Progress): string {
  if (!change) return 'One day so far.';
  if (change.verdict === 'open') return 'Too close to call.';
  const doubt =
    unit === 'seconds' ? hundredths(1.2816 * change.sd) : String(Math.round(128.16 * change.sd));
  const words =
    what === 'start'
      ? { better: 'Quicker', worse: 'Slower' }
      : good === 'lower'
        ? { better: 'Earlier', worse: 'Later' }
        : { better: 'Up', worse: 'Down' };
  return `${words[change.verdict]} by ${amountText(change.by, unit)}, give or take ${doubt}.`;
}
