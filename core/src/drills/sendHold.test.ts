import { describe, expect, it } from 'vitest';
import { tableValue } from '../../test/bunts.ts';
import vectors from '../../vectors/drills/send.json';
import {
  deciderOf,
  drawSituation,
  edgesWanted,
  bestForTrail,
  isLetThrough,
  judgeGuesses,
  judgeSend,
  leanOf,
  lostBy,
  nearestEdge,
  SEND_DRAWING,
  SEND_FIELDS,
  SEND_LEVELS,
  sendScore,
  sendSession,
  type SendAnswer,
  type SendField,
  type SendLevelName,
  type SendSituation,
} from './sendHold.ts';

const { tolerance } = vectors;
const value = tableValue(vectors.runExpectancy);

function near(got: number | undefined, wanted: number, within: number, what = '') {
  expect(Math.abs((got ?? Number.NaN) - wanted), what).toBeLessThanOrEqual(
    within + 1e-9 * Math.abs(wanted),
  );
}

type Given = (typeof vectors.judged)[number]['input'];
function situationOf(given: Given): SendSituation {
  const { v0, depth, lateral, arm, runner, ...same } = given;
  return {
    ...same,
    level: given.level as SendLevelName,
    field: given.field as SendField,
    outs: given.outs as 0 | 1 | 2,
    ballSpeed: v0,
    outfielderFeet: depth,
    asideFeet: lateral,
    armMph: arm,
    runnerSpeed: runner,
  };
}

describe('send or hold', () => {
  it('has the levels that were agreed', () => {
    expect(Object.keys(SEND_LEVELS)).toEqual(Object.keys(vectors.levels));
    for (const [name, given] of Object.entries(vectors.levels)) {
      const own = SEND_LEVELS[name as SendLevelName];
      expect({
        ball: own.sport,
        base: own.baseFeet,
        tau: own.accelerationSeconds,
        lead: own.leadFeet,
        rolling: own.leadSpeed,
        lateral: own.mostAsideFeet,
        cut: Object.fromEntries(
          SEND_FIELDS.map((field) => [field, [own.cutoffs[field].x, own.cutoffs[field].y]]),
        ),
        v0: own.ballSpeed,
        depthCF: own.centerDepth,
        depthCorner: own.cornerDepth,
        arm: own.armMph,
        relay: own.relayMph,
        runner: own.runnerSpeed,
        fielder: own.outfielderSpeed,
        slow: own.slowSeconds,
        wild: own.wild,
      }).toEqual(given);
    }
  });

  it('draws and weighs by the agreed constants', () => {
    const { bearing, bobble, classes, candidates, leans, spreads, slip, leanPriorSd } = vectors;
    expect(SEND_DRAWING).toEqual({
      bearing,
      bobble,
      classes,
      candidates,
      leans,
      spreads,
      slip,
      leanPriorSd,
    });
  });

  it.each(vectors.situations)('draws the same play: $input', ({ input, expected }) => {
    const found = drawSituation(input.level as SendLevelName, input.seed);
    const wanted = situationOf(expected);
    expect({ ...found, runnerSpeed: 0, momentum: 0 }).toEqual({
      ...wanted,
      runnerSpeed: 0,
      momentum: 0,
    });
    near(found.runnerSpeed, wanted.runnerSpeed, tolerance.situation);
    near(found.momentum, wanted.momentum, tolerance.situation);
  });

  it.each(vectors.judged)('judges by what could be seen: $input', ({ input, expected }) => {
    const found = judgeSend(situationOf(input), value);
    expect(found !== null).toBe(expected.usable);
    if (!found) return;
    near(found.fieldedSeconds, expected.fieldedSeconds, tolerance.seconds, 'fielded');
    near(found.fieldedFeet, expected.fieldedFeet, tolerance.feet, 'fielded');
    near(found.stopFeet, expected.stopFeet, tolerance.feet, 'stop');
    near(found.stopSeconds, expected.stopSeconds, tolerance.seconds * 5, 'stop');
    expect(found.bobbleSeen).toBe(expected.bobbleSeen);
    near(found.safe, expected.pSafe, tolerance.probability, 'safe');
    near(found.needed, expected.needed, tolerance.probability, 'needed');
    near(found.edge, expected.edge, tolerance.probability, 'edge');
    near(found.send, expected.send, tolerance.runs, 'send');
    near(found.hold, expected.hold, tolerance.runs, 'hold');
    expect(found.best).toBe(expected.best);
    near(found.stake, expected.stake, tolerance.runs, 'stake');
    near(lostBy(found, 'send'), expected.lostBySend, tolerance.runs);
    near(lostBy(found, 'hold'), expected.lostByHold, tolerance.runs);
    near(lostBy(found, 'none'), expected.lostByNone, tolerance.runs);
  });

  it.each(vectors.deciders)('says what decided it: $input', ({ input, expected }) => {
    const found = deciderOf(situationOf(input), value);
    expect(found?.decider ?? null).toBe(expected.decider);
    near(found?.change, expected.change, tolerance.change);
  });

  it.each(vectors.scores)('scores decisions', ({ input, expected }) => {
    const answers = input.map(({ best, answer, stake }) => ({
      best: best as 'send' | 'hold',
      answer: answer as SendAnswer,
      stake,
    }));
    near(sendScore(answers), expected.score, tolerance.score);
  });

  it.each(vectors.tendency)('finds the lean: $expected.words', ({ input, expected }) => {
    const found = leanOf(input.map(({ edge, answer }) => ({ edge, answer: answer as SendAnswer })));
    expect(found.answers).toBe(expected.n);
    near(found.lean, expected.lean, tolerance.lean);
    near(found.sd, expected.sd, tolerance.lean);
    near(found.low, expected.lo, tolerance.lean);
    near(found.high, expected.hi, tolerance.lean);
    near(found.uneven, expected.uneven, tolerance.lean);
    expect(found.words).toBe(expected.words);
  });

  it.each(vectors.targets)('wants plays that are near: $input', ({ input, expected }) => {
    expect(edgesWanted(input.seed, input.n)).toEqual(expected.targets);
  });

  it.each(vectors.choose)('takes the nearest: $input', ({ input, expected }) => {
    expect(nearestEdge(input.edges, input.target)).toBe(expected.index);
  });

  it('asks closer plays than chance would, the same for everybody with the session', () => {
    const plays = sendSession('hs', 5, 12, value).map((seed) => drawSituation('hs', seed));
    expect(sendSession('hs', 5, 12, value)).toEqual(sendSession('hs', 5, 12, value));
    expect(plays).toHaveLength(12);
    const edge = (situation: SendSituation) => Math.abs(judgeSend(situation, value)?.edge ?? 1);
    const middle = (edges: number[]) => edges.sort((a, b) => a - b)[Math.floor(edges.length / 2)];
    const random = Array.from({ length: 40 }, (_, seed) => drawSituation('hs', seed));
    expect(middle(plays.map(edge))).toBeLessThan(middle(random.map(edge)) ?? 0);
  });

  it('never rewards a lucky wrong send, nor punishes an unlucky right one', () => {
    const [first] = vectors.judged;
    const judged = first && judgeSend(situationOf(first.input), value);
    if (!judged) throw new Error('not usable');
    expect(judged.best).toBe('hold');
    // However the play ends, the score is of the decision.
    expect(sendScore([{ ...judged, answer: 'send' }])).toBe(0);
    expect(sendScore([{ ...judged, answer: 'hold' }])).toBe(100);
  });

  it('counts the runner on first: holding keeps three on base', () => {
    const plays = Array.from({ length: 60 }, (_, seed) => drawSituation('hs', seed));
    let judged = 0;
    for (const play of plays.filter(({ outs }) => outs < 2)) {
      const [alone, both] = [judgeSend(play, value), judgeSend(play, value, true)];
      if (!alone || !both) continue;
      judged += 1;
      // The last stop is the runner's own: nobody behind changes it.
      expect(both.stopSeconds).toBe(alone.stopSeconds);
      expect(both.hold).toBeGreaterThan(alone.hold);
      expect(both.needed).toBeGreaterThan(0);
      expect(both.needed).toBeLessThan(1);
    }
    expect(judged).toBeGreaterThan(10);
  });

  it('frees third for the runner from first only behind a throw that goes through', () => {
    expect(bestForTrail(true, true)).toBe('third');
    expect(bestForTrail(true, false)).toBe('second');
    expect(bestForTrail(false, true)).toBe('second');
    const through = Array.from({ length: 2000 }, (_, seed) => isLetThrough(seed, { cut: 0.3 }));
    expect(through.filter(Boolean).length / 2000).toBeCloseTo(0.7, 1);
    expect(isLetThrough(7, { cut: 0.3 })).toBe(isLetThrough(7, { cut: 0.3 }));
    expect(isLetThrough(7, { cut: 1 })).toBe(false);
  });

  it('tells a hopeful guesser from one who is only off', () => {
    expect(judgeGuesses([])).toBeNull();
    const hopeful = judgeGuesses([
      { guess: 0.9, safe: 0.7 },
      { guess: 0.6, safe: 0.5 },
    ]);
    near(hopeful?.bias ?? 0, 0.15, 1e-9);
    near(hopeful?.off ?? 0, Math.sqrt((0.04 + 0.01) / 2), 1e-9);
    const off = judgeGuesses([
      { guess: 0.9, safe: 0.7 },
      { guess: 0.5, safe: 0.7 },
    ]);
    near(off?.bias ?? 1, 0, 1e-9);
    near(off?.off ?? 0, 0.2, 1e-9);
  });
});
