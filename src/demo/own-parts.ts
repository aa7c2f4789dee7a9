import { splitElementKey, type ElementKey } from '../core/parts';
import { elementKey, readPartName } from '../core/parts';
import { asId, type ColourId } from '../core/shared/ids';
import { between, pick, seededRandom } from '../core/shared/random';

export interface StockLot {
  readonly element: ElementKey;
  readonly qty: number;
  readonly tray: string;
  readonly place: string;
  readonly condition: 'new' | 'used' | 'faded' | null;
}

const TRAYS: readonly (readonly [
  tray: string,
  place: string,
  families: readonly string[],
  sizes: readonly string[],
])[] = [
  ['A1', 'left rack', ['brick'], ['1x1', '1x2', '1x3', '1x4']],
  ['A2', 'left rack', ['brick'], ['2x2', '2x3', '2x4']],
  ['B1', 'left rack', ['plate'], ['1x1', '1x2', '1x3', '1x4']],
  ['B2', 'left rack', ['plate'], ['2x2', '2x3', '2x4', '2x6']],
  ['B3', 'left rack', ['plate'], ['4x4', '4x6', '6x8']],
  ['C1', 'right rack', ['tile'], ['1x1', '1x2', '1x4', '2x2']],
  ['C2', 'right rack', ['slope 45'], ['2x1', '2x2']],
  ['C3', 'right rack', ['window', 'pane', 'door', 'shutter'], ['1x2x2', '1x4x3']],
  ['C4', 'right rack', ['brick'], ['1x1', '1x2']],
  ['D1', 'floor', ['round plate', 'round brick', 'round tile'], ['1x1', '2x2']],
  ['D2', 'floor', ['arch', 'fence', 'panel'], ['1x4']],
];
const COLOURS = [
  'chalk',
  'ash',
  'slate',
  'soot',
  'bark',
  'dune',
  'brick-red',
  'kelp',
  'deep',
  'amber',
  'milk',
  'flint',
];

/** Lots that the demo's story takes from, so that it can be told as it was. */
const SURE: readonly (readonly [
  tray: string,
  qty: number,
  part: string,
  colour: string,
  condition: StockLot['condition'],
])[] = [
  ['A1', 7, 'brick 1x2', 'ash', 'used'],
  ['A1', 26, 'brick 1x4', 'ash', 'used'],
  ['C1', 4, 'tile 1x4', 'bark', 'new'],
  ['C4', 11, 'brick 1x1', 'chalk', 'used'],
  ['C3', 6, 'shutter 1x2x2', 'kelp', 'used'],
  ['D1', 14, 'round plate 1x1', 'soot', 'new'],
  ['C1', 1, 'tile 1x2', 'bark', 'used'],
  ['A2', 9, 'brick 2x4', 'chalk', 'used'],
  ['A1', 8, 'brick 1x4', 'chalk', 'used'],
];

const PIECES = 3000;

/** The demo's own parts: 3,000 pieces in eleven trays. */
export function demoOwnParts(): StockLot[] {
  const random = seededRandom(411);
  const places = new Map(TRAYS.map(([tray, place]) => [tray, place]));
  const key = (part: string, colour: string) =>
    elementKey(readPartName(part).part.id, asId<ColourId>(colour));
  const lots: StockLot[] = SURE.map(([tray, qty, part, colour, condition]) => ({
    element: key(part, colour),
    qty,
    tray,
    place: places.get(tray) ?? '',
    condition,
  }));
  const kept = new Set(lots.map((l) => l.element));
  let left = PIECES - lots.reduce((s, l) => s + l.qty, 0);
  while (left > 0) {
    const [tray, place, families, sizes] = pick(random, TRAYS);
    const element = key(`${pick(random, families)} ${pick(random, sizes)}`, pick(random, COLOURS));
    if (kept.has(element) && lots.length < 190) continue;
    if (SURE.some(([, , p, c]) => key(p, c) === element) || splitElementKey(element).part === 'shutter 1x4x3')
      continue;
    const qty = Math.min(left, between(random, 3, 26));
    kept.add(element);
    lots.push({ element, qty, tray, place, condition: pick(random, ['new', 'used', 'used', 'used', null]) });
    left -= qty;
  }
  // Trays are made in the order in which they are first filled.
  return lots.sort((a, b) => a.tray.localeCompare(b.tray));
}
