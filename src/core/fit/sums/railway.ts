import { PLATE, STUD, tenth } from './measures';

/** A vehicle as it runs, mm: over all, between the pivots of its bogies (or its axles), and across. */
export interface Vehicle {
  readonly length: number;
  readonly pivots: number;
  readonly width: number;
}

/** What a vehicle sweeps beside the middle of its track, mm; and where a wall may stand, with room to spare, studs. */
export interface Swept {
  readonly inside: number;
  readonly outside: number;
  readonly insideStuds: number;
  readonly outsideStuds: number;
}

/**
 * What a vehicle sweeps on a track of a radius (its middle, mm; null = straight). Between its pivots it cuts the curve
 * (mid-throw): the middle of the inner side is R' - W/2 from the centre, R' = sqrt(R² - (B/2)²). Beyond them its ends swing
 * out (end-throw): the outer corner is sqrt((R' + W/2)² + (L/2)²) from the centre. Studs are rounded up, with `room` added.
 * Undefined where the vehicle cannot stand on the curve, or is no vehicle.
 *
 * sweptBy({ length: 240, pivots: 144, width: 48 }, 320, 4) = 32.2 mm inside, 36.6 outside: walls from 5 and 6 studs
 */
export function sweptBy(vehicle: Vehicle, radius: number | null, room = 0): Swept | undefined {
  const { length, pivots, width } = vehicle;
  if (!(length > 0) || !(width > 0) || !(pivots >= 0) || pivots > length) return undefined;
  if (radius !== null && (radius <= pivots / 2 || radius <= width / 2)) return undefined;
  const middle = radius === null ? 0 : Math.sqrt(radius ** 2 - (pivots / 2) ** 2);
  const inside = radius === null ? width / 2 : radius - (middle - width / 2);
  const outside = radius === null ? width / 2 : Math.hypot(middle + width / 2, length / 2) - radius;
  // A vehicle whose pivots are near its ends cuts more than it swings: it is never narrower than it stands on them.
  const out = Math.max(outside, width / 2 - (radius === null ? 0 : radius - middle));
  const studs = (mm: number) => Math.ceil((mm + room) / STUD - 1e-9);
  return { inside: tenth(inside), outside: tenth(out), insideStuds: studs(inside), outsideStuds: studs(out) };
}

/** How far a wall at so many studs from the middle of the track must be cut back, studs; 0 = it may stand. */
export const cutBack = (wallStuds: number, neededStuds: number): number =>
  Math.max(0, neededStuds - wallStuds);

/** How many vehicles of a length stand along a platform with a gap between them, and what is left of it; one unit for all. */
export function vehiclesAlong(platform: number, length: number, gap: number): { n: number; left: number } {
  const n = length > 0 && gap >= 0 ? Math.max(0, Math.floor((platform + gap + 1e-9) / (length + gap))) : 0;
  return { n, left: platform - n * length - Math.max(0, n - 1) * gap };
}

/** Room left beside and above what passes a gate or stands under a shelf, mm; below zero it does not pass. */
export function roomIn(gate: Opening, load: Opening): { beside: number; above: number; passes: boolean } {
  const beside = tenth((gate.width - load.width) * STUD);
  const above = tenth((gate.height - load.height) * PLATE);
  return { beside, above, passes: beside >= 0 && above >= 0 };
}

/** Studs wide and plates high. */
interface Opening {
  readonly width: number;
  readonly height: number;
}

/** How far a hinged wall, door or lid reaches from its hinge as it swings, mm: the far corner of its leaf. */
export const swingRadius = (length: number, thick: number): number => tenth(Math.hypot(length, thick));
