import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { connect } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { describe, expect, it, onTestFinished } from 'vitest';
import { takeFolder } from '../../scripts/instance.mjs';

function aFolder(): string {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bradyon-instance-'));
  onTestFinished(() => {
    rmSync(folder, { recursive: true, force: true });
  });
  return folder;
}

describe('a state folder', () => {
  it('belongs to one instance: whoever comes second learns where the first is', () => {
    const folder = aFolder();
    const first = takeFolder(folder);
    if (first.other !== null) throw new Error('nobody was there before');
    expect(takeFolder(folder)).toEqual({
      other: expect.objectContaining({ pid: process.pid, address: null }) as object,
    });
    first.isAt('http://localhost:4680');
    expect(takeFolder(folder)).toMatchObject({ other: { address: 'http://localhost:4680' } });
    first.giveBack();
    const next = takeFolder(folder);
    expect(next.other).toBeNull();
  });

  it.each([
    ['of a process that has ended', { pid: 2 ** 22 + 1, startedAt: '1' }],
    ['of a process whose number another has now', { pid: process.pid, startedAt: '1' }],
  ])('is taken over when it is %s', (_name, left) => {
    const folder = aFolder();
    writeFileSync(path.join(folder, 'instance.json'), JSON.stringify({ ...left, address: 'x' }));
    expect(takeFolder(folder).other).toBeNull();
  });
});

describe('a cluster for a test', () => {
  it('goes with whoever started it, even when that one was killed', async () => {
    const scripts = path.resolve(import.meta.dirname, '../../scripts/cluster.mjs');
    const program = `
      import { startThrowawayCluster } from ${JSON.stringify(scripts)};
      const { adminUrl } = await startThrowawayCluster();
      process.stdout.write(adminUrl + '\\n');
      setInterval(() => undefined, 1000);`;
    const child = spawn('node', ['--input-type=module', '-e', program], {
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    const [line] = (await once(child.stdout, 'data')) as [Buffer];
    const port = Number(new URL(line.toString().trim()).port);
    const isUp = (): Promise<boolean> => listensAt(port);
    expect(await isUp()).toBe(true);
    child.kill('SIGKILL');
    await once(child, 'exit');
    await expect.poll(isUp, { timeout: 60_000 }).toBe(false);
  });
});

/** Whether somebody listens there. */
function listensAt(port: number): Promise<boolean> {
  return new Promise((resolve) => {
    const socket = connect(port, '127.0.0.1');
    socket.once('connect', () => {
      socket.destroy();
      resolve(true);
    });
    socket.once('error', () => {
      resolve(false);
    });
  });
}
