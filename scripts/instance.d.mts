/** Types of instance.mjs, which is plain JavaScript because npm start runs it. */
export type Taken =
  | { other: { pid: number; address: string | null } }
  | { other: null; isAt(address: string): void; giveBack(): void };
export function takeFolder(folder: string): Taken;
