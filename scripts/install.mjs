import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync, mkdirSync } from 'node:fs';
import path from 'node:path';
import { command } from './system.mjs';
import { Advice, say } from './say.mjs';

const root = path.resolve(import.meta.dirname, '..');
const stamps = path.join(root, 'node_modules', '.bradyon');

/** Refuses a Node.js that the packages do not run on, saying which one to take. */
export function checkNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    throw new Advice(`Bradyon needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
  }
}

/** Installs npm packages when the lock file is not the one they were installed from. */
export function ensurePackages() {
  const lock = hashOf(['package-lock.json']);
  if (isDone('packages', lock)) return;
  say('Installing npm packages');
  command('npm', ['ci', '--no-audit', '--no-fund'], {
    cwd: root,
    shell: false,
    maxBuffer: 64 * 1024 * 1024,
    advice: 'Check the network and the npm registry, then run this command again.',
  });
  done('packages', lock);
}

/** Builds the server and the pages, each only when something it is made of has changed. */
export function ensureBuilt(parts = ['server', 'web']) {
  const shared = ['package-lock.json', 'core/src', 'contract/src'];
  for (const [part, inputs] of [
    ['server', ['server/src', 'server/vite.config.ts', 'server/package.json']],
    ['web', ['web/src', 'web/public', 'web/index.html', 'web/vite.config.ts']],
  ]) {
    if (!parts.includes(part)) continue;
    const state = hashOf([...shared, ...inputs]);
    if (isDone(`build-${part}`, state) && existsSync(path.join(root, part, 'dist'))) continue;
    say(`Building ${part === 'web' ? 'the pages' : 'the server'}`);
    command('npx', ['vite', 'build', '--logLevel', 'warn'], { cwd: path.join(root, part) });
    done(`build-${part}`, state);
  }
}

function isDone(name, state) {
  const file = path.join(stamps, name);
  return existsSync(file) && readFileSync(file, 'utf8') === state;
}

function done(name, state) {
  mkdirSync(stamps, { recursive: true });
  writeFileSync(path.join(stamps, name), state);
}

function hashOf(inputs) {
  const hash = createHash('sha256');
  for (const input of inputs)
    for (const file of filesIn(path.join(root, input))) {
      hash.update(path.relative(root, file)).update(readFileSync(file));
    }
  return hash.digest('hex');
}

function filesIn(file) {
  if (!existsSync(file)) return [];
  if (!statSync(file).isDirectory()) return [file];
  return readdirSync(file)
    .sort()
    .flatMap((name) => filesIn(path.join(file, name)))
    .filter((name) => !name.endsWith('.test.ts'));
}
