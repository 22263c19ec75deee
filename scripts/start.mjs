/**
 * `npm start`: everything from a bare Debian with Node.js to the application in the browser.
 * `npm start -- --fresh` restores the demo first.
 */
import { freePort, startCluster, stateFolder } from './cluster.mjs';
import { checkNode, ensureBuilt, ensurePackages } from './install.mjs';
import { run, say } from './say.mjs';
import { prepare, startServer } from './serve.mjs';

const DEFAULT_PORT = 4680;

await run(async () => {
  const fresh = process.argv.includes('--fresh');
  checkNode();
  ensurePackages();
  ensureBuilt();

  const folder = stateFolder();
  say(`Starting the database (${folder})`);
  const cluster = await startCluster(folder);
  let server = null;
  // One orderly end, however it is asked for: the server first, then the database it uses.
  let stopping = null;
  const stop = () => {
    stopping ??= (async () => {
      await server?.stop();
      if (cluster.startedHere) cluster.stop();
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
    say(fresh ? 'Restoring the demo' : 'Bringing the database up to date');
    const { appUrl, demo } = prepare(cluster, fresh ? 'fresh' : 'keep');
    const port = await freePort(Number(process.env.PORT ?? DEFAULT_PORT));
    say('Starting the server');
    server = await startServer({ appUrl, sessionSecret: cluster.sessionSecret, port });

    const lines = [`Bradyon is at http://localhost:${port}`];
    if (demo) lines.push(`Demo: ${demo.email} / ${demo.password}, or one click on the first page`);
    lines.push('Ctrl-C stops it. What you enter is kept; npm start -- --fresh restores the demo.');
    process.stdout.write(`\n${lines.join('\n')}\n\n`);

    await server.ended;
    if (!stopping) process.exitCode = 1;
  } finally {
    await stop();
  }
});
