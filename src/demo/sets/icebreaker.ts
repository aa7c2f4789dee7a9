import { elementKey, readPartName, type ElementKey } from '../../core/parts';
import { asId, type ColourId } from '../../core/shared/ids';
import { between, pick, seededRandom } from '../../core/shared/random';
import type { DemoLot, DemoSet } from './set-text';

/** Zones of the big ship with the colours they are made of, main ones first. */
const ZONES: readonly (readonly [name: string, share: number, colours: readonly string[]])[] = [
  ['Hull, port', 0.17, ['brick-red', 'berry', 'soot', 'slate']],
  ['Hull, starboard', 0.17, ['brick-red', 'berry', 'soot', 'slate']],
  ['Ice bow', 0.1, ['brick-red', 'thunder', 'tin']],
  ['Main deck', 0.14, ['kelp', 'bottle', 'ash', 'flint']],
  ['Deckhouse', 0.18, ['chalk', 'milk', 'oyster', 'ash']],
  ['Bridge', 0.08, ['chalk', 'clear-smoke', 'soot', 'gorse']],
  ['Funnel and masts', 0.05, ['amber', 'soot', 'midnight', 'tin']],
  ['Helideck', 0.05, ['slate', 'chalk', 'signal', 'lemon']],
  ['Engine room', 0.06, ['flint', 'gorse', 'gentian', 'tar']],
];

const SHAPES: readonly (readonly [family: string, sizes: readonly string[], most: number])[] = [
  ['brick', ['1x1', '1x2', '1x3', '1x4', '1x6', '1x8', '2x2', '2x3', '2x4', '2x6', '2x8'], 22],
  [
    'plate',
    ['1x1', '1x2', '1x3', '1x4', '1x6', '1x8', '2x2', '2x3', '2x4', '2x6', '2x8', '4x4', '4x6', '4x8', '6x8'],
    20,
  ],
  ['tile', ['1x1', '1x2', '1x3', '1x4', '1x6', '1x8', '2x2', '2x4', '2x6'], 18],
  ['slope 45', ['2x1', '2x2', '2x3', '2x4'], 12],
  ['slope 33', ['3x1', '3x2', '3x4'], 10],
  ['inverted slope 45', ['2x1', '2x2'], 14],
  ['curved slope', ['2x1', '3x1', '4x1', '4x2'], 12],
  ['wedge', ['3x2', '4x2', '6x4'], 6],
  ['wedge plate', ['2x3', '2x4', '3x6', '4x8'], 8],
  ['round brick', ['1x1', '2x2'], 10],
  ['round plate', ['1x1', '2x2', '4x4'], 14],
  ['round tile', ['1x1', '2x2'], 8],
  ['window', ['1x2x2', '1x4x3'], 8],
  ['pane', ['1x2x2', '1x4x3'], 8],
  ['panel', ['1x2x2', '1x4x2', '1x4x3'], 6],
  ['fence', ['1x4', '1x4x2'], 12],
  ['bracket', ['1x2', '2x2'], 10],
  ['hinge plate', ['1x2', '1x4'], 6],
  ['clip plate', ['1x1', '1x2'], 8],
  ['bar', ['1x3', '1x4', '1x6'], 8],
  ['grille tile', ['1x2'], 12],
  ['side-stud brick', ['1x1', '1x2', '1x4'], 10],
  ['corner plate', ['2x2'], 8],
  ['one-stud plate', ['1x2', '2x2'], 10],
  ['arch', ['1x3', '1x4', '1x6'], 5],
  ['ladder', ['1x2x3'], 4],
  ['dish', ['2x2', '4x4'], 4],
  ['cone', ['1x1', '2x2'], 5],
  ['axle', ['1x4', '1x6'], 5],
  ['pin', ['1x1', '1x2'], 16],
  ['beam', ['1x3', '1x5', '1x7'], 7],
  ['gear', ['1x1', '2x2'], 4],
];

const PIECES = 7812;
const LOTS = 1104;

/** A ship of 7,812 pieces in 1,104 lots, from a seed, to show size. */
function makeLots(): DemoLot[] {
  const random = seededRandom(20260117);
  const lots = new Map<string, { zone: string; element: ElementKey; qty: number }>();
  const total = ZONES.reduce((s, [, share]) => s + share, 0);
  for (const [zone, share, colours] of ZONES) {
    const wanted = Math.round((LOTS * share) / total);
    let tries = 0;
    for (let n = 0; n < wanted && tries < 40_000; tries++) {
      const [family, sizes, most] = pick(random, SHAPES);
      const colour = colours[Math.floor(random() ** 1.8 * colours.length)] ?? 'soot';
      const part = readPartName(`${family} ${pick(random, sizes)}`).part.id;
      const element = elementKey(part, asId<ColourId>(colour));
      const key = `${zone}|${element}`;
      if (lots.has(key)) continue;
      lots.set(key, { zone, element, qty: between(random, 1, most) });
      n++;
    }
  }
  return level([...lots.values()].slice(0, LOTS)).map((l) => ({ ...l, extra: false }));
}

/** Brings the sum of the quantities to the number on the box, spread over the largest lots. */
function level<T extends { qty: number }>(lots: T[]): T[] {
  let over = lots.reduce((s, l) => s + l.qty, 0) - PIECES;
  const order = lots.map((_, i) => i).sort((a, b) => (lots[b]?.qty ?? 0) - (lots[a]?.qty ?? 0));
  const qty = lots.map((l) => l.qty);
  for (let k = 0; over !== 0; k = (k + 1) % order.length) {
    const i = order[k] ?? 0;
    const step = over > 0 ? -1 : 1;
    if ((qty[i] ?? 0) + step < 1) continue;
    qty[i] = (qty[i] ?? 0) + step;
    over += step;
  }
  return lots.map((l, i) => ({ ...l, qty: qty[i] ?? l.qty }));
}

export const icebreaker: DemoSet = {
  code: 'HW 9780',
  name: 'Icebreaker Northern Reach',
  maker: 'Hollin & Wake',
  year: 2022,
  lots: makeLots(),
};
