import { expect, test } from './test';
import { balance, BLOCK, log, makeBuild, startModification } from './helpers';

test('two windows on one build: neither overwrites the other, and the second is told what changed', async ({
  page,
  context,
}) => {
  await makeBuild(page, 'Two windows', BLOCK);
  await startModification(page, 'Shared');
  await log(page, '-2 plate 2x3 chalk @porch "start"');
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(balance(other)).toContainText('− 2');
  await log(page, '-3 brick 1x2 ash @porch');
  await log(other, '-4 arch 1x4 ash @gallery');
  await expect(balance(other)).toContainText('− 9');
  await expect(other.getByText(/Changed in another window: log -3 brick 1x2 ash/)).toBeVisible();
  await page.bringToFront();
  await expect(balance(page)).toContainText('− 9');
  await expect(page.getByText(/Changed in another window: log -4 arch/)).toBeVisible();
});

test('the same entry deleted in one window cannot be changed in the other', async ({ page, context }) => {
  await makeBuild(page, 'Crossed', BLOCK);
  await startModification(page, 'Shared');
  await log(page, '-2 plate 2x3 chalk @porch');
  const other = await context.newPage();
  // It hears nothing of the others.
  await other.route(/\/api\/(steps|events)/, (route) => route.abort());
  await other.goto(page.url());
  await expect(balance(other)).toContainText('− 2');
  await page.locator('[data-entry="1"]').focus();
  await page.keyboard.press('Delete');
  await expect(balance(page)).toContainText('− 0');
  await other.locator('[data-entry="1"]').focus();
  await other.keyboard.press('d');
  await expect(other.getByText(/was deleted in another window/)).toBeVisible();
  await expect(balance(other)).toContainText('− 0');
});

test('while the server cannot be reached a line is kept and sent again, once', async ({ page }) => {
  await makeBuild(page, 'Unreachable', BLOCK);
  await startModification(page, 'Offline');
  let tries = 0;
  await page.route('**/api/actions', async (route) => {
    tries += 1;
    if (tries === 1) return route.abort();
    // The second try arrives, but its answer is lost: the third must not count twice.
    if (tries === 2) {
      await route.fetch();
      return route.abort();
    }
    return route.continue();
  });
  await page.locator('#log-line').fill('-2 plate 2x3 chalk @porch');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/cannot be reached/)).toBeVisible();
  await expect(page.getByText(/cannot be reached/)).toBeHidden({ timeout: 15_000 });
  expect(tries).toBe(3);
  await page.reload();
  await expect(balance(page)).toContainText('− 2');
});

test('an answer nobody foresaw takes the line back, says so, and locks nothing', async ({ page }) => {
  await makeBuild(page, 'Failing', BLOCK);
  await startModification(page, 'Broken once');
  let failing = true;
  await page.route('**/api/actions', async (route) => {
    // The modification may still be on its way: only what is logged fails, once.
    if (!failing || !route.request().postData()?.includes('log -2')) return route.continue();
    failing = false;
    return route.fulfill({ status: 500, body: '' });
  });
  await page.locator('#log-line').fill('-2 plate 2x3 chalk @porch');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/failed on the server, and nothing was changed/)).toBeVisible();
  await expect(balance(page)).toContainText('− 0');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(balance(page)).toContainText('− 2');
  await log(page, '-3 brick 1x2 ash @porch');
  await page.getByRole('button', { name: /^Undo: log -3/ }).click();
  await expect(balance(page)).toContainText('− 2');
  await page.reload();
  await expect(balance(page)).toContainText('− 2');
});

test('what a closed window had not sent is sent at the next opening', async ({ page, context }) => {
  await makeBuild(page, 'Closed too soon', BLOCK);
  await startModification(page, 'Unsent');
  await page.route('**/api/actions', (route) => route.abort());
  await page.locator('#log-line').fill('-2 plate 2x3 chalk @porch');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/cannot be reached.*kept here and sent again/)).toBeVisible();
  const asked: string[] = [];
  page.on('dialog', (d) => {
    asked.push(d.type());
    void d.accept();
  });
  const closed = page.waitForEvent('close');
  await page.close({ runBeforeUnload: true });
  await closed;
  expect(asked).toEqual(['beforeunload']);
  const next = await context.newPage();
  await next.goto('/');
  await next.getByRole('link', { name: /Closed too soon/ }).click();
  await expect(next.getByText(/still to be sent when a window was closed has been sent/)).toBeVisible();
  await expect(balance(next)).toContainText('− 2');
  await next.getByRole('button', { name: /^Undo: log -2 plate/ }).click();
  await expect(balance(next)).toContainText('− 0');
});

test('a window that is open writes things as they are settled in another', async ({ page, context }) => {
  await makeBuild(page, 'Settled elsewhere', BLOCK);
  await expect(balance(page)).toContainText('£0.00');
  const [list, own, other] = [await context.newPage(), await context.newPage(), await context.newPage()];
  await list.goto('/builds');
  await own.goto('/own-parts');
  await other.goto('/settings');
  const worth = own.getByText(/^Worth /);
  const card = list.getByRole('listitem').filter({ hasText: "Lightkeeper's House" });
  await expect(worth).toContainText('£');
  const kept = () => other.waitForResponse((r) => r.url().endsWith('/api/actions') && r.ok());
  await Promise.all([kept(), other.getByLabel('Currency').selectOption('EUR')]);
  await page.bringToFront();
  await expect(balance(page)).toContainText('€0.00');
  await own.bringToFront();
  await expect(worth).toContainText('€');
  await list.bringToFront();
  await expect(card).toContainText('€');
  await other.bringToFront();
  await Promise.all([kept(), other.getByLabel('Currency').selectOption('GBP')]);
  await page.bringToFront();
  await expect(balance(page)).toContainText('£0.00');
});
