import { STREET, type Interior } from '../../records';
import type { Passer, Room, Way } from './interior';

/** How a room is reached from the street: the ways in order, or null where nothing leads there. */
export interface Reached {
  readonly room: Room;
  readonly by: readonly Way[] | null;
  /** For what must pass: ways that lead on towards the room and are too narrow, too low or must be climbed. */
  readonly stops: readonly Stop[];
}

/** A way that something does not get through: how much it lacks, studs and plates; 0 = it is not that. */
export interface Stop {
  readonly way: Way;
  readonly narrow: number;
  readonly low: number;
  readonly climb: boolean;
}

/** Whether something gets through a way; null = it does. */
export function stopAt(way: Way, passer: Passer | null): Stop | null {
  if (!passer) return null;
  const narrow = Math.max(0, passer.width - way.width);
  const low = Math.max(0, passer.height - way.height);
  const climb = !passer.climbs && (way.kind === 'stairs' || way.kind === 'ladder');
  return narrow > 0 || low > 0 || climb ? { way, narrow, low, climb } : null;
}

/**
 * How each room is reached from the street by the fewest ways, by something that must pass or, without it, at all. A room it
 * does not reach tells where it stops: the ways out of what it reaches that it does not get through.
 */
export function reachOf(interior: Interior, passer: Passer | null): Reached[] {
  const by = walk(interior, passer);
  const stops = interior.ways.flatMap((w) =>
    by.has(w.from) !== by.has(w.to) ? (stopAt(w, passer) ?? []) : [],
  );
  const open = walk(interior, null);
  return interior.rooms.map((room) => {
    const there = by.get(room.id) ?? null;
    // Where no way leads at all, none is too narrow.
    return { room, by: there, stops: there || !open.has(room.id) ? [] : stops };
  });
}

/** Breadth first from the street; ways lead both ways. */
function walk(interior: Interior, passer: Passer | null): Map<string, readonly Way[]> {
  const by = new Map<string, readonly Way[]>([[STREET, []]]);
  const queue: string[] = [STREET];
  for (let at = queue.shift(); at !== undefined; at = queue.shift())
    for (const way of interior.ways) {
      const to = way.from === at ? way.to : way.to === at ? way.from : undefined;
      if (to === undefined || by.has(to) || stopAt(way, passer)) continue;
      by.set(to, [...by.get(at)!, way]);
      queue.push(to);
    }
  return by;
}

/** The floor of a room: its studs, those under furniture, those that are free; and furniture that fits in neither way. */
export interface FloorSpace {
  readonly studs: number;
  readonly taken: number;
  /** Below zero more stands in it than there is room for. */
  readonly free: number;
  readonly tooLarge: readonly string[];
}

/** What of a room's floor is free when all of its furniture stands in it. */
export function floorSpace(room: Pick<Room, 'width' | 'depth' | 'furniture'>): FloorSpace {
  const studs = room.width * room.depth;
  const taken = room.furniture.reduce((s, f) => s + f.width * f.depth, 0);
  const [short, long] = [Math.min(room.width, room.depth), Math.max(room.width, room.depth)];
  const tooLarge = room.furniture
    .filter((f) => Math.min(f.width, f.depth) > short || Math.max(f.width, f.depth) > long)
    .map((f) => f.name);
  return { studs, taken, free: studs - taken, tooLarge };
}
