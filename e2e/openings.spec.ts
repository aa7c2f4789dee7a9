import { expect, test } from './test';
import { balance, makeBuild, openBuild } from './helpers';

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

test('what a box cost is not known until it is said, and no sum hides it', async ({ page }) => {
  await makeBuild(page, 'Unpriced', 'part\tcolour\tqty\tzone\nbrick 1x2\tash\t60\tWall\n');
  await page.goto(`${new URL(page.url()).pathname}/tally`);
  await expect(page.getByText('what these boxes cost is not known')).toBeVisible();
  await expect(page.getByText('1 box without a price')).toBeVisible();
});
