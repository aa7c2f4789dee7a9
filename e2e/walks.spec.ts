import { devices, type Locator } from '@playwright/test';
import sharp from 'sharp';
import { expect, test, type Page } from './test';
import { balance, isAccessible, pressTo } from './helpers';

/** What is drawn over the page would take the press of a mouse: here there is none at all. */
const noPointer = (page: Page) =>
  page.addInitScript(() => {
    for (const kind of ['pointerdown', 'mousedown', 'touchstart'])
      window.addEventListener(kind, () => document.documentElement.setAttribute('data-pointed', kind), true);
  });

/** Chooses a tab of a list by the arrows, having come to it by Tab. */
async function tabByArrows(page: Page, list: string, name: string): Promise<void> {
  const tabs = page.getByRole('tablist', { name: list });
  const wanted = tabs.getByRole('tab', { name });
  const all = tabs.getByRole('tab');
  const of = await all.evaluateAll((each) => each.map((tab) => tab.getAttribute('aria-selected')));
  let at = of.indexOf('true');
  await pressTo(page, all.nth(at), 'ArrowRight');
  // One key at a time: the focus, and with it what is chosen, follows a moment after the key.
  for (let i = 0; i <= of.length; i++) {
    at = (at + 1) % of.length;
    await expect(all.nth(at)).toHaveAttribute('aria-selected', 'true');
    if ((await wanted.getAttribute('aria-selected')) === 'true') break;
    await page.keyboard.press('ArrowRight');
  }
  await expect(wanted).toHaveAttribute('aria-selected', 'true');
}

test('the whole way by keys alone: inspect, log, plan, find the plan, order, receive, tally, print', async ({
  page,
}) => {
  test.slow();
  await noPointer(page);
  await page.goto('/builds');
  await pressTo(page, page.getByRole('link', { name: /Lightkeeper's House/ }));
  await expect(balance(page)).toContainText('− 12');
  const screens = page.getByRole('navigation', { name: 'Screens of this build' });

  // Inspect: the first kind is all there.
  await pressTo(page, screens.getByRole('link', { name: 'Inspect' }));
  await expect(page.getByText(/0 of 55 kinds checked off/)).toBeVisible();
  await pressTo(page, page.getByLabel('how many are there?'));
  await expect(page.getByText(/1 of 55 kinds checked off/)).toBeVisible();

  // Log what is done, and plan what is not.
  await pressTo(page, screens.getByRole('link', { name: 'Bench' }));
  await expect(page).toHaveTitle(/^Bench/);
  // The bench opens with its line ready.
  await expect(page.getByLabel('Log a change')).toBeFocused();
  await page.keyboard.type('-2 brick 1x2 chalk @tower');
  await page.keyboard.press('Enter');
  await expect(balance(page)).toContainText('− 14');
  await page.keyboard.type('+20 plate 2x4 soot @quay plan');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Log a change')).toHaveValue('');

  // Find the best plan, and order it.
  await page.keyboard.press('Escape');
  await pressTo(page, screens.getByRole('link', { name: 'Parts' }));
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toContainText(/still missing/);
  await pressTo(page, page.getByRole('button', { name: 'To the buying plan' }));
  await expect(page.getByRole('tab', { name: 'Buying plan' })).toHaveAttribute('aria-selected', 'true');
  await pressTo(page, page.getByLabel('Think for'), 'Home');
  await pressTo(page, page.getByRole('button', { name: /Find the best plan/ }));
  await expect(page.getByText(/Proven: no plan|The best found/)).toBeVisible({ timeout: 60_000 });
  await isAccessible(page);
  await pressTo(page, page.getByRole('button', { name: /^Order (this parcel|these \d+ parcels)/ }));
  // Prices may have changed meanwhile: then it is asked once more.
  const atNew = page.getByRole('button', { name: 'Order at the new prices' });
  const open = page.getByText(/orders? (is|are) open/);
  await expect(atNew.or(open).first()).toBeVisible({ timeout: 60_000 });
  if (await atNew.isVisible()) await pressTo(page, atNew);
  await expect(open).toBeVisible({ timeout: 60_000 });

  // Weeks go by, and a parcel is received.
  const week = page.getByRole('button', { name: 'A week on' });
  for (let i = 0; i < 7; i++) await pressTo(page, week);
  await pressTo(page, page.getByRole('button', { name: 'Receive it' }).first());
  await pressTo(page, page.getByRole('button', { name: 'To the spares' }));
  await expect(page.getByText('received').first()).toBeVisible();
  await tabByArrows(page, 'Parts', 'Pick list');
  await expect(heading).toContainText(/to get out, [1-9]\d* pieces? in hand/);

  // Tally, and on paper.
  await pressTo(page, screens.getByRole('link', { name: 'Tally' }));
  await expect(page).toHaveTitle(/^Tally/);
  await expect(heading).toBeVisible();
  await isAccessible(page);
  await pressTo(page, page.getByRole('button', { name: 'Files and prints' }));
  await expect(page.getByRole('dialog')).toBeVisible();
  await pressTo(page, page.getByRole('link', { name: 'Orders, to print' }));
  await expect(page).toHaveURL(/\/print\/orders$/);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('table').first()).toContainText(/20 plate 2x4\s*soot/);
  expect(await page.locator('html').getAttribute('data-pointed')).toBeNull();
});

test('on a phone by thumb alone: check off, a finding with its photo, pick list, receive, log', async ({
  browser,
  baseURL,
}) => {
  test.slow();
  const context = await browser.newContext({ ...devices['Pixel 7'], baseURL: baseURL! });
  const phone = await context.newPage();
  const faults: string[] = [];
  phone.on('pageerror', (e) => faults.push(e.message));
  /** A thumb needs a place of its own size, and in sight. */
  const tap = async (target: Locator) => {
    const box = await target.boundingBox();
    expect(Math.min(box?.height ?? 0, 44), await target.innerText()).toBeGreaterThanOrEqual(40);
    await target.tap();
  };
  await phone.goto('/builds');
  await tap(phone.getByRole('link', { name: /Lightkeeper's House/ }));
  await expect(balance(phone)).toBeVisible();
  const screens = phone.getByRole('navigation', { name: 'Screens of this build' });

  await tap(screens.getByRole('link', { name: 'Inspect' }));
  const counts = phone.getByRole('group', { name: 'Counts by thumb' });
  await expect(counts).toBeInViewport();
  const off = Number(
    /(\d{1,3}) of 55/.exec(await phone.getByText(/of 55 kinds checked off/).innerText())![1],
  );
  await tap(counts.getByRole('button', { name: /^all \d+ there|^it is there/ }));
  await expect(phone.getByText(`${off + 1} of 55 kinds checked off`)).toBeVisible();
  await tap(counts.getByRole('button', { name: /one missing|^missing/ }));
  await expect(phone.getByText(`${off + 2} of 55 kinds checked off`)).toBeVisible();
  // No keyboard came up over the list.
  await expect(phone.getByLabel('how many are there?')).not.toBeFocused();

  await tap(phone.getByRole('tab', { name: 'Findings' }));
  await tap(phone.getByRole('button', { name: 'Something found…' }));
  const dialog = phone.getByRole('dialog');
  await dialog.getByLabel('What was found').fill('A crack in the lamp');
  await dialog.getByLabel('Kind').selectOption('broken');
  const photo = await sharp({ create: { width: 80, height: 60, channels: 3, background: '#88785a' } })
    .jpeg()
    .toBuffer();
  const chooser = phone.waitForEvent('filechooser');
  await tap(dialog.getByRole('button', { name: 'Choose a photo…' }));
  await (await chooser).setFiles({ name: 'lamp.jpg', mimeType: 'image/jpeg', buffer: photo });
  await expect(dialog.getByRole('img', { name: 'The photo' })).toBeVisible();
  await tap(dialog.getByRole('button', { name: 'Keep it' }));
  await expect(phone.getByRole('img', { name: /Photo: A crack/ })).toBeVisible();
  await isAccessible(phone);

  await tap(screens.getByRole('link', { name: 'Parts' }));
  await tap(phone.getByRole('tab', { name: 'Pick list' }));
  const heading = phone.getByRole('heading', { level: 1 });
  const hand = async () => Number(/(\d{1,5}) pieces? in hand/.exec(await heading.innerText())?.[1] ?? 0);
  const before = await hand();
  await tap(phone.locator('main li label').first());
  await expect.poll(hand).toBeGreaterThan(before);

  await tap(phone.getByRole('tab', { name: 'Orders' }));
  await tap(phone.getByRole('button', { name: 'It came today' }).first());
  await tap(phone.getByRole('button', { name: 'To the spares' }));
  await expect(phone.getByText('received').first()).toBeVisible();
  await isAccessible(phone);

  await tap(screens.getByRole('link', { name: 'Bench' }));
  const keys = phone.getByRole('group', { name: 'Keys of the line' });
  for (const key of ['off', '2']) await tap(keys.getByRole('button', { name: key, exact: true }));
  await tap(keys.getByRole('button', { name: /\d{1,2}x\d{1,2} / }).first());
  await expect(phone.getByLabel('Log a change')).toHaveValue(/^-2 \S+ .*\S/);
  expect(faults).toEqual([]);
  await context.close();
});
