import {
  accountOwner,
  added,
  BLANK_ENTRY,
  conditionOf,
  grade,
  joinDiffs,
  OUTSIDE,
  placeOf,
  recordSpec,
  renameReferences,
  stockAccount,
  type Diff,
  type Entry,
  type Movement,
  type Rename,
  type TypedRecord,
} from '../ledger';
import { asId, type BuildId, type EntryId, type IdSource, type TrayId } from '../shared/ids';
import { LIMITS } from '../shared/bounds';
import { cutText } from '../shared/text';
import { listOf, TRAVELLING, type ModFile } from './travelling';

/** The records that a mod file becomes beside everything that is there: all ids new, trays of its own. */
export function modFileDiff(file: ModFile, newId: IdSource, now: string): { diff: Diff; build: BuildId } {
  const ids = new Map<string, string>();
  const rename: Rename = (type, id) => {
    const key = `${type} ${id}`;
    const known = ids.get(key) ?? newId();
    ids.set(key, known);
    return known;
  };
  const build = asId<BuildId>(rename('build', file.build.id));
  const { trays, stock } = traysOf(file, newId, now, rename);
  const records = TRAVELLING.filter((t) => !t.inModFile.shared).flatMap(({ type, spec }) =>
    listOf(file, type).map((old): TypedRecord => {
      const record = { ...renameReferences(spec.fields, old, rename), ...('build' in old ? { build } : {}) };
      // An id that follows from what the record speaks of is made anew, and goes by the new one from here on.
      const id = spec.idOf?.(record as never);
      if (id !== undefined) ids.set(`${type} ${old.id}`, id);
      const here = { ...record, id: id ?? rename(type, old.id) };
      const arrived = spec.arrives ? spec.arrives(here as never, now) : here;
      return { type, record: arrived } as unknown as TypedRecord;
    }),
  );
  const own = { ...file.build, id: build };
  const arrives = recordSpec('build').arrives;
  return {
    build,
    diff: joinDiffs(
      added('build', arrives ? (arrives(own as never, now) as unknown as typeof own) : own),
      added('tray', ...trays),
      {
        added: [...records, ...stock.map((record) => ({ type: 'entry' as const, record }))],
        changed: [],
        removed: [],
      },
    ),
  };
}

/** Trays that the file's entries name, and a stock entry with what they took from them. */
function traysOf(file: ModFile, newId: IdSource, now: string, rename: Rename) {
  const named = new Set(
    listOf(file, 'entry')
      .flatMap((e) => e.movements.flatMap((m) => [m.from, m.to]))
      .filter((a) => placeOf(a) === 'stock'),
  );
  const names = new Map(file.stock.map((s) => [s.tray, s.trayName]));
  const place = cutText(`from ${file.build.name}`, LIMITS.name);
  const trayOf = (old: string) => asId<TrayId>(rename('tray', old));
  const trays = [...named].map((account, i) => {
    const old = accountOwner<string>(account);
    return { id: trayOf(old), name: names.get(old) || `Tray ${i + 1}`, place, position: 1000 + i };
  });
  const movements = file.stock.map(({ tray, element, grade: g, qty }): Movement => ({
    element,
    grade: grade(conditionOf(g)),
    qty,
    from: OUTSIDE,
    to: stockAccount(trayOf(tray)),
    worth: null,
  }));
  const stock: Entry[] =
    movements.length > 0
      ? [stockEntry(asId<EntryId>(newId()), movements, `from ${file.build.name}`, now)]
      : [];
  return { trays, stock };
}

/** An entry that adds pieces to own parts. */
export const stockEntry = (
  id: EntryId,
  movements: readonly Movement[],
  note: string,
  now: string,
): Entry => ({
  ...BLANK_ENTRY,
  id,
  kind: 'add-stock',
  note: cutText(note, LIMITS.name),
  loggedAt: now,
  movements,
});
