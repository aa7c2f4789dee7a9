import { expect, test } from './test';
import { balance, chooseTab, isAccessible, log, makeBuild, openParts, startModification } from './helpers';

/** A box as a person copies it out of a list, in everyday colours. */
const LOTS = [
  ['brick 1x4', 'white', 16],
  ['brick 1x2', 'white', 20],
  ['plate 2x4', 'light grey', 12],
  ['tile 1x2', 'dark grey', 9],
] as const;
const BLOCK = `part\tcolour\tqty\n${LOTS.map((l) => l.join('\t')).join('\n')}\n`;
const ALL = LOTS.reduce((s, [, , n]) => s + n, 0);

test('an order of one’s own: fees, a part of it, a claim that is refunded, and what the seller is known for', async ({
  page,
}) => {
  await makeBuild(page, 'Ordered by hand', BLOCK);
  await startModification(page, 'A fence');
  await log(page, '+10 fence 1x4 white buy at 0.20');
  await page.getByRole('button', { name: 'Order these…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Seller').fill('Aunt Hester');
  await dialog.getByLabel('Postage').fill('2.00');
  await dialog.getByLabel('Fees').fill('0.50');
  await dialog.getByLabel('Ordered on').fill('2026-11-02');
  await dialog.getByLabel('Expected, if known').fill('2026-11-09');
  await dialog.getByRole('button', { name: 'Order', exact: true }).click();
  // Ten at 20 pence, postage and fees.
  await expect(balance(page)).toContainText('£4.50');
  await openParts(page, 'Orders');
  const orders = page.getByRole('region', { name: 'Orders' });
  await expect(orders).toContainText(/1 of 1 order is open; 0 here to receive, 1 late/);
  await expect(orders).toContainText(/days late: was due 2026-11-09/);
  await expect(orders).not.toContainText('simulated');
  await orders.getByRole('button', { name: 'Cancel, and buy elsewhere…' }).click();
  await expect(orders).toContainText('10 pieces would have to be bought again');
  await orders.getByRole('button', { name: 'Not now' }).click();
  await isAccessible(page);
  // Six came, and the rest is on its way; then two are wrong.
  const receive = async (came: string, others: RegExp) => {
    await orders.getByRole('button', { name: 'It came today' }).click();
    await orders.getByLabel(/good ones that came/).fill(came);
    const fate = orders.getByLabel(/: the others/);
    const option = await fate.getByRole('option', { name: others }).getAttribute('value');
    await fate.selectOption(option);
    await orders.getByRole('button', { name: 'To the spares' }).click();
  };
  await receive('6', /still to come/);
  await expect(orders).toContainText('4 pieces awaited');
  await receive('2', /wrong: claim/);
  await expect(orders).toContainText('1 claim is open, 0 of them asked.');
  const claim = orders.getByRole('group', { name: /^Claim about 2 fence/ });
  await claim.getByRole('button', { name: 'Asked today' }).click();
  await claim.getByLabel('Answered').fill('sorry');
  await claim.getByLabel('Answered').blur();
  await expect(claim.getByLabel('Refund')).toHaveValue('0.40');
  await isAccessible(page);
  await claim.getByRole('button', { name: 'Refunded' }).click();
  await expect(orders).toContainText('No claim is open.');
  await expect(orders).toContainText('£0.40 refunded · “sorry”');
  await expect(orders).toContainText('£2.00 postage, £0.50 fees, £0.40 refunded');
  // What was spent is less by that, and two are to be bought again: he who sells them is known by now.
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await expect(balance(page)).toContainText('£4.10');
  await page.getByRole('button', { name: 'Order these…' }).click();
  await dialog.getByLabel('Seller').fill('aunt hester');
  await expect(dialog).toContainText(
    /From your own orders: 0 of 1 parcel came by its day, the latest \d+ days after; of 10 pieces 2 wrong\./,
  );
});

test('a box that is broken up: its parts are seen and taken by its name, and what is left is counted', async ({
  page,
}) => {
  await makeBuild(page, 'From a box', BLOCK);
  const url = page.url();
  const build = new URL(url).pathname.split('/')[2];
  await page.goto(`/import?build=${build}`);
  await page.locator('textarea').fill(BLOCK);
  await page.getByRole('button', { name: 'Read the block' }).click();
  await page.getByRole('button', { name: 'Use these rows' }).click();
  await page.getByLabel(/What it is for|It is/).selectOption('donor');
  await page.getByRole('button', { name: 'Agree and import it' }).click();
  await expect(balance(page)).toBeVisible();
  const places = page.getByRole('tablist', { name: 'Where parts are' });
  await expect(places.getByRole('tab')).toHaveCount(4);
  await places.getByRole('tab').nth(2).click();
  const name = (await places.getByRole('tab').nth(2).getAttribute('title')) ?? '';
  const box = page.getByRole('region', { name, exact: true });
  await expect(box).toContainText(`${ALL} pieces of ${LOTS.length} kinds`);
  await isAccessible(page);
  await startModification(page, 'Bigger');
  await box.getByRole('button', { name: /^9 tile 1x2/ }).click();
  await page.getByRole('dialog').getByLabel('How many').fill('3');
  await expect(page.getByRole('dialog').locator('code')).toContainText(`from "${name}"`);
  await page.getByRole('dialog').getByRole('button', { name: 'Log it' }).click();
  await expect(balance(page)).toContainText(`= ${ALL + 3}`);
  await expect(box).toContainText(`${ALL - 3} pieces`);
  // The rest of the box goes on but for what is left of it.
  await box.getByRole('button', { name: 'Count what is left…' }).click();
  await page
    .getByRole('dialog')
    .getByLabel(/^Left of brick 1x4/)
    .fill('6');
  await page
    .getByRole('dialog')
    .getByLabel(/^Left of plate 2x4/)
    .fill('13');
  await expect(page.getByRole('alert')).toContainText('13 plate 2x4');
  await page
    .getByRole('dialog')
    .getByLabel(/^Left of plate 2x4/)
    .fill('12');
  const used = ALL - 3 - 6 - 12;
  await expect(page.getByRole('dialog')).toContainText(
    `${ALL - 3} pieces in the boxes − 18 left = ${used} on the model`,
  );
  await isAccessible(page, '[role=dialog]');
  await page
    .getByRole('dialog')
    .getByRole('button', { name: `Put ${used} pieces on` })
    .click();
  await expect(balance(page)).toContainText(`= ${ALL + 3 + used}`);
  await expect(box).toContainText('18 pieces');
});

test('the same act is the same figure, however it is typed; a slip of the finger makes no part; all is done again', async ({
  page,
}) => {
  await makeBuild(page, 'Same act', BLOCK);
  await startModification(page, 'Front');
  await log(page, '-2 brick 1x2 white, +2 brick 1x2 dark red own');
  await log(page, '-3 brick 1x2 white / +3 brick 1x2 dark red own');
  await log(page, '~4 brick 1x2 white > dark red own');
  await expect(balance(page)).toContainText('9 recoloured');
  await expect(balance(page)).toContainText('net 0');
  const line = page.locator('#log-line');
  await line.fill('+2 brick 1x2 wihte white own');
  await expect(page.getByText('“wihte” is not known. Is it part of the name?')).toBeVisible();
  await page
    .getByRole('button', { name: /^brick 1x2 /, exact: false })
    .first()
    .click();
  await expect(line).toHaveValue(/^\+2 brick 1x2 \S+ own$/);
  await page.keyboard.press('Enter');
  await expect(balance(page)).toContainText('+ 2');
  // One unpriced after another is priced under one key.
  await page.keyboard.press('Escape');
  await page.keyboard.press('u');
  const unpriced = page.getByRole('dialog');
  await expect(unpriced).toContainText('1 box and 9 pieces of 1 kind without a price');
  await isAccessible(page, '[role=dialog]');
  for (const field of await unpriced.getByRole('textbox').all()) await field.fill('0.10');
  await unpriced.getByRole('button', { name: 'Give 2 of them a price' }).click();
  await expect(unpriced).toBeHidden();
  await expect(balance(page)).not.toContainText('without a price');
  // All of it once more.
  await page.locator('[data-entry="4"]').focus();
  await page.keyboard.press('r');
  await expect(page.getByRole('dialog', { name: 'The same again' })).toContainText('1 entry.');
  await page.getByLabel('How often').fill('3');
  await page.getByRole('button', { name: 'Do it again' }).click();
  await expect(balance(page)).toContainText('+ 8');
});

test('what is roughly known is at hand for a plan, and is counted first', async ({ page }) => {
  await page.goto('/own-parts?part=roughly');
  await page.getByRole('textbox', { name: 'Colour', exact: true }).fill('kelp');
  const cell = page.getByRole('button', { name: 'Bricks in Kelp: nothing said' });
  await cell.click();
  await expect(page.getByRole('button', { name: 'Bricks in Kelp: plenty' })).toBeVisible();
  await page.getByRole('button', { name: 'Bricks in Kelp: plenty' }).click();
  await expect(page.getByRole('button', { name: 'Bricks in Kelp: some' })).toBeVisible();
  await isAccessible(page);
  await chooseTab(page.getByRole('tablist', { name: 'Own parts' }), 'By colour');
  await expect(page.getByRole('table', { name: 'Own parts by colour' })).toBeVisible();
  await page.getByRole('button', { name: 'worth' }).first().click();
  await expect(page.getByRole('columnheader', { name: 'worth' }).first()).toHaveAttribute(
    'aria-sort',
    'descending',
  );
  await isAccessible(page);
  const file = await (await page.request.get('/api/stock/files/by-colour.csv')).text();
  expect(file.split('\r\n')[0]).toBe('colour,pieces,kinds,worth,pieces without a price');
  await makeBuild(page, 'Roughly', 'part\tcolour\tqty\nbrick 1x10\tsoot\t20\n');
  await page.getByRole('link', { name: 'Colour', exact: true }).click();
  await chooseTab(page.getByRole('tablist', { name: 'Colour' }), 'Recolour');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Choose what is to become what');
  await page.getByLabel(/Soot/i).first().selectOption('kelp');
  // Of twenty, twelve are “some”: eight remain to be bought.
  await expect(page.getByText(/12 own and uncounted/)).toBeVisible();
  await page.keyboard.press('p');
  await openParts(page);
  await expect(page.getByRole('heading', { name: 'Count these first' })).toBeVisible();
  await expect(page.getByText(/12 brick 1x10 kelp: you said “some”/)).toBeVisible();
});
