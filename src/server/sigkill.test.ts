import { build } from 'esbuild';
import { spawn } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { applyDiff, emptyRecordSet, invertDiff, type Diff, type RecordSet } from '@/core/ledger';
import { recordsOf } from '@/core/workbench';
import { openDatabase, type Handle } from '@/data/database';
import { unbalanced } from '@/data/balances';
import { readRecords } from '@/data/records';
import { RECORD_TYPES, type TypedRecord } from '@/core/ledger';
import { between, seededRandom } from '@/core/shared/random';
import { testBuild } from './testing/workspace';

const KILLS = Number(process.env.KILLS ?? 100);
/** Writes within which it is killed, and the least time for that: a slow machine takes longer for each. */
const WITHIN = { writes: 4, ms: 60 };
const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'evarn-kill-'));
const writer = path.resolve('node_modules/.cache/evarn-writer.mjs');

/** Starts a writer, kills it while it writes, and gives the requests that it had acknowledged by then. */
function runAndKill(prefix: string, afterMs: number): Promise<string[]> {
  return new Promise((done, failed) => {
    const child = spawn(process.execPath, [writer, folder, prefix], { stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    let errors = '';
    let armed = false;
    child.stdout.on('data', (text: Buffer) => {
      said += text.toString();
      if (armed) return;
      armed = true;
      setTimeout(() => child.kill('SIGKILL'), afterMs);
    });
    child.stderr.on('data', (text: Buffer) => (errors += text.toString()));
    child.on('close', (_, signal) =>
      signal === 'SIGKILL'
        ? done(said.split('\n').slice(0, -1))
        : failed(new Error(`the writer ended by itself: ${errors}`)),
    );
  });
}

/** How long one write takes on this machine, now. */
async function msOfOneWrite(): Promise<number> {
  const ms = 1000;
  return ms / Math.max(1, (await runAndKill('pace', ms)).length - 1);
}

/** The records as all changes on file make them, from nothing. */
function replay(handle: Handle): RecordSet {
  const rows = handle.sqlite
    .prepare(
      'select c.direction, a.diff from changes c join actions a on a.id = c.action order by c.revision',
    )
    .all() as { direction: string; diff: string }[];
  return rows.reduce((records, { direction, diff }) => {
    const read = JSON.parse(diff) as Diff;
    return applyDiff(records, direction === 'undo' ? invertDiff(read) : read);
  }, emptyRecordSet());
}

const sorted = (records: readonly TypedRecord[]) =>
  records
    .map((r) =>
      JSON.stringify([r.type, r.record.id, Object.entries(r.record).sort(([a], [b]) => (a < b ? -1 : 1))]),
    )
    .sort();

describe('killed while it writes', () => {
  beforeAll(async () => {
    await build({
      entryPoints: ['src/server/testing/writer.ts'],
      outfile: writer,
      bundle: true,
      platform: 'node',
      format: 'esm',
      // Everything else in one file: dozens of starts are most of the wait.
      external: ['better-sqlite3'],
      banner: {
        js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
      },
      alias: { '@': path.resolve('src') },
    });
    const handle = openDatabase(folder, new Date());
    testBuild(handle);
    handle.sqlite.close();
  });
  afterAll(() => fs.rmSync(folder, { recursive: true, force: true }));

  it(
    `${KILLS} times: nothing acknowledged is lost, nothing is half written`,
    { timeout: Math.max(300_000, KILLS * 5000) },
    async () => {
      const random = seededRandom(17);
      const window = Math.max(WITHIN.ms, WITHIN.writes * (await msOfOneWrite()));
      let acknowledged = 0;
      for (let n = 0; n < KILLS; n++) {
        const acks = await runAndKill(`k${n}`, between(random, 0, Math.round(window)));
        acknowledged += acks.length;
        const handle = openDatabase(folder, new Date());
        expect(handle.sqlite.pragma('integrity_check', { simple: true })).toBe('ok');
        expect(handle.sqlite.pragma('foreign_key_check')).toEqual([]);
        const kept = new Set(
          (handle.sqlite.prepare('select request from changes').all() as { request: string }[]).map(
            (r) => r.request,
          ),
        );
        expect(acks.filter((id) => !kept.has(id))).toEqual([]);
        expect(unbalanced(handle.db)).toEqual([]);
        if (n % 20 === 19) {
          const there = RECORD_TYPES.flatMap((type) =>
            readRecords(handle.db, type).map((record) => ({ type, record }) as TypedRecord),
          );
          expect(sorted(there)).toEqual(sorted(recordsOf(replay(handle))));
        }
        handle.sqlite.close();
      }
      expect(acknowledged).toBeGreaterThan(KILLS);
    },
  );
});
