import { expect, test } from './test';
import { balance, isAccessible, openBuild } from './helpers';

test.describe('axe finds nothing', () => {
  for (const path of [
    '/',
    '/import',
    '/import?for=stock',
    '/import?for=prices',
    '/own-parts',
    '/prices',
    '/nowhere',
  ])
    test(path, async ({ page }) => {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await isAccessible(page);
    });

  test('the bench, its backgrounds, its line and its sheets', async ({ page }) => {
    test.slow();
    await openBuild(page, /Lightkeeper's House/);
    const mats: string[] = [];
    for (const background of ['light background', 'dark background', 'middle background']) {
      await page.getByRole('radio', { name: background }).click();
      mats.push(
        await page
          .getByRole('region', { name: 'On the model' })
          .evaluate((e) => getComputedStyle(e).backgroundColor),
      );
      await isAccessible(page);
    }
    expect(mats).toEqual(['rgb(236, 236, 236)', 'rgb(74, 74, 74)', 'rgb(201, 201, 201)']);
    await page.locator('#log-line').fill('-2 brick 1x2');
    await isAccessible(page);
    await page.locator('#log-line').fill('');
    await page.getByRole('heading', { name: 'Worklog' }).click();
    for (const key of ['F1', 'Control+k', 'z', 'n', 'a']) {
      await page.keyboard.press(key);
      await expect(page.getByRole('dialog')).toBeVisible();
      // What lies behind is out of reach while it is open.
      await isAccessible(page, '[role=dialog]');
      await page.keyboard.press('Escape');
      await expect(page.getByRole('dialog')).toBeHidden();
    }
    await page.getByLabel('View of the books').selectOption('compare');
    await isAccessible(page);
    await page.keyboard.press('Escape');
    await balance(page)
      .getByRole('button', { name: /out of pocket/ })
      .click();
    await isAccessible(page);
  });

  test('the tally', async ({ page }) => {
    await openBuild(page, /Lightkeeper's House/);
    await page.getByRole('link', { name: 'Tally' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('on the model');
    await isAccessible(page);
  });
});

test('the bench is usable on a phone beside the table', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openBuild(page, /Lightkeeper's House/);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
  await page.getByRole('radio', { name: 'On the model', exact: true }).click();
  await expect(page.getByRole('region', { name: 'On the model' })).toBeVisible();
  await page.getByRole('radio', { name: 'Worklog', exact: true }).click();
  await page.locator('#log-line').fill('-1 brick 1x2 chalk @tower');
  await expect(balance(page)).toHaveAttribute('data-trying', 'yes');
  await isAccessible(page);
});
