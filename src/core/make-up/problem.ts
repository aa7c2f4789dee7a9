import type { Minor } from '../shared/money';

/** A make-up problem: what is needed, who has it, at what price. The shapes of docs/formats/make-up-request.schema.json. */
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
  readonly id: string;
  readonly part: string;
  readonly colour: string;
  readonly grams: number;
}

/** Pieces wanted: any of the accepted elements does. */
export interface ProblemLot {
  readonly id: string;
  readonly qty: number;
  readonly accept: readonly string[];
}

export interface ProblemSeller {
  readonly id: string;
  /** Pence of pieces; a shortfall is paid as filler. */
  readonly minOrder: Minor;
  /** Ascending; the first band that holds the parcel. */
  readonly postage: readonly { readonly maxGrams: number; readonly pence: Minor }[];
  readonly offers: readonly ProblemOffer[];
}

export interface ProblemOffer {
  readonly element: string;
  readonly price: Minor;
  readonly stock: number;
  readonly minQty: number;
  readonly multiple: number;
}

/** A box to be broken up. */
export interface ProblemDonor {
  readonly id: string;
  readonly price: Minor;
  readonly maxCopies: number;
  readonly yields: readonly { readonly element: string; readonly qty: number }[];
}

/** Who supplies what. */
export interface MakeUpPlan {
  readonly schema: 'makeup-plan/1';
  readonly status: 'optimal' | 'bestSoFar' | 'gaveUp';
  readonly cost: Minor;
  /** Proven: no plan with this unmet costs less. */
  readonly floor: Minor;
  readonly unmet: readonly { readonly lot: string; readonly qty: number }[];
  readonly buys: readonly { readonly seller: string; readonly element: string; readonly qty: number }[];
  readonly donors: readonly { readonly id: string; readonly copies: number }[];
  /** The two plans that people make, scored alike. */
  readonly byHand: { readonly cheapestEach: Minor; readonly fewestSellers: Minor };
}
