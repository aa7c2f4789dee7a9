import { openStandIns, placeOf, STORES_SCOPE, takeTally } from '@/core/ledger';
import type { ElementKey } from '@/core/parts';
import type { BuildId } from '@/core/shared/ids';
import type { Handle } from '@/data/database';
import { revisionOf } from '@/data/actions';
import { readRecords } from '@/data/records';
import { openWorkbench } from './snapshot';

/** A build as the shelf shows it. Every figure comes out of its books. */
export interface ShelfBuild {
  readonly id: BuildId;
  readonly name: string;
  readonly note: string;
  readonly archived: boolean;
  readonly sets: string;
  readonly onModel: number;
  readonly shipped: number;
  readonly net: number;
  readonly outOfPocket: number;
  readonly worth: number;
  readonly sparesLeft: number;
  readonly modifications: number;
  readonly planned: number;
  readonly standIns: number;
  /** What there is most of, for the drawn state: elements on the model with their pieces. */
  readonly most: readonly (readonly [ElementKey, number])[];
}

/** Kept for as long as a workspace is open: another one may have the same numbers of steps. */
const caches = new WeakMap<Handle, Map<string, { readonly revision: string; readonly build: ShelfBuild }>>();

/** The builds, newest first. A build's figures are remembered until it or anything it shares changes. */
export function readShelf(handle: Handle): ShelfBuild[] {
  const builds = readRecords(handle.db, 'build').sort((a, b) => (a.createdAt < b.createdAt ? 1 : -1));
  const cache =
    caches.get(handle) ?? new Map<string, { readonly revision: string; readonly build: ShelfBuild }>();
  caches.set(handle, cache);
  return builds.flatMap(({ id }) => {
    const key = id;
    const stamp = `${revisionOf(handle.db, [id, STORES_SCOPE])}`;
    const known = cache.get(key);
    if (known?.revision === stamp) return [known.build];
    const build = shelfBuild(handle, id);
    if (build) cache.set(key, { revision: stamp, build });
    return build ? [build] : [];
  });
}

function shelfBuild(handle: Handle, id: BuildId): ShelfBuild | undefined {
  const bench = openWorkbench(handle, id);
  const build = bench?.records.build.get(id);
  if (!bench || !build) return undefined;
  const { figures } = takeTally(bench.built, { of: 'build' }, bench.priceOf);
  const copies = [...bench.records.copy.values()];
  const counts = new Map<ElementKey, number>();
  for (const r of bench.built.balances.rows((a) => placeOf(a) === 'model'))
    counts.set(r.element, (counts.get(r.element) ?? 0) + r.qty);
  return {
    id,
    name: build.name,
    note: build.note,
    archived: build.archived,
    sets: [
      ...new Set(copies.map((c) => `${c.setName}${c.condition === 'second-hand' ? ', second-hand' : ''}`)),
    ].join(' + '),
    onModel: figures.onModel,
    shipped: figures.shipped,
    net: figures.net,
    outOfPocket: figures.outOfPocket,
    worth: figures.worthIn,
    sparesLeft: figures.sparesLeft,
    modifications: bench.modifications.length,
    planned: bench.entries.filter((e) => e.state === 'planned' && e.whatIf === null).length,
    standIns: openStandIns(bench.built.entries).reduce((s, o) => s + o.qty, 0),
    most: [...counts].sort((a, b) => b[1] - a[1]).slice(0, 10),
  };
}
