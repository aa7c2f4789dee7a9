import { describe, expect, it } from 'vitest';
import { FIGURES, takeTally, type Entry } from '../ledger';
import { makeWorkbench, TEST_BUILD } from '../testing/workbench';
import { MODIFICATIONS, randomLog, ZONES } from '../testing/world';
import {
  openInSlices,
  recordsOfLine,
  snapshotLines,
  Workbench,
  type BuildSnapshot,
  type RecordLine,
} from './index';

/** A build with a log made at random, long enough for several slices. */
function longBuild(seed: number, times: number): BuildSnapshot {
  const bench = makeWorkbench({ zones: {} });
  const entries = Array.from({ length: times }, (_, i) =>
    randomLog(seed + i, 300).entries.map((e): Entry => ({
      ...e,
      build: TEST_BUILD,
      no: e.no + i * 1000,
      id: `${i} ${e.id}` as Entry['id'],
    })),
  ).flat();
  const records = [
    ...bench.recordList(),
    ...ZONES.map((z) => ({ type: 'zone', record: { ...z, build: TEST_BUILD } }) as const),
    ...MODIFICATIONS.map((m) => ({ type: 'modification', record: { ...m, build: TEST_BUILD } }) as const),
    ...entries.map((record) => ({ type: 'entry', record }) as const),
  ];
  return { ...bench.snapshotNow, records };
}

const asSet = (bench: Workbench, view: 'built' | 'planned') =>
  new Set(bench[view].balances.rows().map((r) => JSON.stringify(r)));

describe('a log that is opened in slices', () => {
  it.each([1, 2, 3])('is what it is opened at once, log of seed %i', async (seed) => {
    const snapshot = longBuild(seed, 6);
    let pauses = 0;
    const bench = await openInSlices(snapshot, () => {
      pauses++;
      return Promise.resolve();
    });
    const whole = new Workbench(snapshot);
    expect(pauses).toBeGreaterThan(2);
    for (const view of ['built', 'planned'] as const) {
      expect(asSet(bench, view)).toEqual(asSet(whole, view));
      const tally = (w: Workbench) => takeTally(w[view], { of: 'build' }, w.priceOf);
      expect(tally(bench)).toEqual(tally(whole));
    }
    expect(bench.entries).toEqual(whole.entries);
    for (const m of whole.modifications) expect(bench.entriesIn(m.id)).toEqual(whole.entriesIn(m.id));
    expect([...bench.elements].sort()).toEqual([...whole.elements].sort());
    expect([...bench.ownElements].sort()).toEqual([...whole.ownElements].sort());
    expect(bench.nextEntry(null)).toEqual(whole.nextEntry(null));
  });

  it('goes on as any other: an entry taken away leaves both alike', async () => {
    const snapshot = longBuild(7, 3);
    const benches = [await openInSlices(snapshot, () => Promise.resolve()), new Workbench(snapshot)];
    const gone = benches[1]!.entries.filter((e) => e.state === 'done' && e.whatIf === null).at(-1)!;
    for (const b of benches) b.apply({ added: [], changed: [], removed: [{ type: 'entry', record: gone }] });
    const [sliced, whole] = benches.map((b) => b.planned.figures({ of: 'build' }));
    for (const f of FIGURES) expect([f, sliced![f]]).toEqual([f, whole![f]]);
  });

  it('travels in lines that are whole values, with every record once and in its order', () => {
    const snapshot = longBuild(5, 6);
    const [first, ...rest] = snapshotLines(snapshot).map((l) => JSON.parse(l) as unknown);
    expect(first).toEqual({ ok: true, value: JSON.parse(JSON.stringify({ ...snapshot, records: [] })) });
    const read = rest.map((line) => recordsOfLine(line as RecordLine));
    expect(read.flat()).toEqual(JSON.parse(JSON.stringify(snapshot.records)));
    // A line is read at one go: it is never long, nor one of two types.
    expect(Math.max(...read.map((r) => r.length))).toBe(500);
    for (const line of read) expect(new Set(line.map((r) => r.type)).size).toBe(1);
  });

  it('is a quarter as long in its lines as its records are', () => {
    const snapshot = longBuild(5, 6);
    const entries = snapshot.records.filter((r) => r.type === 'entry');
    const [, ...lines] = snapshotLines({ ...snapshot, records: entries });
    expect(lines.join('').length).toBeLessThan(JSON.stringify(entries).length / 4);
  });

  it('is read where its lines are lists of records, as browsers may still hold them', () => {
    const { records } = longBuild(5, 1);
    expect(recordsOfLine(records)).toEqual(records);
  });
});
