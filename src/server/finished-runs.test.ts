import { expect, it } from 'vitest';
import type { BuyingPlan } from '@/core/sourcing';
import { finishedPlan, keepFinished } from './finished-runs';

const plan = (cost: number) => ({ cost }) as BuyingPlan;

it('keeps the plans of the last runs, and lets the oldest go', () => {
  for (let n = 0; n < 25; n++) keepFinished(`run ${n}`, plan(n));
  expect(finishedPlan('run 24')).toEqual(plan(24));
  expect(finishedPlan('run 5')).toEqual(plan(5));
  expect(finishedPlan('run 4')).toBeUndefined();
  expect(finishedPlan('another')).toBeUndefined();
});
