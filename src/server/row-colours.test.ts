import { expect, it } from 'vitest';
import { keepLooks, looksOf } from '@/core/brief';
import { asId, type ActionId, type BuildId } from '@/core/shared/ids';
import { openDatabase } from '@/data/database';
import { seedDemo } from '@/demo/seed';
import { perform } from './perform';
import { rowColours } from './row-colours';
import { openWorkbench } from './snapshot';
import { readRecords } from '@/data/records';

it('tells the main colours of the others of a row, by its name without regard to case', () => {
  const handle = openDatabase(':memory:', new Date('2026-11-24'));
  seedDemo(handle);
  const idOf = (name: RegExp): BuildId => readRecords(handle.db, 'build').find((b) => name.test(b.name))!.id;
  const [house, garden, ferry] = [idOf(/Lightkeeper's House/), idOf(/garden/), idOf(/Skerry/)];
  expect(
    rowColours(handle, ferry, 'HARBOUR row ')
      .map((h) => h.build)
      .sort(),
  ).toEqual([garden, house].sort());
  const [other] = rowColours(handle, garden, 'harbour row');
  expect(other).toMatchObject({ build: house, name: "Lightkeeper's House" });
  const shares = other!.colours.map((c) => c.share);
  expect(shares).toEqual([...shares].sort((a, b) => b - a));
  expect(shares.length).toBe(5);
  expect(shares[0]).toBeGreaterThan(0.1);
  expect(rowColours(handle, ferry, '')).toEqual([]);
  expect(rowColours(handle, ferry, 'another street')).toEqual([]);
  const workbench = openWorkbench(handle, ferry)!;
  const { label, diff } = keepLooks(workbench, { ...looksOf(workbench), row: 'another street' });
  expect(perform(handle, { id: asId<ActionId>('a'), scope: ferry, label, diff }, new Date()).ok).toBe(true);
  expect(rowColours(handle, garden, 'another street').map((h) => h.build)).toEqual([ferry]);
});
