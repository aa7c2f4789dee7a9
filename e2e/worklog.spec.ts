import { expect, test } from './test';
import { balance, BLOCK, isAccessible, log, makeBuild, startModification, storedFirst } from './helpers';

test.beforeEach(async ({ page }, info) => {
  await makeBuild(page, `Bench of ${info.title.slice(0, 40)}`, BLOCK);
  await startModification(page, 'First');
});

test('planned entries are placed in part, edited, reordered, deleted, and all of it undone', async ({
  page,
}) => {
  await log(page, '+46 tile 1x2 bark plan at 0.04');
  await expect(balance(page)).toContainText('+ 0');
  await page.getByRole('button', { name: 'More for entry 1' }).click();
  await page.getByRole('menuitem', { name: 'Placed in part…' }).click();
  await page.getByLabel('Pieces placed').fill('31');
  await page.getByRole('button', { name: 'Placed', exact: true }).click();
  await expect(balance(page)).toContainText('+ 31');
  await expect(page.getByText('31 of 46 placed').first()).toBeVisible();
  await log(page, '-2 plate 2x3 chalk @porch');
  const row = page.locator('[data-entry="3"]');
  await row.focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('#log-line')).toHaveValue(/^-2 plate 2x3 chalk/);
  await page.locator('#log-line').fill('-5 plate 2x3 chalk @porch #gap');
  await page.keyboard.press('Enter');
  await expect(balance(page)).toContainText('− 5');
  await row.focus();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(
    page
      .getByRole('list', { name: /Entries of/ })
      .getByRole('listitem')
      .nth(1),
  ).toContainText('plate 2x3 chalk');
  await row.focus();
  await page.keyboard.press('Space');
  await page.getByRole('toolbar', { name: 'Marked entries' }).getByRole('button', { name: 'Delete' }).click();
  await expect(balance(page)).toContainText('− 0');
  for (const shown of ['− 5', '− 5', '− 2']) {
    await page.keyboard.press('Control+z');
    await expect(balance(page)).toContainText(shown);
  }
});

test('a figure opens into the entries it was made from', async ({ page }) => {
  await log(page, '-3 plate 2x3 chalk @porch; -4 brick 1x2 ash @porch');
  await balance(page).getByRole('button', { name: '− 7' }).click();
  const sheet = page.getByRole('dialog');
  await expect(sheet).toContainText('7, from 2 entries');
  await expect(sheet.getByRole('listitem')).toHaveCount(2);
  await page.keyboard.press('Escape');
});

test('what-ifs are worked on, compared side by side, adopted and dropped', async ({ page }) => {
  for (const name of ['In bark', 'In slate']) {
    await page.getByLabel('View of the books').selectOption('compare');
    await page.getByLabel(/A new what-if/).fill(name);
    await page.getByRole('button', { name: 'Start it' }).click();
    await log(page, `~${name === 'In bark' ? 4 : 6} arch 1x4 ash > ${name.slice(3)} @gallery at 0.30`);
  }
  await page.getByLabel('View of the books').selectOption('compare');
  const sheet = page.getByRole('dialog');
  await expect(sheet.getByRole('row', { name: /Recoloured/ })).toHaveText(/Recoloured\s*0\s*4\s*6/);
  await expect(sheet.getByRole('row', { name: /Out of pocket/ })).toContainText('£1.80');
  await sheet.getByRole('button', { name: 'Adopt' }).nth(1).click();
  await expect(sheet.getByRole('row', { name: /Recoloured/ })).toHaveText(/Recoloured\s*6\s*10/);
  await sheet.getByRole('button', { name: 'Delete' }).click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('v');
  await page.getByLabel('View of the books').selectOption('planned');
  await expect(balance(page)).toContainText('6 recoloured');
});

test('orders: money is spent when placed, the pieces wait, and come onto the model', async ({ page }) => {
  await log(page, '+10 tile 1x2 bark plan at 0.04');
  await page.getByRole('button', { name: 'Order these…' }).click();
  await page.getByLabel('Seller').fill('Someone');
  await page.getByLabel('Postage').fill('1.79');
  await page.getByLabel('Fees').fill('0.20');
  // What was really paid for each, and when; on which day it comes nobody said.
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('10 pieces, £2.39 with postage and fees');
  await page.getByLabel('Price of one tile 1x2 bark').fill('0.07');
  await expect(dialog).toContainText('£2.69 with postage and fees');
  await page.getByLabel('Ordered on').fill('2026-11-02');
  await isAccessible(page);
  await page.getByRole('button', { name: 'Order', exact: true }).click();
  await expect(balance(page)).toContainText('£2.69');
  await page.locator('[data-entry="1"]').focus();
  await page.keyboard.press('d');
  await expect(balance(page)).toContainText('+ 10');
  await expect(balance(page)).toContainText('£2.69');
});

test('zones, phases and modifications are added and renamed; commands are found by name', async ({
  page,
}) => {
  // The line has the focus, and takes letters as letters.
  await page.keyboard.press('Escape');
  await page.keyboard.press('z');
  await page.getByLabel('New zone').fill('Roof');
  await page.getByLabel('New zone').press('Enter');
  await page.getByLabel('Name of zone Roof').fill('Roof ridge');
  await page.getByLabel('Name of zone Roof').press('Enter');
  await page.getByLabel('New phase').fill('Later');
  await page.getByLabel('New phase').press('Enter');
  await expect(page.getByLabel('Name of phase Later')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+k');
  await page.keyboard.type('new modif');
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'Title' }).fill('Second');
  await page
    .getByRole('dialog')
    .getByRole('combobox', { name: 'Zone' })
    .selectOption({ label: 'Roof ridge' });
  await page.getByRole('dialog').getByRole('combobox', { name: 'Phase' }).selectOption({ label: 'Later' });
  await page.getByLabel('Note').fill('later on');
  await page.getByRole('button', { name: 'Start it' }).click();
  await expect(page.getByText('Roof ridge · Later')).toBeVisible();
  await expect(page.locator('#log-line')).toBeFocused();
  await page.keyboard.press('Escape');
  await page.keyboard.press('k');
  await page.keyboard.press('F1');
  await expect(page.getByRole('dialog', { name: 'Keys and the log line' })).toBeVisible();
});

test('the line says what is in the way, and offers what would do', async ({ page }) => {
  await page.locator('#log-line').fill('-2 arch 1x4 ash @porch');
  await expect(page.getByText('No arch 1x4 ash is in Porch. Elsewhere: 12 in Gallery.')).toBeVisible();
  await page.locator('#log-line').fill('+2 brick 1x2 puce');
  await expect(page.getByText(/is not in the palette/)).toBeVisible();
  await page.locator('#log-line').fill('2 plates');
  await expect(page.getByText(/does not begin a change/)).toBeVisible();
  await page.locator('#log-line').fill('+2 tile 1x2 clear-s');
  await page.getByRole('button', { name: 'tile 1x2 clear-sky' }).click();
  await expect(page.locator('#log-line')).toHaveValue('+2 tile 1x2 clear-sky');
});

test('of many modifications those in sight are drawn as the bench opens, and the one that is open is among them', async ({
  page,
}) => {
  const build = new URL(page.url()).pathname.split('/')[2]!;
  const { entry, modification } = await storedFirst(page);
  const steps = Array.from({ length: 40 }, (_, i) => ({
    ...modification,
    id: crypto.randomUUID(),
    no: i + 2,
    position: i + 2,
    title: `Step ${i + 2}`,
  }));
  // The last is longer than the window.
  const unpacked = entry as { movements: { to: string }[] };
  const [first] = unpacked.movements;
  const entries = Array.from({ length: 40 }, (_, i) => ({
    ...unpacked,
    id: crypto.randomUUID(),
    kind: 'add',
    no: i + 10,
    position: i + 10,
    modification: steps.at(-1)!.id,
    movements: [{ ...first, qty: 1, from: 'outside', to: first!.to }],
  }));
  const added = [
    ...steps.map((record) => ({ type: 'modification', record })),
    ...entries.map((record) => ({ type: 'entry', record })),
  ];
  const said = await page.request.post('/api/actions', {
    data: {
      id: crypto.randomUUID(),
      scope: build,
      label: 'steps',
      diff: { added, changed: [], removed: [] },
    },
  });
  expect(await said.text()).toMatch(/^\{"ok":true/);
  await page.goto(`/builds/${build}`);
  await expect(page.getByText('Step 41').first()).toBeInViewport();
  await expect(page.getByText('0 out · 40 in')).toBeInViewport();
});
