import type { ZoneId } from '../shared/ids';
import { placeOf, zoneOf } from './accounts';
import { ENTRY_KINDS } from './entry-kinds';
import type { Entry, Movement } from './records';

/** Every number of a tally. Pieces, but for the last five, which are minor units. All are sums over entries. */
export const FIGURES = [
  'shipped',
  'extras',
  'out',
  'in',
  'net',
  'recoloured',
  'refreshed',
  'standIns',
  'replaced',
  'moved',
  'movedIn',
  'movedOut',
  'missing',
  'madeGood',
  'onModel',
  'released',
  'usedAgain',
  'passedOn',
  'sparesLeft',
  'fromSpares',
  'fromStores',
  'fromDonor',
  'fromOrder',
  'bought',
  'unpriced',
  'outOfPocket',
  'worthIn',
  'worthOut',
  'sharedCost',
  'worthBack',
] as const;
export type Figure = (typeof FIGURES)[number];
export type Figures = Record<Figure, number>;

export const MONEY_FIGURES: readonly Figure[] = [
  'outOfPocket',
  'worthIn',
  'worthOut',
  'sharedCost',
  'worthBack',
];

export const noFigures = (): Figures => Object.fromEntries(FIGURES.map((f) => [f, 0])) as Figures;

/** Adds `times` what an entry contributes to `sums`, in place. With `zones`, only what happens in those zones. */
export function countEntry(sums: Figures, entry: Entry, times = 1, zones?: ReadonlySet<ZoneId>): void {
  for (const m of entry.movements) countMovement(sums, entry, m, times, zones);
}

/** One entry's own figures. */
export function figuresOf(entry: Entry, zones?: ReadonlySet<ZoneId>): Figures {
  const sums = noFigures();
  countEntry(sums, entry, 1, zones);
  return sums;
}

function countMovement(
  sums: Figures,
  entry: Entry,
  m: Movement,
  times: number,
  zones: ReadonlySet<ZoneId> | undefined,
): void {
  const [fromZone, toZone] = [zoneOf(m.from), zoneOf(m.to)];
  const inScope = (zone: ZoneId | undefined): boolean => zone !== undefined && (!zones || zones.has(zone));
  const pieces = m.qty * times;
  if (fromZone && toZone) {
    countMove(sums, pieces, inScope(fromZone), inScope(toZone));
    return;
  }
  if (inScope(toZone)) countJoining(sums, entry, m, pieces);
  if (inScope(fromZone)) countLeaving(sums, entry, m, pieces);
  if (!zones) countAside(sums, entry, m, pieces);
}

function countMove(sums: Figures, pieces: number, leaves: boolean, joins: boolean): void {
  if (!leaves && !joins) return;
  sums.moved += pieces;
  if (leaves) sums.movedOut += pieces;
  if (joins) sums.movedIn += pieces;
  sums.onModel += (joins ? pieces : 0) - (leaves ? pieces : 0);
}

const FROM = {
  spares: 'fromSpares',
  stores: 'fromStores',
  donor: 'fromDonor',
  order: 'fromOrder',
  outside: 'bought',
} as const;

/** A piece joins the model: headline figure by kind, where it came from, what it cost and what it is worth. */
function countJoining(sums: Figures, entry: Entry, m: Movement, pieces: number): void {
  const figure = ENTRY_KINDS[entry.kind].joins;
  if (figure) sums[figure] += pieces;
  if (figure === 'in') sums.net += pieces;
  if (entry.kind === 'stand-in') sums.standIns += pieces;
  sums.onModel += pieces;
  if (figure === 'shipped') return;
  const place = placeOf(m.from);
  if (place in FROM) sums[FROM[place as keyof typeof FROM]] += pieces;
  if (place === 'spares') {
    sums.usedAgain += pieces;
    sums.sparesLeft -= pieces;
  }
  sums.worthIn += (m.worth ?? 0) * pieces;
  if (m.worth === null) sums.unpriced += pieces;
  if (place === 'outside') sums.outOfPocket += (m.worth ?? 0) * pieces;
}

/** A piece leaves the model. */
function countLeaving(sums: Figures, entry: Entry, m: Movement, pieces: number): void {
  const figure = ENTRY_KINDS[entry.kind].leaves;
  if (figure) sums[figure] += pieces;
  if (figure === 'out') sums.net -= pieces;
  sums.onModel -= pieces;
  if (figure === 'missing') return;
  sums.worthOut += (m.worth ?? 0) * pieces;
  const place = placeOf(m.to);
  if (place === 'spares' || place === 'stores') sums.worthBack += (m.worth ?? 0) * pieces;
  if (place !== 'spares') return;
  sums.released += pieces;
  sums.sparesLeft += pieces;
}

/** What happens away from the model: the box's extras, orders paid, spares put away. */
function countAside(sums: Figures, entry: Entry, m: Movement, pieces: number): void {
  const [from, to] = [placeOf(m.from), placeOf(m.to)];
  if (from === 'shipped' && to === 'spares') sums.extras += pieces;
  if (to === 'spares' && from !== 'model') sums.sparesLeft += pieces;
  if (from === 'spares' && to !== 'model') {
    sums.passedOn += pieces;
    sums.sparesLeft -= pieces;
  }
  if (entry.kind !== 'order') return;
  sums.outOfPocket += (m.worth ?? 0) * pieces;
  if (m.worth === null) sums.unpriced += pieces;
}
