import { expect, test, type Page } from './test';
import { balance, BLOCK, isAccessible, makeBuild, startModification } from './helpers';

const headline = (page: Page) => page.getByRole('heading', { level: 1 });
const side = (page: Page, name: string) => page.getByRole('complementary', { name });

async function openStickers(page: Page, part: string): Promise<void> {
  await page.getByRole('link', { name: 'Colour', exact: true }).click();
  const tab = page.getByRole('tablist', { name: 'Colour' }).getByRole('tab', { name: 'Stickers' });
  await expect(async () => {
    await tab.click();
    await expect(tab).toHaveAttribute('aria-selected', 'true', { timeout: 500 });
  }).toPass();
  await page.getByRole('group', { name: 'Stickers' }).getByRole('button', { name: part }).click();
}

async function type(page: Page, label: string, value: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true }).last();
  await field.fill(value);
  await field.press('Tab');
}

test('a sticker is noted on a part, decided on and renewed: no piece moves, and its money counts', async ({
  page,
}) => {
  await makeBuild(page, 'Stuck', BLOCK);
  await startModification(page, 'Numbers');
  await openStickers(page, 'On parts');
  await expect(headline(page)).toHaveText('No stickers have been noted.');
  const before = (await balance(page).textContent())!;
  await page.getByRole('button', { name: 'Add a sticker' }).click();
  await type(page, 'What is on it', 'the number 7');
  const form = page.getByRole('region', { name: 'A sticker', exact: true });
  await form.getByRole('combobox', { name: 'On which part' }).selectOption({ index: 1 });
  await form.getByRole('button', { name: 'Add: On which part' }).click();
  await form.getByLabel('Condition').selectOption('crazed');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(headline(page)).toHaveText('1 sticker, 1 not good any more; 1 still to be decided.');
  await page.getByRole('button', { name: 'Note 1 as a finding' }).click();
  await expect(page.getByRole('button', { name: 'Note 1 as a finding' })).toHaveCount(0);
  const chosen = side(page, 'The chosen sticker');
  await chosen.getByRole('radio', { name: 'Have it reprinted' }).check();
  await expect(headline(page)).toHaveText('1 sticker, 1 not good any more; what becomes of each is decided.');
  await isAccessible(page);
  await chosen.getByLabel('What next').selectOption('renewed with its part');
  await chosen.getByLabel('What it cost').fill('4.50');
  await chosen.getByLabel('What it cost').press('Tab');
  await chosen.getByRole('button', { name: 'Log it' }).click();
  await expect(chosen.getByRole('listitem').filter({ hasText: 'Renewed with the same part' })).toBeVisible();
  await expect(balance(page)).toContainText('£4.50');
  const after = (await balance(page).textContent())!;
  expect(after.replace('£4.50', '£0.00')).toBe(before);

  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  const row = page.getByRole('listitem').filter({ hasText: 'the number 7: renewed with the same part' });
  await expect(row.last()).toBeVisible();
  await row.last().focus();
  await page.keyboard.press('d');
  await expect(row.last()).toContainText('planned');
  await isAccessible(page);
  await page.keyboard.press('Delete');
  await expect(row).toHaveCount(0);
});

test('stripes are cut from a sheet: what lacks says what would do, the rest of the sheet is kept, a template is printed', async ({
  page,
}) => {
  test.slow();
  await makeBuild(page, 'Striped', BLOCK);
  await openStickers(page, 'Sticker sheets');
  await page.getByRole('button', { name: 'New' }).click();
  await type(page, 'Name', 'An old sheet');
  await page.getByRole('button', { name: 'Add a field' }).click();
  await type(page, 'Wide, mm', '80');
  await page.getByRole('combobox', { name: 'Colour', exact: true }).last().selectOption('kelp');
  await expect(headline(page)).toHaveText('12.8 cm² of 12.8 cm² are left, in 1 field.');
  await isAccessible(page);

  await openStickers(page, 'Cut stripes');
  await page.getByRole('button', { name: 'Say which stripes are wanted' }).click();
  await page.getByRole('button', { name: 'Add a stripe' }).click();
  await page.getByRole('combobox', { name: 'Colour', exact: true }).last().selectOption('kelp');
  await type(page, 'How many', '2');
  await type(page, 'Length, mm', '75.5');
  await expect(headline(page)).toHaveText('All 2 come out of one piece of what is left.');
  await expect(page.getByText('Proven: nothing better is possible.')).toBeVisible();
  await type(page, 'Length, mm', '200');
  await expect(headline(page)).toHaveText('Nothing that is left gives these stripes.');
  await expect(side(page, 'What to do')).toContainText('In two layers: 3 pieces of');
  await type(page, 'Length, mm', '75.5');
  await expect(page.getByText('Proven: nothing better is possible.')).toBeVisible();
  await isAccessible(page);

  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Template at true size, A4' }).click();
  expect((await saved).suggestedFilename()).toBe('sticker-templates.pdf');
  await page.getByRole('button', { name: 'They are cut: keep 2' }).click();
  await expect(headline(page)).toHaveText('No stripes are wanted.');

  await openStickers(page, 'Sticker sheets');
  await page.getByLabel('Sticker sheets').selectOption({ label: 'An old sheet' });
  await expect(page.getByText('stripe 1 2')).toBeVisible();
  await expect(headline(page)).not.toContainText('12.8 cm² of');
  await openStickers(page, 'On parts');
  await expect(page.getByText('taken off and kept')).toHaveCount(2);
});

test('a field is marked on a photo of its sheet: two ends of a known length, then two corners', async ({
  page,
}) => {
  await makeBuild(page, 'Photographed', BLOCK);
  await openStickers(page, 'Sticker sheets');
  await page.getByRole('button', { name: 'New' }).click();
  await type(page, 'Name', 'A photographed sheet');
  await page.getByLabel('Photo of the sheet').setInputFiles('public/demo/finding-hull.webp');
  await page.getByRole('button', { name: 'Mark a field on the photo' }).click();
  const dialog = page.getByRole('dialog');
  const photo = dialog.getByRole('button', { name: /^The photo/ });
  await expect(photo.locator('svg')).toBeAttached();
  const box = (await photo.boundingBox())!;
  // 640 by 480 pixels: half its width is said to be 8 studs, 64 mm; the field takes three quarters of that, by a quarter.
  const at = (x: number, y: number) => ({ position: { x: box.width * x, y: box.height * y } });
  await photo.click(at(0.1, 0.1));
  await photo.click(at(0.6, 0.1));
  await photo.click(at(0.1, 0.2));
  await photo.click(at(0.475, 0.325));
  await expect(dialog.getByRole('status')).toHaveText(
    /^4[78](\.\d)? mm by 1[12](\.\d)? mm\. Next: the card beside it/,
  );
  await photo.press('ArrowRight');
  // The photo's grey card gives the light: the field gets a colour as it was read.
  await dialog.getByLabel('The card is').selectOption('grey');
  await photo.click(at(0.82, 0.8));
  await expect(dialog.getByRole('status')).toContainText('Its colour was read, to within ΔE');
  await isAccessible(page);
  await dialog.getByRole('button', { name: 'Add the field' }).click();
  await expect(headline(page)).toContainText('in 1 field.');
});
