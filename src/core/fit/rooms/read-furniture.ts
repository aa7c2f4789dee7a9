import { fail, ok, type Result } from '../../shared/result';
import type { Room } from './interior';

/**
 * Furniture as it is typed: a name and its footprint in studs, each.
 *
 * readFurniture('stove 2x3, table 4x4') = stove of 2 x 3, table of 4 x 4
 */
export function readFurniture(text: string): Result<Room['furniture'], string> {
  const furniture: Room['furniture'][number][] = [];
  for (const t of text
    .split(/[,;\n]/)
    .map((c) => c.trim())
    .filter(Boolean)) {
    const [, name, width, depth] = /^(.*\S)\s+(\d{1,3})\s*[x×]\s*(\d{1,3})$/i.exec(t) ?? [];
    if (!name || !Number(width) || !Number(depth)) return fail(t);
    furniture.push({ name: name.slice(0, 80), width: Number(width), depth: Number(depth) });
  }
  return furniture.length <= 100 ? ok(furniture) : fail(text);
}

/** Furniture as it is typed: the text that readFurniture reads. */
export const printFurniture = (furniture: Room['furniture']): string =>
  furniture.map((f) => `${f.name} ${f.width}x${f.depth}`).join(', ');
