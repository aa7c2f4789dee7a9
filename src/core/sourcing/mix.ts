import type { Compiled } from './compile';

/** With more lots than these a search has too few steps for each to try much else than to put lots right. */
export const MANY_LOTS = 200;

/** Which moves a search makes how often, as shares. */
export interface Mix {
  /** Of all but the dividing of two parcels: those that put one lot, or two, elsewhere and fill nothing anew. */
  readonly relocations: number;
  /** Of those that fill lots anew: those that buy a box more or fewer. */
  readonly boxes: number;
  /**
   * How much dearer than they are now, at most, lots may become that go to a seller who is tried. Where his least order is
   * high, dearer pieces that fill it are worth having.
   */
  readonly dearer: number;
}

/** Where there is time to try boxes and sellers. */
const FREE: Mix = { relocations: 0.6, boxes: 0.15, dearer: 0.5 };
/** Where there is not, or where the places of sellers are counted. */
const BOUND: Mix = { relocations: 0.75, boxes: 0.06, dearer: 0 };

/**
 * The mix of moves for a problem. Where parcels are limited a seller's place is what is dear, and not his least order; what
 * sets searches from different sellers apart is not to be evened out by dearer pieces.
 *
 * @example
 * mixFor(compile(problem)).boxes // 0.15 with 120 lots and any number of parcels: there is time to try boxes
 */
export const mixFor = (c: Pick<Compiled, 'lots' | 'maxSellers' | 'sellers'>): Mix =>
  c.lots > MANY_LOTS || c.maxSellers < c.sellers ? BOUND : FREE;
