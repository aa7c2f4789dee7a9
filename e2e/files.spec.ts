import { expect, test } from './test';
import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import writeXlsxFile from 'write-excel-file/node';
import { balance, BLOCK, isAccessible, log, makeBuild, openBuild, startModification } from './helpers';

test('a mod file is exported and imported again: the same figures', async ({ page }) => {
  await openBuild(page, /Lightkeeper's House/);
  const figures = await balance(page).innerText();
  await page.getByRole('button', { name: 'Files and prints' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Mod file' }).click();
  const file = await (await download).path();
  await page.goto('/');
  await page
    .getByLabel('Mod file')
    .setInputFiles({ name: 'mod.json', mimeType: 'application/json', buffer: readFileSync(file) });
  await expect(balance(page)).toBeVisible();
  expect(await balance(page).innerText()).toBe(figures);
  await page.goto('/');
  await page.getByLabel('Mod file').setInputFiles({
    name: 'no.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"schema":"evarn-mod/9"}'),
  });
  await expect(page.getByText(/made by a newer Evarn/)).toBeVisible();
});

test('inventories as built and as planned, and the spares, add up to the balance', async ({
  page,
  request,
}) => {
  await makeBuild(page, 'Files', BLOCK);
  await startModification(page, 'First');
  await log(page, '-4 plate 2x3 chalk @porch; +7 tile 2x2 slate at 0.10');
  await log(page, '+5 tile 2x2 slate plan');
  const build = new URL(page.url()).pathname.split('/').at(-1);
  const sum = async (file: string) => {
    const text = await (await request.get(`/api/builds/${build}/files/${file}`)).text();
    return Papa.parse<Record<string, string>>(text.trim(), { header: true }).data.reduce(
      (s, r) => s + Number(r.quantity),
      0,
    );
  };
  expect(await sum('inventory-as-built.csv')).toBe(112 - 4 + 7);
  expect(await sum('inventory-as-planned.csv')).toBe(112 - 4 + 7 + 5);
  expect(await sum('spares.csv')).toBe(4);
});

test('a spreadsheet is imported, by choosing it and by dropping it', async ({ page }) => {
  const cells = [
    ['What', 'Shade', 'How many'],
    ['plate 2x3', 'chalk', 4],
    ['1x2 brick', 'Ash', 1200],
  ];
  const rows = cells.map((row) =>
    row.map((value) => ({ value, ...(typeof value === 'number' ? { type: Number } : {}) })),
  );
  const buffer = await writeXlsxFile(rows as never).toBuffer();
  await page.goto('/import');
  await page
    .getByLabel('Table file')
    .setInputFiles({ name: 'mine.xlsx', mimeType: 'application/octet-stream', buffer });
  await expect(page.getByText('1,204 pieces in 2 rows will be imported.')).toBeVisible();
  await page.getByRole('button', { name: 'Choose something else' }).click();
  const data = await page.evaluateHandle(() => {
    const transfer = new DataTransfer();
    transfer.items.add(new File(['part,colour,qty\ntile 2x2,bark,3'], 'dropped.csv', { type: 'text/csv' }));
    return transfer;
  });
  await page.getByText(/Drop a CSV/).dispatchEvent('drop', { dataTransfer: data });
  await expect(page.getByText('3 pieces in 1 row will be imported.')).toBeVisible();
});

test('colours that are not in the palette are made new, and drawn in it from then on', async ({ page }) => {
  await page.goto('/import');
  await page.locator('textarea').fill('part,colour,qty\nplate 2x3,Verdigris,4\nbrick 1x2,ash,2');
  await page.getByRole('button', { name: 'Read the block' }).click();
  await page.getByRole('button', { name: 'Make it a new colour…' }).click();
  await page.locator('input[type=color]').fill('#4aa592');
  await page.getByLabel('Finish').selectOption('metal');
  await isAccessible(page);
  await page.getByRole('button', { name: 'Make it', exact: true }).click();
  await expect(page.getByText('6 pieces in 2 rows will be imported.')).toBeVisible();
  await page.getByRole('button', { name: 'Use these rows' }).click();
  await page.getByLabel('Name of the build').fill('Copper roof');
  await page.getByRole('button', { name: 'Agree and import it' }).click();
  const lot = page.getByRole('button', { name: '4 plate 2x3 verdigris' });
  await expect(lot).toBeVisible();
  expect(await lot.locator('path').first().getAttribute('fill')).toMatch(/^#[0-9a-f]{6}$/);
  await startModification(page, 'Ridge');
  await log(page, '+3 plate 2x3 verd');
  await expect(balance(page)).toContainText('= 9');
});

test('an assembly is named, moved as one, taken off and put back', async ({ page }) => {
  await makeBuild(page, 'Cart', BLOCK);
  await startModification(page, 'Chassis');
  await log(page, '=[The cart] 4 plate 2x3 chalk & 6 brick 1x2 ash');
  await log(page, '>[the cart] : porch to gallery');
  await expect(page.getByText('4 plate 2x3 chalk, 6 brick 1x2 ash')).toBeVisible();
  await log(page, '-[the cart] @gallery');
  await expect(balance(page)).toContainText('− 10');
  await log(page, '+[the] @gallery from spares');
  await expect(balance(page)).toContainText('= 112');
  await page.locator('#log-line').fill('-[ca]');
  await expect(page.getByText(/There is no assembly “ca”/)).toBeVisible();
});

test('the tally prints without its bars and buttons', async ({ page }) => {
  await openBuild(page, /Lightkeeper's House/);
  await page.getByRole('link', { name: 'Tally' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('on the model');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByRole('link', { name: 'Evarn' })).toBeHidden();
  await expect(page.getByRole('table')).toHaveCount(5);
  await expect(page.getByText(/, as built$/).first()).toBeVisible();
});

test('a placeholder is replaced by one button and Enter', async ({ page }) => {
  await makeBuild(page, 'Placeholders', BLOCK);
  await startModification(page, 'Quay');
  await log(page, '?5 brick 1x2 amber for dune at 0.09');
  await page.getByRole('button', { name: 'Replace' }).click();
  await expect(page.locator('#log-line')).toHaveValue('^5 brick 1x2 amber > dune');
  await page.keyboard.press('Enter');
  await expect(balance(page)).toContainText('5 placeholders replaced');
  await expect(page.getByRole('button', { name: 'Replace', exact: true })).toBeHidden();
});
