import { signKeysFrom, type SignKey } from './signKeys.ts';

/** How this server runs, from its environment. */
export interface Config {
  databaseUrl: string;
  host: string;
  port: number;
  /** Signs session cookies. */
  sessionSecret: string;
  /** Keys that wrap those of the teams' signs, the newest first; none of them is in the database. */
  signKeys: readonly SignKey[];
  /** Files of the key and certificate for HTTPS; null: plain HTTP, behind a proxy or on loopback. */
  tls: { keyFile: string; certificateFile: string } | null;
  /** True behind HTTPS. */
  secureCookies: boolean;
  /** The proxies in front, as Express takes them: how many, or their addresses; false: none. */
  trustProxy: number | string | false;
  /** Holds every reply against its contract: in tests and development. */
  checkReplies: boolean;
  /** Folder of the built web application. */
  webRoot: string;
  /** The built program that brings team files in, beside the server. */
  importer: string;
  /** Ends when whoever started it does: its standard input closes then. */
  endWithParent: boolean;
  logLevel: string;
}

/** @throws Error naming the variable that is missing or does not fit */
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
    signKeys: signKeysFrom(env['SIGN_KEYS'], need('SESSION_SECRET')),
    tls: tlsFrom(env['TLS_KEY'], env['TLS_CERTIFICATE']),
    secureCookies: env['SECURE_COOKIES'] === 'true',
    trustProxy: proxiesFrom(env['TRUST_PROXY']),
    checkReplies: env['CHECK_REPLIES'] === 'true',
    webRoot: need('WEB_ROOT'),
    importer: env['IMPORTER'] ?? `${import.meta.dirname}/importer.js`,
    endWithParent: env['END_WITH_PARENT'] === 'true',
    logLevel: env['LOG_LEVEL'] ?? 'info',
  };
}

/** One without the other is a mistake, not a wish for plain HTTP. */
function tlsFrom(keyFile: string | undefined, certificateFile: string | undefined): Config['tls'] {
  if (!keyFile && !certificateFile) return null;
  if (!keyFile || !certificateFile) throw new Error('Set both TLS_KEY and TLS_CERTIFICATE.');
  return { keyFile, certificateFile };
}

/** Trusting everybody would let anybody choose the address that limits count by. */
function proxiesFrom(text: string | undefined): Config['trustProxy'] {
  if (!text) return false;
  if (text === 'true') {
    throw new Error('Set TRUST_PROXY to how many proxies are in front, or to their addresses.');
  }
  return /^\d+$/.test(text) ? Number(text) : text;
}
