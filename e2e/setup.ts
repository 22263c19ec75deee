import { freePort, startThrowawayCluster } from '../scripts/cluster.mjs';
import { ensureBuilt } from '../scripts/install.mjs';
import { prepare, startServer } from '../scripts/serve.mjs';

/** The built application with the demo, on a database that is thrown away. */
export default async function setup(): Promise<() => Promise<void>> {
  ensureBuilt();
  const cluster = await startThrowawayCluster();
  const { appUrl } = prepare(cluster, 'fresh');
  const { sessionSecret } = cluster;
  const env = { CHECK_REPLIES: 'true' };
  const server = await startServer({ appUrl, sessionSecret, port: await freePort(0), env });
  process.env['BRADYON_URL'] = server.address;
  process.env['BRADYON_APP_URL'] = appUrl;
  process.env['BRADYON_SECRET'] = sessionSecret;
  const demo = await fetch(`${server.address}/api/accounts/demo-session`, { method: 'POST' });
  process.env['BRADYON_DEMO_COOKIE'] = demo.headers.get('set-cookie')?.split(';')[0] ?? '';
  return async () => {
    await server.stop();
    cluster.stop();
  };
}
