import { conditionOf, modelAccount } from '../places';
import { splitElementKey } from '../parts';
import type { Workbench } from '../workbench';
import type { NeedLot } from './need';

/**
 * The condition in which a lot fits where it is seen: that of most pieces of its colour in the zones it goes to, since
 * evenly aged parts look right and one new part among them looks wrong. Null where nobody sees it or nothing of its colour
 * is there: then any does.
 *
 * @example conditionBeside(workbench, lot) // 'used', in a zone of 40 used pieces of the colour
 */
export function conditionBeside(workbench: Workbench, lot: NeedLot): 'new' | 'used' | null {
  if (lot.hidden) return null;
  const { colour } = splitElementKey(lot.element);
  let [fresh, aged] = [0, 0];
  for (const zone of new Set(lot.sources.map((s) => s.zone))) {
    if (!zone) continue;
    for (const r of workbench.built.balances.rows((a) => a === modelAccount(zone))) {
      if (r.qty <= 0 || splitElementKey(r.element).colour !== colour) continue;
      if (conditionOf(r.grade) === 'new') fresh += r.qty;
      else aged += r.qty;
    }
  }
  return fresh === aged ? null : fresh > aged ? 'new' : 'used';
}
