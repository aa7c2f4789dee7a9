import type { Minor } from '../shared/money';

/** Opaque, and the asker's own: told back as it came. */
export type ProblemId = string | number;

/** A buying plan problem: what is needed, who has it, at what price. The shapes of docs/formats/make-up-request.schema.json. */
export interface Problem {
  readonly schema: 'makeup/1';
  readonly name: string;
  readonly elements: readonly ProblemElement[];
  readonly lots: readonly ProblemLot[];
  readonly sellers: readonly ProblemSeller[];
  readonly donors: readonly ProblemDonor[];
  /** At most so many parcels; null = any number. */
  readonly maxSellers: number | null;
}

export interface ProblemElement {
  readonly id: ProblemId;
  readonly part: ProblemId;
  readonly colour: ProblemId;
  readonly grams: number;
}

/** Pieces wanted: any of the accepted elements does. */
export interface ProblemLot {
  readonly id: ProblemId;
  readonly qty: number;
  readonly accept: readonly ProblemId[];
}

export interface ProblemSeller {
  readonly id: ProblemId;
  /** Pence of pieces; a shortfall is paid as filler. */
  readonly minOrder: Minor;
  /** Ascending; the first band that holds the parcel. */
  readonly postage: readonly { readonly maxGrams: number; readonly pence: Minor }[];
  readonly offers: readonly ProblemOffer[];
}

export interface ProblemOffer {
  readonly element: ProblemId;
  readonly price: Minor;
  readonly stock: number;
  readonly minQty: number;
  readonly multiple: number;
}

/** A box to be broken up. */
export interface ProblemDonor {
  readonly id: ProblemId;
  readonly price: Minor;
  readonly maxCopies: number;
  readonly yields: readonly { readonly element: ProblemId; readonly qty: number }[];
}

/** What the two plans come to that people make. */
export interface ByHand {
  readonly cheapestEach: Minor;
  readonly fewestSellers: Minor;
  /** Pieces that each leaves unmet; not told by plans that were kept before this was. */
  readonly unmet?: { readonly cheapestEach: number; readonly fewestSellers: number } | undefined;
}

/** Who supplies what. */
export interface BuyingPlan {
  readonly schema: 'makeup-plan/1';
  readonly status: 'optimal' | 'bestSoFar' | 'gaveUp';
  readonly cost: Minor;
  /** Proven: no plan with this unmet costs less. */
  readonly floor: Minor;
  readonly unmet: readonly { readonly lot: ProblemId; readonly qty: number }[];
  readonly buys: readonly { readonly seller: ProblemId; readonly element: ProblemId; readonly qty: number }[];
  readonly donors: readonly { readonly id: ProblemId; readonly copies: number }[];
  /** The two plans that people make, scored alike. */
  readonly byHand: ByHand;
}
