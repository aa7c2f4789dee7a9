import { partOf, splitElementKey, type ElementKey } from '../core/parts';
import { seededRandom } from '../core/shared/random';

/** Colours that are rare in the demo's market, and dearer for it. */
const RARE = new Set([
  'coral',
  'kelp',
  'lagoon',
  'brass',
  'copper',
  'plum',
  'clear-lamp',
  'amber',
  'dove',
  'harbour',
]);

const hash = (text: string): number =>
  [...text].reduce((h, c) => (Math.imul(h, 31) + c.charCodeAt(0)) >>> 0, 7);

/** What a piece costs in the demo: by its size and family, its colour's rarity, and a little chance of its own. */
export function demoPrice(element: ElementKey): { newPrice: number; usedPrice: number } {
  const { part, colour, print } = splitElementKey(element);
  const { family, size, height } = partOf(part);
  const bulk = size[0] * size[1] * Math.max(1, height / 2);
  const special = ['Bricks', 'Plates', 'Tiles'].includes(family.group) ? 1 : 2.2;
  const chance = 0.8 + seededRandom(hash(element))() * 0.5;
  const newPrice = Math.max(
    3,
    Math.round((3 + bulk * 0.9) * special * chance * (RARE.has(colour) ? 1.6 : 1) + (print ? 60 : 0)),
  );
  return { newPrice, usedPrice: Math.max(2, Math.round(newPrice * 0.62)) };
}
