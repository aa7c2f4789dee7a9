import type { CallContext, PrintContext } from '../log-line';
import { donorAccount, openPlaceholders, type Copy, type DraftContext } from '../ledger';
import { byPosition } from './list-places';
import type { Reach } from './reach';
import type { Workbench } from './workbench';

const byName = (a: Copy, b: Copy): number =>
  a.setName.localeCompare(b.setName, 'en', { numeric: true }) || (a.id < b.id ? -1 : 1);

/** The boxes that are broken up for a build, or that it was taken apart into, in the order in which they are taken from. */
export const boxesOf = ({ records, built }: Workbench): Copy[] =>
  [...records.copy.values()]
    .filter((c) => c.role === 'donor' || built.balances.total(donorAccount(c.id)) > 0)
    .sort(byName);

/** What printing a line needs to name things by: zones, assemblies and boxes. */
export const printContextOf = (bench: Workbench): PrintContext => ({
  zones: bench.zones,
  assemblies: [...bench.records.assembly.values()],
  boxes: bench.boxes.map((c) => ({ id: c.id, name: c.setName })),
});

/**
 * What the log line looks things up in. What takes a while to make is made when it is first looked at: words and
 * placeholders here, what is within reach by `reach`.
 */
export const callContextOf = (bench: Workbench, reach: () => Reach): CallContext => ({
  ...printContextOf(bench),
  get lexicon() {
    return bench.lexicon;
  },
  get placeholders() {
    return openPlaceholders(bench.planned.entries);
  },
  onModel: (e) => reach().onModel.has(e),
  atHand: (e) => reach().atHand.has(e),
});

/** What drafting an entry needs: both books, where pieces may come from and in which order, and what they cost. */
export const draftContextOf = (bench: Workbench): DraftContext => {
  const { records } = bench;
  const sources = records.buildSources.get(bench.build);
  return {
    built: bench.built,
    planned: bench.planned,
    rootZone: bench.rootZone.id,
    trays: [...records.tray.values()].sort(byPosition).map((t) => t.id),
    donors: bench.boxes.map((c) => c.id),
    boxesOnly: sources?.boxesOnly ?? false,
    elsewhere: sources?.elsewhere ?? 'own',
    orders: [...records.order.values()].map((o) => o.id),
    priceOf: bench.priceOf,
    kept: bench.kept,
    whatIf: bench.whatIf,
  };
};
