/** Signs that open a clause, as they are typed and as other programs write them. */
const OPENS = /^[-+~%>?!*^=−–—]/;

/**
 * A pasted block of lines as one log line, each line a clause that keeps to itself: `12 brick 1x4 ash` without a sign
 * puts pieces on. Empty lines are left out.
 *
 * lineOfBlock('-2 plate 2x3 chalk\n12x brick 1x4 ash') = '-2 plate 2x3 chalk; +12x brick 1x4 ash'
 */
export const lineOfBlock = (block: string): string =>
  block
    .split(/\r\n|\r|\n/)
    .map((l) =>
      l
        .replace(/\s+/g, ' ')
        .replace(/[;,]\s*$/, '')
        .trim(),
    )
    .filter(Boolean)
    .map((l) => (OPENS.test(l) ? l : `+${l}`))
    .join('; ');
