import { balance, BLOCK, makeBuild } from './helpers';
import { expect, test, type Page } from './test';

/** Opens a page whose program is held back; gives what lets it come. */
async function openAsleep(page: Page, path: string): Promise<() => void> {
  let wake: () => void = () => {};
  const held = new Promise<void>((done) => (wake = done));
  await page.route(/\/_next\/static\/.*\.js/, async (route) => {
    await held;
    await route.continue();
  });
  await page.goto(path, { waitUntil: 'commit' });
  return wake;
}

test('what is pressed and typed while a page is not awake is done as soon as it is', async ({ page }) => {
  const wake = await openAsleep(page, '/import');
  const block = page.locator('textarea').first();
  await page.getByRole('button', { name: 'Put in an example, typed' }).click();
  await expect(block).toHaveValue('');
  wake();
  await expect(block).not.toHaveValue('');
  await expect(page.getByRole('button', { name: 'Read the block' })).toBeEnabled();
});

test('a block that is typed before the page is awake can be read', async ({ page }) => {
  const wake = await openAsleep(page, '/import');
  await page.locator('textarea').first().pressSequentially('2 brick 2x4 white');
  await expect(page.getByRole('button', { name: 'Read the block' })).toBeDisabled();
  wake();
  await page.getByRole('button', { name: 'Read the block' }).click();
  await expect(page.getByText(/2 pieces in 1 row will be imported/)).toBeVisible();
});

test('a tick and a choice that were made early are kept', async ({ page }) => {
  const wake = await openAsleep(page, '/settings');
  const letters = page.getByLabel('single letters are commands');
  const isOn = await letters.isChecked();
  await letters.click();
  await page.getByLabel('Surround').selectOption('dark');
  wake();
  await expect(page.locator('html')).toHaveAttribute('data-surround', 'dark');
  await expect(letters).toBeChecked({ checked: !isOn });
  await expect(page.getByRole('button', { name: /^Undo/ }).first()).toBeEnabled();
  await page.reload();
  await expect(page.getByLabel('Surround')).toHaveValue('dark');
  await expect(letters).toBeChecked({ checked: !isOn });
});

test('a tab that was pressed early is the one that is shown', async ({ page }) => {
  await page.goto('/');
  const parts = await page
    .getByRole('link', { name: /Lightkeeper's garden/ })
    .first()
    .getAttribute('href');
  const wake = await openAsleep(page, `${parts}/parts`);
  const tab = page.getByRole('tablist', { name: 'Parts' }).getByRole('tab', { name: 'Buying plan' });
  await tab.click();
  await expect(tab).toHaveAttribute('aria-selected', 'false');
  wake();
  await expect(tab).toHaveAttribute('aria-selected', 'true');
});

test('a line that is entered before the page is awake is logged, once', async ({ page }) => {
  await makeBuild(page, 'Early line', BLOCK);
  const wake = await openAsleep(page, page.url());
  const line = page.locator('#log-line');
  await line.fill('-2 plate 2x3 chalk');
  await line.press('Enter');
  await expect(balance(page)).not.toContainText('− 2');
  wake();
  await expect(balance(page)).toContainText('− 2');
  await expect(line).toHaveValue('');
  await page.reload();
  await expect(balance(page)).toContainText('− 2');
});

test('a line that waits for what is at hand outlives its page, its window, and is logged once', async ({
  page,
  context,
}) => {
  await makeBuild(page, 'Waiting line', BLOCK);
  const address = page.url();
  await context.route('**/api/knowledge*', () => {});
  await page.reload();
  const line = page.locator('#log-line');
  await line.fill('-2 plate 2x3 chalk');
  await line.press('Enter');
  await expect(line).toHaveValue('');
  // Twice: as the page is opened anew, and when its window is gone.
  await page.reload();
  await expect(line).toBeFocused();
  await page.close({ runBeforeUnload: false });
  await context.unroute('**/api/knowledge*');
  const next = await context.newPage();
  await next.goto(address);
  await expect(next.getByText('“-2 plate 2x3 chalk” was entered before the page was closed')).toBeVisible();
  await expect(balance(next)).toContainText('− 2');
  await next.reload();
  await expect(next.getByRole('button', { name: /^Undo: log -2 plate/ })).toBeVisible();
  await expect(balance(next)).toContainText('− 2');
});
