import { PALETTE, makeColour, type Colour } from '../colour';
import type { RecordSet } from '../ledger';

/** Evarn's palette and the colours that the workspace added. */
export function paletteOf(records: Pick<RecordSet, 'customColour'>): Colour[] {
  const own = [...records.customColour.values()].map((c, i) => ({
    ...makeColour({
      name: c.name,
      family: c.family as Colour['family'],
      hex: c.hex,
      finish: c.finish as Colour['finish'],
      code: `X${String(i + 1).padStart(2, '0')}`,
    }),
    id: c.id,
  }));
  return [...PALETTE, ...own];
}
