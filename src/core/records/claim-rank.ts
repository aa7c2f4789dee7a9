import type { BuildId } from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import { id, whole } from './fields';

/**
 * Where a build stands among those that claim own parts. Its id is the build's. It belongs to own parts and names no
 * build of which it would stand in the way.
 */
export const claimRank = defineRecord({
  type: 'claimRank',
  table: 'claim_ranks',
  fields: { id: id<BuildId>(), rank: whole(-1_000_000, 1_000_000) },
});
export type ClaimRank = RecordOf<typeof claimRank>;
