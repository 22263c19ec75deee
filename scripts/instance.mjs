import { linkSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';

/** What stands in the state folder of a running instance. */
const FILE = 'instance.json';

/** Whether a process that says it runs from here still does: numbers of processes come round again. */
function isAlive({ pid, startedAt }) {
  try {
    return startOf(pid) === startedAt;
  } catch {
    return false;
  }
}

/** When a process was started, in the kernel's own ticks: with its number it names one process. */
function startOf(pid) {
  const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
  return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19];
}

function read(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return null;
  }
}

/**
 * Takes the state folder for this process: one instance, one folder.
 * @returns what gives it back, or who has it and where that one is (address null: still starting)
 */
export function takeFolder(folder) {
  const file = path.join(folder, FILE);
  const own = { pid: process.pid, startedAt: startOf(process.pid), address: null };
  for (;;) {
    // Written first and then given its name, so that nobody ever reads half of it.
    const draft = `${file}.${process.pid}`;
    writeFileSync(draft, JSON.stringify(own), { mode: 0o600 });
    try {
      linkSync(draft, file);
      break;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
      const other = read(file);
      if (other && isAlive(other)) return { other };
      // It ended without giving it back.
      rmSync(file, { force: true });
    } finally {
      rmSync(draft, { force: true });
    }
  }
  return {
    other: null,
    isAt(address) {
      writeFileSync(file, JSON.stringify({ ...own, address }));
    },
    giveBack() {
      if (read(file)?.pid === process.pid) rmSync(file, { force: true });
    },
  };
}
