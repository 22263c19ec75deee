import { spawn } from 'node:child_process';
import http from 'node:http';
import https from 'node:https';
import path from 'node:path';
import { Advice } from './say.mjs';
import { command } from './system.mjs';

const root = path.resolve(import.meta.dirname, '..');

/**
 * Roles, database, schema and demo data.
 * @param mode 'keep' or 'fresh' (removes everything first)
 */
export function prepare(cluster, mode) {
  const { adminUrl, ownerPassword, appPassword, sessionSecret } = cluster;
  const output = command('node', [path.join(root, 'server/dist/setup.js'), mode], {
    env: {
      ...process.env,
      CLUSTER: JSON.stringify({ adminUrl, ownerPassword, appPassword }),
      SESSION_SECRET: sessionSecret,
    },
    advice: 'If the data is beyond use, restore the demo with: npm start -- --fresh',
  });
  return JSON.parse(output.trim().split('\n').at(-1) ?? '');
}

/** Starts the built server and waits until it answers. */
export async function startServer({ appUrl, sessionSecret, port, tls = null, env = {} }) {
  const child = spawn('node', [path.join(root, 'server/dist/main.js')], {
    // Its standard input closes with whoever starts it, however that one ends; then it ends too.
    stdio: ['pipe', 'inherit', 'inherit'],
    // A group of its own: Ctrl-C reaches the script that started it, which then stops it in order.
    detached: true,
    env: {
      ...process.env,
      DATABASE_URL: appUrl,
      SESSION_SECRET: sessionSecret,
      WEB_ROOT: path.join(root, 'web/dist'),
      PORT: String(port),
      LOG_LEVEL: 'warn',
      END_WITH_PARENT: 'true',
      ...(tls && {
        HOST: '0.0.0.0',
        TLS_KEY: tls.key,
        TLS_CERTIFICATE: tls.certificate,
        SECURE_COOKIES: 'true',
      }),
      ...env,
    },
  });
  const ended = new Promise((resolve) => child.once('exit', resolve));
  let gone = false;
  void ended.then(() => (gone = true));
  const address = `${tls ? 'https' : 'http'}://127.0.0.1:${port}`;
  const deadline = Date.now() + 30_000;
  while (!(await answers(`${address}/readyz`))) {
    if (gone || Date.now() > deadline) {
      child.kill('SIGKILL');
      throw new Advice('The server did not come up. What it printed above says why.');
    }
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  return {
    address,
    ended,
    async stop(signal = 'SIGTERM') {
      child.kill(signal);
      await ended;
    },
  };
}

function answers(url) {
  const { get } = url.startsWith('https') ? https : http;
  return new Promise((resolve) => {
    // It is asked whether it is up, not who it is: its certificate is checked by whoever comes by the network.
    get(url, { rejectUnauthorized: false }, (reply) => {
      reply.resume();
      resolve(reply.statusCode === 200);
    }).on('error', () => resolve(false));
  });
}
