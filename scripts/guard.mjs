/**
 * Cleans up after whoever started it, however that one ended: when its standard input closes, the
 * throwaway cluster is stopped and its folder removed. Started by cluster.mjs.
 */
import { spawnSync } from 'node:child_process';
import { rmSync } from 'node:fs';

const [folder, ...stopCluster] = process.argv.slice(2);
// Ctrl-C reaches every process of the terminal; this one is the last to go.
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => undefined);
process.stdin.resume();
process.stdin.on('end', () => {
  const [file, ...args] = stopCluster;
  spawnSync(file, args, { cwd: '/', stdio: 'ignore' });
  rmSync(folder, { recursive: true, force: true });
  process.exit(0);
});
