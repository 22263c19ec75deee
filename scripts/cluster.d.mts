/** Types of cluster.mjs, which is plain JavaScript because it runs before anything is installed. */
export interface RunningCluster {
  adminUrl: string;
  ownerPassword: string;
  appPassword: string;
  sessionSecret: string;
  isRunning(): boolean;
  restart(): void;
  stop(mode?: 'fast' | 'immediate'): void;
}
export interface ThrowawayCluster extends RunningCluster {
  halt(): void;
}
export function stateFolder(): string;
export function makeFolder(folder: string): string;
export function startCluster(folder: string): Promise<RunningCluster>;
export function startThrowawayCluster(options?: { durable?: boolean }): Promise<ThrowawayCluster>;
export function freePort(wanted: number): Promise<number>;
