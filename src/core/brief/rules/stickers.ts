import { stickersNow } from '../../stickers';
import { unbroken, type Rule } from '../rule';

/** No sticker is on any part that is seen. */
export const noStickers: Rule = {
  id: 'no stickers',
  name: 'No stickers',
  asks: 'nothing',
  ofBooks: (workbench) =>
    unbroken(stickersNow(workbench).flatMap((s) => (s.place === 'on' ? [s.sticker.name] : []))),
};

/** Stickers are those of the set: none from a reprint or from plain vinyl. Where it is off, reprints are allowed. */
export const originalStickers: Rule = {
  id: 'original stickers',
  name: 'Original stickers only',
  asks: 'nothing',
  ofBooks: (workbench) =>
    unbroken(
      stickersNow(workbench).flatMap(({ place, sticker }) => {
        const sheet = sticker.sheet && workbench.records.stickerSheet.get(sticker.sheet);
        const isOther = sheet ? sheet.kind !== 'from its set' : sticker.way === 'reprint';
        return place === 'on' && isOther ? [sticker.name] : [];
      }),
    ),
};
