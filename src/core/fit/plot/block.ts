import type { ZonePlace } from '../../records';

/** A block of space: studs from the left front corner of the plot, plates from the ground. */
export type Block = Pick<ZonePlace, 'x' | 'y' | 'width' | 'depth' | 'bottom' | 'height'>;

/** The smallest block around others; null around none. */
export function around(blocks: readonly Block[]): Block | null {
  if (blocks.length === 0) return null;
  const least = (of: (b: Block) => number) => Math.min(...blocks.map(of));
  const most = (of: (b: Block) => number) => Math.max(...blocks.map(of));
  const [x, y, bottom] = [least((b) => b.x), least((b) => b.y), least((b) => b.bottom)];
  return {
    x,
    y,
    bottom,
    width: most((b) => b.x + b.width) - x,
    depth: most((b) => b.y + b.depth) - y,
    height: most((b) => b.bottom + b.height) - bottom,
  };
}

/** A block so much further right, back and up. */
export const moved = (b: Block, by: Pick<Block, 'x' | 'y' | 'bottom'>): Block => ({
  ...b,
  x: b.x + by.x,
  y: b.y + by.y,
  bottom: b.bottom + by.bottom,
});

/** The block alone of what holds one. */
export const blockOf = ({ x, y, width, depth, bottom, height }: Block): Block => ({
  x,
  y,
  width,
  depth,
  bottom,
  height,
});
