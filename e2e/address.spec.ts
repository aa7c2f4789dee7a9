import { readFileSync } from 'node:fs';
import { expect, test } from './test';
import { balance, log, openBuild } from './helpers';

test('what is opened stands in the address: a link opens it, Back and Forward go through it', async ({
  page,
}) => {
  await openBuild(page, /Lightkeeper's House/);
  const worklog = page.getByRole('region', { name: 'Worklog' });
  await worklog.getByRole('button', { name: /Even out the stonework/ }).click();
  await expect(page).toHaveURL(/modification=2/);
  await worklog.getByRole('button', { name: /Roof over the landing/ }).click();
  await expect(page).toHaveURL(/modification=9/);
  await page.goBack();
  await expect(worklog.getByRole('button', { name: /Even out the stonework/ })).toHaveAttribute(
    'aria-expanded',
    'true',
  );
  await page.goForward();
  await expect(worklog.getByRole('button', { name: /Roof over the landing/ })).toHaveAttribute(
    'aria-expanded',
    'true',
  );

  await page.getByRole('region', { name: 'Balance' }).getByRole('button', { name: /net/ }).click();
  await expect(page).toHaveURL(/figure=net/);
  const sheet = page.getByRole('dialog', { name: /Net piece change/ });
  await sheet.getByRole('listitem').filter({ hasText: 'brick 1x4' }).getByRole('button').first().click();
  await expect(sheet).toHaveCount(0);
  await expect(page).toHaveURL(/entry=\d+/);
  const no = new URL(page.url()).searchParams.get('entry')!;
  await expect(page.locator(`[data-entry="${no}"]`)).toBeFocused();

  await page.goto(page.url());
  await expect(page.locator(`[data-entry="${no}"]`)).toBeFocused();
  await page.goBack();
});

test('the worklog is searched, and what is found comes by a link', async ({ page }) => {
  await openBuild(page, /Lightkeeper's House/);
  await page.getByLabel('Find in the worklog').fill('placeholder dune');
  await expect(page).toHaveURL(/look=placeholder/);
  await page.reload();
  await expect(page.getByLabel('Find in the worklog')).toHaveValue('placeholder dune');
  await page.getByLabel('Find in the worklog').fill('no such thing anywhere');
  await expect(page.getByText('Nothing in the worklog has “no such thing anywhere” in it.')).toBeVisible();
});

test('what of stickers, of trays and of the growth is looked at comes by a link', async ({ page }) => {
  await openBuild(page, /Lightkeeper's House/);
  const build = new URL(page.url()).pathname;
  await page.getByRole('tab', { name: /^Spares/ }).click();
  await expect(page).toHaveURL(/tray=spares/);
  await page.reload();
  await expect(page.getByRole('tab', { name: /^Spares/ })).toHaveAttribute('aria-selected', 'true');
  await page.goto(`${build}/colour?part=stickers`);
  const stickers = page.getByRole('group', { name: 'Stickers' });
  await stickers.getByRole('button', { name: 'Sticker sheets' }).click();
  await expect(page).toHaveURL(/stickers=sheets/);
  await stickers.getByRole('button', { name: 'Cut stripes' }).click();
  await page.goBack();
  await expect(stickers.getByRole('button', { name: 'Sticker sheets' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.goto(`${build}/colour?part=stickers&stickers=nothing`);
  await expect(stickers.getByRole('button', { name: 'On parts' })).toHaveAttribute('aria-pressed', 'true');
});

test('rows are marked by a range and copied, and the log line takes them back', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await openBuild(page, /Lightkeeper's House/);
  const rows = page.getByRole('list', { name: /^Entries of/ }).getByRole('listitem');
  await rows.first().focus();
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Shift+Space');
  const marked = page.getByRole('toolbar', { name: 'Marked entries' });
  await expect(marked).toContainText('3 entries marked');
  await page.keyboard.press('Control+a');
  await expect(marked).toContainText(/\d entries marked/);
  await page.keyboard.press('Control+a');
  await rows.first().focus();
  await page.keyboard.press('Control+c');
  await expect(page.getByText('1 entry is on the clipboard.')).toBeVisible();
  const line = page.getByRole('combobox', { name: 'Log a change' });
  await line.focus();
  await page.keyboard.press('Control+v');
  await expect(line).toHaveValue(/^[-+~%]\d+ /);
});

test('an entry is dragged to another place in its modification', async ({ page }) => {
  await openBuild(page, /Lightkeeper's House/);
  const rows = page.getByRole('list', { name: /^Entries of/ }).getByRole('listitem');
  const numbers = () => rows.evaluateAll((all) => all.map((r) => r.getAttribute('data-entry')));
  const before = await numbers();
  const grip = rows.first().getByTitle('Drag to another place');
  const [from, to] = [(await grip.boundingBox())!, (await rows.nth(2).boundingBox())!];
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2, from.y + 20, { steps: 4 });
  await page.mouse.move(from.x + from.width / 2, to.y + to.height / 2 + 4, { steps: 8 });
  await page.mouse.up();
  await expect.poll(numbers).toEqual([before[1], before[2], before[0], ...before.slice(3)]);
  await page
    .getByText('Done: move entry')
    .getByRole('button', { name: 'Undo' })
    .or(page.getByRole('button', { name: 'Undo', exact: true }))
    .first()
    .click();
  await expect.poll(numbers).toEqual(before);
});

test('whatever is done says so with its undo', async ({ page }) => {
  await openBuild(page, /Lightkeeper's House/);
  const before = await balance(page).innerText();
  await log(page, '+1 brick 1x2 ash');
  await expect(page.getByText(/Done: log \+1 brick 1x2 ash/)).toBeVisible();
  await page.getByRole('status').getByRole('button', { name: 'Undo', exact: true }).click();
  await expect.poll(() => balance(page).innerText()).toBe(before);
});

test('a build is deleted, and had back from the list of builds', async ({ page }) => {
  await page.goto('/builds');
  await page
    .getByRole('button', { name: 'Delete Lightkeeper’s garden…' })
    .or(page.getByRole('button', { name: /Delete Lightkeeper.s garden/ }))
    .first()
    .click();
  const sheet = page.getByRole('dialog', { name: /Delete Lightkeeper/ });
  await expect(sheet).toContainText(/(entry goes|entries go) with it\./);
  await sheet.getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(page.getByText('The build was deleted.')).toBeVisible();
  await expect(page.getByRole('heading', { name: /garden/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('heading', { name: /garden/ })).toBeVisible();
});

test('a price is added, set and deleted, each with its undo', async ({ page }) => {
  await page.goto('/prices');
  await page.getByLabel('Part and colour').fill('brick 2x12 gentian');
  await page.getByLabel(/^New,/).fill('0.42');
  await page.getByRole('button', { name: 'Add the price' }).click();
  await page.getByLabel('Find a price').fill('2x12 gentian');
  const field = page.getByLabel('New price of brick 2x12 gentian');
  await expect(field).toHaveValue('0.42');
  await page.getByRole('button', { name: 'Delete the price of brick 2x12 gentian' }).click();
  await expect(field).toHaveCount(0);
  await page.getByRole('status').getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(field).toHaveValue('0.42');
});

test('a list prints on its own page, with its files beside it', async ({ page }) => {
  await openBuild(page, /Lightkeeper's House/);
  await page.getByRole('button', { name: 'Files and prints' }).click();
  await page.getByRole('link', { name: 'Pick list, to print' }).click();
  await expect(page.getByRole('heading', { name: /Pick list: Lightkeeper/ })).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  const fits = await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth);
  expect(fits).toBe(true);
});

test('a picture of a view is saved whole, and the list of commands is not in it', async ({ page }) => {
  const faults: string[] = [];
  page.on('console', (m) => m.type() === 'error' && faults.push(m.text()));
  await openBuild(page, /Lightkeeper's House/);
  await page.getByRole('link', { name: 'Tally', exact: true }).click();
  await page.getByRole('tab', { name: 'Charts' }).click();
  await expect(page.getByRole('img', { name: /pieces on the model/ })).toBeVisible();
  await page.keyboard.press('Control+k');
  await page.keyboard.type('picture of this view');
  const download = page.waitForEvent('download');
  await page.keyboard.press('Enter');
  const file = readFileSync(await (await download).path());
  expect([...file.subarray(1, 4)].map((b) => String.fromCharCode(b)).join('')).toBe('PNG');
  // Its width in dots, twice the page's: a sheet over it would be narrower.
  expect(file.readUInt32BE(16)).toBe(2 * page.viewportSize()!.width);
  expect(faults).toEqual([]);
});
