/**
 * A simulated set of timing gates: sends runs to a running Bradyon the way a real set does.
 * `node gates.js --token <token> [--address http://127.0.0.1:4680] [--number 4] [--runs 3]
 * [--pause 5] [--level hs] [--feet 0,10,30,88] [--seed 7]`
 */
import { randomUUID } from 'node:crypto';
import { parseArgs } from 'node:util';
import type { GateAnswer, GateEvent } from '@bradyon/contract/gates';
import type { Problem } from '@bradyon/contract/problem';
import { makeRandom, normalDraw } from '@bradyon/core/maths';
import { simulateGateRun } from '@bradyon/core/sprint';
import { LEVEL_NAMES, LEVELS } from '@bradyon/core/timing';
import type { GateRunId } from '@bradyon/core/units';

const { values } = parseArgs({
  options: {
    token: { type: 'string' },
    address: { type: 'string', default: 'http://127.0.0.1:4680' },
    number: { type: 'string' },
    runs: { type: 'string', default: '3' },
    pause: { type: 'string', default: '5' },
    level: { type: 'string', default: 'hs' },
    feet: { type: 'string', default: '0,10,30,88' },
    seed: { type: 'string' },
  },
});
const { token, address, number } = values;
const level = LEVEL_NAMES.find((name) => name === values.level);
const [runs, pause, seed] = [values.runs, values.pause, values.seed ?? Date.now()].map(Number);
const beamsFeet = values.feet.split(',').map(Number);

if (!token)
  stop(
    'Give the token of the device: npm run gates -- --token <token>. It is shown under Time, Gates.',
  );
if (!level) stop(`Give a level: ${LEVEL_NAMES.join(', ')}.`);
if (![runs, pause, seed, ...beamsFeet].every(Number.isFinite)) {
  stop('Give figures for runs, pause, seed and feet.');
}

const random = makeRandom(seed ?? 1);
const { topSpeed, accelerationSeconds } = LEVELS[level];
for (let run = 1; run <= (runs ?? 1); run += 1) {
  // One runner is not the same in every run.
  const curve = {
    topSpeed: normalDraw(random, topSpeed, topSpeed * 0.01),
    accelerationSeconds,
    startSpeed: 0,
  };
  const event: GateEvent = {
    id: randomUUID() as GateRunId,
    type: 'run',
    ...(number === undefined ? {} : { number }),
    takenAt: new Date().toISOString(),
    beams: simulateGateRun(random, curve, beamsFeet),
  };
  const response = await fetch(`${address}/api/gates/events`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Authorization: `Bearer ${token}` },
    body: JSON.stringify(event),
  }).catch(() => stop(`Nothing answers at ${address}. Start it with npm start.`));
  if (!response.ok) stop(((await response.json()) as Problem).detail);
  const { personName, readings, missedFeet } = (await response.json()) as GateAnswer;
  const missed = missedFeet.length > 0 ? `, missed at ${missedFeet.join(' and ')} ft` : '';
  process.stdout.write(`${personName}: ${String(readings)} times${missed}\n`);
  if (run < (runs ?? 1)) await new Promise((done) => setTimeout(done, (pause ?? 0) * 1000));
}

function stop(words: string): never {
  process.stderr.write(`${words}\n`);
  process.exit(1);
}
