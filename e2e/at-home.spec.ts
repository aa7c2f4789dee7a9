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
  await expect(page.getByText(/^Worth /)).toContainText('€');
  await isAccessible(page);
  await page.goto('/builds');
  await page.getByRole('link', { name: /Lightkeeper's House/ }).click();
  await expect(balance(page)).toContainText('€');
  await isAccessible(page);
  await page.getByLabel('Log a change').fill('-1 brick 1x2 dark grey');
  await expect(page.getByRole('region', { name: 'Log line' })).toContainText('slate');

  await page.goto('/settings');
  const none = page.getByRole('button', { name: 'Nothing to undo' });
  await expect(async () => {
    if (!(await none.isVisible())) await page.getByRole('button', { name: /^Undo: change/ }).click();
    await expect(none).toBeVisible({ timeout: 400 });
  }).toPass();
  await expect(page.getByText('£1,234.50')).toBeVisible();
});

test('single letters are no commands where that is chosen, and what it opens with is', async ({ page }) => {
  await page.goto('/settings');
  const kept = () => page.waitForResponse((r) => r.url().endsWith('/api/actions') && r.ok());
  await Promise.all([kept(), page.getByLabel('single letters are commands').uncheck()]);
  await Promise.all([kept(), page.getByLabel('Evarn opens with').selectOption('own parts')]);
  await page.goto('/');
  await expect(page).toHaveURL(/\/own-parts$/);
  await page.goto('/settings');
  await Promise.all([kept(), page.getByLabel('Evarn opens with').selectOption('last build')]);
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
  await page.goto('/settings');
  await Promise.all([kept(), page.getByLabel('single letters are commands').check()]);
});

/** From the demo to a workspace of one's own; gives its address. */
async function ownWorkspace(page: Page): Promise<string> {
  await page.goto('/builds');
  await page.getByRole('button', { name: 'Demo: start my own workspace' }).click();
  // A second server starts first, and a busy machine takes its time for that.
  const started = page.waitForResponse((r) => r.url().endsWith('/api/own-workspace'), { timeout: 0 });
  await page.getByRole('dialog').getByRole('button', { name: 'Start my own workspace' }).click();
  expect((await started).status()).toBe(200);
  await expect(page.getByRole('heading', { name: 'There is no build yet.' })).toBeVisible({
    timeout: 60_000,
  });
  return new URL(page.url()).origin;
}

/**
 * How long hands need for the keys that are pressed, by the keystroke-level model of Card, Moran and Newell (1980): 0.28 s
 * for each key of somebody who types now and then, and 1.35 s for each time they have to think what comes next, here before
 * each key that is no Tab.
 */
function handsOn(page: Page) {
  let [keys, thoughts] = [0, 0];
  const press = page.keyboard.press.bind(page.keyboard);
  page.keyboard.press = (key, options) => {
    keys++;
    if (key !== 'Tab') thoughts++;
    return press(key, options);
  };
  return { seconds: (typed: number): number => 0.28 * (keys + typed) + 1.35 * thoughts };
}

test('from the demo to a workspace of one’s own, and its first set is logged by what the screen says, with keys alone', async ({
  page,
}) => {
  const own = await ownWorkspace(page);
  expect(own).not.toBe(new URL((await page.request.get('/builds')).url()).origin);
  await expect(page.getByRole('button', { name: /^Demo/ })).toHaveCount(0);
  expect((await (await page.request.get(`${own}/api/catalogue`)).json()).value).toEqual([]);
  const hands = handsOn(page);
  await pressTo(page, page.getByRole('link', { name: 'Import the first set' }));
  await pressTo(page, page.getByRole('button', { name: 'Put in an example, typed' }));
  await pressTo(page, page.getByRole('button', { name: 'Read the block' }));
  await expect(page.getByText('74 pieces in 3 rows will be imported.')).toBeVisible();
  await pressTo(page, page.getByRole('button', { name: 'Use these rows' }));
  await pressTo(page, page.getByRole('button', { name: 'Agree and import it' }));
  await expect(balance(page)).toContainText('74');
  const line = '-2 brick 2x4 white';
  await page.keyboard.press('/');
  await log(page, line);
  await expect(balance(page)).toContainText('72');
  // A minute and a half was promised to somebody new, whatever the machine.
  expect(hands.seconds(line.length)).toBeLessThan(90);
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

test('the focus is never lost: skip, parts by F6, dialogs, menus and steps give it to what comes next', async ({
  page,
}) => {
  await page.goto('/builds');
  await page.keyboard.press('Tab');
  const skip = page.getByRole('link', { name: 'Skip the bars' });
  await expect(skip).toBeFocused();
  await expect(skip).toHaveCSS('position', 'fixed');
  // A page that a click opened has the focus there as well, and nothing lies on its name.
  await page.getByRole('link', { name: 'Prices', exact: true }).click();
  await expect(page).toHaveTitle(/^Prices/);
  await expect(skip).toBeFocused();
  await expect(skip).toHaveCSS('position', 'absolute');
  await page.getByRole('link', { name: 'Builds', exact: true }).click();
  await expect(page).toHaveTitle(/^Builds/);
  const held = () =>
    page.evaluate(() => document.activeElement !== document.body && document.activeElement !== null);
  await page.getByRole('link', { name: /Lightkeeper's House/ }).click();
  await expect(page).toHaveTitle(/^Bench, Lightkeeper's House/);
  await expect(balance(page)).toBeVisible();
  // From the line an entry is a few keys away.
  await page.getByRole('heading', { name: 'Worklog' }).click();
  await page.keyboard.press('j');
  await expect(page.locator('[id^=modification-]:focus')).toHaveCount(1);
  const parts = new Set<string>();
  for (let i = 0; i < 12; i++) {
    await page.keyboard.press('F6');
    await expect.poll(held).toBe(true);
    parts.add(
      await page.evaluate(
        () =>
          document
            .activeElement!.closest('[aria-label]:is(section, nav, aside)')
            ?.getAttribute('aria-label') ?? '',
      ),
    );
  }
  for (const part of ['Worklog', 'Log line', 'On the model']) expect([...parts]).toContain(part);
  for (const key of ['F1', 'Control+k', 'z', 'n', 'a']) {
    await page
      .getByRole('button', { name: /^New modification|^New$/ })
      .first()
      .focus();
    await page.keyboard.press(key);
    await expect(page.getByRole('dialog')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toBeHidden();
    // A dialog gives the focus back a moment after it is gone.
    await expect.poll(held, { message: key }).toBe(true);
  }
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+y');

  await page.goto('/import');
  await page.locator('textarea').fill('12 brick 2x4 white');
  await pressTo(page, page.getByRole('button', { name: 'Read the block' }));
  await expect(page.getByRole('button', { name: 'Use these rows' })).toBeVisible();
  await expect.poll(held).toBe(true);
  await pressTo(page, page.getByRole('button', { name: 'Use these rows' }));
  await expect(page.getByLabel('Name of the build')).toBeVisible();
  await expect.poll(held).toBe(true);
});

test('a page has its title all the time while what it shows is read anew', async ({ page }) => {
  await page.addInitScript(() => {
    const gone: string[] = [];
    let seen = false;
    Object.assign(window, { titlesGone: gone });
    new MutationObserver(() => {
      const isThere = document.querySelector('title') !== null;
      if (seen && !isThere) gone.push('gone');
      seen = isThere;
    }).observe(document, { subtree: true, childList: true });
  });
  await page.goto('/settings');
  for (const [currency, shown] of [
    ['EUR', '€1,234.50'],
    ['GBP', '£1,234.50'],
    ['EUR', '€1,234.50'],
    ['GBP', '£1,234.50'],
  ] as const) {
    await page.getByLabel('Currency').selectOption(currency);
    await page.getByLabel('Surround').selectOption(currency === 'EUR' ? 'dark' : 'light');
    await expect(page.getByText(shown)).toBeVisible();
  }
  await page.getByLabel('Surround').selectOption('as the system');
  await page.waitForLoadState('networkidle');
  expect(await page.evaluate(() => (window as unknown as { titlesGone: string[] }).titlesGone)).toEqual([]);
});
