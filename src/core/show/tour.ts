import { written, type Books, type Command } from '../ledger';
import { countEntry, noFigures, type Figures } from '../ledger/figures';
import { mustStay } from '../brief';
import { modelAccount } from '../places';
import type { ElementKey } from '../parts';
import type { AwaitedPlace, Finding, Storey, ZoneTold } from '../records';
import type { ZoneId } from '../shared/ids';
import { storeysOf } from '../together';
import type { Workbench } from '../workbench';
import { standingOf, type Standing } from './standing';
import { unpackedAt } from './stages';

export interface TourPart {
  readonly element: ElementKey;
  readonly qty: number;
}

/** A zone as it is told: what it was and is in the person's own words, and what of it is kept, changed and new. */
export interface TourStop {
  readonly zone: ZoneId;
  readonly name: string;
  readonly told: ZoneTold;
  readonly before: number;
  readonly standing: Standing;
  /** Kinds that are there now and were not, or fewer; and those that went. Most pieces first. */
  readonly came: readonly TourPart[];
  readonly went: readonly TourPart[];
  readonly features: readonly Finding[];
  /** Places that wait for something. */
  readonly awaits: readonly AwaitedPlace[];
}

export const toldOf = (workbench: Workbench, zone: ZoneId): ZoneTold =>
  workbench.records.zoneTold.get(zone) ?? {
    ...{ id: zone, build: workbench.build, zone, was: '', is: '', photo: null },
  };

export const keepTold = (workbench: Workbench, told: ZoneTold): Command => ({
  label: `tell of ${workbench.records.zone.get(told.zone)?.name ?? 'a zone'}`,
  diff: written('zoneTold', workbench.records.zoneTold.get(told.id), told),
});

/**
 * Zone by zone, what a person walks past: in the order of the zones, those of which nothing is known left out.
 *
 * @example tourOf(workbench, workbench.built).map((s) => s.name)
 */
export function tourOf(workbench: Workbench, books: Books): TourStop[] {
  const shipped = workbench.open({ kind: 'asOf', no: unpackedAt(workbench) });
  const features = mustStay(workbench);
  const awaits = [...workbench.records.awaitedPlace.values()].filter(
    (a) => a.build === workbench.build && !a.chosen,
  );
  return workbench.zones.flatMap((z): TourStop[] => {
    const at = modelAccount(z.id);
    const [was, is] = [shipped, books].map((b) => new Map(b.balances.elements(at).filter(([, n]) => n > 0)));
    const changes = [...new Set([...was!.keys(), ...is!.keys()])].map((element) => ({
      element,
      qty: (is!.get(element) ?? 0) - (was!.get(element) ?? 0),
    }));
    const most = (a: TourPart, b: TourPart) => b.qty - a.qty;
    const stop: TourStop = {
      ...{ zone: z.id, name: z.name, told: toldOf(workbench, z.id) },
      before: [...was!.values()].reduce((a, b) => a + b, 0),
      standing: standingOf(figuresAlone(books, z.id)),
      came: changes.filter((c) => c.qty > 0).sort(most),
      went: changes.flatMap((c) => (c.qty < 0 ? [{ ...c, qty: -c.qty }] : [])).sort(most),
      features: features.filter((f) => f.zone === z.id),
      awaits: awaits.filter((a) => a.zone === z.id),
    };
    const isEmpty = was!.size + is!.size + stop.features.length + stop.awaits.length === 0;
    return isEmpty ? [] : [stop];
  });
}

/** A storey with the zones that are in it; null = those that are in none. */
export interface TourStorey {
  readonly storey: Storey | null;
  readonly stops: readonly TourStop[];
}

/**
 * The stops of a tour storey by storey, from the ground up: those of a storey's zone and of the zones in it, in their order, and at
 * the end those that are in no storey. Storeys without a stop are left out, since nobody can walk there yet.
 *
 * @example inStoreys(workbench, tourOf(workbench, workbench.built)).map((s) => s.storey?.name)
 */
export function inStoreys(workbench: Workbench, stops: readonly TourStop[]): TourStorey[] {
  const storeys = storeysOf(workbench).filter((s) => s.zone !== null);
  const byZone = new Map(storeys.map((s) => [s.zone!, s]));
  const storeyOf = (zone: ZoneId): Storey | null => {
    for (let at: ZoneId | null = zone; at; at = workbench.records.zone.get(at)?.parent ?? null) {
      const found = byZone.get(at);
      if (found) return found;
    }
    return null;
  };
  return [...storeys, null].flatMap((storey): TourStorey[] => {
    const mine = stops.filter((s) => storeyOf(s.zone) === storey);
    return mine.length > 0 ? [{ storey, stops: mine }] : [];
  });
}

/** A zone's figures without those of the zones in it, which have stops of their own. */
function figuresAlone(books: Books, zone: ZoneId): Figures {
  const sums = noFigures();
  const alone = new Set([zone]);
  for (const e of books.entries) countEntry(sums, e, 1, alone);
  return sums;
}
