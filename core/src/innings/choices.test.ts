import { describe, expect, it } from 'vitest';
import {
  baseOut,
  breakEvenOf,
  byRuns,
  byWin,
  chainOf,
  CONTACT,
  describeChangesMisfit,
  EVENTS,
  infieldInSaves,
  plainRules,
  PLAY_LEVELS,
  playLevelOf,
  policyByWin,
  runExpectancies,
  sideOf,
  squeezeFrom,
  stepsWorth,
  tacticsOf,
  USUAL_SQUEEZE,
  usualChance,
  walkValue,
  winBook,
  type BattingRates,
  type Chain,
  type Gamble,
  type KnownBunt,
  type SqueezeOutcomes,
  type Tactics,
} from './index.ts';

describe('a squeeze', () => {
  const level = PLAY_LEVELS.hs;
  const runs = byRuns([runExpectancies(chainOf(level))]);
  const squeezed = (from: number, outcomes: SqueezeOutcomes) => squeezeFrom(from, outcomes, level);
  const NONE: SqueezeOutcomes = {
    scored: 0,
    scoredAndSafe: 0,
    outAtHome: 0,
    missed: 0,
    foul: 0,
    popDouble: 0,
    popOut: 0,
  };

  it('is worth what its outcomes leave, and no run counts when the batter is the third out', () => {
    const worth = (outs: number, outcome: keyof SqueezeOutcomes) =>
      stepsWorth(squeezed(baseOut(4, outs), { ...NONE, [outcome]: 1 }), baseOut(4, outs), runs);
    expect(worth(1, 'scored')).toBeCloseTo(1 + runs(0, 2, 0), 12);
    expect(worth(2, 'scored')).toBe(0);
    // Fouled off he swings on; missed he swings on with the runner gone.
    expect(worth(1, 'foul')).toBeCloseTo(runs(4, 1, 0), 12);
    expect(worth(1, 'missed')).toBeCloseTo(runs(0, 2, 0), 12);
    expect(worth(2, 'missed')).toBe(0);
    expect(worth(1, 'popDouble')).toBe(0);
  });

  it('loses no runner, and is refused with shares that do not add up', () => {
    for (let from = 0; from < 24; from += 1) {
      const sum = squeezed(from, USUAL_SQUEEZE).reduce((total, { chance }) => total + chance, 0);
      expect(sum).toBeCloseTo(from % 8 >= 4 ? 1 : 0, 12);
    }
    const lacking = { ...USUAL_SQUEEZE, scored: 0.4 };
    expect(describeChangesMisfit({ squeeze: lacking })?.path).toBe('squeeze');
    expect(() => playLevelOf('hs', { squeeze: lacking })).toThrow('They total 85.0%');
    const contact = { through: 0.3, outAtHome: 0.7, conceded: 0.4, scoresIfHolding: 0.2 };
    expect(describeChangesMisfit({ contactBack: contact })?.path).toBe('contactBack');
    expect(describeChangesMisfit({ rates: level.rates, bunt: level.bunt })).toBeNull();
    // All strikeouts add up, but no half could be reckoned with them.
    const none = Object.fromEntries(EVENTS.map((event) => [event, event === 'strikeout' ? 1 : 0]));
    expect(describeChangesMisfit({ rates: none as BattingRates })?.message).toContain('20%');
  });

  it('and a walk on purpose moves only who is forced', () => {
    expect(walkValue(2, 0, runs)).toBeCloseTo(runs(3, 0, 0), 12);
    expect(walkValue(1, 0, runs)).toBeCloseTo(runs(3, 0, 0), 12);
    expect(walkValue(7, 0, runs)).toBeCloseTo(1 + runs(7, 0, 0), 12);
  });

  it('the infield in saves most where one run ends it, and costs with a lead to give away', () => {
    const side = sideOf([level]);
    const book = winBook(side, side, plainRules(7));
    const saves = (homeLead: number) =>
      infieldInSaves(1, CONTACT, byWin(book, { inning: 7, half: 'bottom', homeLead }));
    expect(saves(0)).toBeGreaterThan(0.05);
    expect(saves(0)).toBeGreaterThan(saves(-3));
    expect(saves(-3)).toBeLessThan(0);
  });
});

describe('best choices', () => {
  const level = PLAY_LEVELS.hs;
  const usual = { second: 0.8, third: 0.8, double: 0.8 };
  const tactics = tacticsOf(level, level.bunt, level.twoStrikeFactor, usual, USUAL_SQUEEZE);
  const rules = { ...plainRules(7), clip: 10 };
  const last = { inning: 7, half: 'bottom', homeLead: 0 } as const;

  it('of a line-up of equals are those of one average batter', () => {
    const one = policyByWin([tactics], [tactics], rules);
    const nine = policyByWin(new Array<Tactics>(9).fill(tactics), [tactics], rules);
    for (let state = 0; state < 24; state += 1) {
      const found = nine.at({ ...last, state, homeSpot: state % 9 });
      expect(found.homeWin).toBeCloseTo(one.at({ ...last, state }).homeWin, 10);
      expect(found.action).toBe(one.at({ ...last, state }).action);
    }
  });

  it('send whoever makes it, and let the poor hitter bunt', () => {
    const slow = { ...tactics, steals: { second: 0.3, third: 0.3, double: 0.3 } };
    const { strikeout, single, groundOut, ...rest } = level.rates;
    const rates = { ...rest, single: 0.05, strikeout: strikeout + single - 0.05, groundOut };
    const poor = tacticsOf({ ...level, rates }, level.bunt, level.twoStrikeFactor, slow.steals);
    const order = [tactics, slow, poor];
    const best = policyByWin(order, [tactics], rules);
    const first = (homeSpot: number) => best.at({ ...last, state: baseOut(1, 0), homeSpot });
    expect(first(0).action).toBe('steal2');
    expect(first(1).action).toBe('swing');
    expect(first(2).action).toBe('bunt');
    expect(first(1).gain).toBe(0);
    expect(first(2).gain).toBeGreaterThan(0.01);
  });

  it('take the bunts of the people who are there, each where it is known', () => {
    const sure = { ...level.bunt, success: 1 - level.bunt.swingAway, leadOut: 0, safe: 0 };
    const bunt = { ...sure, popOut: 0, popDouble: 0, strikeout: 0 };
    const squeeze = { ...USUAL_SQUEEZE, scored: 1, scoredAndSafe: 0, outAtHome: 0, missed: 0 };
    const run = { ...squeeze, foul: 0, popDouble: 0, popOut: 0 };
    const [first, third, behind] = [baseOut(1, 0), baseOut(4, 1), baseOut(4, 2)];
    const known: KnownBunt[] = [];
    known[first] = { bunt, squeeze: null };
    known[third] = { bunt: null, squeeze: run };
    known[behind] = { bunt: null, squeeze: run };
    const own = tacticsOf(level, level.bunt, 1, usual, USUAL_SQUEEZE, known);
    const plain = tacticsOf(level, level.bunt, 1, usual, USUAL_SQUEEZE);
    const share = (steps: Chain[number] | undefined, to: number) =>
      steps?.reduce((sum, step) => sum + (step.to === to ? step.chance : 0), 0);
    expect(share(own.bunt[first], baseOut(2, 1))).toBeGreaterThan(
      (share(plain.bunt[first], baseOut(2, 1)) ?? 0) + 0.1,
    );
    expect(share(own.bunt[third], baseOut(0, 2))).toBeCloseTo(1, 12);
    // Where nothing is known, and with two out, all stays as it was.
    for (let state = 0; state < 24; state += 1) {
      if (state === first || state === third) continue;
      expect(own.bunt[state]).toEqual(plain.bunt[state]);
    }
  });

  it('never do worse than swinging away all game', () => {
    const swings = { ...tactics, bunt: tactics.swing, steals: { second: 0, third: 0, double: 0 } };
    const chosen = policyByWin([tactics, tactics], [swings], rules);
    const swung = policyByWin([swings, swings], [swings], rules);
    for (let state = 0; state < 24; state += 1) {
      const standing = { inning: 3, half: 'top', homeLead: -1, state } as const;
      const [a, b] = [chosen.at(standing).homeWin, swung.at(standing).homeWin];
      expect(a).toBeGreaterThan(b);
    }
  });
});

describe('gambles with others on', () => {
  const runs = byRuns([runExpectancies(chainOf(PLAY_LEVELS.hs))]);
  const from = (gamble: Gamble, bases: number, outs = 0) =>
    breakEvenOf(gamble, baseOut(bases, outs), runs);

  it('leave who is ahead home and who is behind a base up', () => {
    expect(from('secondToHomeOnSingle', 3)).toMatchObject({
      hold: runs(7, 0, 0),
      safe: runs(3, 0, 1),
      out: runs(3, 1, 0),
    });
    expect(from('firstToHomeOnDouble', 5)).toMatchObject({
      hold: runs(6, 0, 1),
      safe: runs(2, 0, 2),
      out: runs(2, 1, 1),
    });
    expect(from('tagThirdToHome', 7, 1)).toMatchObject({
      hold: runs(7, 2, 0),
      safe: runs(3, 2, 1),
      out: 0,
    });
  });

  it('are none where the base ahead is taken', () => {
    expect(from('tagSecondToThird', 6)).toBeNull();
    expect(from('tagFirstToSecond', 3)).toBeNull();
    expect(from('stretchSingleToDouble', 1)).toBeNull();
    expect(from('stealSecond', 3)).toBeNull();
  });
});

describe('what usually works', () => {
  it('is the level’s where it has a figure, and nothing elsewhere', () => {
    const { advance } = PLAY_LEVELS.hs;
    expect(usualChance('stealSecond', 0, advance)).toBe(0.82);
    expect(usualChance('secondToHomeOnSingle', 2, advance)).toBeCloseTo(0.8 / 0.835, 12);
    expect(usualChance('stretchSingleToDouble', 0, advance)).toBeNull();
  });
});
