/**
 * `npm test`: everything that has to hold, on a machine that has only Debian and Node.js.
 * The last line is counted from the runners' own reports: `N passed, N failed`.
 */
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { checkNode, ensurePackages } from './install.mjs';
import { checkLicences } from './licences.mjs';
import { run, say } from './say.mjs';
import { ensureChromium, ensurePostgres } from './system.mjs';

const root = path.resolve(import.meta.dirname, '..');
const results = path.join(root, 'test-results');

const LINT = ['lint', ['eslint', '.', '--max-warnings', '0']];
const OTHER_CHECKS = [
  ['format', ['prettier', '--check', '--log-level', 'warn', '.']],
  ...['core', 'contract', 'server', 'web', 'e2e'].map((name) => [
    `types of ${name}`,
    ['tsc', '-p', name],
  ]),
  ['dead code', ['knip']],
];

const END_MS = 8000;
/** Everything that runs; each in a group of its own, so that whoever is interrupted leaves nothing behind. */
const running = new Set();
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
  process.on(signal, () => {
    say('Interrupted: stopping what runs');
    const end = (how) => {
      for (const { pid } of running) {
        try {
          process.kill(-pid, how);
        } catch {
          // It has ended already.
        }
      }
    };
    end('SIGINT');
    setTimeout(() => end('SIGKILL'), END_MS).unref();
    const look = setInterval(() => {
      if (running.size > 0) return;
      clearInterval(look);
      process.exit(130);
    }, 100);
  });
}

await run(async () => {
  checkNode();
  ensurePackages();
  ensurePostgres();
  ensureChromium();
  rmSync(results, { recursive: true, force: true });
  mkdirSync(results, { recursive: true });

  const tally = { passed: 0, failed: 0 };
  const wrong = [];
  const add = ({ passed, failed }, ...names) => {
    tally.passed += passed;
    tally.failed += failed;
    wrong.push(...names);
  };
  const one = (name, ok) =>
    ok ? add({ passed: 1, failed: 0 }) : add({ passed: 0, failed: 1 }, name);
  // The linter takes as long as the rest together, so it has a lane of its own.
  const check = async ([name, args]) => {
    const { ok, output } = await npxBeside(args);
    process.stdout.write(output);
    say(`${name}: ${ok ? 'passed' : 'FAILED'}`);
    one(name, ok);
  };
  const others = async () => {
    for (const each of OTHER_CHECKS) await check(each);
  };
  await Promise.all([check(LINT), others()]);
  const licences = checkLicences();
  say(`licences: ${licences.length === 0 ? 'passed' : `FAILED: ${licences.join(', ')}`}`);
  one('licences', licences.length === 0);
  const unitReport = path.join(results, 'unit.json');
  await npx([
    'vitest',
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${unitReport}`,
  ]);
  const unit = reportIn(unitReport);
  add(countUnit(unit), ...wrongUnit(unit));
  await npx(['playwright', 'test', '--config', 'e2e/playwright.config.ts']);
  const e2e = reportIn(path.join(results, 'e2e.json'));
  add(countE2e(e2e), ...wrongE2e(e2e));

  // Whoever sees only the end of a long run sees what to look for.
  for (const name of wrong) say(`FAILED: ${name}`);
  process.stdout.write(`${tally.passed} passed, ${tally.failed} failed\n`);
  process.exitCode = tally.failed === 0 ? 0 : 1;
});

function start(args, stdio) {
  const child = spawn('npx', ['--no-install', ...args], { cwd: root, stdio, detached: true });
  running.add(child);
  child.once('close', () => running.delete(child));
  return child;
}

function npx(args) {
  return new Promise((resolve) => {
    const child = start(args, ['ignore', 'inherit', 'inherit']);
    child.once('error', () => resolve(false));
    child.once('close', (status) => resolve(status === 0));
  });
}

/** The same beside others: what it prints comes at its end, in one piece. */
function npxBeside(args) {
  return new Promise((resolve) => {
    const child = start(args, ['ignore', 'pipe', 'pipe']);
    let output = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (part) => (output += part));
    child.once('error', (error) => resolve({ ok: false, output: String(error) }));
    child.once('close', (status) => resolve({ ok: status === 0, output }));
  });
}

/** null: the runner did not get as far as a report, which is a failure of its own. */
function reportIn(file) {
  return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null;
}

/** A file that could not be loaded, and a test that was skipped, count as failed. */
function countUnit(report) {
  if (!report) return { passed: 0, failed: 1 };
  const unloaded = report.testResults.filter(
    ({ status, assertionResults }) => status === 'failed' && assertionResults.length === 0,
  ).length;
  const notRun = report.numPendingTests + report.numTodoTests;
  return { passed: report.numPassedTests, failed: report.numFailedTests + notRun + unloaded };
}

function countE2e(report) {
  if (!report) return { passed: 0, failed: 1 };
  const { expected, unexpected, flaky, skipped } = report.stats;
  return { passed: expected, failed: unexpected + flaky + skipped + report.errors.length };
}

const FIRST_LINES = 8;

function firstLines(text = '') {
  return stripVTControlCharacters(text).split('\n').slice(0, FIRST_LINES).join('\n');
}

/** What failed among the unit tests, each with what it said first. */
function wrongUnit(report) {
  if (!report) return ['unit tests: no report'];
  return report.testResults.flatMap(({ name, status, message, assertionResults }) => {
    const file = path.relative(root, name);
    if (status === 'failed' && assertionResults.length === 0) return [`${file}: ${message}`];
    return assertionResults
      .filter((test) => test.status !== 'passed')
      .map((test) => `${file}: ${test.fullName}\n${firstLines(test.failureMessages?.[0])}`);
  });
}

/** The same of the stories in the browser. */
function wrongE2e(report) {
  if (!report) return ['stories in the browser: no report'];
  const inSuite = (suite) => [
    ...(suite.suites ?? []).flatMap(inSuite),
    ...(suite.specs ?? [])
      .filter(({ tests }) => tests.some(({ status }) => status !== 'expected'))
      .map(({ file, title, tests }) => {
        const said = tests.flatMap(({ results }) => results).find(({ error }) => error);
        return `${file}: ${title}\n${firstLines(said?.error.message)}`;
      }),
  ];
  return [...report.suites.flatMap(inSuite), ...report.errors.map(({ message }) => message)];
}
