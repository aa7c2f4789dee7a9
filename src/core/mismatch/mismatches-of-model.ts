import { PALETTE, type Colour } from '../colour';
import { elementKey, readPartName, splitElementKey } from '../parts';
import type { ColourId, ZoneId } from '../shared/ids';
import { judgeZones, type ZoneToJudge } from './judge';
import { isJudged, proposeScheme } from './scheme';
import type { SeenLot } from './seen-lots';

/** A model by its zones, colours by name: what `POST /api/mismatches` takes. */
export interface PlainModel {
  readonly zones: readonly {
    readonly name: string;
    readonly lots: readonly { readonly part: string; readonly colour: string; readonly qty: number }[];
  }[];
}

/** A mismatch of a plain model. `kind`: of a near colour, a stranger in a row of like parts, one side unlike the other, or off the zone's colours. */
export interface PlainMismatch {
  readonly zone: string;
  readonly part: string;
  readonly colour: string;
  readonly qty: number;
  readonly to: string;
  readonly kind: 'near' | 'stripe' | 'mirror' | 'off';
  readonly sure: number;
}

const KINDS = {
  'near miss': 'near',
  'broken stripe': 'stripe',
  'odd one': 'stripe',
  'mirror differs': 'mirror',
  'off scheme': 'off',
} as const;

/**
 * The mismatches of a model that is given as it is, without a build, a register or anything a person said: the surest
 * first, `sure` from 0 to 1 to two places. Everything counts as seen. Lots of one part and colour in a zone are one.
 *
 * @param colourOf  the colour that a name means, or undefined for a name that is not known
 * @returns the mismatches, or the first colour name that is not known, with its zone
 * @example mismatchesOfModel({ zones }).mismatches // [{ zone: 'Hall', part: 'brick 1x2', colour: 'dove', qty: 2, to: 'ash', kind: 'near', sure: 0.93 }]
 */
export function mismatchesOfModel(
  model: PlainModel,
  colourOf: (name: string) => Colour | undefined = byName,
): { readonly mismatches: PlainMismatch[] } | { readonly unknown: string; readonly zone: string } {
  const palette = new Map<string, Colour>(PALETTE.map((c) => [c.id, c]));
  const names = new Map<string, { part: string; colour: string }>();
  const zones: ZoneToJudge[] = [];
  for (const [i, zone] of model.zones.entries()) {
    const lots = new Map<string, SeenLot>();
    for (const { part, colour, qty } of zone.lots) {
      const found = colourOf(colour);
      if (!found) return { unknown: colour, zone: zone.name };
      palette.set(found.id, found);
      const read = readPartName(part);
      const element = elementKey(read.part.id, found.id, read.print);
      const key = `${i}|${element}`;
      if (!names.has(key)) names.set(key, { part, colour });
      const sum = (lots.get(element)?.qty ?? 0) + qty;
      lots.set(element, lotOf(zone.name as ZoneId, element, found.id, sum));
    }
    const judged = [...lots.values()].filter((l) => isJudged(l, palette));
    zones.push({
      zone: null,
      name: zone.name,
      set: null,
      proposed: proposeScheme(judged, palette),
      lots: judged.map((l) => ({ part: splitElementKey(l.element).part, colour: l.colour, qty: l.qty })),
    });
  }
  const mismatches = judgeZones(zones, palette).flatMap((list, i) =>
    list.map(({ lot, to, kind, sure }): PlainMismatch => {
      const given = names.get(`${i}|${elementKey(lot.part, lot.colour)}`)!;
      const zone = zones[i]!.name;
      return { zone, ...given, qty: lot.qty, to, kind: KINDS[kind], sure: Math.round(100 * sure) / 100 };
    }),
  );
  return { mismatches: mismatches.sort((a, b) => b.sure - a.sure) };
}

const lotOf = (zone: ZoneId, element: SeenLot['element'], colour: ColourId, qty: number): SeenLot => ({
  zone,
  element,
  colour,
  qty,
  seenQty: qty,
  seen: 'some sides',
  said: false,
  weight: qty,
});

const byName = (name: string): Colour | undefined =>
  PALETTE.find((c) => c.name === name.trim().toLowerCase());
