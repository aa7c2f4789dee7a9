import { describe, expect, it } from 'vitest';
import { added, changed, needList, type Entry } from '../ledger';
import { goneAccount, modelAccount, shippedAccount } from '../places';
import { asId, type EntryId } from '../shared/ids';
import {
  carriedOut,
  did,
  doneAndBack,
  makeWorkbench,
  testSource,
  withBox,
  zoneId,
} from '../testing/workbench';
import { el } from '../testing/world';
import type { Workbench } from '../workbench';
import { baseCopies, boxLots, type BoxLot } from './box-lots';
import { allThere, countLot, type Count } from './check-off';
import { completeness, type MissingLot } from './completeness';
import { agreeNotWanted, GOOD_TITLE, markWanted, planReplacement } from './replace-missing';

const source = testSource();
const [wheel, brick] = [el('wheel 2x2', 'soot'), el('brick 2x4', 'chalk')];

/** Wheels stand in two zones, and bricks beside them in one. */
const tram = () =>
  makeWorkbench({
    zones: { Front: ['4 wheel 2x2 soot', '6 brick 2x4 chalk'], Back: ['4 wheel 2x2 soot'] },
    prices: ['wheel 2x2 soot 45', 'brick 2x4 chalk 30'],
  });
const lotOf = (b: Workbench, zone: string, element: string): BoxLot =>
  boxLots(b, baseCopies(b)[0]!.id).find((l) => l.zone === zoneId(zone) && l.element === element)!;
function counted(
  b: Workbench,
  zone: string,
  element: string,
  count: Partial<Count>,
  wanted = true,
): Workbench {
  const lot = lotOf(b, zone, element);
  const command = countLot(b, lot, { ...allThere(lot), ...count }, wanted, source);
  if (!command.ok) throw new Error(JSON.stringify(command.reason));
  return did(b, command.value);
}
const missingOf = (b: Workbench, zone: string, element: string): MissingLot =>
  completeness(b).missing.find((m) => m.lot.zone === zoneId(zone) && m.lot.element === element)!;
const plannedOf = (b: Workbench): Entry[] => b.entries.filter((e) => e.state === 'planned');

describe('replacing what is missing', () => {
  it('plans what is wanted, missing or broken, where it was, and with the reason', () => {
    const b = counted(tram(), 'Front', wheel, { there: 1, broken: 1 });
    counted(b, 'Front', brick, { there: 5 }, false);
    const work = planReplacement(b, source);
    expect(work.entries).toMatchObject([
      {
        kind: 'replace-missing',
        state: 'planned',
        why: 'missing',
        movements: [{ element: wheel, qty: 3, to: `model:${zoneId('Front')}` }],
      },
    ]);
    doneAndBack(b, work);
    expect(b.modifications.map((m) => m.title)).toContain(GOOD_TITLE);
    expect(missingOf(b, 'Front', wheel)).toMatchObject({ missing: 2, broken: 1, planned: 3, cost: 3 * 30 });
    expect(planReplacement(b, source).entries).toEqual([]);
  });

  it('plans only what is not planned yet', () => {
    const b = counted(tram(), 'Front', wheel, { there: 3 });
    did(b, planReplacement(b, source));
    counted(b, 'Front', wheel, { there: 1 });
    expect(planReplacement(b, testSource('more')).entries.map((e) => e.movements[0]!.qty)).toEqual([2]);
  });

  it('what was replaced is missing no more, first of what is missing and then of what is broken', () => {
    const b = counted(tram(), 'Front', wheel, { there: 1, broken: 2 });
    did(b, planReplacement(b, source));
    const [entry] = plannedOf(b);
    const movements = entry!.movements.map((m) => ({ ...m, qty: 2 }));
    did(b, { label: '', diff: changed('entry', entry!, { state: 'done', movements }) });
    expect(missingOf(b, 'Front', wheel)).toMatchObject({ missing: 0, broken: 1, planned: 0 });
    expect(completeness(b)).toMatchObject({ expected: 14, there: 13 });
  });
});

describe('what is not wanted', () => {
  it('takes its own planned work out, and nobody else’s', () => {
    const b = counted(tram(), 'Front', wheel, { there: 3 });
    counted(b, 'Back', wheel, { there: 2 });
    counted(b, 'Front', brick, { there: 5 });
    did(b, planReplacement(b, source));
    expect(needList(b.planned).reduce((s, n) => s + n.qty, 0)).toBe(4);
    const command = markWanted(b, missingOf(b, 'Front', wheel), false, source);
    expect(command.label).toBe('wheel 2x2 soot is not wanted');
    doneAndBack(b, command);
    expect(plannedOf(b).map((e) => e.movements.map((m) => [m.element, m.to, m.qty]))).toEqual([
      [[brick, `model:${zoneId('Front')}`, 1]],
      [[wheel, `model:${zoneId('Back')}`, 2]],
    ]);
    expect(missingOf(b, 'Front', wheel)).toMatchObject({ wanted: false, planned: 0 });
    expect(completeness(b).replacement).toMatchObject({ pieces: 3 });
  });

  it('keeps what was replaced already, and what other work plans there', () => {
    const b = counted(tram(), 'Front', wheel, { there: 3 });
    did(b, planReplacement(b, source));
    carriedOut(b);
    counted(b, 'Front', brick, { there: 5 });
    did(b, planReplacement(b, source));
    const before = b.entries.length;
    doneAndBack(b, markWanted(b, missingOf(b, 'Front', brick), false, source));
    expect(b.entries).toHaveLength(before - 1);
    expect(b.entries.filter((e) => e.kind === 'replace-missing')).toMatchObject([{ state: 'done' }]);
  });

  it('wanted again only says so', () => {
    const b = counted(tram(), 'Front', wheel, { there: 3 }, false);
    const command = markWanted(b, missingOf(b, 'Front', wheel), true, source);
    expect(command.label).toBe('wheel 2x2 soot is wanted');
    expect([command.diff.removed, command.diff.added]).toEqual([[], []]);
    doneAndBack(b, command);
    expect(missingOf(b, 'Front', wheel).wanted).toBe(true);
  });

  it('is written for a lot that was never counted, as its pieces stand', () => {
    const b = counted(tram(), 'Front', wheel, { there: 1, broken: 1 });
    const missing = missingOf(b, 'Front', wheel);
    const uncounted = { ...missing, lot: { ...missing.lot, line: null } };
    const [line] = markWanted(b, uncounted, false, source).diff.added.map((r) => r.record);
    expect(line).toMatchObject({ expected: 4, there: 1, broken: 1, faded: 0, bare: 0, wanted: false });
  });

  it('is agreed to for many lots in one step, which says of how many pieces', () => {
    const b = counted(tram(), 'Front', wheel, { there: 2, broken: 1 });
    counted(b, 'Front', brick, { there: 5 });
    did(b, planReplacement(b, source));
    const all = agreeNotWanted(b, completeness(b).missing, source);
    expect(all.label).toBe('3 missing pieces are not wanted');
    doneAndBack(b, all);
    expect(plannedOf(b)).toEqual([]);
    expect(completeness(b).missing.map((m) => m.wanted)).toEqual([false, false]);
    const [one] = completeness(b).missing.filter((m) => m.lot.element === brick);
    expect(agreeNotWanted(b, [one!], source).label).toBe('1 missing piece is not wanted');
  });
});

describe('how complete two copies are', () => {
  it('what is gone of a lot that both hold is told once, of the first as much as it held', () => {
    const b = tram();
    // A second box like the first, whose pieces went to the same zones.
    const unpack = b.records.entry.get('unpack')!;
    withBox(b, 'Twin', {});
    const twin = b.records.copy.get('box Twin')!;
    const movements = unpack.movements.map((m) => ({ ...m, from: shippedAccount(twin.id) }));
    did(b, { label: '', diff: changed('copy', twin, { role: 'base' }) });
    did(b, { label: '', diff: changed('entry', b.records.entry.get('unpack Twin')!, { movements }) });
    expect(completeness(b)).toMatchObject({ lots: 6, expected: 28, there: 28 });
    const gone = (how: 'broken' | 'missing', qty: number) => ({
      ...unpack.movements.find((m) => m.element === wheel)!,
      from: modelAccount(zoneId('Front')),
      to: goneAccount(how),
      qty,
    });
    const lost: Entry = {
      ...unpack,
      id: asId<EntryId>('lost'),
      kind: 'missing',
      movements: [gone('broken', 5), gone('missing', 2)],
    };
    did(b, { label: '', diff: added('entry', lost) });
    expect(completeness(b).missing.map((m) => [m.missing, m.broken])).toEqual([
      [0, 4],
      [2, 1],
    ]);
    expect(completeness(b).there).toBe(21);
  });

  it('a box that was bought for parts is not counted in', () => {
    const b = withBox(tram(), 'Parts', { [wheel]: 9 });
    expect(baseCopies(b).map((c) => c.setName)).toEqual(['Test']);
    expect(completeness(b).expected).toBe(14);
  });
});
