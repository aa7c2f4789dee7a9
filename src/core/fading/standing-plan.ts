import { zoneIn, type Entry } from '../ledger';
import { splitElementKey } from '../parts';
import type { ColourId, ZoneId } from '../shared/ids';
import type { Workbench } from '../workbench';

/** A plan for the faded parts of a zone that stands already: its entries, and how many pieces they renew. */
export interface StandingPlan {
  readonly entries: readonly Entry[];
  readonly pieces: number;
}

/**
 * What is planned already for the faded parts of a colour in a zone, or undefined: as long as it stands, the same is not
 * planned again, since its pieces would be called for twice.
 */
export function standingPlan(workbench: Workbench, zone: ZoneId, colour: ColourId): StandingPlan | undefined {
  const entries = workbench.entries.filter(
    (e) =>
      e.state === 'planned' &&
      e.whatIf === null &&
      e.why === 'faded' &&
      zoneIn(e) === zone &&
      e.movements.some((m) => splitElementKey(m.element).colour === colour),
  );
  if (entries.length === 0) return undefined;
  const pieces = entries
    .flatMap((e) => e.movements)
    .reduce((s, m) => s + (m.to.startsWith('model:') ? m.qty : 0), 0);
  return { entries, pieces };
}
