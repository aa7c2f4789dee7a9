import Papa from 'papaparse';
import { expect, test, type Page } from './test';
import { balance, isAccessible, log, makeBuild, startModification } from './helpers';

/** An inventory of a small house as a person keeps it: no zones, colours by everyday names. */
const LOTS = [
  ['brick 2x4', 'white', 24],
  ['brick 1x2', 'white', 40],
  ['brick 1x2', 'light grey', 30],
  ['plate 2x4', 'dark grey', 18],
  ['slope 45 2x2', 'dark red', 20],
] as const;
const BLOCK = `part\tcolour\tqty\n${LOTS.map((l) => l.join('\t')).join('\n')}\n`;
const SHIPPED = LOTS.reduce((s, [, , n]) => s + n, 0);

type Row = Record<string, string>;
async function csv(page: Page, file: string): Promise<Row[]> {
  const build = new URL(page.url()).pathname.split('/')[2];
  const text = await (await page.request.get(`/api/builds/${build}/files/${file}`)).text();
  return Papa.parse<Row>(text.trim(), { header: true }).data;
}
const sum = (rows: readonly Row[], column: string) =>
  Math.round(rows.reduce((s, r) => s + Number(r[column] ?? 0), 0) * 100) / 100;

test('by somebody who counts nothing: had, bought and to buy are told apart, and nothing is paid by accident', async ({
  page,
}) => {
  await makeBuild(page, 'Uncounted house', BLOCK);
  await startModification(page, 'A porch');
  const line = page.locator('#log-line');
  await line.fill('+6 fence 1x4 leek');
  const asked = page.getByRole('group', { name: 'What is in no books' });
  await expect(asked).toContainText('6 pieces in no tray, box or spares');
  await isAccessible(page);
  await asked.getByRole('button', { name: 'own, uncounted' }).click();
  await expect(asked).toBeHidden();
  await expect(line).toBeFocused();
  await log(page, '+6 fence 1x4 leek');
  await log(page, '+4 fence 1x4 leek bought 0.12');
  await log(page, '+3 fence 1x4 leek bought');
  await log(page, '+5 fence 1x4 leek buy');
  await log(page, '+2 fence 1x4 leek from "pier railway, 1996"');
  // 6 and 2 of their own, 4 at 12 pence and 3 at nobody knows what; 5 wait to be bought and are not on the model.
  await expect(balance(page)).toContainText(`= ${SHIPPED + 15}`);
  await expect(balance(page)).toContainText('£0.48');
  await expect(balance(page)).toContainText('3 bought without a price');
  const goes = page.getByRole('region', { name: 'M 01, what goes on' });
  await expect(goes).toContainText('20 pieces');
  await goes.getByRole('button', { name: '7 bought: the entries' }).click();
  await expect(page.getByRole('dialog')).toContainText('7 pieces, paid £0.48 + 3 without a price');
  await page.keyboard.press('Escape');
  const rows = await csv(page, 'worklog.csv');
  for (const [state, n] of [
    ['had', 8],
    ['bought', 7],
    ['ordered', 0],
    ['to buy', 5],
  ] as const)
    expect([state, sum(rows, state)]).toEqual([state, n]);
  expect([sum(rows, 'bought paid'), sum(rows, 'out of pocket')]).toEqual([0.48, 0.48]);
  // The order of sources is chosen for the build, and the line says it from then on.
  await page.getByRole('button', { name: /^else own, uncounted/ }).click();
  await page.getByRole('radio', { name: /to buy/ }).check();
  await isAccessible(page, '[role=dialog]');
  await page.keyboard.press('Escape');
  await log(page, '+3 fence 1x4 leek');
  await expect(balance(page)).toContainText(`= ${SHIPPED + 15}`);
  await expect(goes).toContainText('23 pieces');
});

test('a room of a house without zones is refitted: its own sum is right, and what came from which box is told', async ({
  page,
}) => {
  await makeBuild(page, 'Refitted', BLOCK);
  await page.keyboard.press('Control+k');
  await page.keyboard.type('Zones and phases');
  await page.keyboard.press('Enter');
  await page.getByLabel('New zone').fill('Kitchen');
  await page.getByLabel('New zone').press('Enter');
  await expect(page.getByLabel('Name of zone Kitchen')).toBeVisible();
  await page.keyboard.press('Escape');
  await startModification(page, 'Kitchen in wood');
  await log(page, '-8 brick 1x2 white @kitchen, +8 plate 1x2 bark own @kitchen');
  await log(page, '~5 brick 1x2 light grey > bark own @kitchen');
  await page.getByRole('button', { name: 'Kitchen', exact: true }).click();
  await expect(balance(page)).toContainText('− 8');
  await expect(balance(page)).toContainText('+ 8');
  await expect(balance(page)).toContainText('net 0');
  await expect(balance(page)).toContainText('from no zone');
  await page.getByRole('button', { name: 'All zones' }).click();
  await expect(balance(page)).toContainText(`= ${SHIPPED}`);
  const from = await csv(page, 'came-from.csv');
  expect(
    sum(
      from.filter((r) => r.from === 'own, uncounted'),
      'quantity',
    ),
  ).toBe(13);
  expect(
    sum(
      from.filter((r) => r.zone === 'Kitchen'),
      'quantity',
    ),
  ).toBe(13);
  expect(sum(from, 'quantity')).toBe(SHIPPED + 13);
  await page.getByRole('link', { name: 'Tally' }).click();
  const table = page.getByRole('region', { name: 'What came from which box' });
  await expect(table.getByRole('row', { name: /^Kitchen/ })).toContainText('13');
});

test('what was imported can be chosen again as a set, and a finished mod be kept as one', async ({
  page,
}) => {
  await makeBuild(page, 'Twice', BLOCK);
  await startModification(page, 'Taller');
  await log(page, '+10 brick 1x2 white own');
  await page.keyboard.press('Control+k');
  await page.keyboard.type('name, note');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Keep what stands as a set' }).click();
  await expect(page.getByText('Twice can be chosen as a set when you import.')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.goto('/import');
  await page.getByLabel('Find a set').fill('Twice');
  await page.getByRole('button', { name: 'Choose Twice' }).click();
  await page.getByLabel('Name of the build').fill('Twice again');
  await page.getByRole('button', { name: 'Agree and import it' }).click();
  await expect(balance(page)).toContainText(`= ${SHIPPED + 10}`);
});
