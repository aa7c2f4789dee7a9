import {
  BLANK_ENTRY,
  BLANK_INTENT,
  draftMovements,
  holdsPieces,
  OUTSIDE,
  type DraftContext,
  type Entry,
  type Movement,
} from '../ledger';
import type { ElementKey } from '../parts';
import { grade, modelAccount, ownAccount, placeOf, type AccountKey } from '../places';
import { asId, type EntryId, type ZoneId } from '../shared/ids';
import type { Workbench } from '../workbench';
import { roughlySaid, ROUGH_PIECES } from './roughly';

/** Where so many pieces of an element would come from. */
export interface Taken {
  readonly fromSpares: number;
  readonly fromBoxes: number;
  readonly fromStock: number;
  /** Own and uncounted, on the strength of what was roughly said. */
  readonly roughly: number;
  readonly short: number;
}

/** A wish for more than there can be of anything: what is at hand is what comes of it. */
const ALL = 100_000;

/**
 * Works something out with what is at hand for a build's plans. What it takes stands in the books as planned while it works,
 * and is out of them again after, so that each next one finds what the plan itself will find.
 *
 * @example withAtHand(workbench, (atHand) => atHand.take(element, 5, zone).short)
 */
export function withAtHand<T>(workbench: Workbench, work: (atHand: AtHand) => T): T {
  const atHand = new AtHand(workbench);
  try {
    return work(atHand);
  } finally {
    atHand.putBack();
  }
}

/**
 * What is at hand, in the order in which a build takes its parts: spares, its boxes, own parts, and what is roughly known.
 * It asks the same drafting that a planned entry goes through, so that what is shown before is what is booked after.
 */
class AtHand {
  private readonly context: DraftContext;
  private readonly posted: Entry[] = [];
  private readonly roughlyTaken = new Map<ElementKey, number>();
  private readonly counts = new Map<ElementKey, number>();

  constructor(private readonly workbench: Workbench) {
    this.context = workbench.draftContext();
  }

  /** Pieces at hand that no plan takes, over all sources. */
  count(element: ElementKey): number {
    const known = this.counts.get(element);
    if (known !== undefined) return known;
    const counted = this.draft(element, ALL, this.context.rootZone).reduce((s, m) => s + m.qty, 0);
    const all = counted + this.countRoughly(element);
    this.counts.set(element, all);
    return all;
  }

  /** Of those, what nobody counted. */
  countRoughly(element: ElementKey): number {
    if (this.context.boxesOnly) return 0;
    const said = roughlySaid(this.workbench.records, element);
    return said ? Math.max(0, ROUGH_PIECES[said.amount] - (this.roughlyTaken.get(element) ?? 0)) : 0;
  }

  /** Takes pieces for a zone: what was taken is no longer there for the next. */
  take(element: ElementKey, qty: number, zone: ZoneId = this.context.rootZone): Taken {
    const movements = qty > 0 ? this.draft(element, qty, zone) : [];
    const sum = (place: string) => movements.reduce((s, m) => s + (placeOf(m.from) === place ? m.qty : 0), 0);
    const counted = movements.reduce((s, m) => s + m.qty, 0);
    const roughly = Math.min(qty - counted, this.countRoughly(element));
    if (roughly > 0) this.roughlyTaken.set(element, (this.roughlyTaken.get(element) ?? 0) + roughly);
    this.post([...movements, ...this.endless(element, roughly, zone, ownAccount(), 'used')]);
    this.counts.delete(element);
    return {
      fromSpares: sum('spares'),
      fromBoxes: sum('donor'),
      fromStock: sum('stock'),
      roughly,
      short: qty - counted - roughly,
    };
  }

  /** Buys what was short: new pieces among those of a zone, which then decide what else fits there. */
  buy(element: ElementKey, qty: number, zone: ZoneId): void {
    this.post(this.endless(element, qty, zone, OUTSIDE, 'new'));
  }

  /** Leaves the books as they were. */
  putBack(): void {
    for (const e of this.posted) this.workbench.planned.unpost(e);
    this.posted.length = 0;
  }

  private endless(
    element: ElementKey,
    qty: number,
    zone: ZoneId,
    from: AccountKey,
    condition: 'new' | 'used',
  ): Movement[] {
    return qty > 0
      ? [{ element, grade: grade(condition), qty, from, to: modelAccount(zone), worth: null }]
      : [];
  }

  private post(movements: readonly Movement[]): void {
    if (movements.length === 0) return;
    const id = asId<EntryId>(`at hand ${this.posted.length}`);
    const build = this.workbench.build;
    const entry: Entry = {
      ...BLANK_ENTRY,
      id,
      build,
      kind: 'add',
      state: 'planned',
      loggedAt: '',
      movements,
    };
    this.workbench.planned.post(entry);
    this.posted.push(entry);
  }

  /** The movements that take what there is of so many pieces out of real places. */
  private draft(element: ElementKey, qty: number, zone: ZoneId): Movement[] {
    const intent = { ...BLANK_INTENT, on: [{ element, qty }], planned: true };
    const drafted = draftMovements(intent, zone, this.context);
    if (drafted.ok) return drafted.value.filter((m) => holdsPieces(m.from));
    // A build that is bound to its boxes is told how many there are, and takes those.
    const { reason } = drafted;
    return reason.reason === 'not at hand' && reason.there > 0 && reason.there < qty
      ? this.draft(element, reason.there, zone)
      : [];
  }
}
export type { AtHand };
