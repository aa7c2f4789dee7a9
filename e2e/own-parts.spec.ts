import { expect, test } from './test';
import { chooseTab, isAccessible, log, makeBuild, openBuild, openParts, startModification } from './helpers';

test('parts are added, found, moved, merged, lent and had back; undo takes it back', async ({ page }) => {
  test.slow();
  await page.goto('/');
  for (const name of ['Prices', 'Own parts']) {
    await page.getByRole('link', { name, exact: true }).click();
    await expect(page).toHaveTitle(new RegExp(name));
  }
  for (const name of ['Y1', 'Y2']) {
    await page.getByLabel('Name of a new tray').fill(name);
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.getByRole('button', { name: new RegExp(`^${name}`) })).toBeVisible();
  }
  await page.getByRole('button', { name: /^Y1/ }).click();
  await page.getByLabel('How many of what').fill('9 brick 6x6 plum');
  await expect(page.getByRole('form', { name: 'Add parts' })).toContainText('9 brick 6x6 plum, used');
  await page.getByLabel('How many of what').press('Enter');
  await expect(page.getByRole('button', { name: /^Y1/ })).toContainText('9');
  await page.getByLabel('How many of what').fill('9 brick 6x6');
  await expect(page.getByText('Say in which colour')).toBeVisible();
  await page.getByLabel('Find one of your own parts').fill('6 x 6 plu');
  await page.getByRole('button', { name: /brick 6x6 plum/ }).click();
  await expect(page.getByRole('heading', { name: '9 pieces chosen' })).toBeVisible();
  await isAccessible(page);
  await page.getByLabel('Pieces of brick 6x6 plum used').fill('5');
  await page.getByRole('combobox', { name: 'Move to tray' }).selectOption({ label: 'Y2 ' });
  await page.getByRole('button', { name: 'Move: Move to tray' }).click();
  await expect(page.getByRole('button', { name: /^Y2/ })).toContainText('5');
  await page.getByRole('button', { name: /brick 6x6 plum/ }).click();
  await page.getByLabel('To whom, why, or a name').fill('Finch');
  await page.getByRole('button', { name: 'Lend' }).click();
  await expect(page.getByRole('button', { name: /^Y1/ })).toContainText('0');
  await page.keyboard.press('Alt+3');
  const loan = page.getByRole('listitem').filter({ hasText: 'Finch' });
  await expect(loan).toBeVisible();
  await isAccessible(page);
  await loan.getByLabel('Into tray').selectOption({ label: 'Y2' });
  await loan.getByRole('button', { name: 'Have it back' }).click();
  await expect(loan).toBeHidden();
  await page.keyboard.press('Alt+1');
  await expect(page.getByRole('button', { name: /^Y2/ })).toContainText('9');
  await page.getByRole('button', { name: /^Y2/ }).click();
  // The keys of a list choose, and agree to nothing.
  await page.getByRole('combobox', { name: 'Merge this tray into' }).focus();
  await page.keyboard.press('ArrowDown');
  await page.waitForTimeout(300);
  await expect(page.getByRole('combobox', { name: 'Merge this tray into' })).toBeVisible();
  await page.getByRole('combobox', { name: 'Merge this tray into' }).selectOption({ label: 'Y1' });
  await page.getByRole('button', { name: 'Merge: Merge this tray into' }).click();
  await expect(page.getByRole('button', { name: /^Y2/ })).toBeHidden();
  await page.getByRole('button', { name: /^Undo: merge Y2 into Y1/ }).click();
  await expect(page.getByRole('button', { name: /^Y2/ })).toContainText('9');
});

test('two builds want the same parts: the one that comes first has them', async ({ page }) => {
  test.slow();
  await page.goto('/own-parts');
  await page.getByLabel('Name of a new tray').fill('W1');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('button', { name: /^W1/ }).click();
  await page.getByLabel('How many of what').fill('8 brick 6x6 heather');
  await page.getByLabel('How many of what').press('Enter');
  await expect(page.getByRole('button', { name: /^W1/ })).toContainText('8');
  for (const name of ['Elder', 'Younger']) {
    await makeBuild(page, name, 'part\tcolour\tqty\tzone\nbrick 1x2\tash\t6\tWall\n');
    await startModification(page, 'A cornice');
    await log(page, '+4 brick 6x6 heather plan');
  }
  // Both had enough when they were planned; then three are lent.
  await page.goto('/own-parts');
  await page.getByLabel('Find one of your own parts').fill('6x6 heather');
  await page.getByRole('button', { name: /brick 6x6 heather/ }).click();
  await page.getByLabel('Pieces of brick 6x6 heather used').fill('3');
  await page.getByLabel('To whom, why, or a name').fill('Wren');
  await page.getByRole('button', { name: 'Lend' }).click();
  await expect(page.getByRole('button', { name: /^W1/ })).toContainText('5');
  await chooseTab(page.getByRole('tablist', { name: 'Own parts' }), 'Asked for by builds');
  const wanted = page.getByRole('region', { name: 'Asked for from own parts' });
  const slab = wanted.getByRole('listitem').filter({ hasText: 'brick 6x6 heather' }).first();
  await expect(slab).toContainText('Elder 4 of 4');
  await expect(slab).toContainText('1 of 4');
  // The demo's own: two of its builds want more of a rail than there is.
  await expect(wanted).toContainText('Northern Reach 9 of 9');
  await isAccessible(page);
  await page.getByRole('button', { name: 'Younger earlier' }).click();
  await expect(slab).toContainText('Younger 4 of 4');
  await expect(slab).toContainText('Elder ▲ 1 of 4');
  const all = page.getByRole('region', { name: 'What all builds need' });
  await all.getByRole('button', { name: 'Work it out' }).click();
  await expect(all).toContainText(/pieces of \d+ kinds are missing in all/, { timeout: 60_000 });
  await expect(all.getByRole('listitem').filter({ hasText: 'brick 6x6 heather' })).toContainText(
    '3 for Elder',
  );
  await isAccessible(page);
});

test('what several builds lack is bought in one go: one parcel, and an order in it for each', async ({
  page,
}) => {
  test.slow();
  for (const [name, qty] of [
    ['North wing', 10],
    ['South wing', 6],
  ] as const) {
    await makeBuild(page, name, 'part\tcolour\tqty\tzone\nbrick 1x2\tash\t6\tWall\n');
    await startModification(page, 'A floor');
    await log(page, `+${qty} plate 4x4 soot plan`);
  }
  await page.goto('/own-parts');
  await chooseTab(page.getByRole('tablist', { name: 'Own parts' }), 'Buy together');
  const builds = page.getByRole('group', { name: 'Builds to buy for together' });
  await expect(builds.getByLabel(/North wing, 10 pieces/)).toBeChecked({ timeout: 60_000 });
  for (const other of await builds.getByRole('checkbox').all())
    if (!/wing/.test((await other.evaluate((e) => e.closest('label')?.textContent)) ?? ''))
      await other.uncheck();
  await page.getByLabel('Think for').selectOption('2');
  await page.getByLabel('Parcels at most').fill('1');
  await page.getByRole('button', { name: /Find the best plan/ }).click();
  const plan = page.getByRole('region', { name: 'The plan' });
  await expect(plan).toContainText('in 1 parcel.', { timeout: 60_000 });
  await isAccessible(page);
  await plan.getByRole('button', { name: /^Order this parcel/ }).click();
  await expect(page.getByRole('button', { name: 'Undo: order 1 parcel' })).toBeVisible({ timeout: 60_000 });
  await expect(builds.getByLabel(/wing/)).toHaveCount(0);
  for (const [name, qty] of [
    ['North wing', 10],
    ['South wing', 6],
  ] as const) {
    await openBuild(page, new RegExp(name));
    await openParts(page, 'Orders');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('1 of 1 order is open');
    await expect(page.getByText(`${qty} pieces awaited`)).toBeVisible();
  }
});

test('spares go to trays in one step, each where its like lies; a picked part is the build’s own', async ({
  page,
}) => {
  test.slow();
  await makeBuild(page, 'Putting away', 'part\tcolour\tqty\tzone\nbrick 1x2\tash\t60\tWall\n');
  await startModification(page, 'Thin it out');
  await log(page, '-20 brick 1x2 ash');
  await log(page, '+2 arch 1x4 amber plan');
  await openParts(page, 'Pick list');
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toContainText('2 pieces to get out');
  await page.getByRole('checkbox').first().check();
  await expect(heading).toContainText('0 pieces to get out, 2 pieces in hand');
  await page.keyboard.press('Alt+5');
  // What a plan takes stays; the rest goes where its like lies.
  await expect(heading).toContainText('20 pieces of 1 kind go to 1 tray');
  await isAccessible(page);
  await page.keyboard.press('p');
  await expect(heading).toContainText('No spares to put away');
  await page.keyboard.press('Control+z');
  await expect(heading).toContainText('20 pieces');
});

test('a build bound to its boxes counts exceptions, and several models are covered at least cost', async ({
  page,
}) => {
  test.slow();
  await openBuild(page, /Glasshouse/);
  await openParts(page, 'These boxes only');
  await expect(page.getByText(/exceptions?: 8 pieces from outside/)).toBeVisible();
  await expect(page.getByText(/1 more copy of Night Tram Nine would do, £/)).toBeVisible();
  await page.getByLabel('Find a part in the boxes').fill('brick 1x4');
  await expect(page.getByRole('row', { name: /brick 1x4/ })).toContainText('16');
  await page.getByRole('button', { name: 'Fewest boxes for all' }).click();
  const models = page.getByRole('region', { name: 'Several models together' });
  await expect(models).toContainText('No cheaper choice covers as much', { timeout: 60_000 });
  await expect(models).toContainText(/Potting shed in \w+; Cold frame in \w+/);
  await isAccessible(page);
});

test('a placeholder is swapped by one key once the right part is here; a part is waited for', async ({
  page,
}) => {
  test.slow();
  await makeBuild(page, 'Placeholder', 'part\tcolour\tqty\tzone\nbrick 1x2\tash\t60\tWall\n');
  await startModification(page, 'Doorway');
  await log(page, '?5 brick 1x2 amber for dune at 0.09');
  await openParts(page);
  const placeholders = page.getByRole('region', { name: 'Placeholders' });
  await expect(placeholders).toContainText('5 brick 1x2 amber for brick 1x2 dune');
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('s');
  await expect(placeholders).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(placeholders).toBeVisible();
  const waiting = page.getByRole('region', { name: 'Waiting for' });
  await waiting.getByLabel('Wait for', { exact: true }).fill('3 tile 2x2 nowhere');
  await waiting.getByLabel('Wait for', { exact: true }).press('Enter');
  await expect(waiting).toContainText('Say in which colour');
  await waiting.getByLabel('Wait for', { exact: true }).fill('3 plate 2x4 soot');
  await waiting.getByLabel('Wait for', { exact: true }).press('Enter');
  await expect(waiting).toContainText(/3 plate 2x4 soot[\s\S]*for sale, from £/);
});
