import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import writeXlsxFile from 'write-excel-file/node';
import { planSchema } from '@/core/sourcing';
import { between, pick, seededRandom, type Random } from '@/core/shared/random';
import { faultsOf, randomProblem } from '@/core/testing/sourcing';
import { booksFault } from '@/data/check-books';
import { countingIds } from '@/core/shared/ids';
import { readBytes } from '@/workers/read-table/read-bytes';
import { requestFault } from '@/workers/sourcing/read-request';
import { prepare } from '@/workers/restore/prepare';
import { importModFile } from './import-mod-file';
import { solveSourcing } from './solve-sourcing';
import { wholeFile } from './export-file';
import { keepPhoto } from './keep-photo';
import { NOW, testBuild, type TestBuild } from './testing/workspace';

/**
 * Every reader of foreign files, given files that are damaged in all sorts of ways. Whatever comes in is read or refused
 * with a reason: nothing throws, hangs, or is half taken. `npm run fuzz` gives each many more, from another seed.
 */
const CASES = Number(process.env.FUZZ_CASES ?? 60);
const SEED = Number(process.env.FUZZ_SEED ?? 1);

const NOISE = [
  '\0',
  '"',
  "'",
  '\\',
  '{',
  '}',
  '[',
  ']',
  ',',
  ';',
  '\t',
  '\n',
  '\r',
  '=1+1',
  '-',
  '0',
  '-1',
  '1e999',
  '9'.repeat(30),
  'null',
  'true',
  '\ud83e',
  '\u202e',
  '<',
  '&',
  '../',
  '%00',
  '\ufeff',
  ' '.repeat(300),
  'x'.repeat(3000),
  '__proto__',
];

/** Some bytes changed, put in, taken out, doubled or cut off. */
function damaged(good: Uint8Array, random: Random): Uint8Array {
  let bytes = Buffer.from(good);
  for (let n = between(random, 1, 6); n > 0; n--) {
    const at = between(random, 0, Math.max(0, bytes.length - 1));
    const to = Math.min(bytes.length, at + between(random, 0, 200));
    const roll = random();
    if (roll < 0.35 && bytes.length > 0) bytes[at] = between(random, 0, 255);
    else if (roll < 0.6)
      bytes = Buffer.concat([bytes.subarray(0, at), Buffer.from(pick(random, NOISE)), bytes.subarray(at)]);
    else if (roll < 0.75) bytes = Buffer.concat([bytes.subarray(0, at), bytes.subarray(to)]);
    else if (roll < 0.9) bytes = Buffer.concat([bytes.subarray(0, to), bytes.subarray(at)]);
    else bytes = Buffer.from(bytes.subarray(0, to));
  }
  return new Uint8Array(bytes);
}

/** A JSON value with some of its values changed for others that have no business there. */
function bent(value: unknown, random: Random, chance: number): unknown {
  if (random() < chance)
    return pick<unknown>(random, [
      null,
      true,
      0,
      -1,
      1e21,
      0.5,
      '',
      'x',
      pick(random, NOISE),
      [],
      {},
      [value],
      { value },
    ]);
  if (Array.isArray(value)) {
    const list = value.map((v) => bent(v, random, chance));
    return random() < chance * 3 && list.length > 0 ? [...list, pick(random, list)] : list;
  }
  if (typeof value !== 'object' || !value) return value;
  return Object.fromEntries(
    Object.entries(value).map(([k, v]) => [random() < chance / 4 ? `${k}x` : k, bent(v, random, chance)]),
  );
}

let t: TestBuild;
const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'evarn-fuzz-'));
beforeAll(() => {
  t = testBuild();
  t.log('-2 plate 2x3 chalk; +3 tile 2x2 slate at 0.15; ~4 arch 1x4 ash > bark @gallery');
});
afterAll(() => fs.rmSync(folder, { recursive: true, force: true }));

describe.each([SEED])('seed %i', (seed) => {
  it('tables as text', async () => {
    const random = seededRandom(seed);
    const good = Buffer.from(
      'part,colour,qty,zone\n"plate, 2x3",chalk,4,Porch\nbrick 1x2;ash;12;\n'.repeat(8),
    );
    for (let n = 0; n < CASES * 5; n++)
      expect(typeof (await readBytes(damaged(good, random))).ok).toBe('boolean');
  });

  it('spreadsheets', async () => {
    const random = seededRandom(seed + 1);
    const row = (values: (string | number)[]) =>
      values.map((value) => ({ value, type: typeof value === 'number' ? Number : String }));
    const good = await writeXlsxFile([
      row(['Part', 'Colour', 'Qty']),
      row(['plate 2x3', 'chalk', 4]),
    ] as never).toBuffer();
    for (let n = 0; n < CASES; n++) {
      const read = await readBytes(damaged(new Uint8Array(good), random));
      expect(read.ok || typeof read.reason.fault === 'string').toBe(true);
    }
  });

  it('mod files, bent and damaged: the books stay lawful', () => {
    const random = seededRandom(seed + 2);
    const text = wholeFile(t.handle, t.build, 'mod.json')!;
    for (let n = 0; n < CASES * 2; n++) {
      const file =
        n % 2
          ? JSON.stringify(bent(JSON.parse(text), random, 0.002))
          : Buffer.from(damaged(Buffer.from(text), random)).toString();
      const done = importModFile(file ?? '', `f${n}`, {
        handle: t.handle,
        newId: countingIds(`f${n}`),
        now: NOW,
      });
      expect(
        done.ok || typeof ('fault' in done.reason ? done.reason.fault : done.reason.refused) === 'string',
      ).toBe(true);
    }
    expect(booksFault(t.handle.db)).toBeUndefined();
  });

  it('backups', async () => {
    const random = seededRandom(seed + 3);
    const source = testBuild(undefined, 'b');
    const file = path.join(folder, 'source.sqlite');
    source.handle.sqlite.prepare('VACUUM INTO ?').run(file);
    const database = fs.readFileSync(file);
    const incoming = path.join(folder, 'incoming.sqlite');
    const packed = gzipSync(database);
    for (let n = 0; n < CASES / 4; n++) {
      const bad = n % 3 === 0 ? damaged(packed, random) : gzipSync(damaged(database, random), { level: 1 });
      const fault = await prepare({ packed: bad, kept: null, incoming }, () => undefined);
      expect(fs.existsSync(incoming)).toBe(fault === undefined);
      fs.rmSync(incoming, { force: true });
    }
    expect(fs.readdirSync(folder)).toEqual(['source.sqlite']);
    expect(gunzipSync(packed).equals(database)).toBe(true);
  });

  it('photos', async () => {
    const random = seededRandom(seed + 4);
    const picture = sharp({ create: { width: 60, height: 40, channels: 3, background: '#777777' } });
    const goods = [
      await picture.jpeg().toBuffer(),
      await picture.png().toBuffer(),
      await picture.webp().toBuffer(),
    ];
    for (let n = 0; n < CASES; n++) {
      const done = await keepPhoto(
        damaged(pick(random, goods), random),
        t.build,
        t.handle,
        `photo-${seed}-${n}`,
      );
      expect(done.ok || typeof done.reason.fault === 'string').toBe(true);
    }
  });

  it('buying problems', async () => {
    const random = seededRandom(seed + 5);
    for (let n = 0; n < CASES; n++) {
      const problem = randomProblem(n + 1, 4, 3);
      const wish = JSON.stringify(bent({ problem, options: { iterations: 3 } }, random, 0.01)) ?? '';
      const bytes = new SharedArrayBuffer(Buffer.byteLength(wish));
      Buffer.from(bytes).write(wish);
      const read = requestFault({ bytes, key: `${n}` });
      if (!('problem' in read) || n % 6 !== 0) continue;
      const plan = await solveSourcing(read.problem, { iterations: 3 });
      expect(planSchema.safeParse(plan).success).toBe(true);
      expect(faultsOf(read.problem, plan)).toEqual([]);
    }
  });
});
