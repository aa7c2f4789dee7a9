import type { LabD65 } from '../colour';
import { keepReading } from '../fading';
import { modelAccount, stockAccount } from '../places';
import { added } from '../ledger';
import { asId, type ExposureId } from '../shared/ids';
import type { Workbench } from '../workbench';
import { did, makeWorkbench, TEST_TRAY, testSource, used, zoneId } from './workbench';
import { el } from './world';

const source = testSource();
/** The hull of a ship, and the tray beside it. */
export const HULL = modelAccount(zoneId('Hull'));
export const TRAY = stockAccount(TEST_TRAY);
export const brick = el('brick 2x4', 'chalk');
const chalk = (workbench: Workbench) => workbench.colour(asId('chalk'))!.lab;
/** Chalk yellowed by so much. */
export const aged = (workbench: Workbench, by: number): LabD65 => {
  const c = chalk(workbench);
  return { l: c.l - by * 0.25, a: c.a + by * 0.1, b: c.b + by, white: 'D65' };
};
/** Reads some pieces of a place with the meter, as yellowed by so much. */
export const readLot = (
  workbench: Workbench,
  account: typeof HULL,
  element: typeof brick,
  qty: number,
  by: number,
  g = used,
) => {
  const measured = {
    account,
    element,
    grade: g,
    qty,
    lab: aged(workbench, by),
    spread: 0.2,
    count: 5,
    how: 'meter' as const,
    made: 'test',
    trusted: true,
    doubt: '',
  };
  const kept = keepReading(workbench, measured, source);
  if (!kept.ok) throw new Error(JSON.stringify(kept.reason));
  return did(workbench, kept.value);
};

/** A hull of twenty bricks: twelve a little yellow, five more so, three nearly new; own parts with ten of the same age. */
export function hull(): Workbench {
  const workbench = makeWorkbench({
    zones: { Hull: ['20 brick 2x4 chalk', '6 brick 1x2 chalk'] },
    stock: ['10 brick 2x4 chalk'],
    prices: ['brick 2x4 chalk 30', 'brick 1x2 chalk 9'],
  });
  for (const [qty, by] of [
    [12, 8],
    [5, 17],
    [3, 0.5],
  ] as const)
    readLot(workbench, HULL, brick, qty, by);
  return readLot(workbench, TRAY, brick, 10, 8.6);
}

/** Says that so many of the hull's bricks are out of sight. */
export const hide = (workbench: Workbench, hidden: number): Workbench =>
  did(workbench, {
    label: '',
    diff: added('exposure', {
      id: asId<ExposureId>(`${zoneId('Hull')}|${brick}`),
      build: workbench.build,
      zone: zoneId('Hull'),
      element: brick,
      seen: 'some sides',
      hidden,
    }),
  });
