import { partOf, readPartName, splitElementKey, type ElementKey, type Part } from '../parts';

/** A family that courses are made of: the sizes it comes in, one and two studs deep, and its height in plates. */
interface CourseFamily {
  readonly name: string;
  /** In plates. */
  readonly height: number;
  readonly one: readonly number[];
  readonly two: readonly number[];
  /** True where nothing can stand on it: it is a last course, and over a wall one stud thick it stands out by a stud. */
  readonly last?: true;
}

/** Families for walls and floors. What lies at hand in other sizes counts too; these can be asked for in a shop. */
const FAMILIES: readonly CourseFamily[] = [
  { name: 'brick', height: 3, one: [1, 2, 3, 4, 6, 8, 10, 12, 16], two: [2, 3, 4, 6, 8, 10] },
  { name: 'masonry brick', height: 3, one: [2, 4], two: [] },
  { name: 'log brick', height: 3, one: [1, 2, 4], two: [] },
  { name: 'side-stud brick', height: 3, one: [1, 2, 4], two: [] },
  { name: 'round brick', height: 3, one: [1], two: [2] },
  { name: 'plate', height: 1, one: [1, 2, 3, 4, 6, 8, 10, 12], two: [2, 3, 4, 6, 8, 10, 12, 16] },
  { name: 'tile', height: 1, one: [1, 2, 3, 4, 6, 8], two: [2, 3, 4, 6] },
  { name: 'arch', height: 3, one: [3, 4, 6, 8], two: [] },
  { name: 'slope 45', height: 3, one: [], two: [1, 2, 3, 4, 6, 8], last: true },
  { name: 'inverted slope 45', height: 3, one: [], two: [1, 2, 3, 4], last: true },
];

/** The families that a course can be of, by name. */
export const COURSE_FAMILIES: readonly string[] = FAMILIES.map((f) => f.name);

/** A family's row; undefined for one that no course can be of. */
const rowOf = (family: string): CourseFamily | undefined => FAMILIES.find((f) => f.name === family);

/** How tall a course of a family is, in plates; a brick's 3 for what is not known. */
export const courseHeight = (family: string): number => rowOf(family)?.height ?? 3;

/** True of a family that only a last course can be of: two studs deep, it stands out over a wall of one. */
export const hangsOver = (family: string): boolean => rowOf(family)?.last === true;

/** A part as a wall or a floor sees it: how long along, how deep, studs. */
export interface CoursePart {
  readonly part: Part;
  readonly length: number;
  readonly deep: number;
}

/**
 * The parts of a family that fill a course one or two studs deep: the usual sizes, and whatever else of it is among the
 * elements given. A part with a print or a shape of its own is none.
 *
 * courseParts('masonry brick', 1, []) = masonry brick 1x2 and 1x4
 */
export function courseParts(family: string, deep: 1 | 2, known: Iterable<ElementKey>): CoursePart[] {
  const row = rowOf(family);
  if (!row) return [];
  const found = new Map<string, CoursePart>();
  const take = (part: Part): void => {
    const fits = fitOf(part, family);
    if (fits?.deep === deep) found.set(part.id, { part, ...fits });
  };
  // A slope is named by its depth first, everything else by the smaller side.
  for (const n of deep === 1 ? row.one : row.two) take(readPartName(`${family} ${deep}x${n}`).part);
  for (const element of known) {
    const { part, print } = splitElementKey(element);
    if (!print && part.startsWith(family)) take(partOf(part));
  }
  return [...found.values()].sort((a, b) => a.length - b.length);
}

/** How a part lies in a course of a family; undefined where it has another shape. */
function fitOf(part: Part, family: string): { readonly length: number; readonly deep: number } | undefined {
  const [a, b] = part.size;
  const plain = part.read && !part.variant && part.height === courseHeight(family);
  if (!plain || b > 64) return undefined;
  const name = part.angle ? `${part.family.name} ${part.angle}` : part.family.name;
  return name === family ? { length: b, deep: a } : undefined;
}
