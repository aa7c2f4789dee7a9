import type { BuildId, EntryId, StickerId, ZoneId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, element, id, list, mention, orNull, reference } from './fields';

/** What can be done with a sticker. None of it moves a piece. */
export const STICKER_ACTS = [
  'put on',
  'taken off and kept',
  'moved',
  'trimmed',
  'covered',
  'renewed with its part',
  'lost',
] as const;
export type StickerActName = (typeof STICKER_ACTS)[number];

/** What an entry of the log did with a sticker. It counts as long as its entry is there. */
export const stickerAct = defineRecord({
  type: 'stickerAct',
  table: 'sticker_acts',
  fields: {
    id: id<EntryId>(),
    entry: mention<EntryId>('entry'),
    build: reference<BuildId>('build'),
    sticker: reference<StickerId>('sticker'),
    act: choice(STICKER_ACTS),
    /** For what was moved or put on: where to, and onto which parts. */
    zone: orNull(reference<ZoneId>('zone')),
    elements: list(element(), 20),
  },
  idOf: (a) => a.entry,
  inModFile: { key: 'stickerActs', most: 20_000, optional: true },
});
export type StickerAct = RecordOf<typeof stickerAct>;
