import {
  added,
  BLANK_ENTRY,
  changed,
  donorAccount,
  joinDiffs,
  removed,
  shippedAccount,
  type Command,
  type Copy,
  type Diff,
  type Entry,
  type Movement,
  type Source,
} from '../ledger';
import { asId, type BuildId, type CopyId, type EntryId } from '../shared/ids';
import { splitByLargestRemainder, type Minor } from '../shared/money';
import type { Workbench } from '../workbench';

const keyOf = (m: Pick<Movement, 'element' | 'grade'>): string => `${m.element}|${m.grade}`;

/** The unpacking of a box parted in what stays with its build and what is handed on. */
interface Parted {
  readonly diffs: readonly Diff[];
  readonly staying: readonly Movement[];
  readonly going: readonly Movement[];
}

function part(workbench: Workbench, copy: Copy): Parted {
  const [box, at] = [shippedAccount(copy.id), donorAccount(copy.id)];
  const left = new Map<string, number>();
  for (const r of workbench.built.balances.rows((a) => a === at))
    if (r.qty > 0) left.set(keyOf(r), (left.get(keyOf(r)) ?? 0) + r.qty);
  const [staying, going]: [Movement[], Movement[]] = [[], []];
  const diffs: Diff[] = [];
  for (const e of workbench.entries) {
    if (e.kind !== 'unpack' || e.state !== 'done') continue;
    let touched = false;
    const movements = e.movements.flatMap((m): Movement[] => {
      if (m.from !== box || m.to !== at) return [m];
      const n = Math.min(m.qty, left.get(keyOf(m)) ?? 0);
      if (n < m.qty) staying.push({ ...m, qty: m.qty - n });
      if (n === 0) return [m];
      touched = true;
      left.set(keyOf(m), (left.get(keyOf(m)) ?? 0) - n);
      going.push({ ...m, qty: n });
      return n < m.qty ? [{ ...m, qty: m.qty - n }] : [];
    });
    if (touched) diffs.push(movements.length > 0 ? changed('entry', e, { movements }) : removed('entry', e));
  }
  return { diffs, staying, going };
}

/** The price of a box shared by worth between what stays and what goes; by pieces where nothing has a worth. */
function shares(price: Minor | null, { staying, going }: Parted): [Minor | null, Minor | null] {
  if (price === null) return [null, null];
  const all = [...staying, ...going];
  const priced = all.some((m) => (m.worth ?? 0) > 0);
  const weight = (list: readonly Movement[]) =>
    list.reduce((s, m) => s + m.qty * (priced ? (m.worth ?? 0) : 1), 0);
  const [stays = 0, goes = 0] = splitByLargestRemainder(price, [weight(staying), weight(going)]);
  return [stays, goes];
}

/**
 * Hands what is left of a box on to another build, with its share of the price: from then on each of them has a box of what it
 * has of it, as if it had come so. A box may serve several builds one after another this way, and what they paid for it
 * together stays what was paid.
 */
export function handBoxOn(workbench: Workbench, copy: Copy, to: BuildId, source: Source): Command {
  const parted = part(workbench, copy);
  if (parted.going.length === 0) return { label: 'hand nothing on', diff: joinDiffs() };
  const [stays, goes] = shares(copy.price, parted);
  const next: Copy = {
    ...copy,
    id: asId<CopyId>(source.newId()),
    build: to,
    role: 'donor',
    price: goes,
  };
  const entry: Entry = {
    ...BLANK_ENTRY,
    id: asId<EntryId>(source.newId()),
    build: to,
    kind: 'unpack',
    // The other build's numbers are the server's to give.
    no: 1,
    note: copy.setName,
    loggedAt: source.now,
    movements: parted.going.map((m) => ({
      ...m,
      from: shippedAccount(next.id),
      to: donorAccount(next.id),
    })),
  };
  const rest = parted.staying.length > 0 ? changed('copy', copy, { price: stays }) : removed('copy', copy);
  const n = parted.going.reduce((s, m) => s + m.qty, 0);
  return {
    label: `hand ${n} of ${copy.setName} on`,
    diff: joinDiffs(added('copy', next), added('entry', entry), ...parted.diffs, rest),
  };
}
