import { transferOf, type Workbench } from '../workbench';
import type { Command, Source } from '../ledger';
import {
  added,
  BLANK_ENTRY,
  donorAccount,
  freeOf,
  joinDiffs,
  modelAccount,
  ownAccount,
  sparesAccount,
  stockAccount,
  type AccountKey,
  type Copy,
  type Entry,
  type Modification,
  type Movement,
} from '../ledger';
import type { ElementKey } from '../parts';
import {
  asId,
  type CopyId,
  type EntryId,
  type ModificationId,
  type TrayId,
  type ZoneId,
} from '../shared/ids';
import type { Minor } from '../shared/money';
import type { StockLot } from './stock';

/** What a box being broken up still holds, and what it costs a piece. */
export interface DonorReport {
  readonly copy: Copy;
  readonly lots: readonly StockLot[];
  readonly pieces: number;
  /** Pieces that came out of the box when it was opened. */
  readonly opened: number;
  /** Pieces of it that plans still lack, lot by lot. */
  readonly useful: number;
  /** Price of one piece if all are used, and if only the useful ones are; in pence, not rounded. Null = no piece. */
  readonly eachOfAll: number | null;
  readonly eachOfUseful: number | null;
}

/** What each box that is being broken up for a build gives; one still on its way is not there. `lacking` is what its plans are short of, by element. */
export function donorReport(workbench: Workbench, lacking: ReadonlyMap<ElementKey, number>): DonorReport[] {
  const price = (total: Minor | null, n: number) => (n > 0 && total !== null ? total / n : null);
  return [...workbench.records.copy.values()]
    .filter((c) => c.role === 'donor' && c.build === workbench.build)
    .map((copy) => {
      const at = donorAccount(copy.id);
      const { balances } = workbench.built;
      const lots = balances
        .rows((a) => a === at)
        .map((r) => ({ ...r, qty: r.qty > 0 ? freeOf(balances, at, r.element, r.grade, workbench.kept) : 0 }))
        .filter((r) => r.qty > 0);
      const opened = workbench.entries
        .filter((e) => e.state === 'done')
        .flatMap((e) => e.movements)
        .reduce((s, m) => s + (m.to === at ? m.qty : 0), 0);
      const left = new Map(lacking);
      let useful = 0;
      for (const l of lots) {
        const n = Math.min(l.qty, left.get(l.element) ?? 0);
        left.set(l.element, (left.get(l.element) ?? 0) - n);
        useful += n;
      }
      return {
        copy,
        lots,
        pieces: lots.reduce((s, l) => s + l.qty, 0),
        opened,
        useful,
        eachOfAll: price(copy.price, opened),
        eachOfUseful: price(copy.price, useful),
      };
    })
    .filter((r) => r.opened > 0);
}

/** Takes lots out of a box that is being broken up: to the build's spares, so that its plans have them. */
export function breakUpBox(workbench: Workbench, lots: readonly StockLot[], source: Source): Command {
  const movements = lots
    .filter((l) => l.qty > 0)
    .map(({ account, element, grade, qty }): Movement => {
      const to = sparesAccount(workbench.build);
      return { element, grade, qty, from: account, to, worth: null };
    });
  if (movements.length === 0) return { label: 'take nothing out', diff: joinDiffs() };
  const n = movements.reduce((s, m) => s + m.qty, 0);
  const entry = transferOf(workbench, movements, 'out of the box', source);
  return { label: `take ${n} out of the box`, diff: added('entry', entry) };
}

/** Where the parts of a build that is taken apart go: to its spares (null), a tray, back into a box, or to own parts uncounted. */
export type BreakUpGoal =
  { readonly tray: TrayId } | { readonly box: CopyId } | { readonly own: true } | null;

/**
 * Breaks a build up, or some zones of it: all that is on them goes off the model, to where they are to go, as
 * a modification of its own, so that the build's tally still tells what became of it.
 */
export function breakUpBuild(
  workbench: Workbench,
  zones: readonly ZoneId[],
  to: BreakUpGoal,
  source: Source,
): Command {
  const goal: AccountKey =
    to === null
      ? sparesAccount(workbench.build)
      : 'tray' in to
        ? stockAccount(to.tray)
        : 'box' in to
          ? donorAccount(to.box)
          : ownAccount();
  const modification: Modification = {
    id: asId<ModificationId>(source.newId()),
    build: workbench.build,
    no: Math.max(0, ...workbench.modifications.map((m) => m.no)) + 1,
    title: 'Broken up for parts',
    zone: zones[0] ?? workbench.rootZone.id,
    phase: null,
    why: '',
    note: '',
    position: Math.max(0, ...workbench.modifications.map((m) => m.position)) + 1,
    purpose: null,
  };
  let no = workbench.nextEntry(null).no;
  const entries = zones.flatMap((zone, i): Entry[] => {
    const at = modelAccount(zone);
    const movements = workbench.built.balances
      .rows((a) => a === at)
      .filter((r) => r.qty > 0)
      .map((r): Movement => ({
        element: r.element,
        grade: r.grade,
        qty: r.qty,
        from: at,
        to: goal,
        worth: workbench.priceOf(r.element, r.grade),
      }));
    if (movements.length === 0) return [];
    return [
      {
        ...BLANK_ENTRY,
        id: asId<EntryId>(source.newId()),
        build: workbench.build,
        modification: modification.id,
        kind: 'remove',
        no: no++,
        position: i + 1,
        note: workbench.records.zone.get(zone)?.name ?? '',
        loggedAt: source.now,
        movements,
      },
    ];
  });
  if (entries.length === 0) return { label: 'break nothing up', diff: joinDiffs() };
  const n = entries.flatMap((e) => e.movements).reduce((s, m) => s + m.qty, 0);
  return {
    label: `break up ${n} pieces`,
    diff: joinDiffs(added('modification', modification), added('entry', ...entries)),
  };
}
