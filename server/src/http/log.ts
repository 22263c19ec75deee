import { pino, type Logger } from 'pino';

/**
 * What a log may hold of an error: its words, code and place. Errors of the database carry the
 * connection with them, which holds a key, and details, which hold what somebody entered.
 */
export function errorForLog(error: unknown): object {
  if (!(error instanceof Error)) return { message: 'not an error' };
  const code = 'code' in error && typeof error.code === 'string' ? { code: error.code } : {};
  return { type: error.name, message: error.message, ...code, stack: error.stack };
}

export function makeLogger(level: string): Logger {
  return pino({ level, serializers: { err: errorForLog } });
}
