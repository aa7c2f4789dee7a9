import sharp from 'sharp';
import { expect, test, type Page } from './test';

/** How many pixels of a picture are of a colour, and the first of them. */
async function coloured(png: Buffer): Promise<{ pixels: number; first: string | null }> {
  const { data, info } = await sharp(png).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  let [pixels, first] = [0, null as string | null];
  for (let i = 0; i < data.length; i += 3) {
    const [r, g, b] = [data[i]!, data[i + 1]!, data[i + 2]!];
    if (r === g && g === b) continue;
    pixels++;
    const at = i / 3;
    first ??= `${r} ${g} ${b} at ${at % info.width}, ${Math.floor(at / info.width)}`;
  }
  return { pixels, first };
}

/** What a browser draws itself, each as it looks with something in it. */
const DRAWN_BY_BROWSER = `
  <progress max="10" value="6"></progress>
  <progress></progress>
  <meter max="10" value="6"></meter>
  <input type="checkbox" checked>
  <input type="radio" checked>
  <input type="range" value="60">
  <input type="date" value="2026-05-04">
  <input type="search" value="letters">
  <input type="number" value="4">
  <select><option>one</option></select>
  <details open><summary>more</summary>so much</details>
  <a href="/settings">a link</a>
  <p>words that are selected</p>`;

async function controls(page: Page): Promise<Buffer> {
  await page.goto('/settings');
  await expect(page.getByRole('main')).toBeVisible();
  await page.evaluate((html) => {
    const box = document.createElement('div');
    box.id = 'drawn-by-browser';
    box.style.cssText = 'position:fixed;inset:0;z-index:999;background:var(--color-paper);padding:8px';
    box.innerHTML = html;
    document.body.append(box);
    const words = document.createRange();
    words.selectNodeContents(box.querySelector('p')!);
    getSelection()!.removeAllRanges();
    getSelection()!.addRange(words);
  }, DRAWN_BY_BROWSER);
  return page.locator('#drawn-by-browser').screenshot();
}

for (const colorScheme of ['light', 'dark'] as const) {
  test(`what the browser draws itself is grey, in a ${colorScheme} surround`, async ({ page }) => {
    await page.emulateMedia({ colorScheme });
    const picture = await controls(page);
    expect(await coloured(picture)).toEqual({ pixels: 0, first: null });
  });

  for (const path of ['/import', '/settings'])
    test(`${path} has no brick, and no colour, in a ${colorScheme} surround`, async ({ page }) => {
      await page.emulateMedia({ colorScheme });
      await page.goto(path);
      await expect(page.getByRole('main')).toBeVisible();
      await page.waitForLoadState('networkidle');
      expect(await coloured(await page.screenshot({ fullPage: true }))).toEqual({ pixels: 0, first: null });
    });
}
