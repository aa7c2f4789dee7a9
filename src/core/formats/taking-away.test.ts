import { readFileSync } from 'node:fs';
import Ajv from 'ajv';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import * as z from 'zod';
import { PALETTE } from '../colour';
import {
  added,
  applyDiff,
  Books,
  emptyRecordSet,
  FIGURES,
  joinDiffs,
  placeOf,
  sparesAccount,
  type AccountKey,
  type Entry,
  type RecordSet,
} from '../ledger';
import {
  asId,
  countingIds,
  type BuildId,
  type ColourId,
  type KeptAssemblyId,
  type PartId,
  type PoolModelId,
} from '../shared/ids';
import { rowsIn } from '../testing/tables';
import {
  BUILD,
  BUILT,
  CONTEXT,
  COPIES,
  ELEMENTS,
  MODIFICATIONS,
  ORDERS,
  PLANNED,
  priceOf,
  randomLog,
  TRAYS,
  ZONES,
} from '../testing/world';
import {
  modFileDiff,
  inventoryTable,
  makeModFile,
  modFileSchema,
  readModFile,
  sparesTable,
  worklogTable,
  writeCsv,
} from './index';

const world = (entries: readonly Entry[]): RecordSet =>
  applyDiff(
    emptyRecordSet(),
    joinDiffs(
      added('build', { id: BUILD, name: 'House', note: '', createdAt: '', archived: false }),
      added('copy', ...COPIES.values()),
      added('zone', ...ZONES),
      added('phase', { id: MODIFICATIONS[2]!.phase!, build: BUILD, name: 'Later', position: 1 }),
      added('modification', ...MODIFICATIONS),
      added('order', ...ORDERS.values()),
      added('tray', ...TRAYS.map((id, i) => ({ id, name: `Tray ${id}`, place: '', position: i }))),
      added('entry', ...entries),
    ),
  );

describe.each([1, 2, 3])('taking a build away (seed %i)', (seed) => {
  const log = randomLog(seed, 150);
  const file = { books: log.planned, zones: ZONES, modifications: MODIFICATIONS, palette: PALETTE, priceOf };
  const parse = (csv: string) => Papa.parse<Record<string, string>>(csv.trim(), { header: true }).data;
  const sum = (csv: string, column: string) =>
    Math.round(parse(csv).reduce((s, r) => s + Number(r[column]), 0) * 100) / 100;

  it('worklog CSV: its columns add up to the tally', () => {
    const csv = writeCsv(worklogTable(file, [...log.planned.entries], []));
    const f = log.planned.figures({ of: 'build' });
    for (const c of ['out', 'in', 'recoloured', 'renewed', 'net'] as const)
      expect([c, sum(csv, c)]).toEqual([c, f[c]]);
    expect(sum(csv, 'out of pocket')).toBe(f.outOfPocket / 100);
    expect(sum(csv, 'worth')).toBe(f.worthIn / 100);
  });

  it('inventory and spares CSV: pieces as the books have them, readable by the importer', () => {
    const built = { ...file, books: log.built };
    const csv = writeCsv(inventoryTable(built));
    expect(sum(csv, 'quantity')).toBe(log.built.figures({ of: 'build' }).onModel);
    expect(rowsIn(csv).reduce((s, r) => s + r.qty, 0)).toBe(log.built.figures({ of: 'build' }).onModel);
    expect(rowsIn(csv).flatMap((r) => r.faults)).toEqual([]);
    expect(sum(writeCsv(sparesTable(built)), 'quantity')).toBe(log.built.figures({ of: 'build' }).sparesLeft);
  });

  it('mod file: imported again it gives the same books', () => {
    const records = world(log.entries);
    const text = JSON.stringify(makeModFile(records, BUILD, log.planned));
    const read = readModFile(text);
    if (!read.ok) throw new Error(JSON.stringify(read.reason));
    const { diff, build } = modFileDiff(read.value, countingIds('n'), '2026-01-01');
    const after = applyDiff(records, diff);
    const zones = [...after.zone.values()].filter((z) => z.build === build);
    const mods = [...after.modification.values()].filter((m) => m.build === build);
    const entries = [...after.entry.values()].filter(
      (e) => e.build === build || (e.build === null && diff.added.some((a) => a.record.id === e.id)),
    );
    for (const view of [BUILT, PLANNED]) {
      const [old, now] = [
        new Books(CONTEXT, log.entries, view),
        new Books(
          { build, zones, modifications: mods, copies: after.copy, orders: after.order, surroundings: [] },
          entries,
          view,
        ),
      ];
      for (const f of FIGURES)
        expect([f, now.figures({ of: 'build' })[f]]).toEqual([f, old.figures({ of: 'build' })[f]]);
      MODIFICATIONS.forEach((m) => {
        const twin = mods.find((x) => x.no === m.no)!;
        expect(now.figures({ of: 'modification', modification: twin.id })).toEqual(
          old.figures({ of: 'modification', modification: m.id }),
        );
      });
    }
  });

  it('mod file: brings the build’s pool and what it keeps whole, and nothing of another build', () => {
    const model = {
      id: asId<PoolModelId>('m'),
      build: BUILD,
      name: 'Kiosk',
      musts: [{ part: asId<PartId>('brick 1x2'), colour: null, qty: 4 }],
      colours: [asId<ColourId>('kelp')],
      shares: true,
      ...{ place: 1, colour: null, sectionOf: null, isBuilt: false },
    };
    const keep = (id: string, account: AccountKey) =>
      added('keptAssembly', {
        id: asId<KeptAssemblyId>(id),
        name: id,
        account,
        lots: [{ element: ELEMENTS[0]!, qty: 2 }],
      });
    const records = applyDiff(
      world(log.entries),
      joinDiffs(
        added('poolModel', model),
        added('buildSources', { id: BUILD, build: BUILD, boxesOnly: true, elsewhere: null }),
        keep('mine', sparesAccount(BUILD)),
        keep('theirs', sparesAccount(asId<BuildId>('other'))),
      ),
    );
    const file = makeModFile(records, BUILD, log.planned);
    const { diff, build } = modFileDiff(file, countingIds('n'), '2026-01-01');
    const brought = (type: string) => diff.added.filter((a) => a.type === type).map((a) => a.record);
    expect(brought('poolModel')).toMatchObject([{ ...model, id: expect.not.stringMatching(/^m$/), build }]);
    expect(brought('buildSources')).toEqual([{ id: build, build, boxesOnly: true, elsewhere: null }]);
    expect(brought('keptAssembly')).toMatchObject([{ name: 'mine', account: sparesAccount(build) }]);
    expect(diff.added.find((a) => a.type === 'build')!.record).toMatchObject({ createdAt: '2026-01-01' });
  });

  it('mod file: brings what was done with, though another build plans to take the same', () => {
    const mine = [...log.built.entries].filter((e) => e.build === BUILD);
    const taking = mine.flatMap((e) =>
      e.movements.flatMap((m) => (placeOf(m.from) === 'stock' && placeOf(m.to) === 'model' ? [m] : [])),
    );
    const [one] = taking;
    if (!one) return;
    const surroundings = [{ account: one.from, element: one.element, grade: one.grade, qty: -1000 }];
    const planned = new Books({ ...CONTEXT, surroundings }, log.entries, PLANNED);
    const { stock } = makeModFile(world(log.entries), BUILD, planned);
    const net = [...log.built.entries]
      .flatMap((e) => e.movements)
      .reduce((s, m) => {
        if (m.element !== one.element || m.grade !== one.grade) return s;
        return s + (m.from === one.from ? m.qty : 0) - (m.to === one.from ? m.qty : 0);
      }, 0);
    const brought = stock
      .filter((s) => s.element === one.element && s.grade === one.grade && one.from === `stock:${s.tray}`)
      .reduce((s, r) => s + r.qty, 0);
    expect(brought).toBeGreaterThanOrEqual(net);
  });

  it('mod file: keeps to the published schema', () => {
    const published = JSON.parse(readFileSync('docs/formats/mod-file.schema.json', 'utf8')) as object;
    expect(published).toEqual(
      JSON.parse(JSON.stringify(z.toJSONSchema(modFileSchema, { target: 'draft-7' }))),
    );
    const validate = new Ajv({ strict: false }).compile(published);
    const file = JSON.parse(JSON.stringify(makeModFile(world(log.entries), BUILD, log.planned))) as {
      entries: { movements: { qty: number }[] }[];
    };
    expect([validate(file), validate.errors]).toEqual([true, null]);
    file.entries[0]!.movements[0]!.qty = 0;
    expect(validate(file)).toBe(false);
  });
});
