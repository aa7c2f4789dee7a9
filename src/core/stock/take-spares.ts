import {
  added,
  BLANK_ENTRY,
  joinDiffs,
  sparesAccount,
  stockAccount,
  type Command,
  type Entry,
  type Grade,
  type Movement,
  type Source,
  type Tray,
} from '../ledger';
import type { ElementKey } from '../parts';
import { asId, type BuildId, type EntryId } from '../shared/ids';

/** Spares of a build, of one element and grade, that none of its plans takes. */
export interface FreeSpares {
  readonly build: BuildId;
  readonly element: ElementKey;
  readonly grade: Grade;
  readonly qty: number;
}

/**
 * Puts spares of several builds into a tray, where every build takes from: each of them has an entry of its own that says
 * where they went, and all of it is one act.
 */
export function takeSpares(lots: readonly FreeSpares[], tray: Tray, source: Source): Command {
  const builds = [...new Set(lots.map((l) => l.build))];
  const entries = builds.map((build): Entry => ({
    ...BLANK_ENTRY,
    id: asId<EntryId>(source.newId()),
    build,
    kind: 'transfer',
    // The builds' numbers are the server's to give.
    no: 1,
    note: `to tray ${tray.name}, for any build`,
    loggedAt: source.now,
    movements: lots
      .filter((l) => l.build === build)
      .map(({ element, grade, qty }): Movement => ({
        element,
        grade,
        qty,
        from: sparesAccount(build),
        to: stockAccount(tray.id),
        worth: null,
      })),
  }));
  const n = lots.reduce((s, l) => s + l.qty, 0);
  return {
    label: `put ${n} spares of ${builds.length === 1 ? 'a build' : `${builds.length} builds`} into ${tray.name}`,
    diff: entries.length > 0 ? added('entry', ...entries) : joinDiffs(),
  };
}
