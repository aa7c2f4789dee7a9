import { modelAccount } from '@/core/ledger';
import type { BuildId } from '@/core/shared/ids';
import { readCatalogue, writeSet, type CatalogueLot } from '@/data/catalogue';
import { inTransaction, type Handle } from '@/data/database';
import type { ImportBoxes } from './import-schemas';
import { openWorkbench } from './snapshot';

/** Who made the sets that a person brought in: the catalogue tells them by it, and nobody sells them. */
export const OWN_MAKER = 'your own';

type Kept = { readonly code: string };

/**
 * Keeps what a box held as a set of the catalogue, so that it can be chosen again. A set of the catalogue that came from
 * it is left as it is; one's own of the same name and code is replaced.
 */
export function keepImported(handle: Handle, boxes: ImportBoxes['boxes'], now: Date): void {
  const known = new Map(readCatalogue(handle.db).map((s) => [s.code, s]));
  for (const box of boxes) {
    const code = box.setCode.trim() || ownCode(box.setName);
    const old = known.get(code);
    if ((old && old.maker !== OWN_MAKER) || box.lots.length === 0) continue;
    const lots = box.lots.map(({ element, qty, extra, zone }) => ({ element, qty, extra, zone }));
    keep(handle, code, box.setName, lots, now);
  }
}

/** Keeps what stands of a build as a set of one's own: its pieces by zone, as built. Undefined when there is no such build. */
export function keepBuildAsSet(handle: Handle, build: BuildId, now: Date): Kept | undefined {
  const workbench = openWorkbench(handle, build);
  if (!workbench) return undefined;
  const lots = workbench.zones.flatMap((z): CatalogueLot[] =>
    workbench.built.balances
      .elements(modelAccount(z.id))
      .filter(([, qty]) => qty > 0)
      .map(([element, qty]) => ({ element, qty, extra: false, zone: z.parent === null ? '' : z.name })),
  );
  const name = workbench.records.build.get(build)?.name ?? 'build';
  const code = ownCode(name);
  keep(handle, code, name, lots, now);
  return { code };
}

function keep(handle: Handle, code: string, name: string, lots: readonly CatalogueLot[], now: Date): void {
  inTransaction(handle, () =>
    writeSet(handle.db, { code, name, maker: OWN_MAKER, year: now.getFullYear() }, lots),
  );
}

/** A code for a set that has none: 'own lock-house'. */
const ownCode = (name: string): string =>
  `own ${name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60)}`;
