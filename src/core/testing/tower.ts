import { added, BLANK_ENTRY } from '../ledger';
import { auditColours } from '../mismatch';
import type { Register } from '../mismatch';
import type { ElementKey } from '../parts';
import { asId, type EntryId } from '../shared/ids';
import type { Workbench } from '../workbench';
import { did, makeWorkbench, testSource, zoneId } from './workbench';

export const TEST_YEAR = 2026;
const source = testSource();

/** A register in which everything is made, but for what a test says. */
export const register = (
  never: readonly ElementKey[] = [],
  retired: readonly ElementKey[] = [],
): Register => ({
  look: (e) =>
    never.includes(e) ? { made: false } : { made: true, from: 1990, to: retired.includes(e) ? 2010 : null },
});

const PRICES = ['brick 1x2 ash 9', 'brick 1x2 slate 9', 'slope 45 1x2 brick-red 16', 'brick 1x4 chalk 14'];

/** A tower on a foot between two sides of a hull, with a fault of each kind that a colour can have. */
export const tower = (): Workbench =>
  makeWorkbench({
    zones: {
      Tower: [
        '60 brick 1x4 chalk',
        '40 brick 2x4 brick-red',
        '6 slope 45 1x2 coral',
        '5 brick 1x2 brick-red',
      ],
      Foot: ['40 brick 1x2 ash', '4 brick 1x2 slate', '20 brick 1x4 ash', '6 brick 1x4 dove'],
      'Hull, port': ['20 tile 2x2 kelp', '10 brick 2x2 kelp'],
      'Hull, starboard': ['20 tile 2x2 kelp', '8 brick 2x2 kelp', '2 brick 2x2 bark'],
    },
    stock: ['3 brick 1x2 ash', '2 brick 1x4 ash new'],
    prices: PRICES,
  });

export const auditOf = (workbench: Workbench, r: Register = register()) =>
  auditColours(workbench, r, TEST_YEAR);

/** The fix of a mismatch by its element, whether it is shown or folded away. */
export function fixOf(workbench: Workbench, element: ElementKey, r: Register = register()) {
  const { fixes, doubtful } = auditOf(workbench, r);
  return [...fixes, ...doubtful].find((f) => f.mismatch.element === element);
}

/** Pieces that were put in or stand for others, outside any modification. */
export const put = (
  workbench: Workbench,
  kind: 'placeholder' | 'add',
  element: ElementKey,
  qty: number,
  zone: string,
  more = {},
) =>
  did(workbench, {
    label: '',
    diff: added('entry', {
      ...BLANK_ENTRY,
      id: asId<EntryId>(source.newId()),
      build: workbench.build,
      kind,
      no: 9,
      position: 1,
      loggedAt: '2024-01-01T00:00:00Z',
      movements: [
        {
          element,
          qty,
          grade: 'new' as never,
          from: 'outside' as never,
          to: `model:${zoneId(zone)}` as never,
          worth: 5,
        },
      ],
      ...more,
    }),
  });
