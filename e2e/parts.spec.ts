import { expect, test } from '@playwright/test';
import { balance, isAccessible, log, makeBuild, startModification } from './helpers';
import { faultsOf, randomProblem } from '../src/core/testing/make-up';
import type { MakeUpPlan } from '../src/core/make-up';

const BLOCK = 'part\tcolour\tqty\tzone\nbrick 1x2\tash\t60\tWall\n';

test('what is missing is made up, ordered by one key, comes by the clock, and is counted in', async ({
  page,
}) => {
  test.slow();
  await makeBuild(page, 'Parts', BLOCK);
  await startModification(page, 'Wall');
  await log(page, '+30 plate 2x4 soot plan; +12 tile 1x4 deep plan; +6 brick 2x4 signal plan');
  await page.getByRole('link', { name: 'Parts', exact: true }).click();
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toContainText(/pieces in \d+ lots? are still missing, of 48 planned/);
  await page
    .getByText(/1 entry/)
    .first()
    .click();
  await expect(page.getByText(/for entry \d+, M 01 Wall/).first()).toBeVisible();
  await isAccessible(page);
  await page.getByRole('button', { name: 'Make up what is missing' }).click();
  await page.getByLabel('Think for').selectOption('2');
  // Nobody is there by tomorrow for sure: each lot says what would bring it.
  await page.getByLabel('There within days').fill('1');
  await page.getByRole('button', { name: /Make it up/ }).click();
  const lacking = page.getByRole('region', { name: 'Cannot be had now' });
  await expect(lacking).toContainText('30 plate 2x4 soot');
  await expect(lacking).toContainText(/Allow \d+ days/);
  await isAccessible(page);
  await page.getByLabel('There within days').fill('');
  await page.getByRole('button', { name: /Make it up/ }).click();
  await expect(lacking).toBeHidden();
  await expect(page.getByText(/Proven: no plan|The best found/)).toBeVisible({ timeout: 20_000 });
  await expect(page.getByText('cheapest for each lot')).toBeVisible();
  await isAccessible(page);
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('o');
  await expect(heading).toContainText(/orders are open/);
  await isAccessible(page);
  await expect(balance(page)).toContainText('as planned 108');
  for (let week = 0; week < 7; week++) await page.getByRole('button', { name: 'A week on' }).click();
  await page.getByRole('button', { name: 'Count it in' }).first().click();
  await page.getByRole('button', { name: 'To the spares' }).click();
  await expect(page.getByText('counted in').first()).toBeVisible();
  await page.keyboard.press('Alt+4');
  await expect(heading).toContainText(/to get out, 0 pieces in hand|Nothing planned lies/);
  await isAccessible(page);
  await page.keyboard.press('Alt+5');
  await expect(heading).toContainText(/are not in these boxes/);
  await isAccessible(page);
});

test('a make-up problem is solved over the network, proven, checked; a bad one is told where', async ({
  request,
}) => {
  const problem = { ...randomProblem(5, 20, 10), maxSellers: null };
  // It ends when it is proven; the seconds are only the most that a busy machine may take.
  const response = await request.post('/api/make-up', { data: { problem, options: { seconds: 60 } } });
  expect(response.ok()).toBe(true);
  const plan = (await response.json()) as MakeUpPlan;
  expect(faultsOf(problem, plan)).toEqual([]);
  expect(plan.unmet.length > 0 || plan.status === 'optimal').toBe(true);
  const twice = await Promise.all(
    [1, 2].map(async () =>
      (
        await request.post('/api/make-up', { data: { problem, options: { iterations: 40, seed: 3 } } })
      ).json(),
    ),
  );
  expect(twice[0]).toEqual(twice[1]);
  const bad = await request.post('/api/make-up', {
    data: { problem: { ...problem, lots: [{ id: 'l', qty: 1, accept: ['nothing'] }] } },
  });
  expect(bad.status()).toBe(400);
  expect(await bad.json()).toMatchObject({
    reason: { fault: 'unknown element', where: 'lot l', id: 'nothing' },
  });
  const lines = await request.post('/api/make-up', {
    headers: { accept: 'application/x-ndjson' },
    data: { problem, options: { seconds: 2 } },
  });
  const last = (await lines.text()).trim().split('\n').at(-1) ?? '{}';
  expect(JSON.parse(last)).toMatchObject({ plan: { schema: 'makeup-plan/1' } });
});
