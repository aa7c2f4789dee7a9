import type { TypedLotProblem } from '@/core/stock';
import { list } from './places';

/** What is wrong with a typed lot, and what to type. */
export function typedLotWords(problem: TypedLotProblem): string {
  switch (problem.reason) {
    case 'no quantity':
      return 'Begin with how many: “12 brick 1x2 ash”.';
    case 'no part':
      return problem.text
        ? `“${problem.text}” is no part that is known: write its kind and size, as in “brick 1x2”.`
        : 'Say which part, as in “brick 1x2 ash”.';
    case 'no colour':
      return `Say in which colour: “${problem.text} ash”.`;
    case 'which colour':
      return `“${problem.text}” may be ${list(problem.choices)}: write the whole name.`;
  }
}
