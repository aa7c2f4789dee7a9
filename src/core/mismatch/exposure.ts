import type { Seen } from '../ledger';
import { partOf, splitElementKey, type ElementKey } from '../parts';

/** The share of a piece that is seen, for weighing. Round numbers, so that anyone can check them. */
export const SEEN_SHARE: Readonly<Record<Seen, number>> = {
  all: 1,
  'some sides': 0.6,
  top: 0.4,
  'one side': 0.3,
  hidden: 0,
};

const TOP = ['tile', 'round tile', 'grille tile', 'baseplate'];
const SIDES = ['plate', 'round plate', 'corner plate', 'wedge plate', 'one-stud plate', 'hinge plate'];
const INSIDE = ['pin', 'axle', 'gear', 'beam', 'clip plate', 'ball joint'];
const WHOLE = ['figure', 'animal', 'plant', 'flower', 'flag', 'hull', 'boat door', 'wheel', 'cone', 'dish'];
const INNER_ZONE = /\b(inside|inner|core|engine room|frame|underside|filling)\b/i;

/**
 * How much of a lot is seen, proposed from its family and the zone's name: prints and whole shapes all round, tiles from
 * above, plates by their edge, joints and machine parts not at all, the rest from some sides. A person corrects it.
 */
export function proposeSeen(element: ElementKey, zoneName: string): Seen {
  const { part, print } = splitElementKey(element);
  const { family } = partOf(part);
  if (INNER_ZONE.test(zoneName) || INSIDE.includes(family.name)) return 'hidden';
  if (print || WHOLE.includes(family.name)) return 'all';
  if (TOP.includes(family.name)) return 'top';
  if (SIDES.includes(family.name)) return 'one side';
  return 'some sides';
}
