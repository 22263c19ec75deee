import type { Server } from 'node:http';

/** Types of lan.mjs, which is plain JavaScript because npm start runs it. */
export function serveAuthority(
  authorityFile: string,
  address: string,
  port: number,
): Promise<Server>;
export function codeFor(address: string): Promise<string>;
