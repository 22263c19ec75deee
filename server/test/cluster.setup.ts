import type { TestProject } from 'vitest/node';
import { startThrowawayCluster } from '../../scripts/cluster.mjs';
import type { Cluster } from '../src/db/setup.ts';

declare module 'vitest' {
  export interface ProvidedContext {
    cluster: Cluster;
  }
}

/** One real PostgreSQL for all server suites; each suite makes a database of its own in it. */
export default async function setup(project: TestProject): Promise<() => void> {
  const cluster = await startThrowawayCluster();
  const { adminUrl, ownerPassword, appPassword } = cluster;
  project.provide('cluster', { adminUrl, ownerPassword, appPassword });
  return () => {
    cluster.stop();
  };
}
