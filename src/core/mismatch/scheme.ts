import { deltaE00, type Colour } from '../colour';
import { EMPTY_DIFF, removed, written, type Command } from '../ledger';
import type { Workbench } from '../workbench';
import { partOf, splitElementKey } from '../parts';
import type { ColourId, ZoneId } from '../shared/ids';
import type { SeenLot } from './seen-lots';

/** A colour with less than this share of what is seen, by pieces and by weight, is not part of a proposed scheme. */
const LEAST_SHARE = 0.06;
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
 * The colours a zone seems meant to have, from what is seen, most first: those with 6 % of it or more, by
 * pieces or by weight, less those that are a near miss of a colour twice as common.
 */
export function proposeScheme(lots: readonly SeenLot[], palette: ReadonlyMap<string, Colour>): ColourId[] {
  const sums = new Map<ColourId, number>();
  const counts = new Map<ColourId, number>();
  for (const lot of lots) {
    if (!isJudged(lot, palette)) continue;
    sums.set(lot.colour, (sums.get(lot.colour) ?? 0) + lot.weight);
    counts.set(lot.colour, (counts.get(lot.colour) ?? 0) + lot.seenQty);
  }
  const total = (of: ReadonlyMap<ColourId, number>) => [...of.values()].reduce((a, b) => a + b, 0);
  const [all, pieces] = [total(sums), total(counts)];
  const ranked = [...sums]
    .sort((a, b) => b[1] - a[1])
    .filter(([c, w]) => w >= LEAST_SHARE * all || (counts.get(c) ?? 0) >= LEAST_SHARE * pieces);
  const kept: [ColourId, number][] = [];
  for (const [colour, weight] of ranked) {
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
