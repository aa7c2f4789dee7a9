import { formatFixed, formatLength } from '@/core/shared/forms';
import type { ActWish, BrickWay, Instead, StickerPlace } from '@/core/stickers';
import type { CutPlan, UnmetWhy } from '@/core/stickers/cutting';
import type { StickerActName, StickerCondition, StickerSheet, StickerWay } from '@/core/records';
import { count } from '@/ui/numbers';

export const CONDITION_WORDS: Readonly<Record<StickerCondition, string>> = {
  good: 'good',
  lifting: 'lifting',
  crazed: 'crazed',
  yellowed: 'yellowed',
  crooked: 'crooked',
  torn: 'torn',
  'not seen': 'doubtful until seen',
};

export const PLACE_WORDS: Readonly<Record<StickerPlace, string>> = {
  on: 'on its part',
  covered: 'covered by bricks',
  kept: 'taken off and kept',
  lost: 'lost',
};

export const ACT_WORDS: Readonly<Record<StickerActName, string>> = {
  'put on': 'Put on',
  'taken off and kept': 'Taken off and kept',
  moved: 'Moved',
  trimmed: 'Trimmed',
  covered: 'Covered by bricks',
  'renewed with its part': 'Renewed with the same part',
  lost: 'Lost',
};

/** What an entry of a sticker says in the log: "band: taken off and kept". */
export const actText = (name: string, act: ActWish['act']): string =>
  `${name}: ${ACT_WORDS[act].toLowerCase()}`;

export const WAY_WORDS: Readonly<Record<StickerWay, string>> = {
  keep: 'Keep it',
  move: 'Move it',
  'from sheets': 'Renew it from sheets',
  reprint: 'Have it reprinted',
  'in brick': 'A stripe in brick',
  'leave bare': 'Leave it bare',
};

export const SHEET_WORDS: Readonly<Record<StickerSheet['kind'], string>> = {
  'from its set': 'from its set',
  reprint: 'a reprint',
  vinyl: 'plain vinyl',
};

export const WHY_WORDS: Readonly<Record<UnmetWhy, string>> = {
  'no colour': 'no sheet has its colour',
  'too large': 'longer or wider than what is left of its colour',
  'no room': 'the others take the room',
  'one field': 'no one field has room for all that must line up',
};

/** An area in square centimetres: areaWords(1234) = "12.3 cm²". */
export const areaWords = (mm2: number): string => `${formatFixed(mm2 / 100)} cm²`;

const unmetOf = (plan: CutPlan): number => plan.unmet.reduce((n, u) => n + u.count, 0);

/** A plan of cutting in a sentence. */
export function cutHeadline(plan: CutPlan): string {
  const [cut, unmet] = [plan.placed.length, unmetOf(plan)];
  if (cut + unmet === 0) return 'No stripes are wanted.';
  if (cut === 0) return 'Nothing that is left gives these stripes.';
  const from = plan.fieldsOpened === 1 ? 'one piece' : `${count(plan.fieldsOpened)} pieces`;
  return unmet === 0
    ? `All ${count(cut)} come out of ${from} of what is left.`
    : `${count(cut)} come out of ${from} of what is left; ${count(unmet)} ${unmet === 1 ? 'does' : 'do'} not.`;
}

/** What would do for a stripe that cannot be cut. */
export function insteadWords({ inPieces }: Instead): string | null {
  if (!inPieces) return null;
  const { pieces, each } = inPieces;
  return `In two layers: ${pieces} pieces of ${formatLength(each)}, each over the end of the one before, from ${inPieces.scrap.sheet.name}, ${inPieces.scrap.field.name}.`;
}

/** How a stripe in brick stands beside the printed one. */
export const offWords = ({ off, high }: BrickWay): string =>
  Math.abs(off) < 0.05
    ? `${formatLength(high)} high, as printed`
    : `${formatLength(high)} high, ${formatLength(Math.abs(off))} ${off > 0 ? 'more' : 'less'} than printed`;

/** The usual cautions, beside the step where they matter; the product's label and local rules come first. */
export const CAUTIONS = {
  blade: 'Cut away from the hand, on a mat, with a steel ruler; put blades out of reach of children.',
  solvent:
    'What dissolves glue is flammable and its vapour is harmful: open a window, no flame, gloves; try it on a hidden place first, never on prints or clear parts.',
  heat: 'Warm air softens the part before it softens the glue: lowest step, far off, and let it cool.',
  label: 'The label of the product and local rules come before all of this.',
} as const;
