import { deltaE00 } from '../colour';
import { STICKER_WAYS, type Sticker, type StickerWay } from '../records';
import type { Minor } from '../shared/money';
import type { Workbench } from '../workbench';
import { stripesInBrick } from './in-brick';
import type { StickerNow } from './on-parts';
import { labOfField, scrapsOf } from './stripes';

/** What a way was judged at: what was typed, or else what is known. */
export interface WayJudged {
  readonly cost: Minor | null;
  readonly minutes: number | null;
  /** 1 to 5. */
  readonly looks: number | null;
}

/** What is known of a way. */
export type WaySays =
  | { readonly of: 'nothing' }
  /** Its size or its ground is not known. */
  | { readonly of: 'size' }
  /** What it takes of which sheet, mm². */
  | { readonly of: 'area'; readonly from: string; readonly area: number }
  /** The reprint that is kept, empty = none. */
  | { readonly of: 'reprint'; readonly from: string }
  | {
      readonly of: 'brick';
      readonly way: string;
      readonly toBuy: number;
      readonly cost: Minor;
      readonly unpriced: number;
      readonly estimated: boolean;
    };

export interface WayOf {
  readonly way: StickerWay;
  readonly typed: WayJudged;
  readonly says: WaySays;
  /** False where it cannot be done with what there is. */
  readonly can: boolean;
}

/** A difference that few see: what a renewed sticker may be off its ground. */
const NEAR = 3;

/**
 * The ways to go with a sticker, beside each other. Money is what was typed, or what is known: nothing for what stays, moves
 * or comes from left-over sheets, the price of the reprint that is kept, of the parts to be bought for a stripe in brick.
 *
 * @example waysOf(workbench, sticker).find((w) => w.way === 'from sheets')!.can
 */
export const waysOf = (workbench: Workbench, of: StickerNow): WayOf[] =>
  STICKER_WAYS.map((way) => {
    const { says, can, cost } = known(workbench, of.sticker, way);
    const typed = of.sticker.ways.find((w) => w.way === way);
    return {
      way,
      typed: { cost: typed?.cost ?? cost, minutes: typed?.minutes ?? null, looks: typed?.looks ?? null },
      says,
      can,
    };
  });

type Known = Pick<WayOf, 'says' | 'can'> & { readonly cost: Minor | null };

function known(workbench: Workbench, sticker: Sticker, way: StickerWay): Known {
  switch (way) {
    case 'keep':
    case 'move':
    case 'leave bare':
      return { says: { of: 'nothing' }, can: true, cost: 0 };
    case 'from sheets':
      return fromSheets(workbench, sticker);
    case 'reprint': {
      const sheet = sticker.sheet ? workbench.records.stickerSheet.get(sticker.sheet) : undefined;
      const isReprint = sheet?.kind === 'reprint';
      return {
        says: { of: 'reprint', from: isReprint ? sheet.name : '' },
        can: isReprint,
        cost: isReprint ? sheet.cost : null,
      };
    }
    case 'in brick': {
      const { w, l, colour } = sticker;
      if (!w || !l || !colour) return { says: { of: 'size' }, can: false, cost: null };
      const [best] = stripesInBrick(workbench, colour, { w, l });
      if (!best) return { says: { of: 'nothing' }, can: false, cost: null };
      const { name, toBuy, cost, unpriced, estimated, empty } = best;
      return {
        says: { of: 'brick', way: name, toBuy, cost, unpriced, estimated },
        can: empty === 0,
        cost: unpriced > 0 ? null : cost,
      };
    }
  }
}

function fromSheets(workbench: Workbench, { w, l, colour }: Sticker): Known {
  const ground = workbench.palette.find((c) => c.id === colour);
  if (!w || !l || !ground) return { says: { of: 'size' }, can: false, cost: null };
  const [long, short] = [Math.max(w, l), Math.min(w, l)];
  const scrap = scrapsOf(workbench).find(({ field, rest }) => {
    const r = field.rests[rest]!;
    const lab = labOfField(workbench, field);
    if (!lab || Math.max(r.w, r.h) < long || Math.min(r.w, r.h) < short) return false;
    return deltaE00({ l: lab[0], a: lab[1], b: lab[2], white: 'D65' }, ground.lab) <= NEAR;
  });
  const from = scrap ? `${scrap.sheet.name}, ${scrap.field.name}` : '';
  return { says: { of: 'area', from, area: w * l }, can: scrap !== undefined, cost: 0 };
}
