import { describe, expect, it } from 'vitest';
import { STOCK_SCOPE, type Tray } from '@/core/ledger';
import { asId, type ActionId, type BuildId, type TrayId } from '@/core/shared/ids';
import { addTray, takeSpares, type FreeSpares } from '@/core/stock';
import { el } from '@/core/testing/world';
import { freeSpares } from '@/data/balances';
import { readRecords } from '@/data/records';
import { perform } from './perform';
import { NOW, testBuild } from './testing/workspace';

const chalk = el('plate 2x3', 'chalk');

const yard = () => {
  const one = testBuild();
  const two = testBuild(one.handle, 'u');
  one.log('-9 plate 2x3 chalk');
  two.log('-4 plate 2x3 chalk');
  const source = { newId: () => 'tray-1', now: NOW.toISOString() };
  perform(one.handle, { id: asId<ActionId>('tray'), scope: STOCK_SCOPE, ...addTray([], 'A1', source) }, NOW);
  const tray = readRecords(one.handle.db, 'tray')[0]!;
  return { one, two, handle: one.handle, tray };
};
const ofChalk = (handle: ReturnType<typeof yard>['handle']) =>
  freeSpares(handle.db)
    .filter((r) => r.element === chalk)
    .map((r) => [r.build, r.qty]);

describe('spares of other builds', () => {
  it('are free as far as no plan of their build takes them', () => {
    const { one, two, handle } = yard();
    expect(ofChalk(handle)).toEqual([
      [one.build, 9],
      [two.build, 4],
    ]);
    one.log('+5 plate 2x3 chalk from spares plan');
    expect(ofChalk(handle)).toContainEqual([one.build, 4]);
  });

  it('go into a tray in one act, each build’s with an entry of its own', () => {
    const { one, two, handle, tray } = yard();
    const lots = freeSpares(handle.db).filter((r) => r.element === chalk) as unknown as FreeSpares[];
    let n = 0;
    const command = takeSpares(lots, tray as Tray & { id: TrayId }, {
      newId: () => `take-${n++}`,
      now: NOW.toISOString(),
    });
    const done = perform(handle, { id: asId<ActionId>('take'), scope: STOCK_SCOPE, ...command }, NOW);
    expect(done.ok).toBe(true);
    expect(ofChalk(handle)).toEqual([]);
    for (const [build, qty] of [
      [one, 9],
      [two, 4],
    ] as const) {
      const bench = build.open();
      expect(bench.built.figures({ of: 'build' })).toMatchObject({ passedOn: qty });
      const numbers = bench.entries.map((e) => e.no);
      expect(new Set(numbers).size).toBe(numbers.length);
      expect(bench.callContext().atHand(chalk)).toBe(true);
    }
    const builds = new Set(command.diff.added.map((r) => (r.record as { build: BuildId }).build));
    expect(builds.size).toBe(2);
  });
});
