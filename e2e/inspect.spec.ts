import { expect, test, type Page } from './test';
import sharp from 'sharp';
import { isAccessible, makeBuild } from './helpers';

const BOX = [
  'part\tcolour\tqty\tzone\tprint',
  'brick 2x4\tchalk\t12\tHull\t',
  'wheel 2x2\tsoot\t4\tHull\t',
  'brick 1x2\tash\t6\tDeck\t',
  'tile 1x4\tchalk\t2\tDeck\tname',
  '',
].join('\n');

async function openInspect(page: Page, name: string): Promise<void> {
  await makeBuild(page, name, BOX);
  await page.getByRole('link', { name: 'Inspect' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    '24 pieces in the box, none checked off yet',
  );
}

/** Goes to a part of the screen by its key, once the keys are listened for. */
async function part(page: Page, n: number): Promise<void> {
  const tab = page
    .getByRole('tablist', { name: 'Inspect' })
    .getByRole('tab')
    .nth(n - 1);
  await expect(async () => {
    await page.keyboard.press(`Alt+${n}`);
    await expect(tab).toHaveAttribute('aria-selected', 'true', { timeout: 500 });
  }).toPass();
}

/** Types one count and waits until the server has it. */
async function count(page: Page, text: string): Promise<void> {
  const answered = page.waitForResponse('**/api/actions');
  if (text) await page.keyboard.type(text);
  await page.keyboard.press('Enter');
  expect((await answered).ok()).toBe(true);
}

test('a copy is received by the keyboard alone, stopped, gone on with, and replaced', async ({ page }) => {
  await openInspect(page, 'Count');
  const heading = page.getByRole('heading', { level: 1 });
  await page.getByRole('textbox', { name: /12 × brick 2x4 chalk/ }).focus();
  await count(page, '');
  await expect(page.getByText('4 × wheel 2x2 soot')).toBeVisible();
  await page.keyboard.type('9');
  await expect(page.getByText(/the box holds 4/)).toBeVisible();
  await page.keyboard.press('Backspace');
  await count(page, '1 1b');
  await expect(heading).toContainText('21 of 24 pieces are there (87.5 %), 3 missing or broken');
  // The next tray comes up by itself, and going on after a reload begins where it stopped.
  await expect(page.getByText('6 × brick 1x2 ash')).toBeVisible();
  await page.reload();
  await expect(page.getByText('6 × brick 1x2 ash')).toBeVisible();
  await page.getByRole('textbox', { name: /6 × brick 1x2 ash/ }).focus();
  await count(page, '6 2f');
  await count(page, 's');
  await expect(page.getByText('Every kind is checked off.')).toBeVisible();
  await expect(page.getByText('4 of 4 kinds checked off')).toBeVisible();
  await isAccessible(page);
  // Hung up it needs no wheels: they leave the need.
  await page.getByLabel('How will it be shown?').selectOption('hung');
  await page.getByRole('button', { name: 'Agree to all' }).click();
  await expect(page.getByLabel('wheel 2x2 soot is wanted')).not.toBeChecked();
  await expect(page.getByRole('button', { name: 'Plan to replace 0' })).toBeDisabled();
  await page.getByLabel('wheel 2x2 soot is wanted').check();
  await page.getByRole('button', { name: 'Plan to replace 3' }).click();
  await expect(page.getByText(/3 planned/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Balance' })).toContainText('as planned 24');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Undo: plan to replace what is missing/ }).click();
  await expect(page.getByText(/3 planned/)).toBeHidden();
});

test('something found, with a photo, becomes a modification by one key and closes when it is done', async ({
  page,
}) => {
  await openInspect(page, 'Found');
  await part(page, 2);
  await page.getByRole('button', { name: 'Something found…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('What was found').fill('One grey wall too dark');
  await dialog.getByLabel('Kind').selectOption('mismatch');
  await dialog.getByLabel('Zone').selectOption('Deck');
  await dialog.getByLabel(/Parts it is about/).fill('2 brick 1x2 ash');
  await page.keyboard.press('Enter');
  await dialog.getByLabel('What belongs there').fill('brick 2x4 chalk');
  await page.keyboard.press('Enter');
  const photo = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#a3a8aa' } })
    .jpeg()
    .toBuffer();
  const chooser = dialog.getByLabel(/Photo/);
  await chooser.setInputFiles({ name: 'x.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') });
  await expect(dialog.getByText(/not a JPEG, PNG or WebP/)).toBeVisible();
  await chooser.setInputFiles({ name: 'x.jpg', mimeType: 'image/jpeg', buffer: photo });
  await expect(dialog.getByRole('img', { name: 'The photo' })).toBeVisible();
  await isAccessible(page);
  await dialog.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('1 finding is open')).toBeVisible();
  expect(
    await page
      .getByRole('img', { name: /Photo: One grey/ })
      .evaluate((i: HTMLImageElement) => i.naturalWidth),
  ).toBe(60);
  await page.keyboard.press('w');
  await expect(page.getByText(/in work/)).toContainText('M 01');
  await isAccessible(page);
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await expect(
    page.getByRole('listitem').filter({ hasText: 'One grey wall too dark' }).first(),
  ).toBeVisible();
});

test('the size is measured twice', async ({ page }) => {
  await openInspect(page, 'Measured');
  await part(page, 3);
  for (const [title, studs] of [
    ['As found', '40'],
    ['As built', '42.5'],
  ] as const) {
    const form = page.locator('form').filter({ hasText: title });
    await form.getByLabel('Length, studs').fill(studs);
    await form.getByLabel('Width, studs').fill('16');
    await form.getByLabel('Height, bricks').fill('10');
    await form.getByRole('button', { name: 'Keep it' }).click();
  }
  await expect(page.getByText('340 × 128 × 96 mm')).toBeVisible();
  await expect(page.getByText(/grew by 20 mm in length, 0 mm in width/)).toBeVisible();
  await isAccessible(page);
});
