import { expect, test } from './test';
import {
  balance,
  chooseTab,
  isAccessible,
  log,
  makeBuild,
  openBuild,
  openParts,
  startModification,
} from './helpers';
import { faultsOf, randomProblem } from '../src/core/testing/sourcing';
import type { BuyingPlan } from '../src/core/sourcing';

const BLOCK = 'part\tcolour\tqty\tzone\nbrick 1x2\tash\t60\tWall\n';

test('what is missing is planned, ordered by one key, comes by the clock, and is received', async ({
  page,
}) => {
  test.slow();
  await makeBuild(page, 'Parts', BLOCK);
  await startModification(page, 'Wall');
  await log(page, '+30 plate 2x4 soot plan; +12 tile 1x4 deep plan; +6 brick 2x4 signal plan');
  await openParts(page);
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toContainText(/pieces of \d+ kinds? are still missing, of 48 planned/);
  await page
    .getByText(/1 entry/)
    .first()
    .click();
  await expect(page.getByText(/for entry \d+, M 01 Wall/).first()).toBeVisible();
  await isAccessible(page);
  await page.getByRole('button', { name: 'To the buying plan' }).click();
  await page.getByLabel('Think for').selectOption('2');
  // Nobody is there by tomorrow for sure: each lot says what would bring it.
  await page.getByLabel('There within days').fill('1');
  await page.getByRole('button', { name: /Find the best plan/ }).click();
  const lacking = page.getByRole('region', { name: 'Not available now' });
  await expect(lacking).toContainText('30 plate 2x4 soot');
  await expect(lacking).toContainText(/Allow \d+ days/);
  await isAccessible(page);
  await page.getByLabel('There within days').fill('');
  await page.getByRole('button', { name: /Find the best plan/ }).click();
  await expect(lacking).toBeHidden();
  await expect(page.getByText(/Proven: no plan|The best found/)).toBeVisible({ timeout: 20_000 });
  await expect(page.getByText('cheapest for each kind')).toBeVisible();
  await isAccessible(page);
  // Each reason is solved for; where nothing could be otherwise, that is said.
  const why = page.getByRole('region', { name: 'Why this plan' });
  await why.getByRole('button', { name: 'Work out why' }).click();
  await expect(why.getByRole('button', { name: 'Work out why' })).toBeVisible({ timeout: 60_000 });
  await expect(why).toContainText(/One parcel|The dearest parcel|beats single parts|better plan/);
  await isAccessible(page);
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('o');
  // The sellers are asked again before anything is bought; they fail now and then, and change their prices in time.
  await expect(heading).toContainText(/orders? (is|are) open/, { timeout: 60_000 });
  await isAccessible(page);
  await expect(balance(page)).toContainText('as planned 108');
  for (let week = 0; week < 7; week++) await page.getByRole('button', { name: 'A week on' }).click();
  await page.getByRole('button', { name: 'Receive it' }).first().click();
  await page.getByRole('button', { name: 'To the spares' }).click();
  await expect(page.getByText('received').first()).toBeVisible();
  await page.keyboard.press('Alt+4');
  await expect(heading).toContainText(/to get out, \d+ pieces? in hand/);
  await isAccessible(page);
  await page.keyboard.press('Alt+6');
  await expect(heading).toContainText(/are not in these boxes/);
  await isAccessible(page);
});

test('a buying plan problem is solved over the network, proven, checked; a bad one is told where', async ({
  request,
}) => {
  const problem = { ...randomProblem(5, 20, 10), maxSellers: null };
  // It ends when it is proven; the seconds are only the most that a busy machine may take.
  const response = await request.post('/api/buying-plan', { data: { problem, options: { seconds: 60 } } });
  expect(response.ok()).toBe(true);
  const plan = (await response.json()) as BuyingPlan;
  expect(faultsOf(problem, plan)).toEqual([]);
  expect(plan.unmet.length > 0 || plan.status === 'optimal').toBe(true);
  const twice = await Promise.all(
    [1, 2].map(async () =>
      (
        await request.post('/api/buying-plan', { data: { problem, options: { iterations: 40, seed: 3 } } })
      ).json(),
    ),
  );
  expect(twice[0]).toEqual(twice[1]);
  const bad = await request.post('/api/buying-plan', {
    data: { problem: { ...problem, lots: [{ id: 'l', qty: 1, accept: ['nothing'] }] } },
  });
  expect(bad.status()).toBe(400);
  expect(await bad.json()).toMatchObject({
    reason: { fault: 'unknown element', where: 'lot l', id: 'nothing' },
  });
  const lines = await request.post('/api/buying-plan', {
    headers: { accept: 'application/x-ndjson' },
    data: { problem, options: { seconds: 2 } },
  });
  const last = (await lines.text()).trim().split('\n').at(-1) ?? '{}';
  expect(JSON.parse(last)).toMatchObject({ plan: { schema: 'makeup-plan/1' } });
});

test('prices that changed between plan and order are shown and asked about; nothing is bought before', async ({
  page,
}) => {
  test.slow();
  await makeBuild(page, 'Changed', BLOCK);
  await startModification(page, 'Wall');
  await log(page, '+30 plate 2x4 soot plan');
  await openParts(page);
  await page.getByRole('button', { name: 'To the buying plan' }).click();
  await page.getByLabel('Think for').selectOption('2');
  // A list of a seller's own: he is the cheapest, and is asked with the others.
  await page.getByText('A seller’s price list').click();
  await page.getByLabel('CSV with part, colour, price, stock').setInputFiles({
    name: 'Gull.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Part,Colour,Condition,Price,Stock\nplate 2x4,soot,new,cheap,90\n'),
  });
  await expect(page.getByText(/Gull.csv: line 2, price: “cheap” cannot be read/)).toBeVisible();
  const kept = page.waitForResponse(
    (r) => r.request().method() === 'PUT' && (r.request().postData() ?? '').includes('Gull'),
    { timeout: 90_000 },
  );
  await page.getByLabel('CSV with part, colour, price, stock').setInputFiles({
    name: 'Gull.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'Part,Colour,Condition,Price,Stock\nplate 2x4,soot,new,0.01,90\nplate 2x4,ash,new,0.01,90\n',
    ),
  });
  await expect(page.getByText(/Gull: 2 offers/)).toBeVisible();
  await page.getByRole('button', { name: /Find the best plan/ }).click();
  const plan = page.getByRole('region', { name: 'The plan' });
  await expect(plan).toContainText('Gull', { timeout: 60_000 });
  await expect(page.getByText(/Proven: no plan|The best found/)).toBeVisible({ timeout: 20_000 });
  await isAccessible(page);
  // The page is closed and opened again: what was asked and found is there.
  expect((await kept).ok()).toBe(true);
  await page.reload();
  // Which part shows stands in the address.
  await expect(page.getByRole('tab', { name: 'Buying plan' })).toHaveAttribute('aria-selected', 'true');
  await expect(plan).toContainText('Gull');
  await expect(page.getByText(/Proven: no plan|The best found/)).toBeVisible();
  await expect(page.getByLabel('Think for')).toHaveValue('2');
  await page.getByText('A seller’s price list, 1 taken').click();
  // Before it is ordered his list has a new price.
  await page.getByLabel('CSV with part, colour, price, stock').setInputFiles({
    name: 'Gull.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'Part,Colour,Condition,Price,Stock\nplate 2x4,soot,new,0.02,90\nplate 2x4,ash,new,0.01,90\n',
    ),
  });
  await expect(page.getByText(/Gull: 2 offers/)).toBeVisible();
  await page.getByRole('button', { name: /^Order (this parcel|these \d+ parcels)/ }).click();
  const asked = page.getByRole('alert').filter({ hasText: 'Prices have changed' });
  await expect(asked).toContainText('£0.30 more in all', { timeout: 60_000 });
  await expect(asked).toContainText('30 plate 2x4 soot, £0.01 each, now £0.02');
  await isAccessible(page);
  await asked.getByRole('button', { name: 'Order at the new prices' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/1 of 1 order is open/);
  await page.keyboard.press('Alt+1');
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/at hand or on its way/);
});

test('a page that is closed while it solves loses nothing: what was found by then is there', async ({
  page,
}) => {
  test.slow();
  await openBuild(page, /Lightkeeper's garden/);
  await openParts(page, 'Buying plan');
  await page.getByLabel('Think for').selectOption('60');
  await page.getByLabel('Parcels at most').fill('7');
  await page.getByRole('button', { name: /Find the best plan/ }).click();
  await expect(page.getByText(/cannot cost less than/)).toBeVisible({ timeout: 60_000 });
  await page.goto('/');
  await openBuild(page, /Lightkeeper's garden/);
  await openParts(page, 'Buying plan');
  await expect(page.getByText(/Proven: no plan|The best found/)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByLabel('Parcels at most')).toHaveValue('7');
  await expect(page.getByRole('button', { name: /^Order (this parcel|these \d+ parcels)/ })).toBeEnabled();
});

test('what is needed is there at once; nothing is planned before the prices and own parts are, and they can be asked for again', async ({
  page,
}) => {
  test.slow();
  await makeBuild(page, 'Late prices', BLOCK);
  await startModification(page, 'Wall');
  await log(page, '+3 plate 2x4 soot plan');
  await page.route('**/api/knowledge*', (route) => route.abort());
  await page.goto(`${new URL(page.url()).pathname}/parts`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('still missing, of 3 planned');
  await chooseTab(page.getByRole('tablist', { name: 'Parts' }), 'Buying plan');
  const says = page.getByRole('tabpanel').getByRole('status');
  await expect(says).toHaveText(/Reading the prices and your own parts|could not be read/);
  await expect(balance(page)).toBeVisible();
  await expect(page.getByRole('button', { name: /Find the best plan/ })).toHaveCount(0);
  const again = page.getByRole('button', { name: 'Ask again' });
  await expect(again).toBeVisible({ timeout: 40_000 });
  await isAccessible(page);
  await page.unroute('**/api/knowledge*');
  await again.click();
  await expect(page.getByRole('button', { name: /Find the best plan/ })).toBeEnabled();
});

test('a parcel for one kind and a box are told before they are ordered, and forbidden by a press', async ({
  page,
}) => {
  test.slow();
  await openBuild(page, /Lightkeeper's garden/);
  await openParts(page, 'Buying plan');
  await page.getByLabel('Think for').selectOption('2');
  await page.getByRole('button', { name: /Find the best plan/ }).click();
  await expect(page.getByText(/Proven: no plan|The best found/)).toBeVisible({ timeout: 60_000 });
  // No card cuts a name where its condition stands.
  const cut = await page
    .getByRole('tabpanel')
    .locator('li li span')
    .evaluateAll((spans) =>
      spans.filter((s) => s.scrollWidth > s.clientWidth + 1 && s.clientWidth > 0).map((s) => s.textContent),
    );
  expect(cut).toEqual([]);
  // Price lists of one's own make a seller who has one kind, and hardly asks anything for it.
  await page.getByText('A seller’s price list').click();
  await page.getByLabel('Postage, whatever the weight').fill('0.01');
  await page.keyboard.press('Enter');
  await page.getByLabel('CSV with part, colour, price, stock').setInputFiles({
    name: 'Onlooker.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Part,Colour,Condition,Price,Stock\nround brick 2x2,ash,new,0.01,90\n'),
  });
  await expect(page.getByText('Onlooker: 1 offer, asked with the others.')).toBeVisible();
  await page.getByRole('button', { name: /Find the best plan/ }).click();
  const told = page.getByRole('region', { name: 'Parcels to think over' });
  await expect(told).toContainText(/Onlooker sends a parcel for one kind: \d+ round brick 2x2 ash/, {
    timeout: 60_000,
  });
  await isAccessible(page);
  await told.getByRole('button', { name: 'Buy nothing of Onlooker' }).click();
  await page.getByRole('button', { name: /Find the best plan/ }).click();
  await expect(page.getByText(/Proven: no plan|The best found/)).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole('region', { name: 'The plan' })).not.toContainText('Onlooker sends a parcel');
});
