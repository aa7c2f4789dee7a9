import { added, removed, type AccountKey, type KeptAssembly } from '../ledger';
import type { Command, Source } from '../ledger';
import { asId, type KeptAssemblyId } from '../shared/ids';

/** Keeps pieces at a place together under a name, so that nothing else takes them. */
export function keepWhole(
  name: string,
  account: AccountKey,
  lots: KeptAssembly['lots'],
  source: Source,
): Command {
  const kept: KeptAssembly = { id: asId<KeptAssemblyId>(source.newId()), name, account, lots };
  return { label: `keep ${name} whole`, diff: added('keptAssembly', kept) };
}

/** Lets pieces that were kept together be taken again. */
export const breakUpKept = (kept: KeptAssembly): Command => ({
  label: `break up ${kept.name}`,
  diff: removed('keptAssembly', kept),
});
