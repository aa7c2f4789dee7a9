import { readFileSync } from 'node:fs';
import { expect, test, type Page } from './test';
import { BLOCK, chooseTab, isAccessible, log, makeBuild, openBuild, startModification } from './helpers';

const headline = (page: Page) => page.getByRole('heading', { level: 1 });

async function openTally(page: Page, tab: string): Promise<void> {
  await page.getByRole('link', { name: 'Tally', exact: true }).click();
  await expect(page).toHaveURL(/\/tally/);
  await chooseTab(page.getByRole('tablist', { name: 'Tally' }), tab);
}

async function saved(page: Page, button: string): Promise<Buffer> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: button, exact: true }).click(),
  ]);
  return readFileSync((await download.path())!);
}

test('a mod of one’s own set is told in stages, zone by zone, and by where it came from', async ({
  page,
}) => {
  await makeBuild(page, 'Told', BLOCK);
  await startModification(page, 'Warmer stone');
  await log(page, '~10 brick 1x2 ash > dune @porch');
  await log(page, '-4 plate 2x3 chalk @porch');
  await openTally(page, 'Stages');
  await expect(headline(page)).toHaveText('Name the moments that the mod is told by.');
  const name = page.getByLabel('A stage');
  await name.fill('As it came');
  await page.getByLabel('It is the moment').selectOption('shipped');
  await page.getByRole('button', { name: 'Name it' }).click();
  await name.fill('Warm');
  await page.getByLabel('It is the moment').selectOption('now');
  await page.getByRole('button', { name: 'Name it' }).click();
  await expect(headline(page)).toHaveText('2 stages: As it came beside Warm');
  const columns = page.getByRole('region', { name: 'Stages beside each other' });
  await expect(columns.getByRole('row', { name: /^on the model/ })).toContainText('112108');
  await expect(columns.getByRole('row', { name: /^recoloured/ })).toContainText('010');
  await expect(page.getByRole('region', { name: 'What came and went' })).toContainText(
    '14 pieces of 2 kinds went',
  );
  const axis = page.getByRole('slider', { name: 'How far the log has come' });
  await axis.press('Home');
  await expect(page.getByRole('region', { name: 'Line by line' })).toContainText('112 on the model, net 0');
  await axis.press('End');
  await expect(page.getByRole('region', { name: 'Line by line' })).toContainText('108 on the model, net −4');
  await isAccessible(page);

  await openTally(page, 'Tour');
  await expect(headline(page)).toHaveText('1 of 2 zones are changed, as built.');
  await page.getByLabel('What Porch was').fill('cold');
  await page.getByLabel('What Porch was').press('Tab');
  await isAccessible(page);
  await openTally(page, 'From which');
  await expect(headline(page)).toHaveText('122 pieces went in, 92 % from its boxes.');
  await isAccessible(page);
  await openTally(page, 'Left over');
  await expect(headline(page)).toContainText('14 pieces of 2 kinds left over');
  await isAccessible(page);
  await openTally(page, 'Both standing');
  await expect(headline(page)).toContainText('98 pieces of 112 lack a double');
  await isAccessible(page);

  await openTally(page, 'Mod sheet');
  const sheet = page.getByRole('article', { name: 'The sheet' });
  await expect(sheet).toContainText('Before: cold');
  await expect(sheet).toContainText('10 brick 1x2 ash off');
  await expect(sheet).not.toContainText('£');
  await page.getByRole('checkbox', { name: 'prices', exact: true }).check();
  await expect(sheet).toContainText('out of pocket');
  await page.getByRole('checkbox', { name: 'prices', exact: true }).uncheck();
  await isAccessible(page);
  const html = (await saved(page, 'Save as HTML')).toString();
  expect(html).toContain('Before: cold');
  expect(html).not.toContain('£');
  expect(html).toContain('"schema":"evarn-patch/1"');
  expect((await saved(page, 'Save as PDF')).subarray(0, 5).toString()).toBe('%PDF-');
  await page.getByLabel('For somebody who').selectOption('all bought');
  const csv = (await saved(page, 'CSV')).toString();
  const sum = csv
    .trim()
    .split('\n')
    .slice(1)
    .reduce((n, line) => n + Number(line.split(',')[3]), 0);
  expect(sum).toBe(108);
  expect((await saved(page, 'XLSX')).subarray(0, 2).toString()).toBe('PK');
});

test('a patch goes to another copy, is planned there, and what does not fit says what would do', async ({
  page,
}) => {
  await makeBuild(page, 'Giver', BLOCK);
  await startModification(page, 'Warmer stone');
  await log(page, '~10 brick 1x2 ash > dune @porch');
  await log(page, '+3 arch 1x4 dune @gallery');
  await openTally(page, 'Patch');
  await expect(headline(page)).toHaveText('2 lines: 10 pieces off, 13 on.');
  const file = await saved(page, 'Save the patch');
  // The other copy lacks most of the bricks, and has some of another colour.
  const poor = BLOCK.replace(
    'brick 1x2\tash\t60\tPorch',
    'brick 1x2\tash\t4\tPorch\nbrick 1x2\tdove\t20\tPorch',
  );
  await makeBuild(page, 'Taker', poor);
  await openTally(page, 'Patch');
  const choose = page.getByLabel('A patch or a mod file');
  const give = (name: string, buffer: Buffer) =>
    choose.setInputFiles({ name, mimeType: 'application/json', buffer });
  await give('old.json', Buffer.from('{"schema":"evarn-patch/7"}'));
  await expect(page.getByText(/saved by a newer Evarn \(evarn-patch\/7\)/)).toBeVisible();
  await give('bad.json', Buffer.from('<script>alert(1)</script>'));
  await expect(page.getByText(/That file is not JSON/)).toBeVisible();
  await give('giver-patch.json', file);
  const trial = page.getByRole('region', { name: 'The patch Giver' });
  await expect(trial).toContainText('1 of 2 lines fit; ▲ 1 does not fit');
  await expect(trial).toContainText('only 4 of 10 brick 1x2 ash is there; 20 brick 1x2 dove instead');
  await isAccessible(page);
  await trial.getByLabel('What of line 1').selectOption('use what is there');
  await expect(trial).toContainText('2 of 2 lines fit.');
  await trial.getByRole('button', { name: 'Plan the 2 that fit' }).click();
  await expect(trial).toContainText('0 of 2 lines fit, 2 have been done already');
  await page.getByRole('button', { name: 'as built', exact: true }).click();
  await page.getByRole('button', { name: /Bring this mod back/ }).click();
  await expect(page.getByRole('region', { name: 'The patch Back: Taker' })).toContainText('lines fit');
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Warmer stone' }).first()).toBeVisible();
});

test('a patch is kept as what a build is to become, and a storey goes to another build and back', async ({
  page,
}) => {
  await makeBuild(page, 'Mill', BLOCK);
  await startModification(page, 'Warmer stone');
  await log(page, '+3 arch 1x4 dune @gallery');
  await openTally(page, 'Patch');
  const file = await saved(page, 'Save the patch');
  await makeBuild(page, 'Barn', BLOCK);
  await openTally(page, 'Patch');
  await page
    .getByLabel('A patch or a mod file')
    .setInputFiles({ name: 'mill.json', mimeType: 'application/json', buffer: file });
  await page.getByRole('button', { name: 'Keep it as what this build is to become' }).click();
  const become = page.getByRole('region', { name: 'To become' });
  await become.getByText(/Mill, revision 1: 112 of 115 pieces there, 3 lack/).click();
  await become.getByLabel('A fault in it, at step').fill('Gallery');
  await become.getByLabel('what is wrong').fill('one arch too many');
  await become.getByRole('button', { name: /Note it for/ }).click();
  await expect(become.getByText('one arch too many')).toBeVisible();
  await isAccessible(page);

  await openTally(page, 'Together');
  const storeys = page.getByRole('region', { name: 'Storeys' });
  await storeys.getByLabel('Move what stands in').selectOption({ label: 'Gallery' });
  await storeys.getByLabel('to the build').selectOption({ label: 'Mill' });
  await storeys.getByRole('button', { name: 'Move it' }).click();
  await expect(storeys).toContainText('It stands there now');
  await openTally(page, 'Sums');
  await expect(headline(page)).toContainText('100 pieces on the model');
  await page.getByRole('button', { name: /^Undo: move Gallery/ }).click();
  await expect(headline(page)).toContainText('112 pieces on the model');

  await openTally(page, 'Together');
  const street = page.getByRole('region', { name: 'A street' });
  await street.getByRole('button', { name: 'Another street' }).click();
  await street.getByLabel('A build').selectOption({ label: 'Barn' });
  await street.getByRole('button', { name: 'Put it on the table' }).click();
  await expect(headline(page)).toContainText('1 build, 112 pieces');
  await expect(street).toContainText('Of no known size, under Fit: Barn');
  await isAccessible(page);
});

test('the house tells itself by photos that lie over each other', async ({ page }) => {
  await openBuild(page, /Lightkeeper's House/);
  await openTally(page, 'Stages');
  const photos = page.getByRole('region', { name: 'Photos over each other' });
  await expect(photos.getByRole('img', { name: 'Fully dressed: the photo above' })).toBeVisible();
  const slider = photos.getByRole('slider');
  await slider.press('Home');
  await expect(slider).toHaveAttribute('aria-valuetext', '0 % As shipped, 100 % Fully dressed');
  await photos.getByText('Lay them alike').click();
  await photos.getByRole('button', { name: 'No points' }).first().click();
  await expect(photos.getByRole('button', { name: 'As shipped: mark point 1' })).toBeVisible();
  await photos
    .getByRole('button', { name: 'As shipped: mark point 1' })
    .click({ position: { x: 20, y: 30 } });
  await expect(photos.getByRole('button', { name: 'As shipped: mark point 2' })).toBeVisible();
  await page.setViewportSize({ width: 390, height: 780 });
  await isAccessible(page);
});
