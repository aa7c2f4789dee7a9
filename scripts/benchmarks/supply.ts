import { planRecolour, planSteps } from '@/core/recolouring';
import { withKnowledge } from '@/core/mismatch';
import { Workbench } from '../../src/core/workbench';
import { PALETTE } from '../../src/core/colour';
import { grade, stockAccount } from '../../src/core/ledger';
import { elementKey, readPartName, type ElementKey } from '../../src/core/parts';
import { asId, countingIds, type ColourId, type TrayId } from '../../src/core/shared/ids';
import { between, pick, seededRandom } from '../../src/core/shared/random';
import { StockIndex, type StockLot } from '../../src/core/stock';
import { needOf } from '@/core/need';
import { poseProblem, PREFERENCES } from '@/core/market';
import { openDatabase } from '../../src/data/database';
import { readRecords } from '../../src/data/records';
import { seedDemo } from '../../src/demo/seed';
import { takeSnapshot } from '../../src/server/snapshot';
import { simulatedMarket } from '../../src/simulated/market';
import { simulatedRegister } from '../../src/simulated/register';
import { say, summary, timed } from './measure';

/** Elements in plenty: so many lots of so many elements that each search has to look at all of them. */
function manyLots(lots: number, pieces: number): StockLot[] {
  const random = seededRandom(7);
  const families = ['brick', 'plate', 'tile', 'slope 45', 'round plate', 'panel', 'arch', 'wedge'];
  const made: StockLot[] = [];
  for (let n = 0; made.length < lots; n++) {
    const part = readPartName(`${families[n % 8]} ${1 + (n % 7)}x${1 + (Math.floor(n / 7) % 19)}`).part.id;
    for (const c of PALETTE.slice(0, 40))
      made.push({
        account: stockAccount(asId<TrayId>(`t${n % 60}`)),
        element: elementKey(part, asId<ColourId>(c.id)),
        grade: grade(pick(random, ['new', 'used'])),
        qty: between(random, 1, Math.ceil((2 * pieces) / lots)),
      });
  }
  return made.slice(0, lots);
}

/** Figures of supply: the need of a whole recolouring, search in own parts, a market of 500 sellers. */
export async function measureSupply(): Promise<void> {
  const rows = manyLots(15_000, 100_000);
  let index = new StockIndex(rows);
  const made = timed(5, () => {
    index = new StockIndex(rows);
  });
  say('15,000 lots of own parts made ready to search', 'once a change', summary(made));
  const typed = 'plate 2 x 3 brick';
  const keys = timed(50, (run) => void index.search(typed.slice(0, run % (typed.length + 1))));
  say('a keystroke of searching 15,000 lots', 'under 16 ms', summary(keys));
  const handle = openDatabase(':memory:', new Date());
  seedDemo(handle);
  const ship = readRecords(handle.db, 'build').find((b) => /Reach/.test(b.name));
  const snapshot = ship && takeSnapshot(handle, ship.id);
  if (!snapshot) throw new Error('the demo has an icebreaker');
  const workbench = new Workbench(snapshot);
  const shift = new Map(PALETTE.map((c, i) => [c.id, PALETTE[(i + 7) % PALETTE.length]!.id]));
  const anything = withKnowledge(simulatedRegister, new Map(), new Set());
  const always = {
    look: (e: ElementKey) => ({ ...anything.look(e), made: true as const, from: 1990, to: null }),
  };
  const map = { pairs: shift, zones: null, leavePrints: false, leaveHidden: false, leaveRetired: false };
  const plan = planRecolour(workbench, map, always, 2026);
  const source = { newId: countingIds('b'), now: '2026-11-25T10:00:00Z' };
  workbench.apply(planSteps(workbench, plan, plan.steps, 'all', source).diff);
  let lots = needOf(workbench).lots;
  const need = timed(20, () => {
    lots = needOf(workbench).lots;
  });
  say(`need of the icebreaker's whole recolouring, ${lots.length} lots`, 'under 100 ms', summary(need));
  const market = simulatedMarket({
    seed: 1,
    sellers: 500,
    priceOf: workbench.priceOf,
    register: always,
    year: 2026,
    boxes: [],
    wait: async () => {},
    failing: 0,
    random: seededRandom(1),
  });
  const asked = performance.now();
  const answer = await market.ask(lots.map((l) => l.element));
  const took = performance.now() - asked;
  const posed = timed(5, () => void poseProblem(lots, answer, PREFERENCES, workbench.priceOf));
  say(`500 sellers asked for ${lots.length} lots`, 'a few seconds', `${took.toFixed(0)} ms`);
  say('their answer posed as a problem', 'under 1 s', summary(posed));
  handle.sqlite.close();
}
