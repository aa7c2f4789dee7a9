import { formatLengths } from '@/core/shared/forms';
import { type FloorSpace, type Passer, type Reached, type Room, type RoomWay, type Stop } from '@/core/fit';
import { STREET, type Interior, type WayKind } from '@/core/records';
import { list } from './places';
import { plates, studs } from './plot';

export const WAY_WORDS: Readonly<Record<WayKind, string>> = {
  door: 'door',
  opening: 'opening',
  stairs: 'stairs',
  ladder: 'ladder',
  hatch: 'hatch',
};

/** The name of a room by its id, or the street. */
export const roomName = (interior: Pick<Interior, 'rooms'>, id: string): string =>
  id === STREET ? 'the street' : (interior.rooms.find((r) => r.id === id)?.name ?? 'a room');

/** "Every room is reached from the street.", "The loft cannot be reached from the street." */
export function roomsHeadline(interior: Interior, reached: readonly Reached[]): string {
  if (interior.rooms.length === 0) return 'Which rooms are there, and how does one get in?';
  const shut = reached.filter((r) => r.by === null).map((r) => r.room.name);
  if (shut.length === 0) return 'Every room is reached from the street.';
  return `${capital(list(shut))} cannot be reached from the street.`;
}

const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

/** "by the door into the hall, then the stairs into the loft" */
export function wayWords(interior: Pick<Interior, 'rooms'>, by: readonly RoomWay[]): string {
  let at: string = STREET;
  const steps = by.map((w) => {
    at = w.from === at ? w.to : w.from;
    return `the ${WAY_WORDS[w.kind]} into ${roomName(interior, at)}`;
  });
  return `by ${steps.join(', then ')}`;
}

/** "the door between hall and store is 1 stud too narrow" */
export function stopWords(interior: Pick<Interior, 'rooms'>, s: Stop): string {
  const why = [
    s.narrow > 0 ? `${studs(s.narrow)} too narrow` : '',
    s.low > 0 ? `${plates(s.low)} too low` : '',
    s.climb ? 'to be climbed' : '',
  ].filter(Boolean);
  return `the ${WAY_WORDS[s.way.kind]} between ${roomName(interior, s.way.from)} and ${roomName(interior, s.way.to)} is ${list(why)}`;
}

/** What gets where: "A cart gets into the hall, not into the store: the door between hall and store is 1 stud too narrow." */
export function passerWords(interior: Interior, passer: Passer, reached: readonly Reached[]): string {
  if (reached.length === 0) return '';
  const into = reached.filter((r) => r.by !== null).map((r) => r.room.name);
  const shut = reached.filter((r) => r.by === null);
  if (shut.length === 0) return `${capital(passer.name)}: gets into every room.`;
  const stops = [...new Set(shut.flatMap((r) => r.stops.map((s) => stopWords(interior, s))))];
  const gets = into.length > 0 ? `gets into ${list(into)}` : 'gets into no room';
  const why = stops.length > 0 ? `: ${list(stops)}` : ': no way leads there';
  return `▲ ${capital(passer.name)}: ${gets}, not into ${list(shut.map((r) => r.room.name))}${why}.`;
}

/** "80 studs, 22 under furniture, 58 free" */
export function floorWords(room: Pick<Room, 'width' | 'depth'>, f: FloorSpace): string {
  const free = f.free < 0 ? `▲ ${studs(-f.free)} more stand in it than it has` : `${studs(f.free)} free`;
  const large = f.tooLarge.length > 0 ? `; ▲ ${list([...f.tooLarge])} fits in neither way` : '';
  return `${formatLengths([room.width * 8, room.depth * 8])} inside: ${studs(f.studs)}, ${f.taken} under furniture, ${free}${large}`;
}
