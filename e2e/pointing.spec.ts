import { expect, test, type Page } from './test';
import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { balance, isAccessible, startModification } from './helpers';

const ODD = [
  '\uFEFFRef;How many;What it is;Shade;Where it goes',
  'k1;"1.200";"Plate, 1 x 3";Old Fog;Deck',
  'k2;40;1x2 brick;chalk;Deck',
  'k3;x;round brick 2 x 2;ash;Mast',
  'k4;12;"Frobnicator',
  ' Mk II";ash;Mast',
].join('\r\n');

async function act(page: Page, lot: RegExp, kind: string, more: () => Promise<void>): Promise<void> {
  await page.getByRole('region', { name: 'On the model' }).getByRole('button', { name: lot }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByText(kind, { exact: true }).click();
  await more();
  const answered = page.waitForResponse('**/api/actions');
  await sheet.getByRole('button', { name: 'Log it' }).click();
  expect((await answered).ok()).toBe(true);
  await expect(sheet).toBeHidden();
}

test('an inventory with odd columns is imported, three modifications are logged by pointing only, the CSV adds up', async ({
  page,
}) => {
  await page.goto('/import');
  await page
    .getByLabel('Table file')
    .setInputFiles({ name: 'my boat.csv', mimeType: 'text/csv', buffer: Buffer.from(ODD) });
  await expect(page.getByText('4 rows, 2 with faults')).toBeVisible();
  await expect(page.getByLabel('Column Where it goes means')).toHaveValue('zone');
  const colours = page.getByRole('region', { name: 'Colours not in the palette' });
  await expect(colours).toContainText('Old Fog');
  await isAccessible(page);
  await expect(page.getByRole('button', { name: 'Use these rows' })).toBeDisabled();
  await page.getByRole('combobox', { name: 'Old Fog is' }).selectOption('mist');
  await page.getByRole('button', { name: 'It is this: Old Fog is' }).click();
  await page.getByLabel('Put line 4 right').fill('8');
  await page.getByLabel('Put line 4 right').blur();
  await expect(page.getByText('1,260 pieces in 4 rows will be imported.')).toBeVisible();
  await page.getByRole('button', { name: 'Use these rows' }).click();
  await page.getByLabel('Paid for each').fill('12,50');
  await page.getByLabel('Condition').selectOption('second-hand');
  await page.getByRole('button', { name: 'Agree and import it' }).click();
  await expect(balance(page)).toContainText('1,260');

  await startModification(page, 'Deck edge');
  await act(page, /1200 plate 1x3 mist/, 'Take off', () => page.getByLabel('How many').fill('30'));
  await expect(balance(page)).toContainText('= 1,230');
  await startModification(page, 'Brick courses');
  await act(page, /40 brick 1x2 chalk/, 'Recolour', async () => {
    await page.getByLabel('How many').fill('6');
    await page
      .getByRole('region', { name: 'Which colour it is to be' })
      .getByRole('button', { name: 'bark', exact: true })
      .click();
    await page.getByLabel('Price each').fill('0.15');
  });
  await expect(balance(page)).toContainText('£0.90');
  await startModification(page, 'Mast');
  await act(page, /8 round brick 2x2 ash/, 'Move to a zone', async () => {
    await page.getByLabel('How many').fill('3');
    await page.getByLabel('To zone').selectOption({ label: 'Deck' });
  });
  await page.getByRole('button', { name: '+ Put a part on…' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Find a part').fill('tile 2x4');
  await sheet.getByRole('button', { name: /in any colour/ }).click();
  await sheet.getByRole('button', { name: 'kelp', exact: true }).click();
  await sheet.getByLabel('How many').fill('5');
  await sheet.getByLabel('Price each').fill('0.20');
  await sheet.getByRole('button', { name: 'Log it' }).click();
  await expect(balance(page)).toContainText('= 1,235');

  await page.getByRole('button', { name: 'Files and prints' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Worklog, CSV' }).click();
  const csv = readFileSync(await (await download).path(), 'utf8');
  const rows = Papa.parse<Record<string, string>>(csv.trim(), { header: true }).data;
  const sum = (column: string) => rows.reduce((s, r) => s + Number(r[column]), 0);
  expect([sum('out'), sum('in'), sum('net'), sum('recoloured')]).toEqual([30, 5, -25, 6]);
  expect(sum('out of pocket')).toBeCloseTo(6 * 0.15 + 5 * 0.2, 10);

  await page.goto('/import');
  await page
    .getByLabel('Table file')
    .setInputFiles({ name: 'again.csv', mimeType: 'text/csv', buffer: Buffer.from(ODD) });
  await expect(page.getByText('as you set them last time')).toBeVisible();
  await expect(page.getByText('4 rows, 1 with faults')).toBeVisible();
});

test('a catalogue set is chosen, and several boxes go into one build', async ({ page }) => {
  await page.goto('/import');
  await page.getByRole('button', { name: 'Choose Harbour Ferry Skerry' }).click();
  await page.getByLabel('Copies').fill('2');
  await page.getByRole('button', { name: "Choose Lightkeeper's House" }).click();
  await expect(page.getByText('2 boxes, 934 pieces')).toBeVisible();
  await page.getByLabel('Name of the build').fill('Harbour scene');
  await page.getByRole('button', { name: 'Agree and import them' }).click();
  await expect(balance(page)).toContainText('934');
});

test('own parts and prices are imported by the same importer, and can be undone', async ({ page }) => {
  await page.goto('/import?for=stock');
  await page.locator('textarea').fill('drawer,part,colour,pcs\nZ9,tile 6x6,plum,7');
  await page.getByRole('button', { name: 'Read the block' }).click();
  await page.getByRole('button', { name: 'Agree and import them' }).click();
  await expect(page.getByRole('button', { name: /Z9/ })).toContainText('7');
  await page.getByRole('button', { name: /^Undo: add 7/ }).click();
  await expect(page.getByRole('button', { name: /Z9/ })).toBeHidden();
  await page.goto('/import?for=prices');
  await page.locator('textarea').fill('part,colour,new,used\ntile 6x6,plum,"1,20",0.80');
  await page.getByRole('button', { name: 'Read the block' }).click();
  await page.getByRole('button', { name: 'Agree and import them' }).click();
  await page.getByLabel('Find a price').fill('6x6 plum');
  await expect(page.getByLabel('New price of tile 6x6 plum')).toHaveValue('1.20');
  await page.getByLabel('New price of tile 6x6 plum').fill('1.35');
  await page.getByLabel('New price of tile 6x6 plum').press('Enter');
  await expect(page.getByRole('button', { name: /^Undo: set the price of tile 6x6 plum/ })).toBeEnabled();
});
