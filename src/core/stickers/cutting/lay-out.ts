import type { Boxes, Side } from './boxes';

export interface Rect extends Side {
  readonly x: number;
  readonly y: number;
}

/** A strip of a size, where it lies. */
export interface LaidSize {
  readonly size: number;
  readonly x: number;
  readonly y: number;
  readonly along: boolean;
}

/** A group that is cut off a field: beside what is left of it or over it, as wide as it needs. */
export interface Off {
  readonly part: number;
  readonly beside: boolean;
  readonly takes: number;
}

/**
 * Where the strips of a set lie in a rectangle that it fits: split in two by a cut from edge to edge, and each group
 * again, until single strips are left.
 */
export function layOut(
  boxes: Boxes,
  sizes: readonly Side[],
  set: number,
  rect: Rect,
  kerf: number,
): LaidSize[] {
  if (set === 0) return [];
  const { x, y, w, h } = rect;
  const single = boxes.sets.weights.indexOf(set);
  if (single >= 0) {
    const size = sizes[single]!;
    return [{ size: single, x, y, along: size.w <= w && size.h <= h }];
  }
  let split: Off | null = null;
  boxes.sets.within(set, (part) => {
    if (part === 0 || part === set) return;
    const across = boxes.widthOf(part, h);
    if (across + kerf + boxes.widthOf(set - part, h) <= w) split = { part, beside: true, takes: across };
    else {
      const down = boxes.widthOf(part, w);
      if (down + kerf + boxes.widthOf(set - part, w) <= h) split = { part, beside: false, takes: down };
    }
    return split !== null;
  });
  if (!split) throw new Error('a set was laid where it does not fit');
  const { part, beside, takes }: Off = split;
  const [first, rest] = cutOff(rect, beside, takes, kerf);
  return [...layOut(boxes, sizes, part, first, kerf), ...layOut(boxes, sizes, set - part, rest, kerf)];
}

/** A rectangle cut in two, a blade's width between: what is taken, and what is left, which may be nothing. */
export function cutOff(rect: Rect, beside: boolean, takes: number, kerf: number): readonly [Rect, Rect] {
  const { x, y, w, h } = rect;
  const rest = Math.max(0, (beside ? w : h) - takes - kerf);
  return beside
    ? [
        { x, y, w: takes, h },
        { x: x + w - rest, y, w: rest, h },
      ]
    : [
        { x, y, w, h: takes },
        { x, y: y + h - rest, w, h: rest },
      ];
}
