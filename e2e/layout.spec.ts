import { boxFaults, SIZES } from './boxes';
import { isAccessible } from './helpers';
import { expect, test, type Page } from './test';

/** Every page with the parts it has, each at every width, and a window at 200 and 400 percent. */
const OF_BUILD = ['', '/inspect', '/brief', '/fit', '/colour', '/parts', '/tally'];

async function looksRight(page: Page, at: string): Promise<string[]> {
  const faults: string[] = [];
  for (const size of SIZES) {
    await page.setViewportSize(size);
    await page.waitForTimeout(60);
    faults.push(...(await boxFaults(page)).map((f) => `${at} at ${size.name}: ${f}`));
  }
  return faults;
}

/** Looks at a page and, one after the other, at its parts. */
async function allParts(page: Page, path: string): Promise<string[]> {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(path);
  await expect(page.getByRole('main')).toBeVisible();
  await page.waitForLoadState('networkidle');
  const list = page.locator('nav [role=tablist]');
  const tabs = (await list.count()) > 0 ? await list.first().getByRole('tab').count() : 0;
  if (tabs === 0) return looksRight(page, path);
  const faults: string[] = [];
  for (let t = 1; t <= Math.min(tabs, 9); t++) {
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.keyboard.press(`Alt+${t}`);
    await page.waitForTimeout(400);
    faults.push(...(await looksRight(page, `${path} part ${t}`)));
  }
  return faults;
}

for (const path of ['/builds', '/import', '/own-parts', '/prices', '/settings'])
  test(`${path}: nothing lies on another, is cut off or too low, at any width or zoom`, async ({ page }) => {
    expect(await allParts(page, path)).toEqual([]);
  });

for (const screen of OF_BUILD)
  test(`the house${screen || ', its bench'}: nothing lies on another, is cut off or too low`, async ({
    page,
  }) => {
    await page.goto('/builds');
    const href = await page.getByRole('link', { name: /Lightkeeper's House/ }).getAttribute('href');
    expect(await allParts(page, `${href}${screen}`)).toEqual([]);
  });

test('in a dark surround axe finds nothing, on any page of a build and in its parts', async ({ page }) => {
  test.slow();
  await page.emulateMedia({ colorScheme: 'dark' });
  await page.goto('/builds');
  const href = await page.getByRole('link', { name: /Lightkeeper's House/ }).getAttribute('href');
  for (const screen of OF_BUILD) {
    await page.goto(`${href}${screen}`);
    await expect(page.getByRole('main')).toBeVisible();
    const list = page.locator('nav [role=tablist]');
    const tabs = (await list.count()) > 0 ? Math.min(9, await list.first().getByRole('tab').count()) : 1;
    for (let t = 1; t <= tabs; t++) {
      if (tabs > 1) await page.keyboard.press(`Alt+${t}`);
      await page.waitForTimeout(500);
      await isAccessible(page);
    }
  }
});

test('on a phone and at 200 percent axe finds nothing, in the light and in the dark', async ({ page }) => {
  for (const colorScheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme });
    for (const size of [SIZES[1], SIZES[7]])
      for (const path of ['/builds', '/import', '/own-parts', '/settings']) {
        await page.setViewportSize(size);
        await page.goto(path);
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
        await isAccessible(page);
      }
  }
});
