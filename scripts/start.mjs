/**
 * `npm start`: everything from a bare Debian with Node.js to the application in the browser.
 * `npm start -- --fresh` restores the demo first; `npm start -- --lan` serves the network it is on, over HTTPS.
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
  const onLan = process.argv.includes('--lan');
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
  let beside = null;
  // One orderly end, however it is asked for: the server first, then the database it uses.
  let stopping = null;
  const stop = () => {
    stopping ??= (async () => {
      beside?.close();
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
    const { sessionSecret } = cluster;
    const lan = onLan ? await prepareLan(folder, port) : null;
    server = await startServer({ appUrl, sessionSecret, port, tls: lan?.tls ?? null });
    const address = lan?.address ?? `http://localhost:${port}`;
    if (lan) beside = await lan.serveBeside();
    instance.isAt(address);

    const lines = [`Bradyon is at ${address}`, ...(lan?.lines ?? [])];
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

/** On the field's own network: certificates for this machine's addresses, and a page that explains them. */
async function prepareLan(folder, port) {
  const { ensureCertificates, ownAddresses } = await import('./authority.mjs');
  const { codeFor, serveAuthority } = await import('./lan.mjs');
  const addresses = ownAddresses();
  const [first] = addresses;
  if (first === undefined) {
    throw new Advice('This machine is on no network. Join one, or start without --lan.');
  }
  const tls = ensureCertificates(folder, addresses);
  const address = `https://${first}:${port}`;
  const helpPort = await freePort(port + 1);
  const help = `http://${first}:${helpPort}`;
  return {
    tls,
    address,
    serveBeside: () => serveAuthority(tls.authority, address, helpPort),
    lines: [
      `Phones and tablets: open ${help} first, or scan this:`,
      await codeFor(help),
      'It offers this installation’s certificate with the steps. A device without it can use Bradyon',
      'past a warning while connected, but cannot install it or open it without the network.',
    ],
  };
}

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
