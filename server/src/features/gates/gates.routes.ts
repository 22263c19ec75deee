import { createHash, randomBytes } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import {
  atTheGatesContract,
  gateAnswerContract,
  gateDeviceContract,
  gateDeviceDraftContract,
  gateDevicesContract,
  gateEventContract,
  gateRunsContract,
  newGateDeviceContract,
  type GateAnswer,
  type GateEvent,
} from '@bradyon/contract/gates';
import {
  describeMisfit,
  plainContext,
  splitsOfBeams,
  type ReadingDraft,
} from '@bradyon/core/timing';
import type { GateDeviceId, PersonId, ReadingId, TeamId } from '@bradyon/core/units';
import { Router, type Request, type RequestHandler } from 'express';
import { v5 as uuidFrom } from 'uuid';
import { inTransaction, type Tx } from '../../db/query.ts';
import { inTeam } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf, idOf } from '../../http/exchange.ts';
import { addressOf, makeLimit } from '../../http/limits.ts';
import { misfits, notFound, Problem } from '../../http/problem.ts';
import { signedIn } from '../../http/session.ts';
import { insertReadings, selectReading, takeMarks } from '../timing/index.ts';
import * as gates from './gates.sql.ts';

/** A gate's own tick: beams are read to the millisecond. */
const TICK_SECONDS = 0.001;
/** Radar gives the flight to the hundredth. */
const RADAR_SECONDS = 0.01;

/** The devices of a team, who is at them, and what they saw: under a team. */
export function gateRoutes({ pool, reply }: Deps): Router {
  const router = Router();

  router.get('/:teamId/gate-devices', async (req, res) => {
    const rows = await inTeam(pool, signedIn(req), idOf(req, 'teamId'), gates.selectDevices);
    reply(res, gateDevicesContract, rows);
  });

  router.post('/:teamId/gate-devices', async (req, res) => {
    const accountId = signedIn(req);
    const draft = bodyOf(req, gateDeviceDraftContract);
    const token = randomBytes(24).toString('base64url');
    const device = await inTeam(pool, accountId, idOf<TeamId>(req, 'teamId'), (tx) =>
      gates.insertDevice(tx, draft, hashToken(token)),
    );
    // The token cannot be shown again, so a repeat cannot be answered with the same thing.
    if (device === null) throw new Problem(409, 'This device is set up already. Make a new one.');
    reply(res, newGateDeviceContract, { ...device, token }, 201);
  });

  router.put('/:teamId/gate-devices/:id/runner', async (req, res) => {
    const accountId = signedIn(req);
    const deviceId = idOf<GateDeviceId>(req, 'id');
    const { personId } = bodyOf(req, atTheGatesContract);
    const device = await inTeam(pool, accountId, idOf<TeamId>(req, 'teamId'), (tx) =>
      gates.updateRunner(tx, deviceId, personId),
    );
    if (device === null) throw notFound('There is no such device.');
    reply(res, gateDeviceContract, device);
  });

  router.delete('/:teamId/gate-devices/:id', async (req, res) => {
    const deviceId = idOf<GateDeviceId>(req, 'id');
    const gone = await inTeam(pool, signedIn(req), idOf<TeamId>(req, 'teamId'), (tx) =>
      gates.deleteDevice(tx, deviceId),
    );
    if (!gone) throw notFound('There is no such device.');
    res.status(204).end();
  });

  router.get('/:teamId/gate-runs', async (req, res) => {
    const rows = await inTeam(pool, signedIn(req), idOf(req, 'teamId'), gates.selectRuns);
    reply(res, gateRunsContract, rows);
  });

  return router;
}

/** What devices send: `/api/gates`, by their own token instead of a sign-in. */
export function gateEventRoutes({ pool, reply }: Deps, readBody: RequestHandler): Router {
  const router = Router();
  const wrongTokens = makeLimit(pool, 'gate-token-from', 60, 15 * 60);

  /** Whose token it is, asked before anything of the body is read; whoever guesses is stopped. */
  const needsToken: RequestHandler = async (req, _res, next) => {
    const address = addressOf(req);
    await wrongTokens.check(address);
    const hash = hashToken(bearerOf(req));
    const device = await inTransaction(pool, (tx) => gates.enterDevice(tx, hash));
    if (device === null) {
      await wrongTokens.use(address);
      throw new Problem(401, NO_DEVICE);
    }
    next();
  };

  router.post('/events', needsToken, readBody, async (req, res) => {
    const event = bodyOf(req, gateEventContract);
    const hash = hashToken(bearerOf(req));
    const kept = await inTransaction(pool, async (tx) => {
      const device = await gates.enterDevice(tx, hash);
      return device && keep(tx, event, device);
    });
    if (kept === null) throw new Problem(401, NO_DEVICE);
    reply(res, gateAnswerContract, kept.answer, kept.status);
  });

  return router;
}

const NO_DEVICE = 'This token is not valid. Set the device up again under Time, Gates.';

function hashToken(token: string): Buffer {
  return createHash('sha256').update(token).digest();
}

function bearerOf(req: Request): string {
  const [scheme, token] = (req.get('Authorization') ?? '').split(' ');
  if (scheme?.toLowerCase() !== 'bearer' || !token) {
    throw new Problem(401, 'Send the token of the device: Authorization: Bearer <token>.');
  }
  return token;
}

interface Kept {
  answer: GateAnswer;
  status: 200 | 201;
}

/** Keeps an event once, and makes readings of what was seen. */
async function keep(
  tx: Tx,
  event: GateEvent,
  device: { name: string; runnerId: PersonId | null },
): Promise<Kept> {
  // Of the same event sent twice at once, the second waits here for the first.
  await takeMarks(tx, 0);
  const before = await keptBefore(tx, event);
  if (before) return before;
  const runner = await gates.selectRunner(tx, event.number, device.runnerId);
  if (runner === null) {
    const message =
      event.number === undefined
        ? 'Nobody is at the gates. Choose who under Time, Gates, or send a number.'
        : `Nobody on the roster wears number ${event.number}.`;
    throw misfits([{ path: 'number', message }]);
  }
  const drafts = readingsOf(event, runner.id);
  const fitting = drafts.filter((draft) => describeMisfit(draft) === null);
  const [first] = drafts;
  if (first && fitting.length === 0) {
    const message = describeMisfit(first)?.message ?? '';
    throw misfits([{ path: event.beams ? 'beams' : 'seconds', message }]);
  }
  if (event.beams) {
    await gates.insertRun(tx, {
      id: event.id,
      deviceName: device.name,
      personId: runner.id,
      takenAt: event.takenAt,
      beams: event.beams,
    });
  }
  await insertReadings(tx, fitting);
  return { answer: answerOf(event, runner.name), status: 201 };
}

/** The answer to an event that was kept before: the same, whoever is at the gates by now. */
async function keptBefore(tx: Tx, event: GateEvent): Promise<Kept | null> {
  const run = await gates.selectRun(tx, event.id);
  const pitch = await selectReading(tx, pitchId(event));
  const personId = run?.personId ?? pitch?.personId;
  if (personId === undefined) return null;
  const who = await gates.selectPersonById(tx, personId);
  const isSame =
    who !== null &&
    (event.number === undefined || event.number === who.number) &&
    event.takenAt === (run ?? pitch)?.takenAt &&
    isDeepStrictEqual(event.beams, run?.beams) &&
    event.seconds === pitch?.seconds;
  if (!isSame) {
    throw new Problem(409, 'This id already stands for something else. Make a new one.');
  }
  return { answer: answerOf(event, who.name), status: 200 };
}

function answerOf(event: GateEvent, personName: string): GateAnswer {
  const drafts = readingsOf(event, '' as PersonId);
  return {
    personName,
    readings: drafts.filter((draft) => describeMisfit(draft) === null).length,
    missedFeet: splitsOfBeams(event.beams ?? []).missedFeet,
  };
}

const pitchId = (event: GateEvent): ReadingId => uuidFrom('pitch', event.id) as ReadingId;

/** A pitch is its flight: from the hand to the mitt. A run is a dash for each of its splits. */
function readingsOf(event: GateEvent, personId: PersonId): ReadingDraft[] {
  const common = {
    ...plainContext('dash'),
    personId,
    method: 'gate' as const,
    movedFrom: null,
    takenAt: event.takenAt,
  };
  if (event.seconds !== undefined) {
    return [
      {
        ...common,
        id: pitchId(event),
        kind: 'flight',
        seconds: event.seconds,
        resolutionSeconds: RADAR_SECONDS,
      },
    ];
  }
  return splitsOfBeams(event.beams ?? []).splits.map((split, index) => ({
    ...common,
    ...split,
    id: uuidFrom(`split ${String(index)}`, event.id) as ReadingId,
    resolutionSeconds: TICK_SECONDS,
  }));
}
