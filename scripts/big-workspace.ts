import fs from 'node:fs';
import path from 'node:path';
import { addModification, addZone, logLine, readLine, Workbench } from '../src/core/workbench';
import { PALETTE } from '../src/core/colour';
import {
  added,
  BLANK_ENTRY,
  grade,
  joinDiffs,
  modelAccount,
  sparesAccount,
  type Entry,
} from '../src/core/ledger';
import { elementKey, readPartName, splitElementKey, type ElementKey } from '../src/core/parts';
import { asId, countingIds, type ActionId, type BuildId, type EntryId } from '../src/core/shared/ids';
import { between, pick, seededRandom } from '../src/core/shared/random';
import { openDatabase, type Handle } from '../src/data/database';
import { seedDemo } from '../src/demo/seed';
import { perform } from '../src/server/perform';
import { takeOpening } from '../src/server/snapshot';
import { importBoxes, importPrices, importStock } from '../src/server/import-rows';

/**
 * Fills a folder with a workspace of the size that is planned for, beside the demo's builds: 300 builds, 15,000 kinds of
 * own parts with as many prices, and one build with a log of 20,000 entries over 1,500 kinds in 60 modifications.
 *
 *     npm run big-workspace -- FOLDER
 */
const SIZE = {
  builds: 300,
  kinds: 15_000,
  trays: 120,
  entries: 20_000,
  kindsOfLong: 1500,
  modifications: 60,
};
const [folder] = process.argv.slice(2);
if (!folder) {
  console.error('Name a folder that is empty or not there yet: npm run big-workspace -- FOLDER');
  process.exit(1);
}
if (fs.existsSync(path.join(folder, 'evarn.sqlite'))) {
  console.error(`There is a workspace in ${folder} already. Name another folder.`);
  process.exit(1);
}
const random = seededRandom(300);
const newId = countingIds('big');
let day = Date.UTC(2026, 0, 1);
const now = () => new Date((day += 60_000));
const nothing = { colours: { made: [], matched: [] }, memory: null };

/** Kinds of parts as a large collection has them: shapes in many sizes, each in every colour. */
function kinds(count: number): ElementKey[] {
  const names: string[] = [];
  for (const shape of ['brick', 'plate', 'tile'])
    for (let w = 1; w <= 8; w++) for (let l = w; l <= 22; l++) names.push(`${shape} ${w}x${l}`);
  const parts = [...new Set(names.map((n) => readPartName(n).part.id))];
  const solid = PALETTE.filter((c) => c.finish === 'solid');
  const all = parts.flatMap((p) => solid.map((c) => elementKey(p, c.id)));
  if (all.length < count) throw new Error(`only ${all.length} kinds`);
  return all.slice(0, count);
}

const must = <T extends { ok: boolean }>(done: T): T => {
  if (!done.ok) throw new Error(JSON.stringify(done));
  return done;
};
const said = (what: string) =>
  console.log(`${((Date.now() - began) / 1000).toFixed(0).padStart(4)} s  ${what}`);
const began = Date.now();

const handle = openDatabase(path.resolve(folder), new Date());
seedDemo(handle);
said('the demo');
const all = kinds(SIZE.kinds);
const context = () => ({ handle, newId, now: now() });
must(
  importPrices(
    {
      request: newId(),
      prices: all.map((element) => ({
        element,
        newPrice: between(random, 2, 90),
        usedPrice: between(random, 1, 60),
      })),
      ...nothing,
    },
    context(),
  ),
);
must(
  importStock(
    {
      request: newId(),
      tray: 'A1',
      lots: all.map((element, i) => ({
        element,
        qty: between(random, 1, 13),
        condition: 'used' as const,
        tray: `T${i % SIZE.trays}`,
        place: 'rack',
        worth: null,
      })),
      ...nothing,
    },
    context(),
  ),
);
said(`${SIZE.kinds} kinds of own parts with their prices`);
for (let n = 0; n < SIZE.builds; n++) smallBuild(handle, n);
said(`${SIZE.builds} builds`);
longBuild(handle);
said(`a log of ${SIZE.entries} entries`);
handle.sqlite.pragma('wal_checkpoint(TRUNCATE)');
handle.sqlite.close();

/** A build of some hundred pieces with a modification, as most are. */
function smallBuild(h: Handle, n: number): void {
  const lots = Array.from({ length: between(random, 20, 60) }, () =>
    lotOf(pick(random, all), between(random, 1, 12)),
  );
  const build = box(`Build ${n + 1}`, `B${n}`, lots);
  const workbench = new Workbench(takeOpening(h, build)!);
  const source = { newId, now: now().toISOString() };
  const made = addModification(workbench, 'First', workbench.rootZone.id, source);
  act(build, 'begin', made.diff);
  const open = new Workbench(takeOpening(h, build)!);
  const { part, colour } = splitElementKey(pick(random, lots).element);
  const reading = readLine(open, `-1 ${part} ${colour}`, {
    modification: open.modifications[0]!,
    planned: false,
  });
  if (reading.ready) act(build, 'log', logLine(open, reading, '-1', source).diff);
}

function lotOf(element: ElementKey, qty: number) {
  return { element, qty, condition: null, zone: '', extra: false };
}

function box(name: string, code: string, lots: ReturnType<typeof lotOf>[]): BuildId {
  const done = must(
    importBoxes(
      {
        request: newId(),
        build: { name },
        boxes: [
          {
            setName: name,
            setCode: code,
            copies: 1,
            condition: 'second-hand',
            role: 'base',
            price: 2500,
            lots,
          },
        ],
        ...nothing,
      },
      context(),
    ),
  );
  return (done as { value: { build: BuildId } }).value.build;
}

function act(build: BuildId, label: string, diff: Parameters<typeof perform>[1]['diff']) {
  return must(perform(handle, { id: asId<ActionId>(newId()), scope: build, label, diff }, now()));
}

/** A build that was worked on for years: taken off and put back, hundreds of entries a modification. */
function longBuild(h: Handle): void {
  const step = Math.floor(all.length / SIZE.kindsOfLong);
  const own = all.filter((_, i) => i % step === 0).slice(0, SIZE.kindsOfLong);
  const name = 'Worked on for years';
  const build = box(
    name,
    'LONG',
    own.map((e) => lotOf(e, 12)),
  );
  const workbench = new Workbench(takeOpening(h, build)!);
  const root = modelAccount(workbench.rootZone.id);
  const spares = sparesAccount(build);
  const zones = ['Front', 'Back', 'Roof'].map((n) => addZone(workbench, n, workbench.rootZone.id, source()));
  act(build, 'zones', joinDiffs(...zones.map((z) => z.diff)));
  let no = 0;
  const each = Math.ceil(SIZE.entries / SIZE.modifications);
  for (let m = 0; m < SIZE.modifications; m++) {
    const zone = zones[m % zones.length]!.id;
    const begun = addModification(workbench, `Modification ${m + 1}`, zone, source());
    workbench.apply(begun.diff);
    act(build, 'begin', begun.diff);
    const entries = Array.from({ length: Math.min(each, SIZE.entries - no) }, (_, k): Entry => {
      const element = own[no % own.length]!;
      // Each kind is taken off in one round and put back in the next.
      const off = Math.floor(no / own.length) % 2 === 0;
      no++;
      const [from, to] = off ? [root, spares] : [spares, root];
      return {
        ...BLANK_ENTRY,
        id: asId<EntryId>(newId()),
        build,
        modification: begun.id,
        kind: off ? 'remove' : 'add',
        no,
        position: k + 1,
        loggedAt: now().toISOString(),
        movements: [{ element, grade: grade('used'), qty: 1, from, to, worth: between(random, 1, 60) }],
      };
    });
    for (let i = 0; i < entries.length; i += 500)
      act(build, 'log', added('entry', ...entries.slice(i, i + 500)));
  }
}

function source() {
  return { newId, now: now().toISOString() };
}
