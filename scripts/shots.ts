import { CHROMIUM } from './lib/chromium.mjs';
import { mkdirSync } from 'node:fs';
import { execFileSync } from 'node:child_process';
import { chromium, type Page } from '@playwright/test';
import { startServer } from './server';

interface Shot {
  readonly name: string;
  readonly path?: string;
  readonly build?: RegExp;
  readonly size?: { width: number; height: number };
  readonly act?: (page: Page) => Promise<void>;
}

const HOUSE = /Lightkeeper's House/;
const GARDEN = /Lightkeeper's garden/;
const type = (line: string) => (page: Page) => page.locator('#log-line').fill(line);

/** One picture of each main view, from the demo data. */
const SHOTS: readonly Shot[] = [
  { name: 'builds', path: '/' },
  {
    name: 'bench',
    build: HOUSE,
    act: async (page) => {
      await page
        .locator('#log-line')
        .fill('-2 slope 45 2x2 slate @tower foot, +2 brick 1x2 ash, +2 tile 1x2 bark');
      await page.keyboard.press('Escape');
    },
  },
  {
    name: 'bench-phone',
    build: HOUSE,
    size: { width: 390, height: 844 },
    act: type('-1 brick 1x2 chalk @tower'),
  },
  {
    name: 'import',
    path: '/import',
    act: async (page) => {
      const rows = [
        'Description;Shade;How many;Where',
        'plate, 2 x 3;Old grey;4;Roof',
        '1x2 brick;chalk;1.200;Wall',
        'Frobnicator;ash;x;Wall',
        'round tile 2x2;#a3a8aa;6;Roof',
        'window frame 1x2x2;Milk;8;Wall',
        'slope 45 2x1;brick red;24;Roof',
      ];
      await page.locator('textarea').fill(rows.join('\n'));
      await page.getByRole('button', { name: 'Read the block' }).click();
    },
  },
  { name: 'inspect', build: /Skerry/, path: '/inspect' },
  { name: 'brief', build: HOUSE, path: '/brief?part=rules' },
  { name: 'fit-plot', build: HOUSE, path: '/fit' },
  {
    name: 'fit-walls',
    build: HOUSE,
    path: '/fit?part=walls',
    act: async (page) =>
      void (await page
        .getByText(/Proven: nothing better|The best that was found/)
        .waitFor({ timeout: 30_000 })),
  },
  {
    name: 'fit-floors',
    build: GARDEN,
    path: '/fit?part=floors',
    act: async (page) =>
      void (await page.getByText(/Proven (for|of)|The best that was found/).waitFor({ timeout: 30_000 })),
  },
  { name: 'colour', build: HOUSE, path: '/colour' },
  {
    name: 'stickers',
    build: /Skerry/,
    path: '/colour?part=stickers',
    act: async (page) => {
      await page.getByRole('button', { name: 'Cut stripes' }).click();
      await page.getByText(/Proven: nothing better|The best that was found/).waitFor({ timeout: 30_000 });
    },
  },
  { name: 'fading', build: /Skerry/, path: '/colour', act: (page) => page.keyboard.press('Alt+2') },
  {
    name: 'recolour',
    build: /Northern Reach/,
    path: '/colour',
    act: async (page) => {
      await page.keyboard.press('Alt+3');
      await page.getByLabel('brick-red becomes').selectOption('kelp');
    },
  },
  {
    name: 'buying-plan',
    build: GARDEN,
    path: '/parts',
    act: async (page) => {
      await page.keyboard.press('Alt+2');
      // The part comes when it is shown, and its keys with it.
      await page.getByRole('tabpanel').getByRole('heading').first().waitFor();
      await page.waitForTimeout(500);
      await page.keyboard.press('g');
      await page.getByText(/Proven: no plan|The best found/).waitFor({ timeout: 60_000 });
    },
  },
  { name: 'needed', build: GARDEN, path: '/parts' },
  {
    name: 'own-parts',
    path: '/own-parts',
    act: async (page) => void (await page.getByRole('button', { name: /arch 1x4 kelp/ }).click()),
  },
  { name: 'prices', path: '/prices' },
  { name: 'stages', build: HOUSE, path: '/tally?part=stages' },
  { name: 'tally', build: HOUSE, path: '/tally' },
];

mkdirSync('docs/screenshots', { recursive: true });
execFileSync(process.execPath, ['scripts/build.mjs'], { stdio: ['ignore', 'ignore', 'inherit'] });
const server = await startServer(3794, '.shots/data');
const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox'] });
for (const shot of SHOTS) {
  const page = await browser.newPage({ viewport: shot.size ?? { width: 1280, height: 800 } });
  await page.goto(server.url + (shot.build ? '/' : (shot.path ?? '/')));
  if (shot.build) {
    await page.getByRole('link', { name: shot.build }).click();
    await page.locator('#log-line').waitFor();
    if (shot.path) await page.goto(page.url() + shot.path);
  }
  await page.waitForTimeout(600);
  await shot.act?.(page);
  // What the sellers say takes a moment.
  await page.waitForTimeout(shot.path === '/parts' ? 1500 : 500);
  await page.screenshot({ path: `docs/screenshots/${shot.name}.png` });
  await page.close();
}
await browser.close();
server.stop();
process.exit(0);
