import { matchColour, type Colour } from '../../colour';
import type { WallJob } from '../../records';
import type { ColourId } from '../../shared/ids';
import { fail, ok, type Result } from '../../shared/result';
import { COURSE_FAMILIES } from '../course-parts';

/** What could not be read of a text, word for word, and why. */
export interface NotRead {
  readonly text: string;
  readonly why: 'colour' | 'number' | 'length' | 'too many' | 'empty';
}

/** Words for a course that nobody sees. */
const HIDDEN = ['any', 'hidden', 'filler'];
const MOST_COURSES = 80;
const MOST_LENGTH = 400;

const clauses = (text: string): string[] =>
  text
    .split(/[,;\n]/)
    .map((t) => t.trim().replace(/\s+/g, ' '))
    .filter(Boolean);

/**
 * Courses from the bottom, as they are typed: a number of courses, a colour, a family. Bricks where no family is named, one
 * course where no number is; "any" is a course that nobody sees.
 *
 * readCourses('slate, 2 ash, kelp plate', PALETTE) = slate brick, ash brick, ash brick, kelp plate
 */
export function readCourses(
  text: string,
  palette: readonly Colour[],
  colourOf: (words: string) => ColourId | null = () => null,
): Result<WallJob['courses'], NotRead> {
  const courses: WallJob['courses'][number][] = [];
  for (const clause of clauses(text)) {
    const words = clause.split(' ');
    const number = /^\d+$/.test(words[0] ?? '') ? Number(words.shift()) : 1;
    if (number === 0) return fail({ text: clause, why: 'number' });
    const family = takeFamily(words);
    const said = words.join(' ').toLowerCase();
    const colour = HIDDEN.includes(said) ? null : colourNamed(said, palette, colourOf);
    if (colour === undefined) return fail({ text: said || clause, why: 'colour' });
    if (courses.length + number > MOST_COURSES) return fail({ text: clause, why: 'too many' });
    courses.push(...Array.from({ length: number }, () => ({ colour, family })));
  }
  return courses.length > 0 ? ok(courses) : fail({ text, why: 'empty' });
}

/** Takes the family's words, plural or not, off the end of a clause: bricks where none is named. */
function takeFamily(words: string[]): string {
  const byLength = [...COURSE_FAMILIES].sort((a, b) => b.length - a.length);
  const said = words.join(' ').toLowerCase().replace(/s$/, '');
  const family = byLength.find((f) => said === f || said.endsWith(` ${f}`));
  if (!family) return 'brick';
  words.splice(-family.split(' ').length);
  return family;
}

function colourNamed(
  said: string,
  palette: readonly Colour[],
  colourOf: (words: string) => ColourId | null,
): ColourId | undefined {
  const remembered = said ? colourOf(said) : null;
  if (remembered) return remembered;
  const match = said ? matchColour(said, palette) : null;
  return match && match.how !== 'unknown' ? match.colour.id : undefined;
}

/**
 * Courses as they are typed, the shortest way: readCourses reads it back.
 *
 * printCourses(readCourses('ash brick, ash, 1 kelp')) = "2 ash, kelp"
 */
export function printCourses(courses: WallJob['courses']): string {
  const runs: { text: string; n: number }[] = [];
  for (const c of courses) {
    const text = `${c.colour ?? 'any'}${c.family === 'brick' ? '' : ` ${c.family}`}`;
    const last = runs.at(-1);
    if (last?.text === text) last.n++;
    else runs.push({ text, n: 1 });
  }
  return runs.map((r) => (r.n > 1 ? `${r.n} ${r.text}` : r.text)).join(', ');
}

/**
 * Walls as they are typed: a name and studs each. Walls that were there keep what their ends do, by name, else by place.
 *
 * readWalls('quay 18, slip 11', []) = quay of 18 studs and slip of 11
 */
export function readWalls(text: string, before: WallJob['walls']): Result<WallJob['walls'], NotRead> {
  const walls: WallJob['walls'][number][] = [];
  const ids = new Set<string>();
  for (const [i, clause] of clauses(text).entries()) {
    const words = clause.split(' ');
    const last = words.at(-1) ?? '';
    if (!/^\d+$/.test(last)) return fail({ text: clause, why: 'number' });
    const length = Number(last);
    if (length < 1 || length > MOST_LENGTH) return fail({ text: clause, why: 'length' });
    const name = words.slice(0, -1).join(' ') || `wall ${i + 1}`;
    const old = before.find((w) => w.name === name) ?? before[i];
    const id = old && !ids.has(old.id) ? old.id : freshId(before, ids);
    ids.add(id);
    walls.push({ id, name, length, left: old?.left ?? 'free', right: old?.right ?? 'free' });
  }
  if (walls.length > 60) return fail({ text, why: 'too many' });
  return walls.length > 0 ? ok(walls) : fail({ text, why: 'empty' });
}

function freshId(before: WallJob['walls'], taken: ReadonlySet<string>): string {
  for (let n = 1; ; n++) {
    const id = `w${n}`;
    if (!taken.has(id) && !before.some((w) => w.id === id)) return id;
  }
}

export const printWalls = (walls: WallJob['walls']): string =>
  walls.map((w) => `${w.name} ${w.length}`).join(', ');
