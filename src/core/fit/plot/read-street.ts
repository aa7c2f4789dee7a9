import type { Plot } from '../../records';
import { fail, ok, type Result } from '../../shared/result';

const MOST_LINES = 40;
const MOST_DOORS = 60;

/** A height as it is typed, in plates: "10b" = 30, "2b+1" = 7, "7" = 7. Undefined for what is no height. */
export function readHeight(text: string): number | undefined {
  const [, b, p] = /^(?:(\d{1,4})b)?\+?(?:(\d{1,4})p?)?$/i.exec(text.trim().replace(/\s+/g, '')) ?? [];
  if (b === undefined && p === undefined) return undefined;
  const plates = Number(b ?? 0) * 3 + Number(p ?? 0);
  return plates <= 3000 ? plates : undefined;
}

/**
 * Heights of storeys or cornices as they are typed, from the ground: plates, or bricks with a b. What is no height is given
 * back.
 *
 * readStoreys('2, 10b, 20b+1') = [2, 30, 61]
 */
export function readStoreys(text: string): Result<number[], string> {
  const storeys: number[] = [];
  for (const t of text.split(/[,;\s]+/).filter(Boolean)) {
    const plates = readHeight(t);
    if (plates === undefined) return fail(t);
    storeys.push(plates);
  }
  const once = [...new Set(storeys)].sort((a, b) => a - b);
  return once.length <= MOST_LINES ? ok(once) : fail(text);
}

/**
 * Doors as they are typed: a name, at how many studs from the left, and how high the sill lies, plates or bricks.
 *
 * readDoors('front 4 up 5, cellar 12') = front at 4, sill 5; cellar at 12, sill 0
 */
export function readDoors(text: string): Result<Plot['doors'], string> {
  const doors: Plot['doors'][number][] = [];
  for (const t of text
    .split(/[,;\n]/)
    .map((c) => c.trim())
    .filter(Boolean)) {
    const words = t.split(/\s/).filter(Boolean);
    const up = words.at(-2)?.toLowerCase() === 'up' ? words.splice(-2)[1] : undefined;
    const at = /^\d{1,4}$/.exec(words.pop() ?? '')?.[0];
    const name = words.join(' ');
    const sill = up === undefined ? 0 : readHeight(up);
    if (at === undefined || sill === undefined || Number(at) > 2000) return fail(t);
    doors.push({ name: name.slice(0, 80), at: Number(at), sill });
  }
  return doors.length <= MOST_DOORS ? ok(doors) : fail(text);
}

/** Doors as they are typed: the text that readDoors reads. */
export const printDoors = (doors: Plot['doors']): string =>
  doors.map((d) => `${d.name} ${d.at}${d.sill > 0 ? ` up ${d.sill}` : ''}`.trim()).join(', ');
