import { conditionOf, ENTRY_KIND_NAMES, grade as plainGrade, WHYS, type EntryKind } from '../places';
import { LIMITS } from '../shared/bounds';
import type {
  AssemblyId,
  BuildId,
  CountLineId,
  EntryId,
  ModificationId,
  OrderId,
  WhatIfId,
  ZoneId,
} from '../shared/ids';
import { defineRecord, type RecordOf } from './define';
import {
  account,
  choice,
  date,
  element,
  flag,
  grade,
  id,
  inColumn,
  list,
  longReference,
  mention,
  money,
  note,
  object,
  orNull,
  position,
  reference,
  somePieces,
  whole,
  type ValueOf,
} from './fields';

const movement = {
  element: element(),
  grade: grade(),
  /** Pieces, > 0. */
  qty: somePieces(),
  from: account(),
  to: account(),
  /** Worth of one piece in minor units when it moved; what was paid when it comes from outside. Null = not known. */
  worth: orNull(money()),
};
/** Pieces of one element and grade going from one place to another. Both ends are always there. */
export type Movement = ValueOf<typeof movement>;

export type EntryState = 'planned' | 'done';

/** One logged line. `build` is null for entries of own parts. */
export const entry = defineRecord({
  type: 'entry',
  table: 'entries',
  fields: {
    id: id<EntryId>(),
    build: orNull(reference<BuildId>('build')),
    modification: orNull(reference<ModificationId>('modification')),
    kind: choice(ENTRY_KIND_NAMES as readonly EntryKind[]),
    state: choice(['planned', 'done']),
    /** Serial number in its build's log, given when logged; "as of entry N" counts these. */
    no: whole(0, LIMITS.no),
    /** Place within its modification. */
    position: position(),
    why: orNull(choice(WHYS)),
    note: note(),
    hidden: flag(),
    /** For a placeholder: the element it stands for. */
    standsFor: orNull(element()),
    /** The zone it was logged in: what is taken off there counts there, though it lay in no zone. Null = where its pieces are. */
    zone: orNull(mention<ZoneId>('zone')),
    whatIf: orNull(reference<WhatIfId>('whatIf')),
    assembly: orNull(reference<AssemblyId>('assembly')),
    order: inColumn('order_id', orNull(reference<OrderId>('order'))),
    /** The entry this one was split from when part of it was placed, so that both can be shown as one line. */
    splitFrom: orNull(mention<EntryId>('entry')),
    /** For pieces that come back: the entry that lent them. */
    loan: orNull(mention<EntryId>('entry')),
    /** The count of a box's lot that posted this, so that counting again takes it back. */
    counted: orNull(longReference<CountLineId>('countLine')),
    loggedAt: date(),
    movements: list(object(movement), LIMITS.movements, 1),
  },
  apart: ['movements'],
  indexes: [{ name: 'entries_build', on: ['build', 'no'] }],
  inModFile: { key: 'entries', most: LIMITS.movements },
  // Measured batches are named by the readings of the workspace they were made in: elsewhere the condition alone holds.
  // To whom something was lent is a matter of own parts, which stay where they are.
  arrives: (e) => ({
    ...e,
    loan: null,
    movements: e.movements.map((m) => ({ ...m, grade: plainGrade(conditionOf(m.grade)) })),
  }),
  earlier: { upgrade },
});
export type Entry = RecordOf<typeof entry>;

const EARLIER_KINDS: Readonly<Record<string, EntryKind>> = {
  refresh: 'renew',
  'stand-in': 'placeholder',
  'made-good': 'replace-missing',
  stock: 'add-stock',
};

/** How a count that posted an entry was named in its note, before entries had a field for it. */
const EARLIER_COUNT = /^counted ([\w-]{8,80})$/;

type Old = Readonly<Record<string, unknown>>;

function upgrade(earlier: Old): Old {
  const old = 'zone' in earlier ? earlier : { ...earlier, zone: null };
  if ('splitFrom' in old) return old;
  const { line, ...rest } = old;
  const counted = 'counted' in old ? {} : countOf(old);
  const kind = EARLIER_KINDS[String(old.kind)] ?? old.kind;
  // What comes back from a loan belongs to no build, and named the loan by the same field.
  const [splitFrom, loan] = old.build === null ? [null, line ?? null] : [line ?? null, null];
  return { ...rest, ...counted, kind, why: old.why === 'slip' ? 'mismatch' : old.why, splitFrom, loan };
}

function countOf(old: Old): Old {
  const posts = old.kind === 'missing' || old.kind === 'regrade';
  const counted = posts && typeof old.note === 'string' ? EARLIER_COUNT.exec(old.note)?.[1] : undefined;
  return counted ? { counted, note: '' } : { counted: null };
}
