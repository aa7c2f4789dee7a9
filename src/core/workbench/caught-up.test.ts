import { describe, expect, it } from 'vitest';
import { added, changed, invertDiff, removed, type Diff, type Entry, type TypedRecord } from '../ledger';
import { asId, type BuildId } from '../shared/ids';
import { pick, seededRandom } from '../shared/random';
import { el, randomLog } from '../testing/world';
import { snapshotOf } from '../testing/world-snapshot';
import { caughtUp, recordSetOf, Workbench, type News } from './index';

const NOTHING = { undo: null, redo: null };
const news = (diffs: readonly Diff[], more: Partial<News> = {}): News => ({
  revision: 100 + diffs.length,
  undoRedo: NOTHING,
  diffs,
  ...more,
});
const asSet = (records: readonly TypedRecord[]) => recordSetOf(records);

/** Acts on a bench, at random: what one logs, changes, takes away, takes back and does again. */
function randomActs(bench: Workbench, seed: number, times: number): Diff[] {
  const random = seededRandom(seed);
  const fresh = randomLog(seed + 50, times * 4).entries;
  const done: Diff[] = [];
  const act = (n: number): Diff => {
    const kind = random();
    if (kind < 0.3) return added('entry', { ...fresh[n]!, id: asId(`fresh ${n}`), no: 5000 + n } as Entry);
    if (kind < 0.5) return changed('entry', pick(random, bench.entries), { note: `note ${n}` });
    if (kind < 0.65) return removed('entry', pick(random, bench.entries));
    if (kind < 0.8) return changed('zone', pick(random, bench.zones), { name: `zone ${n}` });
    const last = done.at(-1);
    return last ? invertDiff(last) : changed('zone', pick(random, bench.zones), { name: `zone ${n}` });
  };
  for (let n = 0; n < times; n++) {
    const diff = act(n);
    bench.apply(diff);
    done.push(diff);
  }
  return done;
}

describe('a snapshot that is caught up with', () => {
  it.each([1, 2, 3, 4])(
    'has the records of a bench that took the same diffs one by one (seed %i)',
    (seed) => {
      const snapshot = { ...snapshotOf(randomLog(seed, 80).entries), revision: 100 };
      const bench = new Workbench(snapshot);
      const diffs = randomActs(bench, seed, 60);
      const now = caughtUp(snapshot, news(diffs));
      expect(asSet(now.records)).toEqual(asSet(bench.recordList()));
      expect(now.revision).toBe(160);
      expect(new Set(now.records).size).toBe(now.records.length);
      const figures = (w: Workbench) => w.planned.figures({ of: 'build' });
      expect(figures(new Workbench(now))).toEqual(figures(bench));
    },
  );

  it.each([5, 6])('comes to the same from a state in the middle of them (seed %i)', (seed) => {
    const snapshot = { ...snapshotOf(randomLog(seed, 80).entries), revision: 100 };
    const bench = new Workbench(snapshot);
    const diffs = randomActs(bench, seed, 40);
    const half = caughtUp(snapshot, news(diffs.slice(0, 20)));
    const again = caughtUp({ ...half, revision: 100 }, news(diffs));
    expect(asSet(again.records)).toEqual(asSet(bench.recordList()));
  });

  it('takes what undo and redo turn, and nothing from news that it has', () => {
    const snapshot = { ...snapshotOf(randomLog(1, 10).entries), revision: 100 };
    const undoRedo = { undo: { id: 'a', label: 'A line' }, redo: null };
    const diffs = [removed('entry', new Workbench(snapshot).entries[0]!)];
    expect(caughtUp(snapshot, news(diffs, { undoRedo })).undoRedo).toEqual(undoRedo);
    expect(caughtUp(snapshot, news(diffs, { revision: 100 }))).toBe(snapshot);
  });

  it('leaves other builds’ records to them, and takes those of the whole workspace', () => {
    const snapshot = { ...snapshotOf(randomLog(1, 10).entries), revision: 100 };
    const bench = new Workbench(snapshot);
    const other = asId<BuildId>('another');
    const element = el('dome 9x9', 'ash');
    const price = { id: element, element, newPrice: 9, usedPrice: 4 };
    const build = bench.records.build.get(bench.build)!;
    const theirs = [
      added('entry', { ...bench.entries[0]!, id: asId('theirs'), build: other } as Entry),
      added('build', { ...build, id: other }),
    ];
    const now = caughtUp(snapshot, news([...theirs, added('price', price)]));
    expect(now.records.map((r) => r.record.id)).toEqual([
      ...snapshot.records.map((r) => r.record.id),
      element,
    ]);
    for (const diff of theirs) bench.apply(diff);
    expect([...bench.records.build.keys()]).toEqual([bench.build]);
  });
});
