import { BRICK_MM, STUD_MM } from '../inspection';
import { courseLevels, plannedWalls } from '../fit';
import { splitElementKey } from '../parts';
import type { WallJob } from '../records';
import { alignDrawing, type Stripe } from '../stickers';
import type { SheetBlock } from './document';

export type SheetGuide = Extract<SheetBlock, { is: 'guide' }>;
type Rect = SheetGuide['rects'][number];

const PLATE_MM = BRICK_MM / 3;

/**
 * The walls of a job as they were planned, one guide for each, as seen from outside: every piece of the outer row where it lies,
 * with its length in studs. Millimetres from the upper left corner. None while the walls are only stated.
 *
 * @example wallGuides(job)[0]!.says // 'Quay, 18 studs, 6 courses'
 */
export function wallGuides(job: WallJob): SheetGuide[] {
  const laid = plannedWalls(job);
  if (!laid) return [];
  const levels = courseLevels(job).map((l) => l * PLATE_MM);
  const h = levels.at(-1) ?? 0;
  return job.walls.flatMap((wall): SheetGuide[] => {
    const pieces = laid.pieces.filter((p) => p.wall === wall.id && p.row === 0);
    if (pieces.length === 0) return [];
    const studs = Math.max(...pieces.map((p) => p.at + p.along));
    const rects = pieces.map((p): Rect => ({
      ...{ x: p.at * STUD_MM, y: h - levels[p.course + 1]!, w: p.along * STUD_MM },
      ...{ h: levels[p.course + 1]! - levels[p.course]!, label: String(p.along) },
      colour: splitElementKey(p.element).colour,
    }));
    const says = `${wall.name}, ${studs} studs, ${job.courses.length} courses`;
    return [{ is: 'guide', says, w: studs * STUD_MM, h, rects }];
  });
}

/** A stripe where it lies on its parts, in millimetres from the upper left corner; null for one on no parts. */
export function stripeGuide(stripe: Stripe): SheetGuide | null {
  const drawing = alignDrawing(stripe);
  if (!drawing) return null;
  const rects = drawing.shapes.flatMap((s): Rect[] =>
    s.kind === 'rect' && (s.look === 'strip' || (s.look === 'part' && s.y > 0))
      ? [
          {
            ...{ x: s.x - STUD_MM, y: drawing.h - s.y - s.h - STUD_MM, w: s.w, h: s.h, label: '' },
            colour: s.look === 'strip' ? stripe.colour : null,
          },
        ]
      : [],
  );
  const [w, h] = [drawing.w - 2 * STUD_MM, drawing.h - 2 * STUD_MM];
  return { is: 'guide', says: [drawing.title, ...drawing.says.slice(0, 1)].join('. '), w, h, rects };
}

/** The size of a label that fits its rectangle, in its units; 0 = it would be too small to read. */
export function labelSize({ w, h, label }: Rect): number {
  const size = Math.min(4, h * 0.5, (w * 0.85) / (0.6 * Math.max(1, label.length)));
  return label && size >= 1.5 ? size : 0;
}
