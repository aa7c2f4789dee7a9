import * as z from '../shared/zod';
import { LIMITS } from '../shared/bounds';
import { elementSchema } from '../formats/record-schemas';

/** Bounds of a sheet: what a thousand-line mod comes to, and more than anybody prints. */
export const SHEET = {
  blocks: 4000,
  items: 5000,
  pictures: 60,
  text: LIMITS.note,
  /** Longest side of a photo on a sheet, pixels: 200 to the inch over a page's width. */
  photoSide: 1100,
  bytes: 8 * 1024 * 1024,
} as const;

const text = z.string().max(SHEET.text);
const length = z.number().min(0).max(20_000);
const lot = z.strictObject({ element: elementSchema, qty: z.int().min(1).max(LIMITS.qty) });
const lots = z.array(lot).max(SHEET.items);

/** What a mod sheet is made of, in its order. Texts are plain: whoever renders them makes them safe. */
const block = z.discriminatedUnion('is', [
  z.strictObject({ is: z.literal('heading'), text, level: z.union([z.literal(2), z.literal(3)]) }),
  z.strictObject({ is: z.literal('text'), text, soft: z.boolean().optional() }),
  z.strictObject({ is: z.literal('facts'), rows: z.array(z.tuple([text, text])).max(200) }),
  z.strictObject({ is: z.literal('list'), items: z.array(text).max(SHEET.items) }),
  z.strictObject({
    is: z.literal('table'),
    head: z.array(text).max(20),
    rows: z.array(z.array(text).max(20)).max(SHEET.items),
  }),
  z.strictObject({ is: z.literal('parts'), lots }),
  z.strictObject({ is: z.literal('change'), where: text, off: lots, on: lots }),
  /** A drawing to build or to cut by, in millimetres from its upper left corner; no colour = an outline. */
  z.strictObject({
    is: z.literal('guide'),
    says: text,
    w: length,
    h: length,
    rects: z
      .array(
        z.strictObject({
          ...{ x: length, y: length, w: length, h: length },
          ...{ colour: z.string().max(LIMITS.id).nullable(), label: z.string().max(40) },
        }),
      )
      .max(SHEET.items),
  }),
  z.strictObject({
    is: z.literal('pictures'),
    pictures: z
      .array(z.strictObject({ photo: z.string().min(1).max(LIMITS.id), says: text }))
      .max(SHEET.pictures),
  }),
]);

export const sheetSchema = z.strictObject({
  title: z.string().max(LIMITS.name),
  author: z.string().max(LIMITS.name),
  paper: z.enum(['A4', 'Letter']),
  blocks: z.array(block).max(SHEET.blocks),
});

export type SheetDocument = z.infer<typeof sheetSchema>;
export type SheetBlock = SheetDocument['blocks'][number];

/** The photos that a sheet shows, each once. */
export const photosOf = ({ blocks }: Pick<SheetDocument, 'blocks'>): string[] => [
  ...new Set(blocks.flatMap((b) => (b.is === 'pictures' ? b.pictures.map((p) => p.photo) : []))),
];
