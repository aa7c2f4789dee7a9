import { asId, type EntryId } from '../shared/ids';
import { BUILD, BUILT, CONTEXT, COPY, draftContext, el, entry, MODIFICATIONS, PLANNED, ZONES } from './world';
import {
  BLANK_INTENT,
  Books,
  draftEntry,
  grade,
  modelAccount,
  shippedAccount,
  sparesAccount,
  stockAccount,
  type Entry,
  type Intent,
} from '../ledger';

export const [root, porch] = [ZONES[0]!.id, ZONES[1]!.id];
export const m1 = MODIFICATIONS[0]!;
export const chalk = el('plate 2x3', 'chalk');
export const ash = el('plate 2x3', 'ash');
/** So many pieces of one kind, to be moved. */
export const move = (qty: number, element = chalk, g = grade('used'), worth: number | null = 10) => ({
  qty,
  element,
  grade: g,
  worth,
});
export const [shipped, model, spares] = [shippedAccount(COPY), modelAccount(root), sparesAccount(BUILD)];
export const tray = stockAccount(asId('t1'));

/** A box of 21 that was unpacked: 20 on the model, one spare. */
export const unpack = entry('u', 'unpack', [
  { ...move(20), from: shipped, to: model },
  { ...move(1), from: shipped, to: spares },
]);

/** An intent drafted on top of what was logged before. */
export function log(intent: Partial<Intent>, before: readonly Entry[], id = 'x', modification = m1) {
  const [built, planned] = [new Books(CONTEXT, before, BUILT), new Books(CONTEXT, before, PLANNED)];
  const stamp = { id: asId<EntryId>(id), no: 1, position: 1, loggedAt: '', modification };
  return draftEntry({ ...BLANK_INTENT, ...intent }, stamp, draftContext(built, planned));
}

/** The entry that it comes to; throws where it comes to none. */
export function logged(intent: Partial<Intent>, before: readonly Entry[], id = 'x'): Entry {
  const drafted = log(intent, before, id);
  if (!drafted.ok) throw new Error(JSON.stringify(drafted.reason));
  return drafted.value;
}

export const figures = (entries: readonly Entry[], view = BUILT) =>
  new Books(CONTEXT, entries, view).figures({ of: 'build' });
