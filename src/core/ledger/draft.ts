import { accountOwner, placeOf } from '../places';
import type { Entry, Modification, Movement } from '../records';
import { asId, type EntryId, type OrderId, type ZoneId } from '../shared/ids';
import { ok, type Result } from '../shared/result';
import type { DraftContext, DraftProblem } from './draft-context';
import { Drafting } from './drafting';
import type { Intent } from './intent';
import { settleKind } from './same-act';

/** Makes the movements of an intent: which pieces from where, in which condition, at what worth. */
export function draftMovements(
  intent: Intent,
  zone: ZoneId,
  context: DraftContext,
): Result<Movement[], DraftProblem> {
  const job = new Drafting(intent, zone, context);
  return job.run();
}

/** True where a line that was to be done needs pieces that are in no books, in a build that buys such pieces. */
const waitsForParts = (intent: Intent, movements: readonly Movement[], context: DraftContext): boolean =>
  !intent.planned &&
  intent.source === null &&
  intent.price === null &&
  context.elsewhere === 'buy' &&
  movements.some((m) => placeOf(m.from) === 'outside');

/** What an entry is called by besides its intent. */
export interface EntryStamp {
  readonly id: EntryId;
  readonly no: number;
  readonly position: number;
  readonly loggedAt: string;
  readonly modification: Modification;
}

/** Turns an intent into an entry of a modification, or says why it cannot be one. */
export function draftEntry(
  wish: Intent,
  stamp: EntryStamp,
  context: DraftContext,
): Result<Entry, DraftProblem> {
  const intent = settleKind(wish);
  const zone = intent.zone ?? stamp.modification.zone;
  const drafted = draftMovements(intent, zone, context);
  if (!drafted.ok) return drafted;
  // What the build has yet to buy is no more than a plan until it is there.
  if (waitsForParts(intent, drafted.value, context))
    return draftEntry({ ...intent, planned: true }, stamp, context);
  const movements = drafted;
  const order = movements.value.find((m) => placeOf(m.from) === 'order');
  return ok({
    id: stamp.id,
    build: stamp.modification.build,
    modification: stamp.modification.id,
    kind: intent.kind,
    state: intent.planned ? 'planned' : 'done',
    no: stamp.no,
    position: stamp.position,
    why: intent.why,
    note: intent.note,
    hidden: intent.hidden,
    standsFor: intent.standsFor,
    zone,
    whatIf: intent.planned ? context.whatIf : null,
    assembly: intent.assembly,
    order: order ? asId<OrderId>(accountOwner(order.from)) : null,
    splitFrom: null,
    loan: null,
    counted: null,
    loggedAt: stamp.loggedAt,
    movements: movements.value,
  });
}
