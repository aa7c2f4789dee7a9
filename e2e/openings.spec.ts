import { expect, test } from './test';
import { balance, isAccessible, makeBuild, openBuild } from './helpers';

/** Each screen of a build that opens with something to read, and what its first part begins with. */
const SCREENS = [
  { path: '', says: /Cost of this mod/ },
  { path: '/colour', says: /mismatch(es)? in/ },
  { path: '/fit', says: /It (does not fit|fits|stands)/ },
  { path: '/parts', says: /still missing|Nothing is planned|Everything planned/ },
  { path: '/tally', says: /on the model, net/ },
  { path: '/inspect', says: /pieces are there/ },
  { path: '/brief', says: /What for/ },
] as const;

test('a screen can be read before any script has run', async ({ page, browser, baseURL }) => {
  await openBuild(page, /Lightkeeper's House/);
  const build = baseURL! + new URL(page.url()).pathname;
  const still = await browser.newPage({ javaScriptEnabled: false });
  for (const { path, says } of SCREENS) {
    await still.goto(build + path);
    await expect(still.locator('body'), path).toContainText(says);
  }
  await still.close();
});

test('no screen opens with the library that checks formats: the server does that', async ({ page }) => {
  const brought = new Map<string, string>();
  page.on('response', (response) => {
    if (new URL(response.url()).pathname.endsWith('.js'))
      void response.text().then(
        (text) => brought.set(response.url(), text),
        () => undefined,
      );
  });
  await openBuild(page, /Lightkeeper's House/);
  const build = new URL(page.url()).pathname;
  for (const { path } of SCREENS) {
    await page.goto(build + path);
    await expect(
      balance(page)
        .or(page.getByRole('heading', { level: 1 }))
        .first(),
    ).toBeVisible();
    await page.waitForLoadState('networkidle').catch(() => undefined);
  }
  const has = (mark: string) => [...brought.values()].filter((text) => text.includes(mark)).length;
  // The marks are names of the libraries' own that survive being made small.
  expect(has('react.transitional.element')).toBeGreaterThan(0);
  expect(has('_zod')).toBe(0);
});

test('on a low screen a page stays where it is as it wakes up: what is pressed then is pressed', async ({
  page,
}) => {
  await page.setViewportSize({ width: 640, height: 400 });
  await openBuild(page, /Lightkeeper's House/);
  const build = new URL(page.url()).pathname;
  await expect(page.locator('#log-line')).toBeFocused();
  expect(await page.evaluate(() => window.scrollY)).toBe(0);
  // Each is pressed as soon as it is there, whatever else the page is about to do.
  for (const [from, to] of [
    ['', 'Fit'],
    ['/inspect', 'Bench'],
    ['', 'Parts'],
  ] as const) {
    await page.goto(build + from, { waitUntil: 'commit' });
    await page.getByRole('link', { name: to, exact: true }).click();
    await expect(page).toHaveURL(build + (to === 'Bench' ? '' : `/${to.toLowerCase()}`));
  }
});

test('what a box cost is not known until it is said, and no sum hides it', async ({ page }) => {
  await makeBuild(page, 'Unpriced', 'part\tcolour\tqty\tzone\nbrick 1x2\tash\t60\tWall\n');
  await page.goto(`${new URL(page.url()).pathname}/tally`);
  await expect(page.getByText('what these boxes cost is not known')).toBeVisible();
  await expect(page.getByText('1 box without a price')).toBeVisible();
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await page.getByRole('button', { name: 'Price them… U' }).click();
  const unpriced = page.getByRole('dialog', { name: '1 box without a price' });
  const paid = unpriced.getByLabel('What was paid for the box Pasted block');
  await paid.fill('two');
  await expect(unpriced.getByRole('alert')).toContainText('“two” is not a price.');
  await paid.fill('39.99');
  await isAccessible(page, '[role=dialog]');
  await page.keyboard.press('Enter');
  await expect(unpriced).toBeHidden();
  await expect(page.getByRole('button', { name: 'Price them… U' })).toHaveCount(0);
  // What was typed wrong is put right, and so is what the box is called.
  await page.keyboard.press('Control+k');
  await page.keyboard.type('This build');
  await page.keyboard.press('Enter');
  const build = page.getByRole('dialog', { name: 'This build' });
  await build.getByLabel('Box, new').fill('Lock cottage');
  await build.getByLabel('Paid for Lock cottage').fill('37,50');
  await isAccessible(page, '[role=dialog]');
  await page.keyboard.press('Enter');
  await expect(build).toBeHidden();
  await page.getByRole('link', { name: 'Tally' }).click();
  await expect(page.getByText('of it £37.50 for these boxes')).toBeVisible();
  await page.getByRole('button', { name: /^Undo: change the box Lock cottage/ }).click();
  await expect(page.getByText('of it £39.99 for these boxes')).toBeVisible();
});
