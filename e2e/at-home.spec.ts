import { balance, isAccessible, log, pressTo } from './helpers';
import { expect, test, type Page } from './test';

/** One workspace at a time may be somebody's own beside a demo: these run one after the other. */
test.describe.configure({ mode: 'serial' });

test('settings write money, days and names as a person wants them, and are undone', async ({ page }) => {
  await page.goto('/settings');
  await isAccessible(page);
  await page.getByLabel('Currency').selectOption('EUR');
  await expect(page.getByText('€1,234.50')).toBeVisible();
  await page.getByLabel('Decimal mark').selectOption('comma');
  await expect(page.getByText('1.234,50 €')).toBeVisible();
  await page.getByRole('combobox', { name: 'Days', exact: true }).selectOption('29.11.2026');
  await page.getByLabel('Lengths beside studs').selectOption('inches');
  await expect(page.getByText('29.11.2026, 15,12 × 5,04 × 5,29 in')).toBeVisible();
  await page.getByLabel('Names of colours').selectOption('plain');
  await expect(page.getByText('brick 2x4 dark grey (slate)')).toBeVisible();
  await page.getByLabel('Surround').selectOption('dark');
  await expect(page.locator('html')).toHaveAttribute('data-surround', 'dark');
  await expect(page.locator('body')).toHaveCSS('color', 'rgb(242, 242, 242)');
  await isAccessible(page);

  await page.goto('/own-parts');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('€');
  await isAccessible(page);
  await page.goto('/builds');
  await page.getByRole('link', { name: /Lightkeeper's House/ }).click();
  await expect(balance(page)).toContainText('€');
  await isAccessible(page);
  await page.getByLabel('Log a change').fill('-1 brick 1x2 dark grey');
  await expect(page.getByRole('region', { name: 'Log line' })).toContainText('slate');

  await page.goto('/settings');
  for (let i = 0; i < 6; i++) {
    await page.getByRole('button', { name: 'Undo: change settings' }).click();
    await page.waitForTimeout(150);
  }
  await expect(page.getByText('£1,234.50')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeVisible();
});

test('single letters are no commands where that is chosen, and what it opens with is', async ({ page }) => {
  await page.goto('/settings');
  await page.getByLabel('single letters are commands').uncheck();
  await page.getByLabel('Evarn opens with').selectOption('own parts');
  await expect(page.getByLabel('Evarn opens with')).toHaveValue('own parts');
  await page.goto('/');
  await expect(page).toHaveURL(/\/own-parts$/);
  await page.goto('/settings');
  await page.getByLabel('Evarn opens with').selectOption('last build');
  await expect(page.getByLabel('Evarn opens with')).toHaveValue('last build');
  await page.goto('/');
  await expect(page).toHaveURL(/\/builds\/demo-\d+$/);
  await page
    .locator('main')
    .first()
    .click({ position: { x: 2, y: 2 } });
  await page.keyboard.press('n');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  // Signs and keys with Ctrl go on working.
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('dialog')).toBeVisible();
});

/** From the demo to a workspace of one's own; gives its address. */
async function ownWorkspace(page: Page): Promise<string> {
  await page.goto('/builds');
  await page.getByRole('button', { name: 'Demo: start my own workspace' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Start my own workspace' }).click();
  await expect(page.getByRole('heading', { name: 'There is no build yet.' })).toBeVisible({
    timeout: 60_000,
  });
  return new URL(page.url()).origin;
}

test('from the demo to a workspace of one’s own, and its first set is logged by what the screen says, with keys alone', async ({
  page,
}) => {
  const own = await ownWorkspace(page);
  expect(own).not.toBe(new URL((await page.request.get('/builds')).url()).origin);
  await expect(page.getByRole('button', { name: /^Demo/ })).toHaveCount(0);
  expect((await (await page.request.get(`${own}/api/catalogue`)).json()).value).toEqual([]);
  const began = Date.now();
  await pressTo(page, page.getByRole('link', { name: 'Import the first set' }));
  await pressTo(page, page.getByRole('button', { name: 'Put in an example, typed' }));
  await pressTo(page, page.getByRole('button', { name: 'Read the block' }));
  await expect(page.getByText('74 pieces in 3 rows will be imported.')).toBeVisible();
  await pressTo(page, page.getByRole('button', { name: 'Use these rows' }));
  await pressTo(page, page.getByRole('button', { name: 'Agree and import it' }));
  await expect(balance(page)).toContainText('74');
  await page.keyboard.press('/');
  await log(page, '-2 brick 2x4 white');
  await expect(balance(page)).toContainText('72');
  // Tests assert no times; this one is what was promised, and it is far from it.
  expect(Date.now() - began).toBeLessThan(90_000);
});

test('each sample, and a copy of the demo, come into an empty workspace alone', async ({ page }) => {
  await page.goto('/builds');
  const refused = await page.request.post('/api/demo-copy', { data: {} });
  expect(refused.status()).toBe(409);
  const own = await startAgain(page);
  await page.goto(`${own}/import`);
  for (const sample of ['Gate lodge', 'Crane barge']) {
    await page.getByRole('button', { name: `Choose ${sample}` }).click();
    await expect(page.getByText(/will be imported\.$/)).toBeVisible();
    await page.getByRole('button', { name: 'Choose something else' }).click();
  }
});

/** The address of the workspace that the test before has begun. */
async function startAgain(page: Page): Promise<string> {
  await page.getByRole('button', { name: 'Demo: start my own workspace' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Start my own workspace' }).click();
  await expect(page.getByRole('link', { name: /Typed lines/ })).toBeVisible({ timeout: 60_000 });
  return new URL(page.url()).origin;
}
