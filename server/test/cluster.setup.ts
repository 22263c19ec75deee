import path from 'node:path';
import type { TestProject } from 'vitest/node';
import { startThrowawayCluster } from '../../scripts/cluster.mjs';
import { ensureBuilt } from '../../scripts/install.mjs';
import type { Cluster } from '../src/db/setup.ts';

declare module 'vitest' {
  export interface ProvidedContext {
    cluster: Cluster;
    /** The built program that brings team files in. */
    importer: string;
  }
}

/** One real PostgreSQL for all server suites; each suite makes a database of its own in it. */
export default async function setup(project: TestProject): Promise<() => void> {
  const cluster = await startThrowawayCluster();
  const { adminUrl, ownerPassword, appPassword } = cluster;
  project.provide('cluster', { adminUrl, ownerPassword, appPassword });
  // A worker is started from a file that Node.js itself can read.
  ensureBuilt(['server']);
  project.provide('importer', path.resolve(import.meta.dirname, '../dist/importer.js'));
  return () => {
    cluster.stop();
  };
}
