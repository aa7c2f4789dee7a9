import { describe, expect, it } from 'vitest';
import { added, BLANK_ENTRY, modelAccount, OUTSIDE, stockAccount, type AccountKey } from '../ledger';
import { asId, type EntryId } from '../shared/ids';
import { did, doneAndBack, makeWorkbench, TEST_BUILD, TEST_TRAY, used, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { exposureOf, hiddenByEntries, hiddenOf, setExposure } from './hidden';

const [WALL, ROOF] = [zoneId('Wall'), zoneId('Roof')];
const ash = el('brick 1x2', 'ash');
const bench = () => makeWorkbench({ zones: { Wall: ['10 brick 1x2 ash'], Roof: ['4 brick 1x2 ash'] } });

let n = 0;
const moved = (qty: number, from: AccountKey, to: AccountKey, hidden: boolean) => ({
  label: '',
  diff: added('entry', {
    ...BLANK_ENTRY,
    id: asId<EntryId>(`filler ${++n}`),
    build: TEST_BUILD,
    kind: 'add',
    no: 100 + n,
    hidden,
    loggedAt: '2026-01-03',
    movements: [{ element: ash, grade: used, qty, from, to, worth: null }],
  }),
});
const [wall, roof, tray] = [modelAccount(WALL), modelAccount(ROOF), stockAccount(TEST_TRAY)];

describe('what nobody sees', () => {
  it('is what entries put on as filler, less what they took away, zone by zone', () => {
    const workbench = bench();
    did(workbench, moved(6, OUTSIDE, wall, true));
    did(workbench, moved(3, OUTSIDE, wall, false));
    did(workbench, moved(2, OUTSIDE, roof, true));
    expect([hiddenOf(workbench, WALL, ash), hiddenOf(workbench, ROOF, ash)]).toEqual([6, 2]);
    did(workbench, moved(4, wall, roof, true));
    expect([hiddenOf(workbench, WALL, ash), hiddenOf(workbench, ROOF, ash)]).toEqual([2, 6]);
    did(workbench, moved(1, wall, tray, true));
    expect(hiddenOf(workbench, WALL, ash)).toBe(1);
    expect([...hiddenByEntries(workbench).values()].sort()).toEqual([1, 6]);
  });

  it('is never more than is there, and never less than nothing', () => {
    const workbench = bench();
    did(workbench, moved(6, OUTSIDE, wall, true));
    did(workbench, moved(14, wall, OUTSIDE, false));
    expect(hiddenOf(workbench, WALL, ash)).toBe(2);
    did(workbench, moved(3, roof, OUTSIDE, true));
    expect(hiddenOf(workbench, ROOF, ash)).toBe(0);
    expect(hiddenOf(workbench, WALL, el('tile 2x2', 'bark'))).toBe(0);
  });

  it('is what a person said, where that was said; a lot that is hidden is hidden whole', () => {
    const workbench = bench();
    did(workbench, moved(6, OUTSIDE, wall, true));
    expect(exposureOf(workbench, WALL, ash)).toBeUndefined();
    doneAndBack(workbench, setExposure(workbench, WALL, ash, 'one side', { hidden: 3 }));
    expect(exposureOf(workbench, WALL, ash)).toMatchObject({ seen: 'one side', hidden: 3, zone: WALL });
    expect([hiddenOf(workbench, WALL, ash), hiddenOf(workbench, ROOF, ash)]).toEqual([3, 0]);
    doneAndBack(workbench, setExposure(workbench, WALL, ash, 'one side', { hidden: 99 }));
    expect(hiddenOf(workbench, WALL, ash)).toBe(16);
    doneAndBack(workbench, setExposure(workbench, WALL, ash, 'some sides', { hidden: 3 }));
    doneAndBack(workbench, setExposure(workbench, WALL, ash, 'some sides', { seen: 'hidden' }));
    expect(exposureOf(workbench, WALL, ash)).toMatchObject({ seen: 'hidden', hidden: 3 });
    expect(hiddenOf(workbench, WALL, ash)).toBe(16);
  });

  it('keeps what entries say of it when only the sides are said', () => {
    const workbench = bench();
    did(workbench, moved(6, OUTSIDE, wall, true));
    doneAndBack(workbench, setExposure(workbench, WALL, ash, 'all', { seen: 'one side' }));
    expect(exposureOf(workbench, WALL, ash)).toMatchObject({ seen: 'one side', hidden: 6 });
  });
});
