import { describe, expect, it } from 'vitest';
import { entryFault, sparesAccount } from '../ledger';
import { asId, type TrayId } from '../shared/ids';
import { after, at, entriesOf, lot, tray } from '../testing/stock';
import { makeWorkbench, TEST_BUILD, TEST_TRAY, testSource } from '../testing/workbench';
import { proposeTrays, putAway } from './index';

describe('putting away', () => {
  const trays = [tray('bricks', 1), tray('tiles', 2), tray('empty', 3)];
  const rows = [
    lot(at('bricks'), 'brick 1x2', 'ash', 40),
    lot(at('bricks'), 'brick 1x4', 'ash', 9),
    lot(at('tiles'), 'tile 2x2', 'bark', 5),
  ];
  const spare = sparesAccount(TEST_BUILD);

  it.each([
    ['brick 1x2', 'ash', 'bricks', 'the same lies there'],
    ['tile 2x2', 'chalk', 'tiles', 'the same part'],
    ['brick 2x4', 'slate', 'bricks', 'parts like it'],
    ['window 1x2x2', 'bark', 'tiles', 'the same colour'],
    ['window 1x2x2', 'kelp', 'empty', 'room'],
  ])('%s %s goes to %s: %s', (part, colour, where, why) => {
    expect(proposeTrays([lot(spare, part, colour, 1)], trays, rows)).toMatchObject([{ tray: where, why }]);
  });

  it('takes the spares to their trays in one lawful step, and loses no piece', () => {
    const workbench = makeWorkbench({ zones: { Porch: ['1 brick 1x2 ash'] } });
    const choices = [
      { lot: lot(spare, 'brick 1x2', 'ash', 3), tray: TEST_TRAY },
      { lot: lot(spare, 'tile 2x2', 'bark', 2), tray: asId<TrayId>('fresh') },
    ];
    const { diff } = putAway(workbench, choices, [tray('fresh')], testSource());
    const [entry] = entriesOf(diff);
    expect(entryFault(entry!)).toBeUndefined();
    const balances = after(
      choices.map((c) => c.lot),
      [entry!],
    );
    expect([balances.total(spare), balances.total(at('fresh'))]).toEqual([0, 2]);
    expect(diff.added.some((r) => r.type === 'tray')).toBe(true);
  });
});
