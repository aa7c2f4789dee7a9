import type { BalanceRow } from '../ledger';

/** What a collection of own parts comes to. */
export interface Collection {
  readonly pieces: number;
  /** Different elements among them. */
  readonly kinds: number;
  readonly trays: number;
}

/**
 * What lies in own parts, counted: pieces, kinds and trays, empty trays too.
 *
 * @example collectionOf([{ account: 'stock:t', element: 'brick 1x2|ash', grade: 'used', qty: 3 }], 2) // 3 pieces, 1 kind, 2 trays
 */
export const collectionOf = (rows: readonly BalanceRow[], trays: number): Collection => ({
  pieces: rows.reduce((s, r) => s + r.qty, 0),
  kinds: new Set(rows.map((r) => r.element)).size,
  trays,
});
