import { planWork, type Plan, type PlannedWork, type Workbench } from '../workbench';
import type { Source } from '../ledger';
import { modelAccount, sparesAccount } from '../places';
import type { Movement } from '../records';
import { elementName, type ElementKey } from '../parts';
import type { ComesIn } from './faded-stock';
import type { FadingOption, OptionsReport } from './fading-options';

const TITLES: Readonly<Record<FadingOption['name'], string>> = {
  leave: 'Leave it as it is',
  turn: 'Turn the worst to hidden places',
  'same age': 'Renew the worst with parts of the same age',
  'match by age': 'Match by age',
  'all new': 'Renew all with new',
  whiten: 'Whiten',
};

/**
 * Plans an option as one modification: a renew for each shape, with the very pieces that were chosen. Pieces that only
 * change places within the zone are told in the note, since the books do not know where in a zone a piece lies.
 */
export function planFadingOption(
  workbench: Workbench,
  report: OptionsReport,
  option: FadingOption,
  source: Source,
): PlannedWork {
  const at = modelAccount(report.zone);
  const chosen: NonNullable<Plan['chosen']>[number][] = [];
  const undoRedo: string[] = [];
  for (const element of new Set(option.goesOut.map((p) => p.element))) {
    const movements = exchangeOf(workbench, option, element, at);
    if (movements.length > 0) chosen.push({ kind: 'renew', movements, why: 'faded', note: '' });
    const inside = option.comesIn.filter((p) => p.element === element && p.account === at);
    const n = inside.reduce((s, p) => s + p.qty, 0);
    if (n > 0)
      undoRedo.push(
        `${n} ${elementName(element)}: ${inside.map((p) => `${p.qty} of ${p.grade}`).join(', ')} to the seen side`,
      );
  }
  const zone = workbench.records.zone.get(report.zone)?.name ?? '';
  const plan: Plan = {
    title: `${TITLES[option.name]}: ${report.colour}, ${zone}`.slice(0, 180),
    zone: report.zone,
    why: 'What shows is how far the seen parts are from one another.',
    note: undoRedo.join('\n'),
    intents: [],
    chosen,
  };
  return planWork(workbench, [plan], `plan: ${TITLES[option.name].toLowerCase()}`, source);
}

/** Movements that bring pieces from elsewhere to the model, and as many of those they replace to the spares. */
function exchangeOf(
  workbench: Workbench,
  option: FadingOption,
  element: ElementKey,
  at: Movement['from'],
): Movement[] {
  const fromElsewhere = option.comesIn.filter((p) => p.element === element && p.account !== at);
  let left = fromElsewhere.reduce((s, p) => s + p.qty, 0);
  const on = fromElsewhere.map((p): Movement => ({
    element,
    grade: p.grade,
    qty: p.qty,
    from: p.account,
    to: at,
    worth: workbench.priceOf(element, p.grade),
  }));
  const off: Movement[] = [];
  for (const p of worstFirst(option, element)) {
    const qty = Math.min(left, p.qty);
    if (qty > 0)
      off.push({
        element,
        grade: p.grade,
        qty,
        from: at,
        to: sparesAccount(workbench.build),
        worth: workbench.priceOf(element, p.grade),
      });
    left -= qty;
  }
  return [...off, ...on];
}

const worstFirst = (option: FadingOption, element: ElementKey): ComesIn[] =>
  option.goesOut.filter((p) => p.element === element).sort((a, b) => b.lab.b - a.lab.b);
