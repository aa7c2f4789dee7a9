import { elementName, saysWords, splitElementKey } from '../parts';
import type { Fix } from './fixes';

/** How mismatches can be ordered to be looked at: as they were weighed first. */
export const FIX_ORDERS = [
  'what shows most',
  'most for its money',
  'cheapest first',
  'furthest off',
  'by zone',
  'least sure first',
] as const;
export type FixOrder = (typeof FIX_ORDERS)[number];

/**
 * The fixes of an audit that have all words of a search in their part, its colours, zone or kind, in an order. What has no
 * price, or cannot be had, comes last where money orders; where two are alike they stay as they were weighed.
 *
 * sortFixes(audit.fixes, 'roof', 'cheapest first', zoneName) = those of the roof, own parts first
 */
export function sortFixes(
  fixes: readonly Fix[],
  text: string,
  order: FixOrder,
  zoneName: (fix: Fix) => string,
): readonly Fix[] {
  const has = saysWords(text);
  const said = (f: Fix) =>
    `${elementName(f.mismatch.element)} to ${splitElementKey(f.mismatch.to).colour} ${zoneName(f)} ${f.mismatch.kind}`;
  const found = fixes.filter((f) => has(said(f)));
  if (order === 'what shows most') return found;
  if (order === 'by zone') return found.sort((a, b) => zoneName(a).localeCompare(zoneName(b), 'en'));
  const weights = new Map(found.map((f) => [f, weight(f, order)]));
  const of = (f: Fix) => weights.get(f)!;
  // Two that cannot be had are alike; the difference of two infinite ones is no number.
  return found.sort((a, b) => (of(a) === of(b) ? 0 : of(a) - of(b)));
}

/** The less, the earlier. */
function weight(fix: Fix, order: FixOrder): number {
  const { mismatch } = fix;
  if (order === 'furthest off') return -mismatch.deltaE;
  if (order === 'least sure first') return mismatch.sure;
  if (!fix.canBeHad || fix.cost === null || mismatch.left) return Infinity;
  // A penny more, so that what costs nothing is ordered by how much it shows.
  return order === 'cheapest first' ? fix.cost : -mismatch.shows / (fix.cost + 1);
}
