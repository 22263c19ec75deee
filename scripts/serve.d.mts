import type { RunningCluster } from './cluster.d.mts';

/** Types of serve.mjs, which is plain JavaScript because npm start runs it. */
export interface RunningServer {
  address: string;
  ended: Promise<unknown>;
  stop(signal?: NodeJS.Signals): Promise<void>;
}
export function prepare(
  cluster: RunningCluster,
  mode: 'keep' | 'fresh',
): { appUrl: string; demo: { email: string; password: string } | null };
export function startServer(options: {
  appUrl: string;
  sessionSecret: string;
  port: number;
  tls?: { key: string; certificate: string } | null;
  env?: Record<string, string>;
}): Promise<RunningServer>;
