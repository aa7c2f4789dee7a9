import { markDone, type Workbench } from '../workbench';
import { el } from './world';
import { did, makeWorkbench, planned, testSource, zoneId } from './workbench';

const brick = (colour: string) => el('brick 2x4', colour);
export const [ash, kelp, rust, bark] = [brick('ash'), brick('kelp'), brick('rust'), brick('bark')];

/** A small set of a wall and a roof of bricks, with a few own ones and prices; the lots of either may be others. */
export const wallAndRoof = ({
  Wall = ['20 brick 2x4 ash'],
  Roof = ['6 brick 2x4 rust'],
  stock = ['3 brick 2x4 kelp', '5 brick 2x4 ash'],
  prices = ['brick 2x4 kelp 12', 'brick 2x4 ash 10', 'brick 2x4 rust 8'],
}: Partial<Record<'Wall' | 'Roof' | 'stock' | 'prices', readonly string[]>> = {}): Workbench =>
  makeWorkbench({ zones: { Wall, Roof }, stock, prices });

/** Plans to make some ash bricks of the wall kelp. */
export const greened = (b: Workbench, qty: number): Workbench =>
  planned(b, testSource('green'), {
    kind: 'recolour',
    off: [{ element: ash, qty }],
    on: [{ element: kelp, qty }],
  });

/** Plans to take bark bricks off the roof. */
export const unroofed = (b: Workbench, qty: number): Workbench =>
  planned(b, testSource('roof'), { kind: 'remove', zone: zoneId('Roof'), off: [{ element: bark, qty }] });

/** Everything that is planned is done. */
export function allDone(b: Workbench): Workbench {
  for (const e of b.entries.filter((x) => x.state === 'planned')) {
    const done = markDone(b, [e], testSource(`d${e.no}`));
    if (!done.ok) throw new Error(`entry ${e.no} could not be done: ${done.reason.reason}`);
    did(b, done.value);
  }
  return b;
}
