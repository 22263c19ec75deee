/**
 * `npm start`: everything from a bare Debian with Node.js to the application in the browser.
 * `npm start -- --fresh` restores the demo first.
 */
import { freePort, makeFolder, startCluster, stateFolder } from './cluster.mjs';
import { checkNode, ensureBuilt, ensurePackages } from './install.mjs';
import { takeFolder } from './instance.mjs';
import { Advice, run, say } from './say.mjs';
import { prepare, startServer } from './serve.mjs';

const DEFAULT_PORT = 4680;
const LOOK_MS = 2000;
const MOST_RESTARTS = 5;

await run(async () => {
  const fresh = process.argv.includes('--fresh');
  checkNode();
  ensurePackages();
  const folder = makeFolder(stateFolder());
  const instance = takeFolder(folder);
  if (instance.other) {
    sayWhere(instance.other, fresh);
    return;
  }
  ensureBuilt();

  let cluster = null;
  let server = null;
  // One orderly end, however it is asked for: the server first, then the database it uses.
  let stopping = null;
  const stop = () => {
    stopping ??= (async () => {
      await server?.stop();
      cluster?.stop();
      instance.giveBack();
    })();
    return stopping;
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
    process.on(signal, () => {
      if (!stopping) say('Stopping');
      void stop().then(() => process.exit(0));
    });
  }

  try {
    say(`Starting the database (${folder})`);
    cluster = await startCluster(folder);
    say(fresh ? 'Restoring the demo' : 'Bringing the database up to date');
    const { appUrl, demo } = prepare(cluster, fresh ? 'fresh' : 'keep');
    const port = await freePort(Number(process.env.PORT ?? DEFAULT_PORT));
    say('Starting the server');
    server = await startServer({ appUrl, sessionSecret: cluster.sessionSecret, port });
    const address = `http://localhost:${port}`;
    instance.isAt(address);

    const lines = [`Bradyon is at ${address}`];
    if (demo) lines.push(`Demo: ${demo.email} / ${demo.password}, or one click on the first page`);
    lines.push('Ctrl-C stops it. What you enter is kept; npm start -- --fresh restores the demo.');
    process.stdout.write(`\n${lines.join('\n')}\n\n`);

    const lost = watchOver(cluster, () => stopping !== null);
    await Promise.race([server.ended, lost]);
    if (!stopping) process.exitCode = 1;
  } finally {
    await stop();
  }
});

/** One folder, one instance: whoever comes second learns where the first is. */
function sayWhere({ pid, address }, fresh) {
  if (fresh) {
    throw new Advice(
      `Bradyon is running from this folder (process ${pid}). Stop it first, then restore the demo.`,
    );
  }
  const where = address ? `Bradyon is at ${address} already` : 'Bradyon is starting already';
  process.stdout.write(`\n${where} (process ${pid}).\n\n`);
}

/** Brings the database back when it goes away. Rejects with the reason when it does not come back. */
function watchOver(cluster, isStopping) {
  return new Promise((_, reject) => {
    let restarts = 0;
    const look = () => {
      if (isStopping()) return;
      if (!cluster.isRunning()) {
        restarts += 1;
        if (restarts > MOST_RESTARTS) {
          reject(new Advice('The database goes away again and again. Its log says why.'));
          return;
        }
        say('The database went away: starting it again');
        try {
          cluster.restart();
        } catch (error) {
          reject(error);
          return;
        }
      }
      setTimeout(look, LOOK_MS).unref();
    };
    setTimeout(look, LOOK_MS).unref();
  });
}
