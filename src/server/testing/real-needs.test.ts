import { describe, expect, it } from 'vitest';
import { needOf } from '@/core/need';
import { splitElementKey } from '@/core/parts';
import { solveBySteps } from '@/core/sourcing';
import { faultsOf } from '@/core/testing/sourcing';
import { makeWorkbench } from '@/core/testing/workbench';
import { openDatabase } from '@/data/database';
import { seedDemo } from '@/demo/seed';
import { openWorkbench } from '../snapshot';
import { readRecords } from '@/data/records';
import { realNeeds, recolouringOf } from './real-needs';

describe('problems out of real needs', () => {
  it('recolouring asks for every shape of the most frequent colour, in another', () => {
    const workbench = makeWorkbench({
      zones: {
        Wall: ['6 brick 1x2 slate', '3 plate 1x2 slate', '4 tile 2x2 bark'],
        Roof: ['5 brick 1x2 slate'],
      },
    });
    const lots = recolouringOf(workbench, 1, ['slate', 'ash']);
    expect(lots.map((l) => `${l.qty} ${l.element}`).sort()).toEqual(['11 brick 1x2|ash', '3 plate 1x2|ash']);
    expect(recolouringOf(workbench, 1, ['slate'])).toEqual([]);
    expect(recolouringOf(makeWorkbench({ zones: { Wall: [] } }), 1, ['ash'])).toEqual([]);
  });

  it('the demo’s builds, several together and recolourings are problems that can be solved and are lawful', async () => {
    const handle = openDatabase(':memory:', new Date());
    seedDemo(handle);
    const problems = await realNeeds(handle, 3, 9);
    const names = problems.map((p) => p.name);
    expect(names).toContain('several builds together');
    expect(names.filter((n) => n.endsWith(' recoloured'))).toHaveLength(3);
    for (const { name, id } of readRecords(handle.db, 'build')) {
      const { lots } = needOf(openWorkbench(handle, id)!);
      expect(names.includes(name)).toBe(lots.length >= 8);
    }
    for (const problem of problems) {
      const plan = solveBySteps(problem, 1, 20);
      expect(faultsOf(problem, plan), problem.name).toEqual([]);
      expect(plan.cost).toBeGreaterThan(0);
    }
    // The recoloured are asked for in one colour, which is not the one that they have.
    const icebreaker = problems.find((p) => p.name === 'Northern Reach recoloured')!;
    const asked = new Set(icebreaker.lots.map((l) => splitElementKey(String(l.id) as never).colour));
    expect(asked.size).toBe(1);
    handle.sqlite.close();
  }, 60_000);
});
