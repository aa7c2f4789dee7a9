import { added, type AccountKey, type KeptAssembly } from '../ledger';
import type { Command, Source } from '../bench';
import type { ElementKey } from '../parts';
import { asId, type KeptId } from '../shared/ids';

/** Keeps pieces at a place together under a name, so that nothing else takes them. */
export function keepWhole(
  name: string,
  account: AccountKey,
  lots: KeptAssembly['lots'],
  source: Source,
): Command {
  const kept: KeptAssembly = { id: asId<KeptId>(source.newId()), name, account, lots };
  return { label: `keep ${name} whole`, diff: added('kept', kept) };
}

/** Pieces at each place that are kept together, by `account|element`. */
export function keptAt(kept: Iterable<KeptAssembly>): Map<string, number> {
  const sums = new Map<string, number>();
  for (const k of kept)
    for (const l of k.lots) {
      const key = `${k.account}|${l.element}`;
      sums.set(key, (sums.get(key) ?? 0) + l.qty);
    }
  return sums;
}

/** Pieces of an element at a place that may be taken: those there less those kept together. Never below zero. */
export const freeAt = (
  there: number,
  kept: ReadonlyMap<string, number>,
  account: AccountKey,
  element: ElementKey,
): number => Math.max(0, there - (kept.get(`${account}|${element}`) ?? 0));
