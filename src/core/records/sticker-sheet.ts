import type { ColourId, StickerSheetId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, id, list, money, name, note, number, object, orNull, short } from './fields';

/** Where a sticker sheet comes from: with its set, printed anew, or plain vinyl to cut from. */
export const SHEET_KINDS = ['from its set', 'reprint', 'vinyl'] as const;
/** Whether a print stands something; for most sheets nobody has tried. */
export const STANDS = ['yes', 'no', 'not known'] as const;

const mm = () => number(0, 2000);
const rest = object({ x: mm(), y: mm(), w: mm(), h: mm() });

/**
 * A sticker sheet that lies in the drawer, with what is left of it. It belongs to no build: what one left over another may
 * be cut from.
 */
export const stickerSheet = defineRecord({
  type: 'stickerSheet',
  table: 'sticker_sheets',
  fields: {
    id: id<StickerSheetId>(),
    name: name(),
    /** The set, and the edition of it, that it came with; empty = none. */
    fromSet: short(),
    kind: choice(SHEET_KINDS),
    printer: short(),
    material: short(),
    /** What it cost; null = not known. */
    cost: orNull(money()),
    water: choice(STANDS),
    heat: choice(STANDS),
    note: note(),
    photo: orNull(id()),
    /** Rectangles of one colour or with one motif, in mm, and what is left of each, from its lower left corner. */
    fields: list(
      object({
        id: id(),
        name: name(),
        w: mm(),
        h: mm(),
        colour: orNull(id<ColourId>()),
        /** Its colour as read, under D65, where that is known better than by a colour's name. */
        lab: orNull(object({ l: number(-20, 120), a: number(-200, 200), b: number(-200, 200) })),
        /** What is printed on it; empty = plain. */
        motif: short(),
        rests: list(rest, 200),
      }),
      100,
    ),
  },
});
export type StickerSheet = RecordOf<typeof stickerSheet>;
export type SheetField = StickerSheet['fields'][number];
