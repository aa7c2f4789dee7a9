import { describe, expect, it } from 'vitest';
import { changed, invertDiff } from '../ledger';
import { countingIds } from '../shared/ids';
import { MODIFICATIONS, randomLog } from '../testing/world';
import { snapshotOf } from '../testing/world-snapshot';
import { byPlace, editEntry, moveEntries, moveModification, readLine, Workbench } from './index';

const source = () => ({ newId: countingIds('n'), now: '2026-11-24' });
const m1 = MODIFICATIONS[0]!;

describe.each([1, 2, 3])('places in a list (seed %i)', (seed) => {
  const log = randomLog(seed, 120);
  const open = () => new Workbench(snapshotOf(log.entries));

  it('moves entries and modifications to a place, keeping the order of the others', () => {
    const w = open();
    const list = () =>
      w.entries.filter((e) => e.modification === m1.id).sort((a, b) => a.position - b.position);
    const [first, second, third] = list();
    if (!first || !second || !third) throw new Error('the log is too short');
    w.apply(moveEntries(w, [third], m1.id, first).diff);
    expect(
      list()
        .slice(0, 3)
        .map((e) => e.id),
    ).toEqual([third.id, first.id, second.id]);
    w.apply(
      moveEntries(
        w,
        [third, first].map((e) => w.records.entry.get(e.id)!),
        m1.id,
        null,
      ).diff,
    );
    expect(
      list()
        .slice(-2)
        .map((e) => e.id),
    ).toEqual([third.id, first.id]);
    w.apply(moveModification(w, w.modifications[3]!, w.modifications[0]!).diff);
    expect(w.modifications.map((m) => m.no)).toEqual([4, 1, 2, 3]);
  });

  it('moves the last to the second place any number of times, and every move is taken back', () => {
    const w = open();
    const list = () => w.entries.filter((e) => e.modification === m1.id).sort(byPlace);
    const ids = () => list().map((e) => e.id);
    const mods = () => w.modifications.map((m) => m.id);
    let [entries, modifications] = [ids(), mods()];
    for (let i = 0; i < 120; i++) {
      const move = moveEntries(w, list().slice(-1), m1.id, list()[1]!).diff;
      w.apply(move);
      entries = [entries[0]!, entries.at(-1)!, ...entries.slice(1, -1)];
      expect([i, ids()]).toEqual([i, entries]);
      w.apply(moveModification(w, w.modifications.at(-1)!, w.modifications[1]!).diff);
      modifications = [modifications[0]!, modifications.at(-1)!, ...modifications.slice(1, -1)];
      expect([i, mods()]).toEqual([i, modifications]);
      if (i % 10 > 0) continue;
      w.apply(invertDiff(move));
      expect(ids()).toEqual([...entries.filter((_, k) => k !== 1), entries[1]]);
      w.apply(move);
    }
    const numbers = list().map((e) => e.position);
    expect(Math.min(...numbers.slice(1).map((n, i) => n - numbers[i]!))).toBeGreaterThan(1e-7);
  });

  it('keeps the clauses of an edited line beside it, however close the next entry is', () => {
    const w = open();
    const list = () => w.entries.filter((e) => e.modification === m1.id).sort(byPlace);
    const [first, next] = list();
    w.apply(changed('entry', next!, { position: first!.position + 1e-6 }));
    const line = '-1 plate 2x3 chalk; -1 brick 1x2 ash; +1 brick 1x2 ash';
    const reading = readLine(w, line, { modification: m1, planned: false });
    w.apply(editEntry(w.records.entry.get(first!.id)!, reading, source()).diff);
    expect(list()[0]!.id).toBe(first!.id);
    expect(list()[3]!.id).toBe(next!.id);
  });
});
