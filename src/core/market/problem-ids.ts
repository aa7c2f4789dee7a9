import { grade, type Grade } from '../places';
import type { ElementKey } from '../parts';
import type { MarketBox } from './market';
import type { NeedLot } from '../need';

/** An offered element in a condition, as the problem names it. */
export const offerId = (element: ElementKey, g: Grade): string => `${element}#${g}`;
export function readOfferId(id: string): { element: ElementKey; grade: Grade } {
  const cut = id.lastIndexOf('#');
  return { element: id.slice(0, cut) as ElementKey, grade: id.slice(cut + 1) as Grade };
}

/** The id of a need's lot in the problem. */
export const lotId = (lot: Pick<NeedLot, 'element' | 'hidden'>): string =>
  `${lot.element}${lot.hidden ? '!' : ''}`;

export const boxId = (b: Pick<MarketBox, 'code' | 'condition'>): string => `${b.code} ${b.condition}`;
export const boxGrade = (b: Pick<MarketBox, 'condition'>): Grade =>
  grade(b.condition === 'new' ? 'new' : 'used');
