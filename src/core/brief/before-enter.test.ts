import { describe, expect, it } from 'vitest';
import { takeTally, type Entry } from '../ledger';
import { measureSize } from '../inspection';
import type { Workbench } from '../workbench';
import { el } from '../testing/world';
import { did, makeWorkbench, planned, testSource } from '../testing/workbench';
import { briefOf, keepBrief, rulesNow, wouldBreak } from './index';

const bench = () => makeWorkbench({ zones: { Wall: ['20 brick 2x4 ash'] }, stock: ['10 brick 2x4 kelp'] });
const on = (b: Workbench, rule: string, limit = 0, text = ''): Workbench =>
  did(b, keepBrief(b, { ...briefOf(b), rules: [...briefOf(b).rules, { rule, limit, text }] }));
const stateOf = (b: Workbench, rule: string) => rulesNow(b).find((r) => r.rule.id === rule)!.state;

/** An entry as a line drafts it, of a bench of the same kind on which it was planned. */
function drafted(more: Parameters<typeof planned>[2]): Entry {
  const other = planned(bench(), testSource('draft'), more);
  return other.entries.at(-1)!;
}
const broken = (b: Workbench, entry: Entry): string[] => {
  const tally = b.planned.trying([entry], [], () => takeTally(b.planned, { of: 'build' }, b.priceOf));
  return wouldBreak(b, tally, [entry]).map((r) => r.id);
};

describe('a rule of the books', () => {
  const kelp = { on: [{ element: el('brick 2x4', 'kelp'), qty: 2 }] };
  const bought = drafted({ ...kelp, source: 'outside', price: 12 });

  it('is told before Enter as well: what has to be ordered is not there by a day', () => {
    const b = on(bench(), 'ready by a day', 0, '2026-12-24');
    expect(stateOf(b, 'ready by a day').holds).toBe(true);
    expect(broken(b, bought)).toEqual(['ready by a day']);
    expect(broken(b, drafted(kelp))).toEqual([]);
    // What is broken already is not told again with each line.
    planned(b, testSource('more'), { ...kelp, source: 'outside', price: 12 });
    expect(stateOf(b, 'ready by a day').holds).toBe(false);
    expect(broken(b, bought)).toEqual([]);
  });

  it('leaves no trace of what was tried', () => {
    const b = bench();
    const before = { records: b.records, entries: b.entries, rows: b.planned.balances.rows() };
    const seen = b.asIf([bought], () => [b.entries.length, b.records.entry.has(bought.id)]);
    expect(seen).toEqual([before.entries.length + 1, true]);
    expect(() =>
      b.asIf([bought], () => {
        throw new Error('asked in vain');
      }),
    ).toThrow('asked in vain');
    expect({ records: b.records, entries: b.entries, rows: b.planned.balances.rows() }).toEqual(before);
    expect(b.records).toBe(before.records);
  });
});

describe('a size that is to stay', () => {
  const sized = (found: number, built: number): Workbench => {
    const b = did(bench(), measureSize(bench(), 'found', { length: found, width: 10, height: 5 }));
    return did(b, measureSize(b, 'built', { length: built, width: 10, height: 5 }));
  };

  it('is the one that was found, to the stud', () => {
    expect(stateOf(on(bench(), 'width kept'), 'width kept')).toMatchObject({ holds: null });
    expect(stateOf(on(sized(22, 22), 'width kept'), 'width kept').holds).toBe(true);
    expect(stateOf(on(sized(22, 24), 'width kept'), 'width kept')).toMatchObject({
      holds: false,
      where: ['2 studs more'],
    });
    expect(stateOf(on(sized(22, 21), 'width kept'), 'width kept').where).toEqual(['1 stud less']);
  });

  it('is the real one at 1:n, give or take the stud that an even width asks for', () => {
    const of = (built: number, text = '9') =>
      stateOf(on(sized(20, built), 'scale kept', 45, text), 'scale kept');
    // 9 m at 1:45 are 200 mm, 25 studs.
    expect(of(25).holds).toBe(true);
    expect(of(26).holds).toBe(true);
    expect(of(28)).toMatchObject({ holds: false, where: ['3 studs longer than 25'] });
    expect(of(23)).toMatchObject({ holds: false, where: ['2 studs shorter than 25'] });
    expect(of(25, '').holds).toBe(null);
    expect(of(25, '9,0').holds).toBe(true);
  });
});
