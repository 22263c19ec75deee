import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tableValue } from '../../test/bunts.ts';
import cells from '../../vectors/field/bunt_cells.json';
import { makeRandom, normalDraw } from '../maths/index.ts';
import { PRESETS } from '../rules/index.ts';
import { figuresAt } from '../timing/figures.ts';
import { feetBetween, placeOfBag } from '../units/index.ts';
import {
  armByThrows,
  ballTimes,
  BASES_FIGURES,
  bestBow,
  bowTime,
  breakEvenCatch,
  habitsOf,
  INFIELD_DEPTHS,
  lastStop,
  noTurn,
  OUTFIELD,
  placeAt,
  planGrounder,
  planSend,
  planTag,
  sendRace,
  sharpTurn,
  tagDepth,
  tagPlay,
  throwByArm,
  turnDepth,
  usualOutfieldSpot,
  type FielderLook,
  type GrounderQuestion,
  type OutfieldPlay,
  type SendQuestion,
  type TagQuestion,
} from './index.ts';
import { reachFeet, SPEED_PER_MPH } from '../race/index.ts';
import { BUNT_FIGURES } from '../bunts/index.ts';
import { CONTACT } from '../innings/index.ts';

const figures = figuresAt(BASES_FIGURES, 'college', {});
const value = tableValue(cells.RE24);
const gait = { topSpeed: 27, accelerationSeconds: 0.75 };
const HOME = { x: 0, y: 0 };

function send(parts: Partial<SendQuestion> = {}): SendQuestion {
  return {
    send: 'secondToHome',
    bases: 2,
    outs: 1,
    ruleset: PRESETS.fullSizeNine,
    figures,
    degrees: 70,
    hit: 'medium',
    outfielderAt: usualOutfieldSpot('LF', figures),
    approach: 'charging',
    bobbled: null,
    armMph: 84,
    cutoff: true,
    habits: habitsOf([], figures.bobbles),
    runner: gait,
    value,
    ...parts,
  };
}

describe('an outfielder’s habits', () => {
  const plain = habitsOf([], 0.07);

  it('are the usual ones until something is seen, and then drawn toward it', () => {
    expect(plain).toMatchObject({ bobbles: { share: 0.07, seen: 0 }, hitsCutoff: { share: 1 } });
    const looks = ['charges', 'waits', 'waits', 'overthrows', 'bobbles', 'clean'] as const;
    const own = habitsOf(looks, 0.07);
    expect(own.charges).toMatchObject({ did: 1, seen: 3 });
    expect(own.charges.share).toBeLessThan(plain.charges.share);
    expect(own.charges.share).toBeGreaterThan(1 / 3);
    expect(own.bobbles.share).toBeGreaterThan(0.07);
    expect(own.bobbles.share).toBeLessThan(0.5);
    expect(own.hitsCutoff.share).toBeLessThan(1);
    expect(own.throwsBehind).toEqual(plain.throwsBehind);
  });

  it('make a send better against whoever waits, bobbles or throws over the cutoff man', () => {
    const against = (looks: FielderLook[]) =>
      planSend(send({ approach: 'usual', habits: habitsOf(looks, figures.bobbles) })).safe;
    const safe = against([]);
    expect(against(['waits', 'waits', 'waits'])).toBeGreaterThan(safe + 0.01);
    expect(against(['charges', 'charges', 'charges'])).toBeLessThan(safe - 0.005);
    expect(against(['bobbles', 'bobbles'])).toBeGreaterThan(safe + 0.005);
  });

  it('count only for what of this ball is not seen yet', () => {
    const habits = habitsOf(['waits', 'waits', 'bobbles', 'overthrows'], figures.bobbles);
    const seen = { approach: 'charging', bobbled: false, cutoff: false } as const;
    expect(planSend(send({ ...seen, habits })).safe).toBe(planSend(send(seen)).safe);
    // Over the cutoff man: between a throw that can be cut and one that cannot.
    const between = planSend(send({ bobbled: false, habits })).safe;
    const [cut, free] = [true, false].map(
      (cutoff) => planSend(send({ bobbled: false, cutoff })).safe,
    );
    expect(between).toBeGreaterThanOrEqual(Math.min(cut ?? 0, free ?? 0) - 1e-12);
    expect(between).toBeLessThanOrEqual(Math.max(cut ?? 0, free ?? 0) + 1e-12);
    expect(between).not.toBe(cut);
  });
});

function tag(parts: Partial<TagQuestion> = {}): TagQuestion {
  return {
    from: 3,
    bases: 4,
    outs: 1,
    ruleset: PRESETS.fullSizeNine,
    figures,
    degrees: 45,
    feet: 260,
    momentum: 0.5,
    armMph: 85,
    seen: 'ownEyes',
    runner: gait,
    value,
    ...parts,
  };
}

const anyPlay = fc.record({
  degrees: fc.double({ min: 5, max: 85, noNaN: true }),
  feet: fc.double({ min: 160, max: 330, noNaN: true }),
  armMph: fc.double({ min: 65, max: 95, noNaN: true }),
  momentum: fc.double({ min: -1, max: 1, noNaN: true }),
  bobble: fc.double({ min: 0, max: 1, noNaN: true }),
  runSeconds: fc.double({ min: 5, max: 9, noNaN: true }),
  cutoff: fc.boolean(),
});
type Any = Parameters<Parameters<typeof anyPlay.map>[0]>[0];

function playOf({ degrees, feet, armMph, momentum, bobble, cutoff }: Any): OutfieldPlay {
  return {
    ball: 'baseball',
    at: placeAt(degrees, feet),
    fieldedSeconds: 3.4,
    momentum,
    bobble,
    transferSeconds: figures.transferSeconds,
    armMph,
    cutoffAt: cutoff ? placeAt(degrees, 70) : null,
    relayMph: 78,
    target: HOME,
  };
}
const stakes = { out: 0.9, trail: 0.12 };

describe('a send', () => {
  it('has chances from 0 to 1, and never a lower one for a deeper ball, a weaker arm or a quicker runner', () => {
    fc.assert(
      fc.property(anyPlay, (any) => {
        const safe = (change: Partial<Any>): number => {
          const changed = { ...any, ...change };
          return sendRace(changed.runSeconds, playOf(changed), stakes, figures).safe;
        };
        const now = safe({});
        expect(now).toBeGreaterThanOrEqual(-1e-9);
        expect(now).toBeLessThanOrEqual(1 + 1e-9);
        expect(safe({ armMph: any.armMph - 3 })).toBeGreaterThanOrEqual(now - 4e-3);
        expect(safe({ feet: any.feet + 8 })).toBeGreaterThanOrEqual(now - 4e-3);
        expect(safe({ runSeconds: any.runSeconds - 0.1 })).toBeGreaterThanOrEqual(now - 4e-3);
        expect(safe({ bobble: 1 })).toBeGreaterThanOrEqual(now - 4e-3);
      }),
      { numRuns: 10_000 },
    );
  });

  it.each([
    { degrees: 72, feet: 231, armMph: 84, runSeconds: 7.16 },
    { degrees: 45, feet: 221, armMph: 86, runSeconds: 7.16 },
    { degrees: 18, feet: 231, armMph: 88, runSeconds: 7.4 },
    { degrees: 60, feet: 300, armMph: 80, runSeconds: 7.16 },
  ])('agrees with the same play thrown many times: $degrees, $feet ft', (given) => {
    const play = playOf({ ...given, momentum: 0.5, bobble: 0.05, cutoff: true });
    const own = sendRace(given.runSeconds, play, stakes, figures);
    const played = throwMany(play, given.runSeconds, 60_000);
    expect(Math.abs(played - own.safe)).toBeLessThan(0.008);
  });

  it('is held sooner on the same ball to left, where the throw is shorter, than to right', () => {
    // The other way round: third base is near left field, so the last stop comes sooner there.
    const stop = (degrees: number, fielder: 'LF' | 'RF') =>
      planSend(send({ degrees, outfielderAt: usualOutfieldSpot(fielder, figures) })).stops.alert;
    expect(stop(70, 'LF')?.feet ?? 99).toBeLessThan(stop(20, 'RF')?.feet ?? -99);
  });

  it('is told in figures where nothing is at stake any more', () => {
    const { safe, need, gain } = planSend(send({ value: () => 1 }));
    expect(Number.isFinite(safe)).toBe(true);
    expect(need).toBe(Number.POSITIVE_INFINITY);
    expect(gain).toBeCloseTo(0, 9);
  });

  it('turns once with the depth, and there', () => {
    const depth = turnDepth(send({ hit: 'hard' }), 180, 340);
    expect(depth).not.toBeNull();
    const at = (feet: number) => {
      const { x, y } = usualOutfieldSpot('LF', figures);
      const share = feet / Math.hypot(x, y);
      return planSend(send({ hit: 'hard', outfielderAt: { x: x * share, y: y * share } }));
    };
    expect(at((depth ?? 0) + 3).safe).toBeGreaterThan(at((depth ?? 0) + 3).need);
    expect(at((depth ?? 0) - 3).safe).toBeLessThan(at((depth ?? 0) - 3).need);
  });

  it('needs less with each out, and a sleepy defense lets the coach wait', () => {
    const needs = ([0, 1, 2] as const).map((outs) => planSend(send({ outs })).need);
    expect(needs).toEqual(needs.toSorted((a, b) => b - a));
    const { alert, sleepy } = planSend(send()).stops;
    expect(sleepy?.feet ?? -99).toBeGreaterThanOrEqual(alert?.feet ?? 99);
  });

  it('sends to third and stretches by the same race, and never to a base already lost', () => {
    const third = planSend(
      send({
        send: 'firstToThird',
        bases: 1,
        degrees: 20,
        outfielderAt: usualOutfieldSpot('RF', figures),
      }),
    );
    const left = planSend(send({ send: 'firstToThird', bases: 1 }));
    // From right field the throw to third is the long one.
    expect(third.safe).toBeGreaterThan(left.safe);
    expect(planSend(send({ send: 'stretchToSecond', bases: 0 })).safe).toBeLessThan(0.5);
  });

  it('has no last stop where the ball is at the bag before him', () => {
    const runner = { ...gait, leadFeet: 18, startSpeed: 5, readSeconds: 0.2 };
    const any = { degrees: 88, feet: 90, armMph: 95, momentum: 1, bobble: 0, runSeconds: 7 };
    const play = { ...playOf({ ...any, cutoff: false }), fieldedSeconds: 0.1 };
    const awake = { ...figures, transferSeconds: 0.3, redirectSeconds: 0, defenceReadSeconds: 0 };
    const thrown = { ...play, transferSeconds: 0.3 };
    expect(lastStop(runner, 'full', thrown, placeOfBag(3, 90), 90, 'alert', awake)).toBeNull();
  });
});

describe('a tag', () => {
  it('is worth less on a shout than on his own eyes, deeper is safer, and a weak arm too', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 200, max: 320, noNaN: true }),
        fc.double({ min: 70, max: 95, noNaN: true }),
        fc.constantFrom(1, 2, 3),
        (feet, armMph, from) => {
          const asked = tag({ feet, armMph, from: from, bases: 1 << (from - 1) });
          const { safe } = planTag(asked);
          expect(planTag({ ...asked, seen: 'shout' }).safe).toBeLessThanOrEqual(safe + 4e-3);
          expect(planTag({ ...asked, feet: feet + 8 }).safe).toBeGreaterThanOrEqual(safe - 4e-3);
          expect(planTag({ ...asked, armMph: armMph - 4 }).safe).toBeGreaterThanOrEqual(
            safe - 4e-3,
          );
        },
      ),
      { numRuns: 10_000 },
    );
  });

  it('agrees with the same play thrown many times', () => {
    for (const feet of [240, 260, 285]) {
      const asked = tag({ feet });
      const play: OutfieldPlay = {
        ball: 'baseball',
        at: placeAt(45, feet),
        fieldedSeconds: 0,
        momentum: 0.5,
        bobble: 0,
        transferSeconds: figures.catchSeconds,
        armMph: 85,
        cutoffAt: { x: 46, y: 46 },
        relayMph: 78,
        target: HOME,
      };
      const seconds = 0.12 + 4.08007906;
      const own = sendRace(seconds, play, { out: 1, trail: 0 }, figures);
      expect(
        Math.abs(throwMany(play, seconds, 60_000, { out: 1, trail: 0 }) - own.safe),
      ).toBeLessThan(0.008);
      expect(planTag(asked).safe).toBeGreaterThan(0);
    }
  });

  it('pays from a depth on that is deeper for a strong arm', () => {
    const usual = tagDepth(tag(), 400) ?? 0;
    expect(tagDepth(tag({ armMph: 92 }), 400) ?? 999).toBeGreaterThan(usual);
    expect(tagDepth(tag({ armMph: 95 }), 200)).toBeNull();
  });

  it('waits for a catch that is likely enough', () => {
    expect(breakEvenCatch(0.2, 0.1)).toBeCloseTo(2 / 3, 9);
    expect(breakEvenCatch(0, 0)).toBe(1);
  });
});

describe('a grounder', () => {
  const usual = figuresAt(BASES_FIGURES, 'hs', {});
  const infield = figuresAt(BUNT_FIGURES, 'hs', {});
  const legs = (topSpeed: number) => ({ topSpeed, accelerationSeconds: 0.75 });
  const grounder = (parts: Partial<GrounderQuestion> = {}) =>
    planGrounder({
      outs: 1,
      depth: 'back',
      ruleset: PRESETS.fullSizeSeven,
      figures: usual,
      infield,
      runner: legs(25.5),
      batter: legs(25.5),
      value,
      ...parts,
    });

  it('ends about as the agreed shares of a high-school game say', () => {
    for (const depth of ['in', 'back'] as const) {
      const { shares } = grounder({ depth });
      for (const key of ['through', 'outAtHome', 'conceded', 'scoresIfHolding'] as const) {
        expect(Math.abs(shares[key] - CONTACT[depth][key]), `${depth} ${key}`).toBeLessThan(0.12);
      }
    }
  });

  it('to the second baseman with one out: the runner from first has to live until the run is in', () => {
    const play = (parts: Partial<GrounderQuestion> = {}) =>
      tagPlay({
        ruleset: PRESETS.fullSizeSeven,
        figures: usual,
        infield,
        runner: legs(25.5),
        ...parts,
      });
    const { gloveSeconds, firstSeconds, homeSeconds } = play();
    // In the glove in well over a second, the batter out before the run is in, and the run about as from third.
    expect(gloveSeconds).toBeGreaterThan(1);
    expect(gloveSeconds).toBeLessThan(2.5);
    expect(firstSeconds - gloveSeconds).toBeGreaterThan(1);
    expect(homeSeconds).toBeGreaterThan(2.8);
    expect(homeSeconds).toBeLessThan(4.2);
    // Who runs home quicker has to be covered for less long; the defense is the same.
    const quick = play({ runner: legs(29) });
    expect(quick.homeSeconds).toBeLessThan(homeSeconds - 0.2);
    expect(quick.gloveSeconds).toBe(gloveSeconds);
    // On short bases all of it is sooner.
    const short = play({ ruleset: PRESETS.fastpitch43 });
    expect(short.homeSeconds).toBeLessThan(homeSeconds);
    expect(short.gloveSeconds).toBeLessThan(gloveSeconds);
  });

  it('is worth more going the deeper they play, and the quicker the runner', () => {
    for (const outs of [0, 1] as const) {
      const [near, corners, back] = INFIELD_DEPTHS.map((depth) => grounder({ outs, depth }));
      expect(near?.thrownHome).toBeGreaterThan(corners?.thrownHome ?? 1);
      expect(corners?.thrownHome).toBeGreaterThan(back?.thrownHome ?? 1);
      expect(near?.shares.through).toBeGreaterThan(back?.shares.through ?? 1);
      for (const depth of INFIELD_DEPTHS) {
        const by = [20, 23, 26, 29].map((speed) => grounder({ outs, depth, runner: legs(speed) }));
        for (const [nth, each] of by.slice(1).entries()) {
          expect(each.go).toBeGreaterThanOrEqual((by[nth]?.go ?? 0) - 1e-9);
          expect(each.wait).toBeGreaterThanOrEqual((by[nth]?.wait ?? 0) - 1e-9);
          expect(each.read).toBeGreaterThanOrEqual((by[nth]?.read ?? 0) - 1e-9);
        }
        // Whoever beats the throw home more often is thrown at less often.
        expect(by[3]?.thrownHome).toBeLessThanOrEqual(by[0]?.thrownHome ?? 0);
      }
    }
  });

  it('has shares from 0 to 1 whatever the figures, and a reader who is late gains nothing', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...INFIELD_DEPTHS),
        fc.constantFrom(0 as const, 1 as const),
        fc.double({ min: 15, max: 32, noNaN: true }),
        fc.double({ min: 15, max: 32, noNaN: true }),
        fc.double({ min: 45, max: 150, noNaN: true }),
        (depth, outs, runner, batter, groundSpeed) => {
          const plan = grounder({
            depth,
            outs,
            runner: legs(runner),
            batter: legs(batter),
            figures: { ...usual, groundSpeed },
          });
          const { through, outAtHome, conceded, scoresIfHolding } = plan.shares;
          const shares = [through, outAtHome, conceded, scoresIfHolding];
          for (const chance of [...shares, plan.thrownHome, plan.safeAtHome]) {
            expect(chance).toBeGreaterThanOrEqual(0);
            expect(chance).toBeLessThanOrEqual(1 + 1e-9);
          }
          expect(plan.shares.outAtHome + plan.shares.conceded).toBeLessThanOrEqual(1 + 1e-9);
        },
      ),
      { numRuns: 60 },
    );
    const late = (groundReadSeconds: number) =>
      grounder({ figures: { ...usual, groundReadSeconds } }).read;
    expect(late(0.6)).toBeLessThan(late(0));
    // Nobody who sees at once whither it goes is worse off than one who guesses, but for wrong reads.
    expect(late(0)).toBeGreaterThan(grounder().go - 1e-9);
  });
});

describe('arms and turns', () => {
  it('turns throws into an arm and back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 100, noNaN: true }),
        fc.constantFrom(...OUTFIELD),
        (mph, fielder) => {
          const seconds = throwByArm(mph, fielder, 4, PRESETS.fullSizeNine, figures);
          const back = armByThrows(seconds, fielder, 4, PRESETS.fullSizeNine, figures);
          expect(Math.abs((back ?? 0) - mph)).toBeLessThan(0.1);
        },
      ),
    );
    expect(armByThrows(1.3, 'LF', 4, PRESETS.fullSizeNine, figures)).toBeNull();
  });

  it('finds no path quicker than no turn, and no sharp one quicker than the best', () => {
    const start = { baseFeet: 90, leadFeet: 0, depthFeet: 0 };
    const limits = { ...gait, sideGrip: figures.sideGrip, brake: figures.turnBrake };
    const best = bestBow(start, limits, 0, 18);
    expect(best.run.seconds).toBeGreaterThan(noTurn(start, limits, 0));
    expect(best.run.seconds).toBeLessThan(sharpTurn(start, limits, 0));
    const four = bowTime({ ...start, outFeet: 4, shortFeet: 20 }, limits, 0);
    expect(four.seconds - best.run.seconds).toBeGreaterThan(0.1);
    expect(four.seconds - best.run.seconds).toBeLessThan(0.4);
  });
});

/** The same play thrown many times: the share in which the runner is safe. */
function throwMany(play: OutfieldPlay, runSeconds: number, draws: number, worth = stakes): number {
  const random = makeRandom(5);
  const { direct, cut } = ballTimes(play, figures);
  const feet = feetBetween(play.at, play.target);
  const isBounced = feet > reachFeet({ throwSpeed: play.armMph * SPEED_PER_MPH, ball: play.ball });
  const relayFeet = play.cutoffAt ? feetBetween(play.cutoffAt, play.target) : 0;
  const known2 = figures.runSdSeconds ** 2 + figures.defenceSdSeconds ** 2;
  const trust = known2 / (known2 + figures.seenSdSeconds ** 2);
  const left = Math.sqrt(figures.throwSdSeconds ** 2 + known2 * (1 - trust));
  const sample = (mean: number): number => {
    // The chance as the cutoff man sees it, by a thousand of its own: closed here, it is a normal.
    const t = 1 / (1 + 0.2316419 * Math.abs(mean));
    const tail =
      0.3989423 *
      Math.exp(-(mean ** 2) / 2) *
      t *
      (0.3193815 + t * (-0.3565638 + t * (1.781478 + t * (-1.821256 + t * 1.330274))));
    return mean >= 0 ? 1 - tail : tail;
  };
  let safe = 0;
  for (let draw = 0; draw < draws; draw += 1) {
    const bobbled = random() < play.bobble ? figures.bobbleSeconds : 0;
    const off = Math.abs(
      normalDraw(random, 0, figures.aimSpread * feet * (isBounced ? figures.bounceSpread : 1)),
    );
    const isOn = off < figures.onLineFeet;
    const isWide = !isOn && off < figures.wideFeet;
    const real =
      normalDraw(random, 0, figures.runSdSeconds) + normalDraw(random, 0, figures.defenceSdSeconds);
    const seen = trust * (real + normalDraw(random, 0, figures.seenSdSeconds));
    const late = isWide ? figures.wideSeconds : 0;
    const cutLate = isOn ? 0 : isWide ? 0.1 : 0.3;
    const relayOff = Math.abs(normalDraw(random, 0, figures.aimSpread * relayFeet));
    const relayGood =
      relayOff < figures.onLineFeet || (relayOff < figures.wideFeet && random() < 0.3);
    const margin = runSeconds - direct - bobbled - late;
    const cutMargin = runSeconds - cut - bobbled - cutLate;
    const through = isOn || isWide ? sample((margin + seen) / left) : 0;
    const share = relayShare(relayFeet);
    const byCut = share * sample((cutMargin + seen) / left);
    const better = through * worth.out - worth.trail - byCut * worth.out;
    const lets =
      random() <
      (play.cutoffAt ? 1 / (1 + Math.exp(-better / (figures.hesitation * worth.out))) : 1);
    const noise = real + normalDraw(random, 0, figures.throwSdSeconds);
    const isOut = lets
      ? (isOn || isWide) && margin + noise > 0
      : relayGood && cutMargin + noise > 0;
    if (!isOut) safe += 1;
  }
  return safe / draws;

  function relayShare(distance: number): number {
    const within = (limit: number): number =>
      distance === 0 ? 1 : 2 * sample(limit / (figures.aimSpread * distance)) - 1;
    const on = within(figures.onLineFeet);
    return on + 0.3 * (within(figures.wideFeet) - on);
  }
}
