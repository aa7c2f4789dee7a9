import {
  accountOwner,
  added,
  BLANK_ENTRY,
  conditionOf,
  countLineId,
  grade,
  joinDiffs,
  OUTSIDE,
  placeOf,
  storesAccount,
  type AccountKey,
  type Diff,
  type Entry,
  type Movement,
} from '../ledger';
import {
  asId,
  type BuildId,
  type CopyId,
  type EntryId,
  type IdSource,
  type TrayId,
  type ZoneId,
} from '../shared/ids';
import { LIMITS } from '../shared/bounds';
import { cutText } from '../shared/text';
import { poolSetting } from '../supply';
import type { ModFile } from './mod-file';

/** The records that bring a mod file in beside everything that is there: all ids new, trays of its own. */
export function bringModFileIn(file: ModFile, newId: IdSource, now: string): { diff: Diff; build: BuildId } {
  const ids = new Map<string, string>();
  const fresh = <T extends string>(old: T): T => {
    const known = ids.get(old) ?? newId();
    ids.set(old, known);
    return known as T;
  };
  // A count's id follows from what it counts.
  for (const l of file.countLines ?? [])
    ids.set(l.id, countLineId({ ...l, copy: fresh(l.copy), zone: fresh(l.zone) }));
  const maybe = <T extends string>(old: T | null): T | null => (old === null ? null : fresh(old));
  const build = fresh(file.build.id);
  const own = { build };
  const { trays, stock } = traysOf(file, newId, now, fresh);
  const entries = file.entries.map((e) => renameEntry(e, build, fresh, maybe));
  const diff = joinDiffs(
    // Here it is new, whatever its age elsewhere: it comes last for the stores.
    added('build', { ...file.build, id: build, createdAt: now }),
    added('copy', ...file.copies.map((c) => ({ ...c, ...own, id: fresh(c.id) }))),
    added('zone', ...file.zones.map((z2) => ({ ...z2, ...own, id: fresh(z2.id), parent: maybe(z2.parent) }))),
    added('phase', ...file.phases.map((p) => ({ ...p, ...own, id: fresh(p.id) }))),
    added(
      'modification',
      ...file.modifications.map((m) => ({
        ...m,
        ...own,
        id: fresh(m.id),
        zone: fresh(m.zone),
        phase: maybe(m.phase),
      })),
    ),
    added('whatIf', ...file.whatIfs.map((w) => ({ ...w, ...own, id: fresh(w.id) }))),
    added('assembly', ...file.assemblies.map((a) => ({ ...a, ...own, id: fresh(a.id) }))),
    added('order', ...file.orders.map((o) => ({ ...o, ...own, id: fresh(o.id) }))),
    added('tray', ...trays),
    surveyOf(file, build, fresh, maybe),
    poolOf(file, build, fresh),
    added('entry', ...stock, ...entries),
  );
  return { diff, build };
}

type Rename = <T extends string>(old: T) => T;
type MaybeRename = <T extends string>(old: T | null) => T | null;

/** What was seen when the set was looked over. A lot's key names its zone, so it is made anew. */
function surveyOf(file: ModFile, build: BuildId, fresh: Rename, maybe: MaybeRename): Diff {
  const own = { build };
  const lot = <T extends { zone: ZoneId; element: string }>(r: T): T => {
    const zone = fresh(r.zone);
    return { ...r, ...own, zone, id: `${zone}|${r.element}` };
  };
  const lines = file.countLines ?? [];
  const places = <T extends { copy: CopyId; zone: ZoneId }>(l: T) => ({
    copy: fresh(l.copy),
    zone: fresh(l.zone),
  });
  return joinDiffs(
    added(
      'surveyCard',
      ...(file.surveyCards ?? []).map((c) => ({ ...c, ...own, id: build, away: c.away.map(fresh) })),
    ),
    added('countLine', ...lines.map((l) => ({ ...l, ...own, ...places(l), id: fresh(l.id) }))),
    added(
      'finding',
      ...(file.findings ?? []).map((f) => ({
        ...f,
        ...own,
        id: fresh(f.id),
        zone: fresh(f.zone),
        modification: maybe(f.modification),
      })),
    ),
    added('exposure', ...(file.exposures ?? []).map(lot)),
    added(
      'scheme',
      ...(file.schemes ?? []).map((s) => ({ ...s, ...own, id: fresh(s.id), zone: fresh(s.zone) })),
    ),
    added('leftSlip', ...(file.leftSlips ?? []).map(lot)),
  );
}

/** What belongs to a build limited to its boxes, and what it keeps whole. */
const poolOf = (file: ModFile, build: BuildId, fresh: Rename): Diff =>
  joinDiffs(
    added('poolModel', ...(file.poolModels ?? []).map((m) => ({ ...m, build, id: fresh(m.id) }))),
    added(
      'kept',
      ...(file.kept ?? []).map((k) => ({ ...k, id: fresh(k.id), account: renamed(k.account, fresh) })),
    ),
    file.bound ? added('setting', { id: poolSetting(build), values: [1] }) : joinDiffs(),
  );

/** An account by the new id of whose it is. */
const renamed = (key: AccountKey, fresh: Rename): AccountKey => {
  const place = placeOf(key);
  return place === 'outside' || place === 'gone'
    ? key
    : (`${place}:${fresh(accountOwner(key))}` as AccountKey);
};

function renameEntry(e: Entry, build: BuildId, fresh: Rename, maybe: MaybeRename): Entry {
  return {
    ...e,
    id: fresh(e.id),
    build,
    modification: maybe(e.modification),
    whatIf: maybe(e.whatIf),
    assembly: maybe(e.assembly),
    order: maybe(e.order),
    line: maybe(e.line),
    counted: maybe(e.counted),
    // Measured batches are named by the readings of the workspace they were made in: here the condition alone holds.
    movements: e.movements.map((m) => ({
      ...m,
      grade: grade(conditionOf(m.grade)),
      from: renamed(m.from, fresh),
      to: renamed(m.to, fresh),
    })),
  };
}

/** Trays that the file's entries name, and a stock entry with what they took from them. */
function traysOf(file: ModFile, newId: IdSource, now: string, fresh: Rename) {
  const named = new Set(
    file.entries
      .flatMap((e) => e.movements.flatMap((m) => [m.from, m.to]))
      .filter((a) => placeOf(a) === 'stores'),
  );
  const names = new Map(file.stores.map((s) => [s.tray, s.trayName]));
  const trays = [...named].map((account, i) => {
    const old = asId<TrayId>(accountOwner(account));
    const place = cutText(`from ${file.build.name}`, LIMITS.name);
    return { id: fresh(old), name: names.get(old) || `Tray ${i + 1}`, place, position: 1000 + i };
  });
  const movements = file.stores.map(({ tray, element, grade: g, qty }): Movement => ({
    element,
    grade: grade(conditionOf(g)),
    qty,
    from: OUTSIDE,
    to: storesAccount(asId<TrayId>(fresh(tray))),
    worth: null,
  }));
  const stock: Entry[] =
    movements.length > 0
      ? [stockEntry(asId<EntryId>(newId()), movements, `from ${file.build.name}`, now)]
      : [];
  return { trays, stock };
}

/** An entry that counts pieces into the stores. */
export const stockEntry = (
  id: EntryId,
  movements: readonly Movement[],
  note: string,
  now: string,
): Entry => ({
  ...BLANK_ENTRY,
  id,
  kind: 'stock',
  note: cutText(note, LIMITS.name),
  loggedAt: now,
  movements,
});
