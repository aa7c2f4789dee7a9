import type { BuildId, ColourId, FindingId, StickerId, StickerSheetId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import {
  choice,
  element,
  id,
  list,
  mention,
  money,
  name,
  note,
  number,
  object,
  orNull,
  reference,
  whole,
} from './fields';

/** How a sticker looks. `not seen` = it is to come on a part that was bought for it. */
export const STICKER_CONDITIONS = [
  'good',
  'lifting',
  'crazed',
  'yellowed',
  'crooked',
  'torn',
  'not seen',
] as const;
export type StickerCondition = (typeof STICKER_CONDITIONS)[number];

/** What may become of a worn sticker. */
export const STICKER_WAYS = ['keep', 'move', 'from sheets', 'reprint', 'in brick', 'leave bare'] as const;
export type StickerWay = (typeof STICKER_WAYS)[number];

/** A sticker of a build: on one part, or across several in their order. What became of it stands in its acts. */
export const sticker = defineRecord({
  type: 'sticker',
  table: 'stickers',
  fields: {
    id: id<StickerId>(),
    build: reference<BuildId>('build'),
    name: name(),
    /** Where its parts are. */
    zone: reference<ZoneId>('zone'),
    /** None for a stripe that was cut and has no place yet. */
    elements: list(element(), 20),
    /** Millimetres; null = never measured. */
    w: orNull(number(0, 2000)),
    l: orNull(number(0, 2000)),
    colour: orNull(id<ColourId>()),
    sheet: orNull(mention<StickerSheetId>('stickerSheet')),
    /** True from the beginning: it was on the part in the box, or came with it. */
    cameOn: choice(['on the part', 'loose']),
    condition: choice(STICKER_CONDITIONS),
    /** The finding that was noted of its condition. */
    finding: orNull(mention<FindingId>('finding')),
    note: note(),
    /** What is to become of it, and what each way was judged at: money, minutes, and looks from 1 to 5. */
    way: orNull(choice(STICKER_WAYS)),
    ways: list(
      object({
        way: choice(STICKER_WAYS),
        cost: orNull(money()),
        minutes: orNull(whole(0, 100_000)),
        looks: orNull(whole(1, 5)),
      }),
      10,
    ),
  },
  inModFile: { key: 'stickers', most: 5000, optional: true },
});
export type Sticker = RecordOf<typeof sticker>;
