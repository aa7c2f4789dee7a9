import type { BuildId, OrderId, ParcelClaimId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { choice, date, element, grade, id, money, note, orNull, reference, somePieces } from './fields';

export const CLAIM_KINDS = ['short', 'wrong', 'damaged'] as const;
export type ClaimKind = (typeof CLAIM_KINDS)[number];
export const CLAIM_ENDS = ['refunded', 'sent again', 'closed'] as const;
export type ClaimEnd = (typeof CLAIM_ENDS)[number];

/** What was not right in a parcel, and what came of asking for it. */
export const parcelClaim = defineRecord({
  type: 'parcelClaim',
  table: 'parcel_claims',
  fields: {
    id: id<ParcelClaimId>(),
    build: reference<BuildId>('build'),
    order: reference<OrderId>('order'),
    element: element(),
    grade: grade(),
    qty: somePieces(),
    kind: choice(CLAIM_KINDS),
    /** The day it was found. */
    foundAt: date(),
    /** The day the seller was asked; null = not yet. */
    askedAt: orNull(date()),
    /** What he answered. */
    answer: note(),
    /** Null = open. */
    end: orNull(choice(CLAIM_ENDS)),
    refund: money(),
  },
  inModFile: { key: 'parcelClaims', most: 5000, optional: true },
});
export type ParcelClaim = RecordOf<typeof parcelClaim>;
