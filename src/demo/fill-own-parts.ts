import { added, joinDiffs, STOCK_SCOPE, type Diff } from '../core/ledger';
import { elementKey, readPartName } from '../core/parts';
import {
  asId,
  type ActionId,
  type BuildId,
  type ColourId,
  type PoolModelId,
  type WaitingId,
} from '../core/shared/ids';
import { takeFrom } from '../core/stock';
import type { Handle } from '../data/database';
import { stockBalances } from '../data/balances';
import { perform } from '../server/perform';

const colour = (name: string): ColourId => asId<ColourId>(name);
const part = (name: string) => readPartName(name).part.id;

/** What happened to own parts besides: parts lent to a friend, parts waited for, a build bound to its boxes. */
export function fillOwnParts(
  handle: Handle,
  glasshouse: BuildId | undefined,
  newId: () => string,
  clock: () => Date,
): void {
  const act = (scope: string, label: string, diff: Diff) => {
    const done = perform(handle, { id: asId<ActionId>(newId()), scope, label, diff }, clock());
    if (!done.ok) throw new Error(`the demo could not ${label}: ${JSON.stringify(done.reason)}`);
  };
  const now = () => clock().toISOString();
  const lent = stockBalances(handle.db)
    .filter((r) => r.element === elementKey(part('arch 1x4'), colour('slate')) && r.qty >= 4)
    .slice(0, 1)
    .map((r) => ({ ...r, qty: 4 }));
  const loan = takeFrom(lent, 'lent', 'Wren, for her viaduct', null, { newId, now: now() });
  if (lent.length > 0) act(STOCK_SCOPE, loan.label, loan.diff);
  const waiting = (name: string, of: string, qty: number) =>
    added('waiting', {
      id: asId<WaitingId>(newId()),
      element: elementKey(part(name), colour(of)),
      qty,
      note: '',
      at: now(),
    });
  act(
    STOCK_SCOPE,
    'wait for two parts',
    joinDiffs(waiting('boat door 1x6', 'leek', 2), waiting('slope 33 3x1', 'lagoon', 12)),
  );
  if (!glasshouse) return;
  act(
    glasshouse,
    'bind the glasshouse to its trams, and plan a second model',
    joinDiffs(
      added('buildSources', { id: glasshouse, build: glasshouse, boxesOnly: true, elsewhere: null }),
      added('poolModel', {
        id: asId<PoolModelId>(newId()),
        build: glasshouse,
        name: 'Potting shed',
        musts: [
          { part: part('brick 1x2'), colour: null, qty: 40 },
          { part: part('window 1x2x2'), colour: colour('kelp'), qty: 8 },
          { part: part('pane 1x2x2'), colour: colour('clear-lamp'), qty: 8 },
        ],
        colours: [],
        shares: false,
      }),
      added('poolModel', {
        id: asId<PoolModelId>(newId()),
        build: glasshouse,
        name: 'Cold frame',
        musts: [
          { part: part('brick 1x2'), colour: null, qty: 10 },
          { part: part('pane 1x4x3'), colour: colour('clear'), qty: 2 },
        ],
        colours: [],
        shares: false,
      }),
    ),
  );
}
