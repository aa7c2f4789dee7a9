import { asId, type ColourId } from '../shared/ids';
import { assert } from '../shared/assert';
import { labOfHex, type Colour, type ColourFamily, type Finish } from './colour';

type Row = readonly [name: string, family: ColourFamily, hex: string, finish?: Finish];

/** Names, families and colours are Evarn's own. Near neighbours stand on purpose where people mistake one for another. */
const ROWS: readonly Row[] = [
  ['chalk', 'white', '#f0eee7'],
  ['milk', 'white', '#f5f2e6'],
  ['oyster', 'white', '#e3e0d8'],
  ['bone', 'white', '#e4dcc6'],
  ['mist', 'grey', '#c9cccb'],
  ['ash', 'grey', '#a3a8aa'],
  ['dove', 'grey', '#a39f99'],
  ['flint', 'grey', '#6f7172'],
  ['slate', 'grey', '#5b646b'],
  ['thunder', 'grey', '#4a4f55'],
  ['soot', 'black', '#24282b'],
  ['tar', 'black', '#15171a'],
  ['dune', 'tan', '#d8bf8c'],
  ['straw', 'tan', '#e2cf9c'],
  ['hide', 'tan', '#b8925f'],
  ['rope', 'tan', '#a58a63'],
  ['bark', 'brown', '#5c3a26'],
  ['peat', 'brown', '#45301f'],
  ['cocoa', 'brown', '#6d4a35'],
  ['fox', 'brown', '#8f4f2a'],
  ['brick-red', 'red', '#a5301f'],
  ['berry', 'red', '#7c1f2b'],
  ['signal', 'red', '#c8261d'],
  ['coral', 'pink', '#ef7560'],
  ['heather', 'pink', '#c78fa6'],
  ['petal', 'pink', '#eab7c0'],
  ['rust', 'orange', '#b8531c'],
  ['ember', 'orange', '#e56a1d'],
  ['apricot', 'orange', '#f3a35c'],
  ['amber', 'yellow', '#f0ad2e'],
  ['lemon', 'yellow', '#f4d945'],
  ['gorse', 'yellow', '#e8bf1a'],
  ['kelp', 'green', '#3f6b50'],
  ['bottle', 'green', '#1f4a38'],
  ['fern', 'green', '#4f8a3b'],
  ['leek', 'green', '#8fb04a'],
  ['sage', 'green', '#8ba287'],
  ['lagoon', 'blue', '#2f8a97'],
  ['deep', 'blue', '#1c4a72'],
  ['harbour', 'blue', '#255a80'],
  ['gentian', 'blue', '#2557b0'],
  ['sky', 'blue', '#7fb2d0'],
  ['frost', 'blue', '#b4cfdc'],
  ['midnight', 'blue', '#1b2a45'],
  ['plum', 'violet', '#5b3564'],
  ['thistle', 'violet', '#9382b5'],
  ['clear', 'white', '#e8eef0', 'clear'],
  ['clear-smoke', 'grey', '#8a8f93', 'clear'],
  ['clear-sky', 'blue', '#9fd0e6', 'clear'],
  ['clear-lamp', 'yellow', '#f6dc66', 'clear'],
  ['clear-ruby', 'red', '#cf3a35', 'clear'],
  ['clear-emerald', 'green', '#5aa873', 'clear'],
  ['brass', 'yellow', '#b5924c', 'metal'],
  ['tin', 'grey', '#b4b8bc', 'metal'],
  ['copper', 'brown', '#a5673f', 'metal'],
  ['moonstone', 'white', '#d9dde3', 'pearl'],
  ['glow-worm', 'green', '#dfeec0', 'glow'],
];

/** Makes a palette colour. `hex` must be #rrggbb (asserted). */
export function makeColour(row: {
  name: string;
  family: ColourFamily;
  hex: string;
  finish: Finish;
  code: string;
}): Colour {
  const lab = labOfHex(row.hex);
  assert(lab, 'a palette colour is written #rrggbb', row);
  return { id: asId<ColourId>(row.name), ...row, lab };
}

/** Evarn's palette: 57 invented colours. A colour's id is its name; custom colours join it per workspace. */
export const PALETTE: readonly Colour[] = ROWS.map(([name, family, hex, finish = 'solid'], i) =>
  makeColour({ name, family, hex, finish, code: `C${String(i + 1).padStart(2, '0')}` }),
);
