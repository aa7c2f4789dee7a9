import { deltaE00, type Colour } from '../colour';
import { added, EMPTY_DIFF, removed, written, type Command } from '../ledger';
import type { Workbench } from '../workbench';
import { partOf, splitElementKey } from '../parts';
import type { ColourId, ZoneId } from '../shared/ids';
import type { SeenLot } from './seen-lots';
import { suspicionOf, ZoneColours } from './suspicion';

/** A colour with less than this share of what is seen, by pieces and by weight, is not part of a proposed scheme. */
const LEAST_SHARE = 0.06;
/** A colour of one part only is of the scheme with so many pieces of it. */
const LEAST_PIECES = 6;
/** A lot that is a slip as surely as this does not count for its colour. */
const SLIP = 0.5;
/** A colour this near to a larger one, and less than half of it, is a mismatch and no colour of its own. */
const NEAR_MISS = 12;

/** Families that have colours of their own: people, animals, plants and flags are never off a scheme. */
const OWN_COLOURS = ['figure', 'animal', 'plant', 'flower', 'flag'];

/** True when a lot is held against the scheme: plain, solid, and not of a family with colours of its own. */
export function isJudged(
  lot: Pick<SeenLot, 'element' | 'seenQty'>,
  palette: ReadonlyMap<string, Colour>,
): boolean {
  const { part, colour, print } = splitElementKey(lot.element);
  if (lot.seenQty <= 0 || print) return false;
  return palette.get(colour)?.finish === 'solid' && !OWN_COLOURS.includes(partOf(part).family.name);
}

/**
 * The colours a zone seems meant to have, from what is seen, most first: those that make up 6 % of it by pieces or by
 * weight, in two parts or in six pieces at least. What looks like a slip beside its like does not count for its colour,
 * so that a stray colour that turns up three times is no scheme.
 */
export function proposeScheme(lots: readonly SeenLot[], palette: ReadonlyMap<string, Colour>): ColourId[] {
  const judged = lots.filter((l) => isJudged(l, palette));
  const shown = judged.map((l) => ({
    part: splitElementKey(l.element).part,
    colour: l.colour,
    qty: l.seenQty,
  }));
  const zone = new ZoneColours(shown);
  const sums = new Map<ColourId, { weight: number; pieces: number; parts: number }>();
  const all = { weight: 0, pieces: 0 };
  judged.forEach((lot, i) => {
    all.weight += lot.weight;
    all.pieces += lot.seenQty;
    if ((suspicionOf(shown[i]!, zone, palette)?.sure ?? 0) >= SLIP) return;
    const sum = sums.get(lot.colour) ?? { weight: 0, pieces: 0, parts: 0 };
    sums.set(lot.colour, {
      weight: sum.weight + lot.weight,
      pieces: sum.pieces + lot.seenQty,
      parts: sum.parts + 1,
    });
  });
  const ranked = [...sums]
    .filter(([, s]) => s.weight >= LEAST_SHARE * all.weight || s.pieces >= LEAST_SHARE * all.pieces)
    .filter(([, s]) => s.parts > 1 || s.pieces >= LEAST_PIECES)
    .sort((a, b) => b[1].weight - a[1].weight);
  const kept: [ColourId, number][] = [];
  for (const [colour, { weight }] of ranked) {
    const lab = palette.get(colour)?.lab;
    const shadow = kept.some(([k, w]) => {
      const other = palette.get(k)?.lab;
      return lab && other && w >= 2 * weight && deltaE00(other, lab) < NEAR_MISS;
    });
    if (!shadow) kept.push([colour, weight]);
  }
  return kept.map(([c]) => c);
}

/** The scheme of each zone: as a person set it, else as proposed. */
export function schemesOf(
  workbench: Workbench,
  lots: readonly SeenLot[],
): ReadonlyMap<ZoneId, { readonly colours: readonly ColourId[]; readonly set: boolean }> {
  const palette = new Map<string, Colour>(workbench.palette.map((c) => [c.id, c]));
  return new Map(
    workbench.zones.map((z) => {
      const said = workbench.records.scheme.get(z.id);
      const colours =
        said?.colours ??
        proposeScheme(
          lots.filter((l) => l.zone === z.id),
          palette,
        );
      return [z.id, { colours, set: !!said }];
    }),
  );
}

/** Sets the colours that a zone is meant to have. */
export function setScheme(workbench: Workbench, zone: ZoneId, colours: readonly ColourId[]): Command {
  const record = { id: zone, build: workbench.build, zone, colours };
  return {
    label: `set the scheme of ${workbench.records.zone.get(zone)?.name ?? ''}`,
    diff: written('scheme', workbench.records.scheme.get(zone), record),
  };
}

/** Lets a zone's scheme be proposed again, as before a person set it. */
export function letSchemeBeProposed(workbench: Workbench, zone: ZoneId): Command {
  const old = workbench.records.scheme.get(zone);
  return {
    label: `propose the scheme of ${workbench.records.zone.get(zone)?.name ?? ''}`,
    diff: old ? removed('scheme', old) : EMPTY_DIFF,
  };
}

/** Agrees to the schemes that are proposed for some zones: from then on they are the person's own. */
export function agreeToSchemes(
  workbench: Workbench,
  proposed: readonly { readonly zone: ZoneId; readonly scheme: readonly ColourId[] }[],
): Command {
  const open = proposed.filter((p) => p.scheme.length > 0 && !workbench.records.scheme.has(p.zone));
  const [first] = open;
  return {
    label:
      open.length === 1
        ? `agree to the scheme of ${workbench.records.zone.get(first!.zone)?.name ?? ''}`
        : `agree to ${open.length} schemes`,
    diff: added(
      'scheme',
      ...open.map(({ zone, scheme }) => ({ id: zone, build: workbench.build, zone, colours: scheme })),
    ),
  };
}
