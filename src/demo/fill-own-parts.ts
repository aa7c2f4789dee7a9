import { added, joinDiffs, STOCK_SCOPE, type Diff } from '../core/ledger';
import { elementKey, inColour, readPartName, splitElementKey } from '../core/parts';
import type { PoolModel } from '../core/records';
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
import { readRecords } from '../data/records';
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
  const shed = asId<PoolModelId>(newId());
  const model = (name: string, place: number, musts: PoolModel['musts'], more: Partial<PoolModel> = {}) =>
    added('poolModel', {
      ...{ id: asId<PoolModelId>(newId()), build: glasshouse, name, musts, colours: [], shares: false },
      ...{ place, colour: null, sectionOf: null, isBuilt: false },
      ...more,
    });
  act(
    glasshouse,
    'bind the glasshouse to its trams, and plan a second model',
    joinDiffs(
      added('buildSources', { id: glasshouse, build: glasshouse, boxesOnly: true, elsewhere: null }),
      model(
        'Potting shed',
        1,
        [
          { part: part('brick 1x2'), colour: null, qty: 40 },
          { part: part('window 1x2x2'), colour: colour('kelp'), qty: 8 },
          { part: part('pane 1x2x2'), colour: colour('clear-lamp'), qty: 8 },
        ],
        { id: shed },
      ),
      model('Potting shed, its back', 2, [{ part: part('brick 1x2'), colour: null, qty: 24 }], {
        sectionOf: shed,
      }),
      model('Cold frame', 3, [
        { part: part('brick 1x2'), colour: null, qty: 10 },
        { part: part('pane 1x4x3'), colour: colour('clear'), qty: 2 },
      ]),
    ),
  );
  sayWhatElse(handle, glasshouse, (label, diff) => act(glasshouse, label, diff));
}

/** Two lists for one mod: what would have been used for the largest line of new parts, were there more than the trams. */
function sayWhatElse(handle: Handle, build: BuildId, act: (label: string, diff: Diff) => void): void {
  const put = readRecords(handle.db, 'entry', build)
    .filter((e) => e.kind === 'add' || e.kind === 'swap')
    .flatMap((entry) => {
      const on = entry.movements.find((m) => m.to.startsWith('model:'));
      return on && !splitElementKey(on.element).print ? [{ entry, on }] : [];
    })
    .sort((a, b) => b.on.qty - a.on.qty)[0];
  if (!put) return;
  const element = inColour(put.on.element, colour('leek'));
  act(
    'keep what one would have used',
    added('idealPart', { id: put.entry.id, entry: put.entry.id, build, element }),
  );
}
