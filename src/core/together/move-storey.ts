import {
  added,
  BLANK_ENTRY,
  joinDiffs,
  type Command,
  type Entry,
  type Modification,
  type Movement,
  type Source,
} from '../ledger';
import { modelAccount, ownAccount } from '../places';
import { LIMITS } from '../shared/bounds';
import { fail, ok, type Result } from '../shared/result';
import { asId, type EntryId, type StoreyId, type ZoneId } from '../shared/ids';
import { cutText } from '../shared/text';
import { addZone, newModification, type Workbench } from '../workbench';
import { storeysOf } from './storeys';

export type MoveStoreyFault =
  { readonly fault: 'same build' } | { readonly fault: 'no such zone' } | { readonly fault: 'nothing there' };

/**
 * Moves what stands in a zone, and in those within it, from one build's model to another's: it is taken off the one and put on the
 * other by entries of both, each in a modification of its own build, so that each keeps its history; condition and worth go along. A
 * new zone of the other takes it, and a storey on top of its stack. Moving it on, or back, is the same again.
 *
 * Laws: the pieces of both models together stay the same, and so do those of each element and condition.
 *
 * @param zone  a zone of `from`; its root moves all that there is
 */
export function moveStorey(
  from: Workbench,
  zone: ZoneId,
  to: Workbench,
  source: Source,
): Result<Command, MoveStoreyFault> {
  if (from.build === to.build) return fail({ fault: 'same build' });
  const place = from.zones.find((z) => z.id === zone);
  if (!place) return fail({ fault: 'no such zone' });
  const nameOf = (w: Workbench) => w.records.build.get(w.build)?.name ?? 'a build';
  const isWhole = place.parent === null;
  const name = cutText(isWhole ? nameOf(from) : place.name, LIMITS.name);
  const rows = from.built.balances
    .rows((a) => [...from.built.nested(zone)].some((z) => modelAccount(z) === a))
    .filter((r) => r.qty > 0);
  if (rows.length === 0) return fail({ fault: 'nothing there' });
  const making = addZone(to, name, to.rootZone.id, source);
  const between = ownAccount(cutText(nameOf(from), LIMITS.sourceName));
  const off = rows.map((r): Movement => ({
    ...{ element: r.element, grade: r.grade, qty: r.qty, from: r.account, to: ownAccount() },
    worth: from.priceOf(r.element, r.grade),
  }));
  const on = rows.map((r): Movement => ({
    ...{ element: r.element, grade: r.grade, qty: r.qty, from: between, to: modelAccount(making.id) },
    worth: from.priceOf(r.element, r.grade),
  }));
  const job = (w: Workbench, at: ZoneId, title: string) =>
    newModification(w, cutText(title, LIMITS.name), at, source, null);
  const gives = job(from, zone, `${name} to ${nameOf(to)}`);
  const takes = job(to, making.id, `${name} from ${nameOf(from)}`);
  const top = storeysOf(to).reduce((most, s) => Math.max(most, s.position), 0);
  return ok({
    label: cutText(`move ${name} from ${nameOf(from)} to ${nameOf(to)}`, LIMITS.label),
    diff: joinDiffs(
      making.diff,
      added('modification', gives, takes),
      added('entry', entryOf(from, gives, 'remove', off, source), entryOf(to, takes, 'add', on, source)),
      added('storey', {
        ...{ id: asId<StoreyId>(source.newId()), build: to.build, name, zone: making.id, from: from.build },
        ...{ rule: 'anywhere' as const, state: 'stands' as const, note: '', position: top + 1 },
      }),
    ),
  });
}

function entryOf(
  workbench: Workbench,
  modification: Modification,
  kind: 'remove' | 'add',
  movements: readonly Movement[],
  source: Source,
): Entry {
  return {
    ...BLANK_ENTRY,
    ...{ id: asId<EntryId>(source.newId()), build: workbench.build, modification: modification.id, kind },
    ...{ state: 'done', no: workbench.nextEntry(null).no, position: 1, zone: modification.zone },
    ...{ loggedAt: source.now, movements },
  };
}
