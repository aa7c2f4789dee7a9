import type { ZoneId } from '../shared/ids';
import { placeOf, zoneOf, type Place } from '../places';
import { ENTRY_KINDS } from '../places';
import type { Entry, Movement } from '../records';
import { recolouredIn, takeRecoloured } from './same-act';

/** Every number of a tally. Pieces, but for the last five, which are minor units. All are sums over entries. */
export const FIGURES = [
  'shipped',
  'extras',
  'out',
  'in',
  'net',
  'recoloured',
  'renewed',
  'placeholders',
  'replaced',
  'moved',
  'movedIn',
  'movedOut',
  'fromNoZone',
  'missing',
  'missingReplaced',
  'onModel',
  'released',
  'usedAgain',
  'passedOn',
  'sparesLeft',
  'fromSpares',
  'fromStock',
  'fromOwn',
  'fromDonor',
  'fromOrder',
  'bought',
  'unpriced',
  'boughtUnpriced',
  'backUnpriced',
  'sharedUnpriced',
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
  if (ENTRY_KINDS[entry.kind].regrades) return;
  if (ENTRY_KINDS[entry.kind].stays) {
    for (const m of entry.movements) if (inScope(zoneOf(m.to), zones)) countPaid(sums, m, m.qty * times);
    return;
  }
  const same = recolouredIn(entry);
  const left: Recoloured = { off: new Map(same), on: new Map(same) };
  for (const m of entry.movements) countMovement(sums, entry, m, times, zones, left);
}

/** Pieces of a swap that are yet to be counted as recoloured, on either side of it. */
interface Recoloured {
  readonly off: Map<string, number>;
  readonly on: Map<string, number>;
}

/** Whether a zone of the model counts: all do where no zones are asked for. */
const inScope = (zone: ZoneId | undefined, zones: ReadonlySet<ZoneId> | undefined): boolean =>
  !zones || (zone !== undefined && zones.has(zone));

function countMovement(
  sums: Figures,
  entry: Entry,
  m: Movement,
  times: number,
  zones: ReadonlySet<ZoneId> | undefined,
  left: Recoloured,
): void {
  const from = placeOf(m.from);
  const to = placeOf(m.to);
  const leaves = from === 'model';
  const joins = to === 'model';
  const pieces = m.qty * times;
  const lay = leaves && inScope(zones && zoneOf(m.from), zones);
  // What an entry of a zone takes off counts in the zone, though it lay in none: most boxes are not unpacked by zones.
  const fromHere = lay || (leaves && !joins && !!zones && entry.zone !== null && zones.has(entry.zone));
  const toHere = joins && inScope(zones && zoneOf(m.to), zones);
  if (leaves && joins) countMove(sums, pieces, fromHere, toHere);
  else {
    const same = joins || leaves ? takeRecoloured(joins ? left.on : left.off, m.element, m.qty) * times : 0;
    if (toHere) countJoining(sums, entry, m, pieces, from, same);
    if (fromHere) countLeaving(sums, entry, m, pieces, to, same);
    // It was never among the pieces that lie in the zone.
    if (fromHere && !lay) {
      sums.onModel += pieces;
      sums.fromNoZone += pieces;
    }
    if (!zones) countAside(sums, entry, m, pieces, from, to);
  }
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
  stock: 'fromStock',
  own: 'fromOwn',
  donor: 'fromDonor',
  order: 'fromOrder',
  outside: 'bought',
} as const;

/**
 * Pieces join the model: headline figure by kind, where they came from, what they cost and what they are worth. `same` of
 * them are there for the same part in another colour.
 */
function countJoining(
  sums: Figures,
  entry: Entry,
  m: Movement,
  pieces: number,
  place: Place,
  same: number,
): void {
  const figure = ENTRY_KINDS[entry.kind].joins;
  if (figure) sums[figure] += pieces - same;
  sums.recoloured += same;
  if (figure === 'in') sums.net += pieces - same;
  if (entry.kind === 'placeholder') sums.placeholders += pieces;
  sums.onModel += pieces;
  if (figure === 'shipped') return;
  if (place in FROM) sums[FROM[place as keyof typeof FROM]] += pieces;
  if (place === 'spares') {
    sums.usedAgain += pieces;
    sums.sparesLeft -= pieces;
  }
  sums.worthIn += (m.worth ?? 0) * pieces;
  if (m.worth === null) sums.unpriced += pieces;
  if (place === 'outside') countPaid(sums, m, pieces);
}

/** Pieces leave the model, `same` of them for the same part in another colour. */
function countLeaving(
  sums: Figures,
  entry: Entry,
  m: Movement,
  pieces: number,
  place: Place,
  same: number,
): void {
  const figure = ENTRY_KINDS[entry.kind].leaves;
  if (figure) sums[figure] += pieces - same;
  if (figure === 'out') sums.net -= pieces - same;
  sums.onModel -= pieces;
  if (figure === 'missing') return;
  sums.worthOut += (m.worth ?? 0) * pieces;
  if (place === 'spares' || place === 'stock' || place === 'own' || place === 'donor') {
    if (m.worth === null) sums.backUnpriced += pieces;
    else sums.worthBack += m.worth * pieces;
  }
  if (place !== 'spares') return;
  sums.released += pieces;
  sums.sparesLeft += pieces;
}

/** What happens away from the model: the box's extras, orders paid, spares put away. */
function countAside(sums: Figures, entry: Entry, m: Movement, pieces: number, from: Place, to: Place): void {
  if (from === 'shipped' && to === 'spares') sums.extras += pieces;
  if (to === 'spares' && from !== 'model') sums.sparesLeft += pieces;
  if (from === 'spares' && to !== 'model') {
    sums.passedOn += pieces;
    sums.sparesLeft -= pieces;
  }
  if (entry.kind === 'order') countPaid(sums, m, pieces);
}

/** Pieces that money was paid for: how much, or that it is not known. */
function countPaid(sums: Figures, m: Movement, pieces: number): void {
  if (m.worth === null) sums.boughtUnpriced += pieces;
  else sums.outOfPocket += m.worth * pieces;
}
