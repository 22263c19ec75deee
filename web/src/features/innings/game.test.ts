import {
  gameRulesOf,
  ownRates,
  playLevelOf,
  sacrificeFrom,
  testSayings,
  type BattingRates,
  type KnownBunt,
} from '@bradyon/core/innings';
import { PRESETS } from '@bradyon/core/rules';
import { describe, expect, it } from 'vitest';
import { bestAt, bestChoices } from './best.ts';
import { gamblesHere } from './gambles.ts';
import { makeTables, misfitOf, openGame, valueOf, type Game } from './game.ts';
import { MAP_TEXT, mapOf, MAPS, spreadsOf } from './maps.ts';
import { NOTHING_KNOWN, platesHere } from './plate.ts';
import type { Situation } from './situation.ts';
import { situationWords } from './situationWords.ts';
import type { Batter } from './sides.ts';
import type { OddsInView } from './useOdds.ts';
import {
  forUsText,
  gainText,
  gambleFacts,
  gambleHow,
  neededMapWords,
  neededText,
  signedRuns,
  plateHow,
  SAYING_TEXT,
  sayingWords,
  shareText,
  sidesText,
} from './words.ts';

const level = playLevelOf('hs', {});
const rules = gameRulesOf(PRESETS.fullSizeSeven);
const season = (hits: number): BattingRates =>
  ownRates(level.rates, {
    plateAppearances: 120,
    hits,
    doubles: 0,
    triples: 0,
    homeRuns: 0,
    walks: 5,
    strikeouts: 10,
    reachedOnError: 0,
    buntTries: 0,
    buntsGood: 0,
  }).rates;
const [strong, weak] = [season(60), season(8)];

const allowed = { stealAllowed: true, buntAllowed: true };

function gameOf(ours: BattingRates[], theirs = level.rates): Game {
  const asked = { level, rules, ours, theirs, allowed };
  // As it comes from the worker.
  return openGame(asked, structuredClone(makeTables(asked)));
}
const average = gameOf([level.rates]);
const situation: Situation = {
  bases: 1,
  outs: 0,
  inning: 7,
  half: 'bottom',
  batting: 'we',
  spot: 0,
  lead: -1,
  by: 'win',
  needs: 'rule',
  from: 'hand',
};

describe('a game', () => {
  it('values a situation for who is at bat, whichever half that is', () => {
    const down = valueOf(average, situation)(1, 0, 0);
    expect(down).toBeGreaterThan(0.3);
    expect(down).toBeLessThan(valueOf(average, { ...situation, lead: 0 })(1, 0, 0));
    // As visitors one behind in the last top there is still their last at bat.
    expect(valueOf(average, { ...situation, half: 'top' })(1, 0, 0)).toBeLessThan(down);
    const runs = average.tables.ours.expectancies[0]?.[1];
    expect(valueOf(average, { ...situation, by: 'runs' })(1, 0, 0)).toBe(runs);
  });

  it('is worth to them what it is not to us, when they bat', () => {
    const they = { ...situation, batting: 'they', inning: 5 } as const;
    const theirs = valueOf(average, they)(0, 0, 0);
    const ours = 1 - theirs;
    expect(ours).toBeLessThan(0.5);
    expect(situationWords(they)).toBe('runner on first, nobody out, top 5, down 1');
  });

  it('says why it cannot stand so, at its field, and counts by runs then', () => {
    const over = { ...situation, lead: 2 };
    expect(misfitOf(average, over)).toMatchObject({ path: 'homeLead' });
    const runs = average.tables.ours.expectancies[0]?.[1];
    expect(valueOf(average, over)(1, 0, 0)).toBe(runs);
    expect(misfitOf(average, situation)).toBeNull();
  });

  it('is won more often with the better batters, and with the better ones coming up', () => {
    const all = (rates: BattingRates) => gameOf(new Array<BattingRates>(9).fill(rates));
    const tied = { ...situation, inning: 1, bases: 0, lead: 0 };
    const now = (game: Game, spot = 0) => valueOf(game, { ...tied, spot })(0, 0, 0);
    expect(now(all(strong))).toBeGreaterThan(now(all(weak)) + 0.1);
    expect(now(gameOf(new Array<BattingRates>(9).fill(strong), strong))).toBeLessThan(
      now(all(strong)),
    );
    const mixed = gameOf([strong, strong, strong, weak, weak, weak, weak, weak, weak]);
    expect(now(mixed, 0)).toBeGreaterThan(now(mixed, 3));
    expect(mixed.tables.ours.perGame).toBeGreaterThan(all(weak).tables.ours.perGame);
  });
});

describe('what may be tried', () => {
  const mixed = gameOf([strong, weak]);

  it('comes with what it needs now and with the next batter, the close ones first', () => {
    const found = gamblesHere(mixed, { ...situation, lead: 0 });
    const steal = found.find(({ gamble }) => gamble === 'stealSecond');
    expect(steal?.next).not.toBe(steal?.needed);
    expect(steal?.usual).toBe(0.82);
    const far = found.map(({ needed, usual }) =>
      usual === null || typeof needed !== 'number' ? null : Math.abs(usual - needed),
    );
    const known = far.filter((each) => each !== null);
    expect(known).toEqual(known.toSorted((a, b) => a - b));
    expect(gamblesHere(average, situation).every(({ next }) => next === null)).toBe(true);
  });

  it('says when so little is at stake that nobody can tell', () => {
    const lost = { ...situation, lead: -8 };
    const [steal] = gamblesHere(average, lost);
    expect(steal?.isTie).toBe(true);
    expect(steal && gambleFacts(steal).join()).toContain('too close to call');
    expect(steal && gambleHow(steal, 'win')).toContain('Go by what you see');
    expect(gamblesHere(average, { ...situation, lead: 0 })[0]?.isTie).toBe(false);
  });

  it('at the plate is a sacrifice, a squeeze or the contact play, and a walk; in the field the infield too', () => {
    const choices = (change: Partial<Situation>) =>
      platesHere(average, { ...situation, ...change }, null).map(({ choice }) => choice);
    expect(choices({})).toEqual(['sacrifice', 'walk']);
    expect(choices({ bases: 4, outs: 1 })).toEqual(['squeeze', 'contactIn', 'contactBack', 'walk']);
    expect(choices({ bases: 4, outs: 2 })).toEqual(['walk']);
    const field = { bases: 4, outs: 1, batting: 'they', lead: 0 } as const;
    expect(choices(field)).toEqual(['squeeze', 'infieldIn', 'walk']);
    // Walking him gives them a runner: it costs us.
    const walk = platesHere(average, { ...situation, ...field, bases: 1 }, null).at(-1);
    expect(walk?.gain).toBeLessThan(0);
  });

  it('takes bunts, sends and tags by the people who are there, and says so', () => {
    const bunt = {
      ...level.bunt,
      success: level.bunt.success - 0.2,
      leadOut: level.bunt.leadOut + 0.2,
    };
    const known = { bunt, squeeze: null, contact: null, works: { secondToHomeOnSingle: 0.41 } };
    const [usual] = platesHere(average, situation, null);
    const [poor] = platesHere(average, situation, null, known);
    expect(poor?.gain).toBeLessThan(usual?.gain ?? 0);
    expect(poor && plateHow(poor, 'win', null, known)).toContain('Worked out in Bunt');
    expect(usual && plateHow(usual, 'win', null)).not.toContain('Worked out in Bunt');
    // They bat: our bunter has nothing to do with it.
    const [theirs] = platesHere(average, { ...situation, batting: 'they' }, null, known);
    const [theirUsual] = platesHere(average, { ...situation, batting: 'they' }, null);
    expect(theirs).toEqual(theirUsual);

    const onSecond = { ...situation, bases: 2 };
    const send = (works?: typeof known.works) =>
      gamblesHere(average, onSecond, works).find(({ gamble }) => gamble === 'secondToHomeOnSingle');
    expect(send(known.works)).toMatchObject({ usual: 0.41, byPeople: true });
    expect(send()?.byPeople).toBe(false);
    const own = send(known.works);
    expect(own && gambleFacts(own)).toContain('these players 41%');
    expect(own && gambleHow(own, 'win')).toContain('these players make it 41%');
  });

  it('goes on contact by the legs of whoever is on third, where they are known', () => {
    const onThird = { ...situation, bases: 4, outs: 1 };
    const shares = { through: 0.3, conceded: 0, scoresIfHolding: 0 };
    const known = (outAtHome: number) => ({
      ...NOTHING_KNOWN,
      contact: { in: { ...shares, outAtHome }, back: { ...shares, outAtHome } },
    });
    const plate = (outAtHome: number) =>
      platesHere(average, onThird, null, known(outAtHome)).find(
        ({ choice }) => choice === 'contactIn',
      );
    const [slow, fast] = [plate(0.95), plate(0.2)];
    expect(fast?.gain).toBeGreaterThan((slow?.gain ?? 0) + 0.01);
    if (!fast) throw new Error('nobody may go');
    expect(plateHow(fast, 'win', null, known(0.2))).toContain('see Bases, Grounders');
    expect(plateHow(fast, 'win', null)).toContain('under Rates');
  });

  it('is only what the rules allow', () => {
    const strict = { ...average, allowed: { stealAllowed: false, buntAllowed: false } };
    const gambles = gamblesHere(strict, { ...situation, bases: 5 }).map(({ gamble }) => gamble);
    expect(gambles).not.toContain('stealHome');
    expect(platesHere(strict, situation, null).map(({ choice }) => choice)).toEqual(['walk']);
    const table = bestChoices({
      game: strict,
      weAreHome: true,
      bunts: [],
      steals: [],
      knownBunts: [],
    });
    expect(new Set(table.actions)).toEqual(new Set([0]));
  });

  it('is best for whoever is up, by score', () => {
    const table = bestChoices({
      game: { level, rules, ours: [strong, weak], theirs: level.rates, allowed },
      weAreHome: true,
      bunts: [level.bunt, level.bunt],
      steals: [
        { second: 0.95, third: 0.9, double: 0.9 },
        { second: 0.2, third: 0.2, double: 0.2 },
      ],
      knownBunts: [],
    });
    const best = (spot: number, lead: number) =>
      bestAt(table, { inning: 7, lead, spot, state: 1 }).action;
    expect(best(0, 0)).toBe('steal2');
    expect(best(1, -3)).toBe('swing');
    expect(best(1, 0)).toBe('bunt');
    expect(bestAt(table, { inning: 7, lead: 0, spot: 0, state: 1 }).gain).toBeGreaterThan(0.01);
    // An extra inning has its choices too, and every later one has the same.
    const eighth = bestAt(table, { inning: 8, lead: 0, spot: 0, state: 1 });
    expect(eighth.action).toBe('steal2');
    expect(eighth.gain).toBeGreaterThan(0.01);
    expect(bestAt(table, { inning: 11, lead: 0, spot: 0, state: 1 })).toEqual(eighth);
  });
});

describe('best choices', () => {
  it('leave a bunt alone where the people on base would be out, each batter for themselves', () => {
    const asked = {
      game: { level, rules, ours: [weak, weak], theirs: level.rates, allowed },
      weAreHome: true,
      bunts: [level.bunt, level.bunt],
      steals: [0, 0].map(() => ({ second: 0, third: 0, double: 0 })),
    };
    const { success, leadOut } = level.bunt;
    const known: KnownBunt[] = [];
    known[1] = {
      bunt: { ...level.bunt, success: 0, leadOut: leadOut + success },
      squeeze: null,
    };
    const actions = (knownBunts: KnownBunt[][]) => {
      const table = bestChoices({ ...asked, knownBunts });
      return [0, 1].map((spot) => bestAt(table, { inning: 7, lead: 0, spot, state: 1 }).action);
    };
    expect(actions([])).toEqual(['bunt', 'bunt']);
    expect(actions([[], known])).toEqual(['bunt', 'swing']);
  });
});

describe('the maps', () => {
  it('have a number in every cell there is, and mark where it stands', () => {
    const runs = mapOf(average, situation, 'runs', 'states');
    expect(runs.rows).toHaveLength(8);
    const cells = (map: typeof runs) => map.rows.flatMap((row) => row.cells);
    expect(cells(runs).filter((cell) => cell?.here)).toHaveLength(1);
    const second = mapOf(average, situation, 'stealSecond', 'states');
    expect(second.rows.map(({ name }) => name)).toEqual(['First', 'First, third']);
    const innings = mapOf(average, situation, 'win', 'innings');
    expect(innings.rows).toHaveLength(7);
    // In the last bottom the home team has won with a lead.
    expect(innings.rows[6]?.cells.map((cell) => cell?.text ?? null).slice(5)).toEqual(
      new Array<null>(4).fill(null),
    );
    expect(spreadsOf('runs')).toEqual(['states']);
  });
});

describe('the words of the odds', () => {
  it('are whole percents, and words where a figure would mislead', () => {
    expect(neededText(0.834)).toBe('83%');
    expect(neededText(1.02)).toBe('never worth it');
    expect(neededText('always')).toBe('always worth it');
    expect(gainText(-0.153, 'runs')).toBe('costs .15 runs');
    expect(gainText(0.012, 'win')).toBe('wins 1.2 points');
    expect(forUsText(-0.012, 'win')).toBe('costs us 1.2 points');
    expect([0.153, -0.153, -0.001].map(signedRuns)).toEqual(['+.15', '−.15', '.00']);
    expect(situationWords(situation)).toBe('runner on first, nobody out, bottom 7, down 1');
    expect(situationWords({ ...situation, by: 'runs', bases: 7, outs: 2 })).toBe(
      'bases loaded, two out, by runs',
    );
  });

  it('say the sum of a gamble with its own figures', () => {
    const steal = gamblesHere(average, { ...situation, by: 'runs' }).find(
      ({ gamble }) => gamble === 'stealSecond',
    );
    if (!steal || typeof steal.needed !== 'number') throw new Error('a steal needs something');
    const [, costs, all] = /works (\S+) times in (\S+)\./.exec(gambleHow(steal, 'runs')) ?? [];
    expect(Number(costs) / Number(all)).toBeCloseTo(steal.needed, 1);
  });

  it('put every old saying to the numbers', () => {
    const value = valueOf(average, situation);
    const bunt = (from: number) => sacrificeFrom(from, level.bunt, level, level.twoStrikeFactor);
    const tested = testSayings(value, valueOf(average, { ...situation, lead: -4 }), bunt);
    expect(tested.map(({ saying }) => saying)).toEqual(Object.keys(SAYING_TEXT));
    for (const each of tested) expect(sayingWords(each, 'win')).toMatch(/\d/);
    // A run behind in the last inning the out weighs more than four behind it would.
    expect(tested.find(({ saying }) => saying === 'baseToBase')?.holds).toBe(true);
  });

  it('say whose figures they are, and how much is their own', () => {
    const batter = (ownShare: number, plateAppearances: number) =>
      ({ ownShare, record: plateAppearances > 0 ? { plateAppearances } : null }) as Batter;
    const theirs = { name: 'Millrace Otters', known: 7, ownShare: 0.754 };
    const view = (order: Batter[], known = 7, isCurrent = true) =>
      sidesText({ order, theirs: { ...theirs, known }, isCurrent } as OddsInView);
    expect(view([batter(0.3, 50)])).toBe(
      'Your lineup against Millrace Otters, 75% from their stats.',
    );
    expect(view([batter(0, 0)], 0)).toBe('An average lineup against average batters.');
    expect(view([], 0, false)).toBe('Working out your lineup...');
    expect(shareText(batter(0.294, 50))).toBe('29% from 50 PA');
    expect(shareText(batter(0, 0))).toContain('enter stats');
  });

  it('say what a choice at the plate rests on', () => {
    const [sacrifice] = platesHere(average, situation, null);
    const record = { buntTries: 6, buntsGood: 4 };
    const up = { person: { name: 'Dara' }, record, bunt: level.bunt } as Batter;
    if (!sacrifice) throw new Error('a sacrifice is there');
    expect(plateHow(sacrifice, 'win', up)).toMatch(
      /worth \d+\.\d% to the side at bat, swinging away \d+\.\d%\. Dara: 4 of 6 good/,
    );
    expect(plateHow({ ...sacrifice, choice: 'squeeze' }, 'win', up)).toContain(
      'How a squeeze ends',
    );
    expect(plateHow(sacrifice, 'runs', null)).toMatch(/worth \.?\d.* runs to/);
  });

  it('say of every map what its numbers are', () => {
    for (const map of MAPS) {
      expect(MAP_TEXT[map]).not.toBe('');
      expect(neededMapWords(map)).toMatch(/\.$/);
    }
    expect(neededMapWords('win')).toContain('percent');
  });
});
