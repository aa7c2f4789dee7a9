/** A piece's condition. A measured batch of faded or yellowed pieces is named after a colon: "faded:B3". */
export type Grade = string & { readonly __kind: 'grade' };

export const CONDITIONS = ['new', 'used', 'faded', 'yellowed', 'crazed', 'bare', 'cracked'] as const;
export type Condition = (typeof CONDITIONS)[number];

/** Smaller is better. Faded and yellowed are alike; a crazed sticker, or a bare part that lost its sticker, is worse, a cracked part worst. */
const RANK: Readonly<Record<Condition, number>> = {
  new: 0,
  used: 1,
  faded: 2,
  yellowed: 2,
  crazed: 3,
  bare: 3,
  cracked: 4,
};

export const grade = (condition: Condition, batch = ''): Grade =>
  (batch ? `${condition}:${batch}` : condition) as Grade;

/** The measured batch of a grade, "" when none. */
export const batchOf = (g: Grade): string => g.split(':')[1] ?? '';

export const conditionOf = (g: Grade): Condition => {
  const name = g.split(':')[0] as Condition;
  return CONDITIONS.includes(name) ? name : 'used';
};

export const isGrade = (text: string): text is Grade =>
  /^[a-z]+(:[\w -]{1,40})?$/.test(text) &&
  (CONDITIONS as readonly string[]).includes(text.split(':')[0] ?? '');

/** 0 for new up to 4 for cracked. */
export const gradeRank = (g: Grade): number => RANK[conditionOf(g)];

/**
 * True of a piece that shows its age or a flaw: faded, yellowed, crazed, bare or cracked. Nobody takes it for white.
 *
 * @example isWorn(grade('yellowed')) // true
 */
export const isWorn = (g: Grade): boolean => gradeRank(g) >= RANK.faded;

/** Best first. */
export const byGrade = (a: Grade, b: Grade): number =>
  gradeRank(a) - gradeRank(b) || (a < b ? -1 : a > b ? 1 : 0);
