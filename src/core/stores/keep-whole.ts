import { added, type AccountKey, type KeptAssembly } from '../ledger';
import type { Command, Source } from '../bench';
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
