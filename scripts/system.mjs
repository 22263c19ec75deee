import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Advice, say } from './say.mjs';

export const isRoot = process.getuid?.() === 0;

/** Runs a command to its end. @throws Advice with its output when it fails */
export function command(file, args, { advice, ...options } = {}) {
  const result = spawnSync(file, args, { encoding: 'utf8', ...options });
  if (result.error || result.status !== 0) {
    // A program that crashes says nothing itself: only the signal that ended it.
    const crash = result.signal && `It was ended by ${result.signal}.`;
    const output = [result.error?.message, crash, result.stdout, result.stderr]
      .filter(Boolean)
      .join('\n');
    throw new Advice(`${file} ${args.join(' ')} failed.\n${output.trim()}\n${advice ?? ''}`.trim());
  }
  return result.stdout ?? '';
}

/** The folder of PostgreSQL's own programs (newest version), or null when it is not installed. */
function findPostgres() {
  const root = '/usr/lib/postgresql';
  const versions = existsSync(root) ? readdirSync(root).map(Number).filter(Number.isFinite) : [];
  const folders = versions.sort((a, b) => b - a).map((version) => `${root}/${version}/bin`);
  const onPath = (process.env.PATH ?? '').split(':');
  const hasAll = (folder) =>
    ['initdb', 'pg_ctl', 'postgres'].every((file) => existsSync(`${folder}/${file}`));
  return [...folders, ...onPath].find(hasAll) ?? null;
}

/** Debian's Chromium, or null. */
export function findChromium() {
  return (
    ['/usr/bin/chromium', '/usr/bin/chromium-browser'].find((file) => existsSync(file)) ?? null
  );
}

/** PostgreSQL's programs, installed from Debian's packages when missing. */
export function ensurePostgres() {
  const found = findPostgres();
  if (found) return found;
  say('Installing PostgreSQL from Debian packages (once)');
  // Debian would set up and start a cluster of its own on the default port; we make our own.
  const folder = '/etc/postgresql-common/createcluster.d';
  const file = path.join(folder, 'bradyon-install.conf');
  if (isRoot) {
    mkdirSync(folder, { recursive: true });
    writeFileSync(file, 'create_main_cluster = false\n');
  } else {
    command('sudo', ['mkdir', '-p', folder], { stdio: ['inherit', 'pipe', 'pipe'] });
    command('sudo', ['tee', file], { input: 'create_main_cluster = false\n' });
  }
  try {
    aptInstall(['postgresql']);
  } finally {
    if (isRoot) rmSync(file, { force: true });
    else command('sudo', ['rm', '-f', file]);
  }
  const installed = findPostgres();
  if (!installed)
    throw new Advice('PostgreSQL was installed but its programs are not in /usr/lib/postgresql.');
  return installed;
}

/** Chromium for the browser tests and pictures, installed from Debian's packages when missing. */
export function ensureChromium() {
  const found = findChromium();
  if (found) return found;
  say('Installing Chromium from Debian packages (once)');
  aptInstall(['chromium']);
  const installed = findChromium();
  if (!installed) throw new Advice('Chromium was installed but is not at /usr/bin/chromium.');
  return installed;
}

function aptInstall(packages) {
  const [file, ...first] = isRoot ? ['apt-get'] : ['sudo', 'apt-get'];
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const advice =
    `Install it yourself with: ${isRoot ? '' : 'sudo '}apt-get install ${packages.join(' ')}\n` +
    'It needs Debian, the network, and root or sudo. Then run this command again.';
  const options = { env, advice, stdio: ['inherit', 'pipe', 'pipe'], maxBuffer: 64 * 1024 * 1024 };
  command(file, [...first, 'update'], options);
  command(file, [...first, 'install', '-y', '--no-install-recommends', ...packages], options);
}
