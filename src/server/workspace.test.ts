import Sqlite from 'better-sqlite3';
import { execFileSync, spawn } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { troubleWords, type Trouble } from '@/core/shared/trouble';
import { readRecords } from '@/data/records';
import { route } from './http';
import { testBuild } from './testing/workspace';
import { closeWorkspace, dropWorkspace, patiently, workspace, workspaceTrouble } from './workspace';

/** Whether a disk of one's own can be made here: it takes the rights of root. */
const canMount = ((): boolean => {
  const place = fs.mkdtempSync(path.join(os.tmpdir(), 'evarn-mount-'));
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=1m', 'tmpfs', place], { stdio: 'ignore' });
    execFileSync('umount', [place], { stdio: 'ignore' });
    return true;
  } catch {
    return false;
  } finally {
    fs.rmSync(place, { recursive: true, force: true });
  }
})();

let folder: string;
beforeEach(() => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'evarn-workspace-'));
  process.env.EVARN_DATA = folder;
});
afterEach(() => {
  dropWorkspace();
  delete process.env.EVARN_DATA;
  fs.chmodSync(folder, 0o700);
  fs.rmSync(folder, { recursive: true, force: true });
});

/** Another process that takes the lock of the folder as a server does, and says when it has it. */
function otherServer(): Promise<{ pid: number; kill: () => Promise<void> }> {
  const code = `
    import Sqlite from 'better-sqlite3'; import fs from 'node:fs';
    const db = new Sqlite(${JSON.stringify(path.join(folder, 'lock.sqlite'))}, { timeout: 0 });
    db.exec('BEGIN EXCLUSIVE');
    fs.writeFileSync(${JSON.stringify(path.join(folder, 'lock.json'))}, JSON.stringify({ pid: process.pid, since: '2026-11-25T10:00:00.000Z', url: 'http://127.0.0.1:3717' }));
    console.log('held'); setInterval(() => {}, 1000);`;
  const child = spawn(process.execPath, ['--input-type=module', '-e', code], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const ended = new Promise<void>((done) => child.on('close', () => done()));
  return new Promise((done) =>
    child.stdout.once('data', () => done({ pid: child.pid!, kill: () => (child.kill('SIGKILL'), ended) })),
  );
}

describe('one folder, one server', () => {
  it('the second is told who holds it, and has it as soon as the first is gone, however that ended', async () => {
    const other = await otherServer();
    const trouble = workspaceTrouble();
    expect(trouble).toEqual({
      trouble: 'held',
      pid: other.pid,
      url: 'http://127.0.0.1:3717',
      since: '2026-11-25T10:00:00.000Z',
    });
    expect(troubleWords(trouble!, folder)).toContain(`process ${other.pid}`);
    await other.kill();
    closeWorkspace();
    expect(workspaceTrouble()).toBeNull();
  });
});

describe('another program that holds the data file', () => {
  it('is waited for without keeping anybody else waiting, and then told', async () => {
    testBuild(workspace());
    const other = new Sqlite(path.join(folder, 'evarn.sqlite'));
    other.exec('BEGIN IMMEDIATE');
    let beats = 0;
    const heart = setInterval(() => beats++, 10);
    const write = patiently(({ sqlite }) => sqlite.exec('BEGIN IMMEDIATE; COMMIT'));
    await new Promise((done) => setTimeout(done, 400));
    expect(beats).toBeGreaterThan(10);
    other.exec('COMMIT');
    await write;
    clearInterval(heart);
    other.close();
  });

  it('for too long is a sentence, not a failure', async () => {
    testBuild(workspace());
    const busy = Object.assign(new Error('database is locked'), { code: 'SQLITE_BUSY' });
    const response = await route(() => {
      throw busy;
    })(new Request('http://127.0.0.1/api/x'));
    expect(response.status).toBe(503);
    expect(await response.json()).toEqual({
      ok: false,
      reason: { refused: 'trouble', trouble: { trouble: 'busy' } },
    });
  });
});

describe('a failure that nobody foresaw', () => {
  it('is told as one, in the shape that windows know', async () => {
    const response = await route(() => {
      throw new Error('a fault of the program');
    })(new Request('http://127.0.0.1/api/x'));
    expect(response.status).toBe(500);
    expect(await response.json()).toMatchObject({
      ok: false,
      reason: { refused: 'failed', mark: expect.stringMatching(/^[0-9a-f]{8}$/) },
    });
  });
});

describe('a folder that cannot be worked in', () => {
  it.each<[string, () => void, Trouble['trouble']]>([
    [
      'no database at all',
      () => fs.writeFileSync(path.join(folder, 'evarn.sqlite'), 'x'.repeat(5000)),
      'damaged',
    ],
    [
      'a foreign database',
      () => new Sqlite(path.join(folder, 'evarn.sqlite')).exec('CREATE TABLE mine (x)').close(),
      'not as made',
    ],
  ])('%s', (_, make, trouble) => {
    make();
    expect(workspaceTrouble()).toMatchObject({ trouble });
    expect(troubleWords(workspaceTrouble()!, folder)).toContain(folder);
  });

  it.skipIf(process.getuid?.() === 0)('no right to write', () => {
    fs.chmodSync(folder, 0o500);
    expect(workspaceTrouble()).toMatchObject({ trouble: 'not allowed' });
  });

  it.each([
    ['ENOSPC', 'no space'],
    ['SQLITE_FULL', 'no space'],
    ['EROFS', 'read-only'],
    ['SQLITE_READONLY', 'read-only'],
    ['EACCES', 'not allowed'],
    ['SQLITE_CANTOPEN', 'not allowed'],
  ])('%s is told as %s', async (code, trouble) => {
    const response = await route(() => {
      throw Object.assign(new Error('x'), { code });
    })(new Request('http://127.0.0.1/'));
    expect(await response.json()).toEqual({
      ok: false,
      reason: { refused: 'trouble', trouble: { trouble } },
    });
  });

  it.skipIf(!canMount)('a disk that really is read-only, or full, is told as what it is', () => {
    const disk = path.join(folder, 'disk');
    fs.mkdirSync(disk);
    execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=1m', 'tmpfs', disk]);
    try {
      const inside = path.join(disk, 'workspace');
      process.env.EVARN_DATA = inside;
      fs.mkdirSync(inside);
      fs.writeFileSync(path.join(disk, 'ballast'), Buffer.alloc(1000 * 1024));
      expect(workspaceTrouble()).toEqual({ trouble: 'no space' });
      fs.rmSync(path.join(disk, 'ballast'));
      dropWorkspace();
      for (const at of [inside, path.join(disk, 'not', 'there')]) {
        process.env.EVARN_DATA = at;
        execFileSync('mount', ['-o', 'remount,ro', disk]);
        closeWorkspace();
        expect([at, workspaceTrouble()]).toEqual([at, { trouble: 'read-only' }]);
        execFileSync('mount', ['-o', 'remount,rw', disk]);
      }
    } finally {
      dropWorkspace();
      execFileSync('umount', [disk]);
    }
  });

  it('something that is no folder where the folder should be', () => {
    fs.writeFileSync(path.join(folder, 'file'), 'x');
    process.env.EVARN_DATA = path.join(folder, 'file');
    expect(workspaceTrouble()).toEqual({ trouble: 'not allowed' });
  });

  it('what a cut-off restore left is cleared away, the workspace is not', () => {
    testBuild(workspace());
    closeWorkspace();
    dropWorkspace();
    fs.writeFileSync(path.join(folder, 'incoming-20261124.sqlite'), 'half');
    expect(readRecords(workspace().db, 'build')).toHaveLength(1);
    expect(fs.readdirSync(folder).filter((f) => f.startsWith('incoming'))).toEqual([]);
  });
});
