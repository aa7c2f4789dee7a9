import { planWork, type Plan, type PlannedWork, type Source, type Workbench } from '../bench';
import { modelAccount, OUTSIDE, sparesAccount, type Movement } from '../ledger';
import { elementName, type ElementKey } from '../parts';
import type { ComesIn, School, SchoolsReport } from './schools';

const TITLES: Readonly<Record<School['name'], string>> = {
  leave: 'Leave it as it is',
  turn: 'Turn the worst to hidden places',
  'same age': 'Refresh the worst with parts of the same age',
  'match by age': 'Match by age',
  'all new': 'Refresh all with new',
  whiten: 'Whiten',
};

/** True when a school has pieces to exchange between places; leaving and whitening have none. */
export const hasWork = (school: School): boolean => school.comesIn.length > 0;

/**
 * Plans a school as one modification: a refresh for each shape, with the very pieces that were chosen. Pieces that only
 * change places within the zone are told in the note, since the books do not know where in a zone a piece lies.
 */
export function planSchool(
  bench: Workbench,
  report: SchoolsReport,
  school: School,
  source: Source,
): PlannedWork {
  const at = modelAccount(report.zone);
  const chosen: NonNullable<Plan['chosen']>[number][] = [];
  const turns: string[] = [];
  for (const element of new Set(school.goesOut.map((p) => p.element))) {
    const movements = exchangeOf(bench, school, element, at);
    if (movements.length > 0) chosen.push({ kind: 'refresh', movements, why: 'faded', note: '' });
    const inside = school.comesIn.filter((p) => p.element === element && p.account === at);
    const n = inside.reduce((s, p) => s + p.qty, 0);
    if (n > 0)
      turns.push(
        `${n} ${elementName(element)}: ${inside.map((p) => `${p.qty} of ${p.grade}`).join(', ')} to the seen side`,
      );
  }
  const zone = bench.records.zone.get(report.zone)?.name ?? '';
  const plan: Plan = {
    title: `${TITLES[school.name]}: ${report.colour}, ${zone}`.slice(0, 180),
    zone: report.zone,
    why: 'What shows is how far the seen parts are from one another.',
    note: turns.join('\n'),
    intents: [],
    chosen,
  };
  return planWork(bench, [plan], `plan: ${TITLES[school.name].toLowerCase()}`, source);
}

/** Movements that bring pieces from elsewhere to the model, and as many of those they replace to the spares. */
function exchangeOf(bench: Workbench, school: School, element: ElementKey, at: Movement['from']): Movement[] {
  const fromElsewhere = school.comesIn.filter((p) => p.element === element && p.account !== at);
  let left = fromElsewhere.reduce((s, p) => s + p.qty, 0);
  const on = fromElsewhere.map((p): Movement => ({
    element,
    grade: p.grade,
    qty: p.qty,
    from: p.account,
    to: at,
    worth: bench.priceOf(element, p.grade),
  }));
  const off: Movement[] = [];
  for (const p of worstFirst(school, element)) {
    const qty = Math.min(left, p.qty);
    if (qty > 0)
      off.push({
        element,
        grade: p.grade,
        qty,
        from: at,
        to: sparesAccount(bench.build),
        worth: bench.priceOf(element, p.grade),
      });
    left -= qty;
  }
  return [...off, ...on];
}

const worstFirst = (school: School, element: ElementKey): ComesIn[] =>
  school.goesOut.filter((p) => p.element === element).sort((a, b) => b.lab.b - a.lab.b);

/** What a school buys: pieces that come from outside. */
export const buysOf = (school: School): number =>
  school.comesIn.reduce((s, p) => s + (p.account === OUTSIDE ? p.qty : 0), 0);
