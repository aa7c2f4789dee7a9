import {
  added,
  BLANK_ENTRY,
  goneAccount,
  joinDiffs,
  OUTSIDE,
  placeOf,
  removed,
  type AccountKey,
  type Build,
  type Command,
  type Diff,
  type Entry,
  type Movement,
  type Source,
  type TypedRecord,
} from '../ledger';
import { asId, type EntryId } from '../shared/ids';

/** What a build's log has done to trays: pieces that it put there, and pieces that it took. */
export interface TrayEffect {
  readonly put: readonly Movement[];
  readonly taken: readonly Movement[];
}

/**
 * What the done entries of a build come to in trays, netted for each tray, kind and condition: a piece that was taken
 * and put back counts in neither. `put` moves from outside into a tray, `taken` from a tray away, so that either can
 * stand in an entry of own parts.
 *
 * trayEffect(entries that put 3 plates into A1 and took 1 of them) = { put: [2 plates into A1], taken: [] }
 */
export function trayEffect(entries: Iterable<Entry>): TrayEffect {
  const net = new Map<string, Movement & { tray: AccountKey }>();
  const note = (tray: AccountKey, m: Movement, qty: number) => {
    const key = `${tray} ${m.element} ${m.grade}`;
    const before = net.get(key);
    net.set(key, { ...m, tray, worth: before?.worth ?? m.worth, qty: (before?.qty ?? 0) + qty });
  };
  for (const e of entries) {
    if (e.state !== 'done') continue;
    for (const m of e.movements) {
      if (placeOf(m.from) === 'stock') note(m.from, m, -m.qty);
      if (placeOf(m.to) === 'stock') note(m.to, m, m.qty);
    }
  }
  const rows = [...net.values()];
  return {
    put: rows.filter((r) => r.qty > 0).map(({ tray, ...m }) => ({ ...m, from: OUTSIDE, to: tray })),
    taken: rows
      .filter((r) => r.qty < 0)
      .map(({ tray, ...m }) => ({ ...m, qty: -m.qty, from: tray, to: goneAccount('sold') })),
  };
}

/**
 * Deletes a build with all that belongs to it. With `traysStay`, what lies in trays stays as it lies: what the build put
 * there counts from then on as own parts, what it took stays away. Without, it is as if the build had never been: what
 * it took lies in its tray again, what it put there is not there any more. `records` are all that name the build as theirs.
 */
export function deleteBuild(
  build: Build,
  records: readonly TypedRecord[],
  traysStay: boolean,
  source: Source,
): Command {
  const entries = records.flatMap((r) => (r.type === 'entry' ? [r.record] : []));
  const { put, taken } = traysStay ? trayEffect(entries) : { put: [], taken: [] };
  const kept = (kind: 'add-stock' | 'transfer', movements: readonly Movement[]): Diff =>
    movements.length === 0
      ? joinDiffs()
      : added('entry', {
          ...BLANK_ENTRY,
          id: asId<EntryId>(source.newId()),
          kind,
          note: `of the build ${build.name}, which was deleted`,
          loggedAt: source.now,
          movements,
        });
  return {
    label: `delete the build ${build.name}`,
    diff: joinDiffs(
      { added: [], changed: [], removed: records },
      removed('build', build),
      kept('add-stock', put),
      kept('transfer', taken),
    ),
  };
}
