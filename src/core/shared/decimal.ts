/**
 * Reads a number >= 0 with either point or comma as its decimal mark and the other, a space or an apostrophe between
 * thousands. A single mark before exactly three digits parts thousands unless nothing or a lone 0 stands before it.
 *
 * readDecimal("1,204.50") = 1204.5; readDecimal("1.204,5") = 1204.5; readDecimal("1,204") = 1204; readDecimal("0,125") = 0.125
 *
 * Gives undefined for anything else.
 */
export function readDecimal(text: string): number | undefined {
  const bare = text.replace(/[\s'\u00a0\u202f]/g, '');
  if (!/^[\d.,]+$/.test(bare) || !/\d/.test(bare)) return undefined;
  const last = Math.max(bare.lastIndexOf('.'), bare.lastIndexOf(','));
  if (last < 0) return Number(bare);
  const before = bare.slice(0, last);
  const after = bare.slice(last + 1);
  const mark = bare[last] ?? '.';
  const repeated = before.includes(mark);
  const otherMark = before.includes(mark === '.' ? ',' : '.');
  const thousands = repeated || (!otherMark && after.length === 3 && !/^0?$/.test(before));
  const groups = thousands ? bare : before;
  if (groups !== '' && !/^\d+$|^\d{1,3}([.,]\d{3})*$/.test(groups)) return undefined;
  const whole = groups.replace(/[.,]/g, '');
  return Number(thousands ? whole : `${whole || '0'}.${after || '0'}`);
}

/**
 * Reads a number as it is typed into a field: with either point or comma as its decimal mark, below zero by either minus, and
 * nothing between thousands, so that what a field shows is read back as it is.
 *
 * readTyped("0,5") = 0.5; readTyped("1.204") = 1.204; readTyped("−3") = -3
 *
 * Gives NaN for anything else, and for nothing.
 */
export const readTyped = (text: string): number =>
  /^\s*[-−]?(\d+([.,]\d*)?|[.,]\d+)\s*$/.test(text)
    ? Number(text.trim().replace(',', '.').replace('−', '-'))
    : NaN;
