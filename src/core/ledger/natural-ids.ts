import { asId, type CountLineId } from '../shared/ids';
import type { CountLine } from './survey-records';

/**
 * The id of a lot's count. It follows from what is counted, so that two windows that count the same lot mean the same
 * record: countLineId({ copy: 'c', zone: 'z', element: 'plate 1x2|ash' }) = 'c:z:plate 1x2|ash'.
 */
export const countLineId = (lot: Pick<CountLine, 'copy' | 'zone' | 'element'>): CountLineId =>
  asId<CountLineId>(`${lot.copy}:${lot.zone}:${lot.element}`);
