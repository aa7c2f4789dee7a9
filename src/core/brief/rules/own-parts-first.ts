import type { Entry } from '../../ledger';
import { placeOf } from '../../places';
import { withAtHand } from '../../stock';
import type { Workbench } from '../../workbench';
import { unbroken, type Rule } from '../rule';

/** Elements that an entry plans to buy. */
const buys = (entry: Entry): Entry['movements'] =>
  entry.movements.filter((m) => placeOf(m.from) === 'outside' && placeOf(m.to) === 'model');

const planned = (workbench: Workbench): Entry[] =>
  workbench.entries.filter((e) => e.state === 'planned' && e.whatIf === null && buys(e).length > 0);

/** Nothing is planned to be bought while pieces of it lie free in spares, the boxes or own parts. */
export const ownPartsFirst: Rule = {
  id: 'own parts first',
  name: 'Own parts first',
  asks: 'nothing',
  ofBooks: (workbench) => {
    const entries = planned(workbench);
    if (entries.length === 0) return unbroken([]);
    return withAtHand(workbench, (atHand) =>
      unbroken(
        [],
        entries.filter((e) => buys(e).some((m) => atHand.count(m.element) > 0)).map((e) => e.id),
      ),
    );
  },
  brokenBy: (entry, workbench) =>
    entry.state === 'planned' &&
    buys(entry).length > 0 &&
    withAtHand(workbench, (atHand) => buys(entry).some((m) => atHand.count(m.element) > 0)),
};
