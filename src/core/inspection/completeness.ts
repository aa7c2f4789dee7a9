import type { Workbench } from '../workbench';
import { goneAccount, lotKey, worthOf, zoneOf, type Display, type InspectionCard } from '../ledger';
import { partOf, splitElementKey, type ElementKey } from '../parts';
import type { ZoneId } from '../shared/ids';
import type { Minor } from '../shared/money';
import { baseCopies, boxLots, type BoxLot } from './box-lots';

/** Why a missing part may be left out, given how the model will be shown. */
export type NotNeeded = 'hangs in the air' | 'turned away' | 'inside, behind glass';

/** Pieces of one lot that the box should have held and that are not there. */
export interface MissingLot {
  readonly lot: BoxLot;
  /** Still missing or broken: what was replaced is taken off. */
  readonly missing: number;
  readonly broken: number;
  /** Of them, how many a planned entry replaces. */
  readonly planned: number;
  readonly wanted: boolean;
  readonly proposal: NotNeeded | null;
  /** To buy them all used where that is known, else new; null when the price book does not say. */
  readonly cost: Minor | null;
}

export interface Completeness {
  readonly lots: number;
  readonly counted: number;
  readonly piecesCounted: number;
  readonly expected: number;
  /** Pieces that are there, counted or not yet. */
  readonly there: number;
  readonly worthExpected: Minor;
  readonly worthThere: Minor;
  /** Pieces expected whose price is not known: neither worth counts them. */
  readonly unpriced: number;
  readonly missing: readonly MissingLot[];
  /** What replacing all that is wanted costs, and how many of those pieces have no price. */
  readonly replacement: { readonly pieces: number; readonly cost: Minor; readonly unpriced: number };
}

/** How complete a build's base copies are, by pieces and by worth, from the books as built. */
export function completeness(workbench: Workbench): Completeness {
  const lots = baseCopies(workbench).flatMap((c) => boxLots(workbench, c.id));
  const gone = goneByLot(workbench);
  const card = workbench.records.inspectionCard.get(workbench.build);
  const missing: MissingLot[] = [];
  let [expected, worthGone, away] = [0, 0, 0];
  for (const lot of lots) {
    const price = cheapest(workbench, lot.element);
    expected += lot.expected;
    const key = lotKey(lot.zone, lot.element);
    const g = gone.get(key);
    if (!g || g.missing + g.broken <= 0) continue;
    // Two copies with the same lot in a zone share what is gone: the first is told of as much as it held.
    const broken = Math.min(lot.expected, g.broken);
    const lost = Math.min(lot.expected - broken, g.missing);
    g.broken -= broken;
    g.missing -= lost;
    away += lost + broken;
    worthGone += (price ?? 0) * (lost + broken);
    missing.push({
      lot,
      missing: lost,
      broken,
      planned: Math.min(lost + broken, g.planned),
      wanted: lot.line?.wanted ?? true,
      proposal: card ? notNeeded(lot, card, workbench) : null,
      cost: price === null ? null : price * (lost + broken),
    });
  }
  const counted = lots.filter((l) => l.line);
  const wanted = missing.filter((m) => m.wanted);
  const box = worthOf(
    lots.map((lot) => ({ lot, qty: lot.expected })),
    ({ lot }) => cheapest(workbench, lot.element),
  );
  return {
    lots: lots.length,
    counted: counted.length,
    piecesCounted: counted.reduce((s, l) => s + l.expected, 0),
    expected,
    there: expected - away,
    worthExpected: box.worth,
    worthThere: box.worth - worthGone,
    unpriced: box.unpriced,
    missing,
    replacement: {
      pieces: wanted.reduce((s, m) => s + m.missing + m.broken, 0),
      cost: wanted.reduce((s, m) => s + (m.cost ?? 0), 0),
      unpriced: wanted.reduce((s, m) => s + (m.cost === null ? m.missing + m.broken : 0), 0),
    },
  };
}

const cheapest = (workbench: Workbench, element: ElementKey): Minor | null =>
  workbench.priceOf(element, 'used' as never);

const BROKEN = goneAccount('broken');

/** Missing and broken less replaced, by zone and element; what is planned to be replaced beside it. */
function goneByLot(workbench: Workbench) {
  const sums = new Map<string, { missing: number; broken: number; planned: number }>();
  const at = (zone: ZoneId, element: ElementKey) => {
    const key = lotKey(zone, element);
    const sum = sums.get(key) ?? { missing: 0, broken: 0, planned: 0 };
    sums.set(key, sum);
    return sum;
  };
  const entries = [...workbench.planned.entries];
  for (const e of entries)
    if (e.kind === 'missing' && e.state === 'done')
      for (const m of e.movements) {
        const zone = zoneOf(m.from);
        if (zone) at(zone, m.element)[m.to === BROKEN ? 'broken' : 'missing'] += m.qty;
      }
  for (const e of entries)
    if (e.kind === 'replace-missing')
      for (const m of e.movements) {
        const zone = zoneOf(m.to);
        if (!zone) continue;
        const sum = at(zone, m.element);
        if (e.state === 'planned') sum.planned += m.qty;
        else {
          const fromMissing = Math.min(sum.missing, m.qty);
          sum.missing -= fromMissing;
          sum.broken -= m.qty - fromMissing;
        }
      }
  return sums;
}

/** Families that a model stands or rolls on. */
const FEET = ['wheel', 'tyre', 'baseplate'];
/** Families that sit inside and move nothing that is seen. */
const INSIDE = ['pin', 'axle', 'gear', 'beam'];

/** Whether a part may be left out, for how the model will be shown: what that proposes, the person decides. */
export function notNeeded(
  lot: Pick<BoxLot, 'element' | 'zone'>,
  card: Pick<InspectionCard, 'display' | 'away' | 'gear'>,
  workbench: Workbench,
): NotNeeded | null {
  const family = partOf(splitElementKey(lot.element).part).family.name;
  const seen = workbench.records.exposure.get(lotKey(lot.zone, lot.element))?.seen;
  const isGear = card.gear.some(
    (g) => g.zone === lot.zone && (g.element === null || g.element === lot.element),
  );
  const byDisplay: Record<Display, () => NotNeeded | null> = {
    'all round': () => null,
    'one side': () => (card.away.includes(lot.zone) ? 'turned away' : null),
    hung: () =>
      isGear || FEET.includes(family)
        ? 'hangs in the air'
        : card.away.includes(lot.zone)
          ? 'turned away'
          : null,
    'behind glass': () =>
      card.away.includes(lot.zone)
        ? 'turned away'
        : INSIDE.includes(family) || seen === 'hidden'
          ? 'inside, behind glass'
          : null,
  };
  return byDisplay[card.display]();
}
