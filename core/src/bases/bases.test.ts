import { describe, expect, it } from 'vitest';
import { near } from '../../test/bunts.ts';
import cones from '../../vectors/drills/cones.json';
import core from '../../vectors/field/core.json';
import rounding from '../../vectors/field/rounding.json';
import sends from '../../vectors/field/sends.json';
import tagups from '../../vectors/field/tagups.json';
import { tabledNormalCdf, normalQuantile } from '../maths/normals.ts';
import { reachFeet, SPEED_PER_MPH, throwBouncingSeconds, throwSeconds } from '../race/index.ts';
import type { Sport } from '../rules/index.ts';
import { timeToCover } from '../sprint/index.ts';
import { figuresAt } from '../timing/figures.ts';
import { placeOfBag } from '../units/index.ts';
import {
  ballTimes,
  BASES_FIGURES,
  bowTime,
  CONES,
  conesFor,
  throughFeet,
  controlledSeconds,
  flyBall,
  fullSeconds,
  halfwayFeet,
  lastStop,
  noTurn,
  outfieldMeet,
  placeAt,
  sendBand,
  sendRace,
  sharpTurn,
  speedProfile,
  tagUpSeconds,
  type Alertness,
  type BasesFigures,
  type Curve,
  type OutfieldPlay,
  type Pace,
  type TurnLimits,
  type TurningRunner,
} from './index.ts';

const HOME = { x: 0, y: 0 };
const place = ([x, y]: readonly number[]) => ({ x: x ?? 0, y: y ?? 0 });
const figures: BasesFigures = figuresAt(BASES_FIGURES, 'college', {});

describe('shared functions', () => {
  it('run and throw as computed elsewhere', () => {
    for (const { d, vmax, tau, v0, t } of core.sprintTime) {
      const curve = { topSpeed: vmax, accelerationSeconds: tau, startSpeed: v0 };
      near(timeToCover(d, curve), t, core.tolerance, 'sprint');
    }
    for (const { d, mph, ball, t } of core.throwTime) {
      const arm = { throwSpeed: mph * SPEED_PER_MPH, ball: ball as Sport };
      near(throwSeconds(d, arm), t, core.tolerance, 'throw');
    }
    for (const { d, mph, ball, t, reach } of core.throwHop) {
      const arm = { throwSpeed: mph * SPEED_PER_MPH, ball: ball as Sport };
      near(reachFeet(arm), reach, core.tolerance, 'reach');
      near(throwBouncingSeconds(d, arm), t, core.tolerance, 'bounced');
    }
    for (const { z, p } of core.phi) near(tabledNormalCdf(z), p, core.tolerance, 'phi');
    for (const { p, z } of core.probit) near(normalQuantile(p), z, core.tolerance, 'probit');
  });

  it('fly as computed elsewhere', () => {
    for (const { evMph, laDeg, ball, hang, carry } of core.flyBall.cases) {
      const flight = flyBall(evMph, laDeg, ball as Sport);
      near(flight.hangSeconds, hang, core.flyBall.tolerance, 'hang');
      near(flight.carryFeet, carry, core.flyBall.tolerance * carry, 'carry');
    }
  });
});

describe('the constants', () => {
  it('are those of the figures computed elsewhere', () => {
    const { SEND, TAG } = tagups.constants;
    expect(sends.constants).toEqual(SEND);
    expect(figures).toMatchObject({
      transferSeconds: SEND.transfer,
      chargeSeconds: SEND.momentum,
      bobbleSeconds: SEND.bobble,
      relaySeconds: SEND.relay,
      tagSeconds: SEND.tag,
      aimSpread: SEND.sdAim,
      onLineFeet: SEND.onFt,
      wideFeet: SEND.wideFt,
      wideSeconds: SEND.wideDelay,
      runSdSeconds: SEND.sR,
      defenceSdSeconds: SEND.sD,
      throwSdSeconds: SEND.sX,
      seenSdSeconds: SEND.sP,
      coachSeconds: SEND.coach,
      stopBrake: SEND.brake,
      stopTurnSeconds: SEND.turn,
      backSpeed: SEND.back,
      defenceReadSeconds: SEND.read,
      redirectSeconds: SEND.redirect,
      stopMargin: SEND.margin,
      turnSeconds: SEND.turnFull,
      controlledTurnSeconds: SEND.turnCtl,
      controlledSpeed: SEND.ctlSpeed,
      controlledBrake: SEND.ctlBrake,
      controlledFrom: SEND.ctlFrom,
      bounceSpread: SEND.hopOff,
      hesitation: SEND.hesitate,
      trailThrough: SEND.trailThrough,
      trailCut: SEND.trailCut,
      catchSeconds: TAG.transfer,
      ownEyesSeconds: TAG.self,
      shoutSeconds: TAG.shout,
    });
    expect(TAG.momentum).toBe(figures.chargeSeconds);
  });
});

describe('sends', () => {
  it.each(sends.cases)(
    'come to what was computed elsewhere: $sport, $bearingDeg, $ballV0',
    (given) => {
      const { t, prob, ft } = sends.tolerance;
      const meet = outfieldMeet(
        {
          speed: given.ballV0,
          outfielderFeet: given.outfielderDepth,
          asideFeet: given.outfielder.lateral,
        },
        {
          ...figures,
          outfielderSpeed: given.outfielder.vmax,
          outfielderAcceleration: given.outfielder.tau,
          outfielderReact: given.outfielder.react,
        },
      );
      near(meet.seconds, given.meet.t, t, 'fielded');
      near(meet.feet, given.meet.d, 0.01, 'fielded');
      const at = placeAt(given.bearingDeg, meet.feet);
      near(at.x, given.play.at[0] ?? 0, 0.01, 'x');
      near(at.y, given.play.at[1] ?? 0, 0.01, 'y');
      const play: OutfieldPlay = {
        ball: given.ball as Sport,
        at: place(given.play.at),
        fieldedSeconds: given.play.tFielded,
        momentum: given.play.momentum,
        bobble: given.play.pBobble,
        transferSeconds: figures.transferSeconds,
        armMph: given.play.armMph,
        cutoffAt: place(given.play.cutoffAt),
        relayMph: given.play.relayMph,
        target: HOME,
      };
      const runner: TurningRunner = {
        topSpeed: given.runner.vmax,
        accelerationSeconds: given.runner.tau,
        leadFeet: given.runner.lead,
        startSpeed: given.runner.v0,
        readSeconds: given.runner.readDelay,
      };
      const stakes = { out: given.cutting.gOut, trail: given.cutting.trail };
      const seconds = fullSeconds(runner, given.base, figures);
      near(seconds, given.fullSpeed.tRun, t, 'run');
      const ball = ballTimes(play, figures);
      near(ball.direct, given.fullSpeed.tDirect, t, 'direct');
      near(ball.cut, given.fullSpeed.tCut, t, 'cut');
      const race = sendBand(seconds, play, stakes, figures);
      near(race.safe, given.fullSpeed.pSafe, prob, 'safe');
      near(race.low, given.fullSpeed.pSafeLo, prob, 'low');
      near(race.high, given.fullSpeed.pSafeHi, prob, 'high');
      near(race.cut, given.fullSpeed.pCut, prob, 'pCut');
      near(race.trailUp, given.fullSpeed.pTrail, prob, 'pTrail');
      const controlled = controlledSeconds(runner, 0, given.base, figures);
      near(controlled, given.controlledGoAtBag.tRun, t, 'controlled');
      near(
        sendRace(controlled, play, stakes, figures).safe,
        given.controlledGoAtBag.pSafe,
        prob,
        'controlled',
      );
      const third = placeOfBag(3, given.base);
      for (const [key, pace, alertness] of [
        ['controlledAlert', 'controlled', 'alert'],
        ['controlledNotAlert', 'controlled', 'sleepy'],
        ['fullAlert', 'full', 'alert'],
      ] as const satisfies [string, Pace, Alertness][]) {
        const own = lastStop(runner, pace, play, third, given.base, alertness, figures);
        const expected = given.lastStop[key];
        near(own?.feet ?? 99, expected.ft, ft, `${key} ft`);
        near(own?.coachFeet ?? 99, expected.coachFt, ft, `${key} coach`);
        near(own?.seconds ?? 99, expected.t, 0.03, `${key} t`);
      }
    },
  );
});

describe('tagging up', () => {
  it.each(tagups.cases)(
    'comes to what was computed elsewhere: $sport, $at, $armMph, $delay',
    (given) => {
      const play: OutfieldPlay = {
        ball: given.ball as Sport,
        at: place(given.at),
        fieldedSeconds: 0,
        momentum: given.momentum,
        bobble: 0,
        transferSeconds: figures.catchSeconds,
        armMph: given.armMph,
        cutoffAt: place(given.cutoffAt),
        relayMph: given.relayMph,
        target: HOME,
      };
      const gait = { topSpeed: given.vmax, accelerationSeconds: given.tau };
      const seen = given.delay > 0.2 ? 'shout' : 'ownEyes';
      const seconds = tagUpSeconds(gait, seen, given.base, figures);
      near(ballTimes(play, figures).direct, given.tDirect, tagups.tolerance.t, 'direct');
      near(
        sendRace(seconds, play, { out: 0.9, trail: 0 }, figures).safe,
        given.pSafe,
        tagups.tolerance.prob,
        'safe',
      );
    },
  );

  it('has the half way of the figures computed elsewhere', () => {
    for (const given of tagups.halfway) {
      const gait = { topSpeed: given.vmax, accelerationSeconds: given.tau };
      const feet = halfwayFeet(
        gait,
        placeAt(given.bearingDeg, given.depth),
        placeOfBag(given.bag as 1 | 2, 90),
        { mph: given.armMph, ball: given.ball as Sport },
        { ...figures, backReactSeconds: given.reactBack, backMarginSeconds: given.margin },
      );
      near(feet, given.ft, 0.05, `half way ${String(given.depth)}`);
    }
  });
});

describe('turns', () => {
  const limitsOf = (given: {
    mode: string;
    vmax: number;
    tau?: number;
    aLat?: number;
    aBrake?: number;
    A?: number;
  }): TurnLimits =>
    given.mode === 'bound'
      ? { topSpeed: given.vmax, evenly: given.A ?? 0 }
      : {
          topSpeed: given.vmax,
          accelerationSeconds: given.tau ?? 0,
          sideGrip: given.aLat ?? 0,
          brake: given.aBrake ?? 0,
        };

  it.each(rounding.paths)('take what was computed elsewhere: $what', (given) => {
    const pieces = given.pieces.map((piece) => piece.map(place)) as unknown as Curve[];
    const profile = speedProfile(pieces, limitsOf(given.limits), given.v0, {
      perPiece: given.samplesPerPiece,
    });
    near(profile.seconds, given.time, rounding.tolerance.time, 'seconds');
    near(profile.feet, given.length, rounding.tolerance.length, 'feet');
  });

  it.each(rounding.bow)('bow as computed elsewhere: $bow ft at $x ft', (given) => {
    const bow = {
      baseFeet: given.case.base,
      leadFeet: given.case.lead,
      depthFeet: given.case.depth,
      outFeet: given.bow,
      shortFeet: given.x,
    };
    const limits = limitsOf(given.limits);
    // Read off thirty places a piece: the file does not say so, and finer ones are quicker by .03 s.
    const run = bowTime(bow, limits, given.case.v0, 30);
    near(run.seconds, given.time, rounding.tolerance.bow, 'bow');
    near(run.headingDegrees, given.headingDeg, 1.5, 'heading');
    near(sharpTurn(bow, limits, given.case.v0), given.sharp65, rounding.tolerance.bow, 'sharp');
    near(noTurn(bow, limits, given.case.v0), given.straight, rounding.tolerance.bow, 'straight');
  });

  it('has the shape constants of the figures computed elsewhere', () => {
    expect(rounding.TUNE).toEqual({ aim: 1.586, m1: 0.304, m2: 0.353, m3: 0.354, endDelta: 0.385 });
  });
});

describe('cones of a turn', () => {
  it.each(cones.turns)('stand inside the path: $input.bow out', ({ input, expected }) => {
    const { base, lead, depth, v0 } = input.case;
    const { vmax, tau, aLat, aBrake } = input.limits;
    const found = conesFor(
      {
        baseFeet: base,
        leadFeet: lead,
        depthFeet: depth,
        outFeet: input.bow,
        shortFeet: input.short,
      },
      { topSpeed: vmax, accelerationSeconds: tau, sideGrip: aLat, brake: aBrake },
      v0,
      input.inside,
      // So many places their path had: with more it is quicker by .04 s.
      30,
    );
    near(found.seconds, expected.time, cones.tolerance.seconds, 'time');
    near(found.headingDegrees, expected.headingDeg, cones.tolerance.degrees, 'heading');
    for (const cone of CONES) {
      for (const which of ['path', 'cone'] as const) {
        const wanted = place(expected[cone][which]);
        near(found.places[cone][which].x, wanted.x, cones.tolerance.feet, cone);
        near(found.places[cone][which].y, wanted.y, cones.tolerance.feet, cone);
      }
    }
  });

  it('stand past first where a ground ball is run through', () => {
    for (const { base, feetPast } of cones.through) expect(throughFeet(base)).toBe(feetPast);
  });
});
