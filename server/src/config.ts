/** How this server runs, from its environment. */
export interface Config {
  databaseUrl: string;
  host: string;
  port: number;
  /** Signs session cookies. */
  sessionSecret: string;
  /** True behind HTTPS. */
  secureCookies: boolean;
  /** Holds every reply against its contract: in tests and development. */
  checkReplies: boolean;
  /** Folder of the built web application. */
  webRoot: string;
  logLevel: string;
}

/** @throws Error naming the variable that is missing or no number */
export function configFrom(env: Record<string, string | undefined>): Config {
  const need = (name: string): string => {
    const value = env[name];
    if (!value) throw new Error(`Set ${name} in the environment.`);
    return value;
  };
  const port = Number(env['PORT'] ?? '4680');
  if (!Number.isInteger(port)) throw new Error('Set PORT to a whole number.');
  return {
    databaseUrl: need('DATABASE_URL'),
    host: env['HOST'] ?? '127.0.0.1',
    port,
    sessionSecret: need('SESSION_SECRET'),
    secureCookies: env['SECURE_COOKIES'] === 'true',
    checkReplies: env['CHECK_REPLIES'] === 'true',
    webRoot: need('WEB_ROOT'),
    logLevel: env['LOG_LEVEL'] ?? 'info',
  };
}
