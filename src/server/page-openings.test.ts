import { beforeAll, describe, expect, it } from 'vitest';
import { takeTally } from '@/core/ledger';
import { rulesNow } from '@/core/brief';
import { plotOf, standsOnPlot, whatSticksOut } from '@/core/fit';
import { alternativesFor, auditColours, registerOf, withKnowledge, type Register } from '@/core/mismatch';
import { needOf } from '@/core/need';
import { restsOnRough } from '@/core/stock';
import type { BuildId, PartId } from '@/core/shared/ids';
import { Workbench } from '@/core/workbench';
import { openDatabase, type Handle } from '@/data/database';
import { readRecords } from '@/data/records';
import { seedDemo } from '@/demo/seed';
import { simulatedRegister } from '@/simulated/register';
import { colourPageOpening, openWorkbench, takeColourOpening, takeOpening } from './snapshot';

// The first part of each screen is drawn by the server from what its page opens with: it must say there what it says once
// the whole workspace is known.

let handle: Handle;
let builds: BuildId[];
beforeAll(() => {
  handle = openDatabase(':memory:', new Date());
  seedDemo(handle);
  builds = readRecords(handle.db, 'build').map((b) => b.id);
});

const YEAR = 2026;
const seen = (workbench: Workbench, base: Register) => {
  const register = withKnowledge(base, workbench.records.madeIn, new Set());
  const audit = auditColours(workbench, register, YEAR);
  const instead = [...audit.fixes, ...audit.doubtful].map(({ mismatch }) =>
    alternativesFor(mismatch.to, workbench.palette, register, YEAR),
  );
  return JSON.parse(JSON.stringify({ audit: { ...audit, curve: audit.curve.steps }, instead })) as {
    audit: { fixes: { toBuy: number; estimated: boolean }[] };
  };
};

describe('what the page of a build’s colours opens with', () => {
  it('says of every mismatch what the whole workspace says, and of its fix, price and what would do instead', () => {
    let bought = 0;
    for (const build of builds) {
      const opened = takeColourOpening(handle, build)!;
      const asked: PartId[] = [];
      const here = seen(
        new Workbench(opened.snapshot),
        registerOf(opened.register, (p) => asked.push(p)),
      );
      const there = seen(openWorkbench(handle, build)!, simulatedRegister);
      expect(here).toEqual(there);
      expect(asked).toEqual([]);
      bought += there.audit.fixes.filter((f) => f.toBuy > 0).length;
    }
    expect(bought).toBeGreaterThan(5);
  });

  it('has more to say than what the bench opens with', () => {
    const differs = builds.filter((build) => {
      const bench = new Workbench(takeOpening(handle, build)!);
      const whole = openWorkbench(handle, build)!;
      return (
        JSON.stringify(seen(bench, simulatedRegister)) !== JSON.stringify(seen(whole, simulatedRegister))
      );
    });
    expect(differs).not.toEqual([]);
  });

  it('is nothing where there is no such build', () => {
    expect(colourPageOpening(handle, 'none' as BuildId)).toBeUndefined();
    expect(takeColourOpening(handle, 'none' as BuildId)).toBeUndefined();
  });
});

describe('what the pages of sums, need and plot open with', () => {
  it('says of them, and of the rules that are held against them, what the whole workspace says', () => {
    let rules = 0;
    for (const build of builds) {
      const here = new Workbench(takeOpening(handle, build)!);
      const there = openWorkbench(handle, build)!;
      for (const view of ['built', 'planned'] as const)
        expect(takeTally(here[view], { of: 'build' }, here.priceOf)).toEqual(
          takeTally(there[view], { of: 'build' }, there.priceOf),
        );
      expect(needOf(here)).toEqual(needOf(there));
      expect(restsOnRough(here)).toEqual(restsOnRough(there));
      expect(standsOnPlot(here)).toEqual(standsOnPlot(there));
      const plot = plotOf(here);
      expect(whatSticksOut(here, plot)).toEqual(whatSticksOut(there, plot));
      const told = (workbench: Workbench) => rulesNow(workbench).map(({ rule, state }) => [rule.id, state]);
      expect(told(here)).toEqual(told(there));
      rules += told(here).length;
    }
    expect(rules).toBeGreaterThan(5);
  });
});
