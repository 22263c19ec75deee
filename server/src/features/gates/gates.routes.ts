import { createHash, randomBytes } from 'node:crypto';
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
  type GateRun,
} from '@bradyon/contract/gates';
import { plainContext, splitsOfBeams, type ReadingDraft } from '@bradyon/core/timing';
import type { GateDeviceId, PersonId, ReadingId, TeamId } from '@bradyon/core/units';
import { Router, type Request } from 'express';
import { v5 as uuidFrom } from 'uuid';
import { inTransaction, type Tx } from '../../db/query.ts';
import { inTeam } from '../../db/scope.ts';
import type { Deps } from '../../deps.ts';
import { bodyOf, createdOnce, idOf } from '../../http/exchange.ts';
import { makeLimit } from '../../http/limits.ts';
import { misfits, notFound, Problem } from '../../http/problem.ts';
import { signedIn } from '../../http/session.ts';
import { insertReadings } from '../timing/index.ts';
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
export function gateEventRoutes({ pool, reply }: Deps): Router {
  const router = Router();
  const wrongTokens = makeLimit(pool, 'gate-token-from', 60, 15 * 60);

  router.post('/events', async (req, res) => {
    const token = bearerOf(req);
    const event = bodyOf(req, gateEventContract);
    const kept = await inTransaction(pool, async (tx) => {
      const device = await gates.enterDevice(tx, hashToken(token));
      return device && keep(tx, event, device);
    });
    if (kept === null) {
      await wrongTokens(req.ip ?? 'unknown');
      throw new Problem(401, 'No device has this token. Set it up anew under Time, Gates.');
    }
    reply(res, gateAnswerContract, kept.answer, kept.status);
  });

  return router;
}

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

/** Keeps an event once, and makes readings of what was seen. */
async function keep(
  tx: Tx,
  event: GateEvent,
  device: { name: string; runnerId: PersonId | null },
): Promise<{ answer: GateAnswer; status: 200 | 201 }> {
  const runner = await gates.selectRunner(tx, event.number, device.runnerId);
  if (runner === null) {
    const message =
      event.number === undefined
        ? 'Nobody is at the gates. Choose who under Time, Gates, or send a number.'
        : `Nobody of the roster wears number ${event.number}.`;
    throw misfits([{ path: 'number', message }]);
  }
  const run: GateRun = {
    id: event.id,
    deviceName: device.name,
    personId: runner.id,
    takenAt: new Date(event.takenAt).toISOString(),
    // A pitch is kept as its flight: from the hand to the mitt.
    beams: event.beams ?? [],
  };
  const inserted = event.beams === undefined ? null : await gates.insertRun(tx, run);
  const status =
    event.beams === undefined
      ? 201
      : (await createdOnce(run, inserted, () => gates.selectRun(tx, event.id))).status;
  const { splits, missedFeet } = splitsOfBeams(run.beams);
  const common = {
    ...plainContext('dash'),
    personId: runner.id,
    method: 'gate' as const,
    movedFrom: null,
    takenAt: run.takenAt,
  };
  const drafts: ReadingDraft[] =
    event.seconds === undefined
      ? splits.map((split, index) => ({
          ...common,
          ...split,
          id: uuidFrom(`split ${String(index)}`, event.id) as ReadingId,
          resolutionSeconds: TICK_SECONDS,
        }))
      : [
          {
            ...common,
            id: uuidFrom('pitch', event.id) as ReadingId,
            kind: 'flight',
            seconds: event.seconds,
            resolutionSeconds: RADAR_SECONDS,
          },
        ];
  await insertReadings(tx, drafts);
  return {
    answer: { personName: runner.name, readings: drafts.length, missedFeet },
    status,
  };
}
