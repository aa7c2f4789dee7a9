import { moveStorey, type MoveStoreyFault } from '@/core/together';
import { asId, type ActionId, type BuildId, type IdSource, type ZoneId } from '@/core/shared/ids';
import { fail, ok, type Result } from '@/core/shared/result';
import { carriedOut } from '@/data/actions';
import type { Handle } from '@/data/database';
import { perform, type Refusal } from './perform';
import { openWorkbench } from './snapshot';

export interface StoreyMove {
  readonly from: BuildId;
  readonly zone: string;
  readonly to: string;
  /** Names the request, so that a second arrival moves nothing twice. */
  readonly request: string;
}

/** Moves a storey from one build to another: one action, which either of them can undo. */
export function moveStoreyBetween(
  handle: Handle,
  { from, zone, to, request }: StoreyMove,
  newId: IdSource,
  now: Date,
): Result<{ readonly label: string }, MoveStoreyFault | Refusal | { readonly fault: 'no such build' }> {
  // The same request again finds nothing there any more, since it was carried out: it is answered as it was.
  const before = carriedOut(handle.db, request);
  if (before && before.content === contentOf(zone, to)) return ok({ label: before.label });
  const [giver, taker] = [openWorkbench(handle, from), openWorkbench(handle, asId<BuildId>(to))];
  if (!giver || !taker) return fail({ fault: 'no such build' });
  const command = moveStorey(giver, asId<ZoneId>(zone), taker, { newId, now: now.toISOString() });
  if (!command.ok) return command;
  const { label, diff } = command.value;
  const done = perform(
    handle,
    { id: asId<ActionId>(request), scope: from, label, diff },
    now,
    contentOf(zone, to),
  );
  return done.ok ? ok({ label }) : done;
}

const contentOf = (zone: string, to: string): string => `move ${zone} to ${to}`;
