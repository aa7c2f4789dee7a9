import { STUD, tenth } from './measures';

/** A hinged wall of `length` studs that meets a stud again, so many studs along and so many across. */
export interface HingedWall {
  readonly along: number;
  readonly across: number;
  readonly length: number;
  /** Degrees out of the grid. */
  readonly angle: number;
  /** How far the end lies off the stud, mm. */
  readonly error: number;
}

/**
 * Hinged walls that meet studs again within a tolerance: 3-4-5 and its kin, and near ones. Each shape once: no wall is told
 * again as two of its half.
 *
 * hingedWalls(5, 0.2)[0] = 4 along, 3 across, 5 long, 36.9°, exact
 */
export function hingedWalls(longest: number, tolerance: number): HingedWall[] {
  const found: HingedWall[] = [];
  for (let length = 2; length <= longest; length++)
    for (let across = 1; across < length; across++) {
      const along = Math.round(Math.sqrt(length ** 2 - across ** 2));
      if (along < across) continue;
      const error = (Math.hypot(along, across) - length) * STUD;
      if (Math.abs(error) > tolerance + 1e-9 || divides(along, across, length)) continue;
      const angle = tenth((Math.atan2(across, along) * 180) / Math.PI);
      found.push({ along, across, length, angle, error: Math.round(error * 100) / 100 + 0 });
    }
  return found.sort((a, b) => a.length - b.length || Math.abs(a.error) - Math.abs(b.error));
}

/** True of a wall that is a smaller one several times over. */
function divides(a: number, b: number, c: number): boolean {
  const common = (x: number, y: number): number => (y === 0 ? x : common(y, x % y));
  return common(common(a, b), c) > 1;
}

/** A ring of panels, mm: to the middle of a panel and to its corner, and whether studs can hold its panels. */
export interface Ring {
  readonly panels: number;
  readonly inner: number;
  readonly outer: number;
  /** The angle between two panels, degrees. */
  readonly turn: number;
  /** How far the panels that lie in the grid are off half a stud from the middle, mm; null where none lies in it. */
  readonly offGrid: number | null;
  /** The gap that opens outside at each corner of panels so thick, mm. */
  readonly gap: number;
}

/**
 * A ring of n panels of a length (studs) and thickness (studs). Inner radius L / (2 tan(π/n)), outer L / (2 sin(π/n)); the
 * gap outside a corner is 2 t tan(π/n). Rings of a multiple of four have panels in the grid. Undefined below three panels.
 *
 * ringOf(8, 4, 1).inner = 38.6 mm
 */
export function ringOf(panels: number, length: number, thick: number): Ring | undefined {
  if (!Number.isInteger(panels) || panels < 3 || !(length > 0) || !(thick >= 0)) return undefined;
  const half = Math.PI / panels;
  const inner = (length * STUD) / (2 * Math.tan(half));
  const off = Math.abs(inner - (Math.round((2 * inner) / STUD) * STUD) / 2);
  return {
    panels,
    inner: tenth(inner),
    outer: tenth((length * STUD) / (2 * Math.sin(half))),
    turn: tenth(360 / panels),
    offGrid: panels % 4 === 0 ? tenth(off) : null,
    gap: tenth(2 * thick * STUD * Math.tan(half)),
  };
}

/** A round of plates, row by row: how many studs each row has, and how far its edge is off the circle at most, mm. */
export interface Round {
  readonly rows: readonly number[];
  readonly error: number;
}

/** The rows of plates that come nearest to a circle of a diameter in studs: each keeps the diameter's odd or even. */
export function roundOf(diameter: number): Round | undefined {
  if (!Number.isInteger(diameter) || diameter < 2 || diameter > 200) return undefined;
  const radius = diameter / 2;
  let error = 0;
  const rows = Array.from({ length: diameter }, (_, i) => {
    const half = Math.sqrt(radius ** 2 - (i + 0.5 - radius) ** 2);
    const studs = Math.max(
      diameter % 2 === 0 ? 2 : 1,
      2 * Math.round(half - (diameter % 2) / 2) + (diameter % 2),
    );
    error = Math.max(error, Math.abs(half - studs / 2) * STUD);
    return studs;
  });
  return { rows, error: tenth(error) };
}
