/** A rectangle of a floor, studs. */
export interface Slab {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly d: number;
}

export type SlabPattern = 'grid' | 'running bond' | 'basket weave';

/**
 * Whole slabs of a pattern within a field, without those that would lie on what is kept free: what is left over along its
 * edges is filled otherwise. Running bond moves every other row by half a slab; basket weave turns bundles of slabs, as
 * wide together as one is long, in turn.
 *
 * patternSlabs('grid', { x: 0, y: 0, w: 4, d: 2 }, { w: 2, d: 2 }, []) has 2 slabs
 */
export function patternSlabs(
  pattern: SlabPattern,
  field: Slab,
  slab: Pick<Slab, 'w' | 'd'>,
  keepOut: readonly Slab[],
): Slab[] {
  const all = pattern === 'basket weave' ? weave(field, slab) : rows(field, slab, pattern === 'running bond');
  const inside = (s: Slab) =>
    s.x >= field.x && s.x + s.w <= field.x + field.w && s.y + s.d <= field.y + field.d;
  return all.filter((s) => inside(s) && !keepOut.some((k) => touch(s, k)));
}

const touch = (a: Slab, b: Slab): boolean =>
  a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.d && b.y < a.y + a.d;

function rows(field: Slab, { w, d }: Pick<Slab, 'w' | 'd'>, shifted: boolean): Slab[] {
  const slabs: Slab[] = [];
  for (let j = 0; (j + 1) * d <= field.d; j++) {
    const shift = shifted && j % 2 === 1 ? w >> 1 : 0;
    for (let x = shift; x + w <= field.w; x += w) slabs.push({ x: field.x + x, y: field.y + j * d, w, d });
  }
  return slabs;
}

function weave(field: Slab, slab: Pick<Slab, 'w' | 'd'>): Slab[] {
  const [short, long] = [Math.min(slab.w, slab.d), Math.max(slab.w, slab.d)];
  const slabs: Slab[] = [];
  for (let j = 0; (j + 1) * long <= field.d; j++)
    for (let i = 0; (i + 1) * long <= field.w; i++)
      for (let n = 0; (n + 1) * short <= long; n++) {
        const [x, y] = [field.x + i * long, field.y + j * long];
        const across = (i + j) % 2 === 1;
        slabs.push(
          across ? { x: x + n * short, y, w: short, d: long } : { x, y: y + n * short, w: long, d: short },
        );
      }
  return slabs;
}
