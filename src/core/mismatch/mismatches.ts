import { deltaE00, type Colour } from '../colour';
import type { Workbench } from '../workbench';
import { lotKey, placeOf, zoneOf, type LeftMismatch, type Seen } from '../ledger';
import { inColour, splitElementKey, type ElementKey } from '../parts';
import type { ZoneId } from '../shared/ids';
import { hiddenByEntries } from '../fading';
import { SEEN_SHARE } from './exposure';
import { rulesOf } from './colour-rules';
import { judgeZones, type Judgement } from './judge';
import { isJudged, schemesOf } from './scheme';
import { seenLots, type SeenLot } from './seen-lots';
import type { Evidence } from './suspicion';
import { placeholdersByZone } from './placeholders-by-zone';

export const MISMATCH_KINDS = [
  'odd one',
  'near miss',
  'broken stripe',
  'mirror differs',
  'off scheme',
  'exposed filler',
  'placeholder',
] as const;
export type MismatchKind = (typeof MISMATCH_KINDS)[number];

/** Some pieces of a lot whose colour reads as a mistake. */
export interface Mismatch {
  /** `zone|element`. */
  readonly id: string;
  readonly zone: ZoneId;
  readonly element: ElementKey;
  /** The element that belongs there. */
  readonly to: ElementKey;
  readonly kind: MismatchKind;
  /** Seen pieces. */
  readonly qty: number;
  readonly seen: Seen;
  readonly deltaE: number;
  /** How much it shows: pieces × share seen × ΔE00. */
  readonly shows: number;
  /** From 0 to 1: how sure it is that a person would call it a mistake. */
  readonly sure: number;
  /** What it rests on, where nobody said it. */
  readonly evidence: Evidence | null;
  /** It came so out of the box. */
  readonly official: boolean;
  /** A person looked and let it be. */
  readonly left: LeftMismatch | null;
}

/**
 * How much a mismatch shows: how many there are, how much of each is seen, how far the colour is off. The whole weighing.
 */
export const showing = (qty: number, seen: Seen, deltaE: number): number => qty * SEEN_SHARE[seen] * deltaE;

/**
 * Everything on the model whose colour reads as a mistake, what shows most first: placeholders still waiting, and what
 * breaks with its zone by the rules and schemes that a person gave or by what it looks like beside its like. Whether it
 * came so out of the box is told, since nobody slipped there.
 */
export function findMismatches(
  workbench: Workbench,
  lots = seenLots(workbench),
  schemes = schemesOf(workbench, lots),
): Mismatch[] {
  const palette = new Map<string, Colour>(workbench.palette.map((c) => [c.id, c]));
  const found = new Map<string, Mismatch>();
  const planned = plannedTargets(workbench);
  const fromBox = unpacked(workbench);
  const note = (s: Omit<Mismatch, 'id' | 'shows' | 'left' | 'deltaE' | 'official'>): void => {
    const id = lotKey(s.zone, s.element);
    const to = planned.get(id) ?? s.to;
    const [is, wanted] = [s.element, to].map((e) => palette.get(splitElementKey(e).colour)?.lab);
    const deltaE = is && wanted ? deltaE00(wanted, is) : 0;
    if (found.has(id) || s.qty <= 0 || deltaE === 0) return;
    const left = workbench.records.leftMismatch.get(id) ?? null;
    const official = s.kind !== 'placeholder' && (fromBox.get(id) ?? 0) >= s.qty;
    found.set(id, { ...s, id, to, deltaE, shows: showing(s.qty, s.seen, deltaE), left, official });
  };
  for (const s of placeholdersByZone(workbench)) {
    const lot = lots.find((l) => l.zone === s.zone && l.element === s.element);
    if (lot)
      note({
        ...s,
        to: s.standsFor,
        kind: 'placeholder',
        qty: Math.min(s.qty, lot.seenQty),
        seen: lot.seen,
        sure: 1,
        evidence: null,
      });
  }
  const filler = hiddenByEntries(workbench);
  for (const { lot, said } of judged(workbench, lots, palette, schemes)) {
    const exposed = (filler.get(lotKey(lot.zone, lot.element)) ?? 0) > lot.qty - lot.seenQty;
    note({
      zone: lot.zone,
      element: lot.element,
      to: inColour(lot.element, said.to),
      kind: exposed ? 'exposed filler' : said.kind,
      qty: lot.seenQty,
      seen: lot.seen,
      sure: exposed ? Math.max(said.sure, 0.6) : said.sure,
      evidence: said.evidence,
    });
  }
  return [...found.values()].sort((a, b) => b.shows - a.shows);
}

/** What is said of each lot that is seen and judged. */
function judged(
  workbench: Workbench,
  lots: readonly SeenLot[],
  palette: ReadonlyMap<string, Colour>,
  schemes: ReturnType<typeof schemesOf>,
): { lot: SeenLot; said: Judgement }[] {
  const byZone = new Map<ZoneId, SeenLot[]>();
  for (const l of lots) {
    if (!isJudged(l, palette)) continue;
    const here = byZone.get(l.zone);
    if (here) here.push(l);
    else byZone.set(l.zone, [l]);
  }
  const zones = [...byZone].map(([zone, here]) => {
    const scheme = schemes.get(zone);
    return {
      here,
      zone,
      name: workbench.records.zone.get(zone)?.name ?? '',
      lots: here.map((l) => ({ part: splitElementKey(l.element).part, colour: l.colour, qty: l.seenQty })),
      set: scheme?.set ? scheme.colours : null,
      proposed: scheme?.colours ?? [],
    };
  });
  return judgeZones(zones, palette, rulesOf(workbench)).flatMap((list, i) => {
    const { here, lots: shown } = zones[i]!;
    const of = new Map(shown.map((l, k) => [l, here[k]!]));
    return list.map((said) => ({ lot: of.get(said.lot)!, said }));
  });
}

/** Pieces of each lot that came out of a box, by `zone|element`. */
function unpacked(workbench: Workbench): Map<string, number> {
  const sums = new Map<string, number>();
  for (const e of workbench.built.entries)
    for (const m of e.movements) {
      const zone = placeOf(m.from) === 'shipped' && zoneOf(m.to);
      if (!zone) continue;
      const key = lotKey(zone, m.element);
      sums.set(key, (sums.get(key) ?? 0) + m.qty);
    }
  return sums;
}

/** What planned recolourings make of a lot: a person's plan says what belongs there. By `zone|element`. */
function plannedTargets(workbench: Workbench): Map<string, ElementKey> {
  const targets = new Map<string, ElementKey>();
  for (const e of workbench.planned.entries) {
    if (e.state !== 'planned' || e.kind !== 'recolour') continue;
    const off = e.movements.find((m) => zoneOf(m.from));
    const on = e.movements.find((m) => zoneOf(m.to));
    const zone = off && zoneOf(off.from);
    if (off && on && zone) targets.set(lotKey(zone, off.element), on.element);
  }
  return targets;
}
