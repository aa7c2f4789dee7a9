import { CutSearch, firstFitOf, type CutPlan, type CutProblem } from '@/core/stickers/cutting';
import { randomCut } from '@/core/testing/cutting';
import { cutRequest } from '@/server/cut';

/** Problems of a number of strips, in fields of some colours, as they lie about. */
const PROBLEMS: readonly (readonly [string, CutProblem, number])[] = [
  ['12 strips, 5 fields, five colours', twelve(11, 4), 2],
  ['12 strips, 5 fields, one colour', twelve(12, 1), 2],
  ['60 strips, 20 fields, four colours', sixty(13, 4), 5],
  ['60 strips, 20 fields, one colour', sixty(14, 1), 5],
];

function twelve(seed: number, colours: number): CutProblem {
  return randomCut(seed, { colours, fields: 5, kinds: 12, count: 1 });
}

function sixty(seed: number, colours: number): CutProblem {
  return randomCut(seed, { colours, fields: 20, kinds: 24, count: 4 });
}

const areaOf = (problem: CutProblem, plan: CutPlan): string => {
  const opened = new Set(plan.placed.map((p) => p.field));
  const fields = problem.fields.filter((f) => opened.has(f.id)).reduce((s, f) => s + f.w * f.h, 0);
  const strips = plan.placed.reduce((s, p) => {
    const { w, l } = problem.strips.find((k) => k.id === p.strip)!;
    return s + w * l;
  }, 0);
  const share = fields > 0 ? (1 - strips / fields) * 100 : 0;
  return `${share.toFixed(0)} % of the opened fields not used`;
};

const words = (problem: CutProblem, plan: CutPlan): string =>
  `${plan.unmet.reduce((n, u) => n + u.count, 0)} unmet, ${plan.fieldsOpened} fields, ΔE ${plan.deltaE.toFixed(2)}, ` +
  `${plan.kept ? Math.round(plan.kept.w * plan.kept.h) : 0} mm² whole, ${areaOf(problem, plan)}`;

/** Each problem in its thread at its seconds, beside first fit by size. */
export async function measureCutting(): Promise<void> {
  console.log('\ncutting strips from sticker sheets');
  for (const [name, problem, seconds] of PROBLEMS) {
    console.log(`  ${name}`);
    console.log(`    first fit by size: ${words(problem, firstFitOf(problem))}`);
    const began = performance.now();
    const search = new CutSearch(problem, 1);
    search.restart();
    const first = (performance.now() - began).toFixed(0);
    console.log(`    other orders of it, ${first} ms: ${words(problem, search.plan(0))}`);
    const done = await cutRequest(problem, { seconds });
    if (!done.ok) continue;
    const { proven, seconds: took } = done.value;
    console.log(
      `    ${seconds} s: ${words(problem, done.value)}${proven ? ', proven' : ''}, in ${took.toFixed(1)} s`,
    );
  }
}
