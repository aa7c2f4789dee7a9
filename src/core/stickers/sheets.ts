import { removed, written, type Command, type Source } from '../ledger';
import type { SheetField, Sticker, StickerSheet } from '../records';
import { asId, type StickerSheetId } from '../shared/ids';
import type { Workbench } from '../workbench';

/** Units that a field can be measured in: those of lengths, studs, or tiles laid along its edge, each two studs long. */
export const FIELD_UNITS = { mm: 1, cm: 10, inches: 25.4, studs: 8, 'tiles 1x2': 16 } as const;
export type FieldUnit = keyof typeof FIELD_UNITS;

/** A length in millimetres, to the tenth: toMillimetres(4, 'studs') = 32. */
export const toMillimetres = (length: number, unit: FieldUnit): number =>
  Math.round(length * FIELD_UNITS[unit] * 10) / 10;

/** A sheet with nothing on it yet. */
export const newSheet = (source: Source): StickerSheet => ({
  id: asId<StickerSheetId>(source.newId()),
  name: 'Sticker sheet',
  fromSet: '',
  kind: 'from its set',
  printer: '',
  material: '',
  cost: null,
  water: 'not known',
  heat: 'not known',
  note: '',
  photo: null,
  fields: [],
});

export const keepSheet = (workbench: Workbench, sheet: StickerSheet): Command => ({
  label: `change ${sheet.name}`,
  diff: written('stickerSheet', workbench.records.stickerSheet.get(sheet.id), sheet),
});

export const deleteSheet = (sheet: StickerSheet): Command => ({
  label: `delete ${sheet.name}`,
  diff: removed('stickerSheet', sheet),
});

/** A field that nothing was taken from. */
export const wholeField = (field: Omit<SheetField, 'rests'>): SheetField => ({
  ...field,
  rests: [{ x: 0, y: 0, w: field.w, h: field.h }],
});

/**
 * A field at another size: where nothing was taken from it, it stays whole; where something was, what is left is cut to
 * what still lies in it.
 */
export function resized(field: SheetField, w: number, h: number): SheetField {
  if (takenOf(field) === 0) return wholeField({ ...field, w, h });
  const rests = field.rests.flatMap((r) => {
    const cut = { ...r, w: Math.min(r.w, w - r.x), h: Math.min(r.h, h - r.y) };
    return cut.w > 0 && cut.h > 0 ? [cut] : [];
  });
  return { ...field, w, h, rests };
}

const areaOf = (r: { readonly w: number; readonly h: number }): number => r.w * r.h;

/** What is left of a field, mm². */
export const leftOf = (field: SheetField): number => field.rests.reduce((s, r) => s + areaOf(r), 0);
/** What was taken of it or is no good any more, mm². */
export const takenOf = (field: SheetField): number => {
  const taken = areaOf(field) - leftOf(field);
  return taken > 1e-6 ? taken : 0;
};

/** What a sheet holds and what of it is left, mm². */
export const sheetAreas = ({ fields }: StickerSheet): { readonly all: number; readonly left: number } => ({
  all: fields.reduce((s, f) => s + areaOf(f), 0),
  left: fields.reduce((s, f) => s + leftOf(f), 0),
});

/** Marks a rectangle of a field as no good: torn, or cut away before anybody wrote it down. What is left is what remains beside it. */
export function spoil(field: SheetField, away: { x: number; y: number; w: number; h: number }): SheetField {
  const rests = field.rests.flatMap((r) => {
    const [x0, y0] = [Math.max(r.x, away.x), Math.max(r.y, away.y)];
    const [x1, y1] = [Math.min(r.x + r.w, away.x + away.w), Math.min(r.y + r.h, away.y + away.h)];
    if (x1 <= x0 || y1 <= y0) return [r];
    return [
      { x: r.x, y: r.y, w: r.w, h: y0 - r.y },
      { x: r.x, y: y1, w: r.w, h: r.y + r.h - y1 },
      { x: r.x, y: y0, w: x0 - r.x, h: y1 - y0 },
      { x: x1, y: y0, w: r.x + r.w - x1, h: y1 - y0 },
    ].filter((p) => p.w > 1e-6 && p.h > 1e-6);
  });
  return { ...field, rests };
}

/** Stickers of a build that came from a sheet. */
export const fromSheet = (workbench: Workbench, sheet: StickerSheet): Sticker[] =>
  [...workbench.records.sticker.values()].filter((s) => s.sheet === sheet.id);
