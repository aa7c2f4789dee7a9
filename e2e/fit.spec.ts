import { expect, test, type Page } from './test';
import { isAccessible, makeBuild, openBuild } from './helpers';

const headline = (page: Page) => page.getByRole('heading', { level: 1 });
const side = (page: Page) => page.getByRole('complementary');

async function openFit(page: Page, part: RegExp): Promise<void> {
  await page.getByRole('link', { name: 'Fit', exact: true }).click();
  await showPart(page, part);
}

async function showPart(page: Page, part: RegExp): Promise<void> {
  const tab = page.getByRole('tablist', { name: 'Fit' }).getByRole('tab', { name: part });
  await expect(async () => {
    await tab.click();
    await expect(tab).toHaveAttribute('aria-selected', 'true', { timeout: 500 });
  }).toPass();
}

/** The first number in a text that a pattern finds. */
async function numberIn(page: Page, where: string, pattern: RegExp): Promise<number> {
  const text = await page.locator(where).first().innerText();
  return Number((pattern.exec(text)?.[1] ?? 'NaN').replace(',', ''));
}

test('a wall of one’s own: stated in words, laid at once and better, planned by one key, built course by course, laid anew', async ({
  page,
}) => {
  test.slow();
  const rows = ['brick 1x4\tmilk\t40\tShed', 'brick 1x2\tmilk\t20\tShed', 'brick 1x1\tmilk\t9\tShed'];
  await makeBuild(page, 'Boat shed', `part\tcolour\tqty\tzone\n${rows.join('\n')}\n`);
  await openFit(page, /Walls/);
  await expect(headline(page)).toHaveText('No wall has been stated yet.');
  await page.getByRole('button', { name: 'State a wall' }).click();
  // It begins in the colour that the zone has most of.
  await expect(headline(page)).toContainText('The walls close with');
  await expect(page.getByLabel('Courses from the bottom')).toHaveValue('6 milk');
  const walls = page.getByLabel('Walls: a name and studs each');
  await walls.fill('front twelve');
  await walls.press('Enter');
  await expect(page.getByText('says no number of studs. Write: quay 18, slip 11')).toBeVisible();
  await walls.fill('front 10, side 8');
  await walls.press('Enter');
  await page.getByRole('combobox', { name: 'They' }).selectOption('row');
  const courses = page.getByLabel('Courses from the bottom');
  await courses.fill('2 milk, frobnicate');
  await courses.press('Enter');
  await expect(page.getByText('“frobnicate” names no colour')).toBeVisible();
  await courses.fill('2 milk, ash plate, 2 milk');
  await courses.press('Enter');
  await expect(page.getByRole('list', { name: 'Courses from the top' }).getByRole('listitem')).toHaveCount(5);
  // 17 places in each of five courses: the corner is one place of both walls.
  await page.getByRole('button', { name: 'Add an opening' }).click();
  await page.getByLabel('Studs wide').fill('9');
  await page.getByLabel('Studs wide').press('Enter');
  await expect(headline(page)).toContainText('leave no post of one stud between in the wall front');
  await page.getByLabel('Studs wide').fill('2');
  await page.getByLabel('Studs wide').press('Enter');
  await expect(headline(page)).toContainText('The walls close with');
  await isAccessible(page);
  await expect(
    side(page).getByText(/Proven: nothing better is possible|The best that was found/),
  ).toBeVisible({
    timeout: 60_000,
  });
  await page.getByRole('button', { name: 'What else would do?' }).click();
  await expect(page.getByRole('region', { name: 'What else would do' })).toContainText(
    /saves £|Nothing else that is at hand/,
  );
  // What is told is what the pieces come to: each length times its number fills every place that is no opening.
  const lots = await side(page).getByRole('listitem').allInnerTexts();
  const studs = lots.map((l) => {
    const [, n, length] = /^(\d+) \w+ 1x(\d+)/.exec(l.replace(/\s+/g, ' ')) ?? [];
    return Number(n) * Number(length);
  });
  // The window is six plates tall: from course 2 that is a brick, a plate and a brick, three courses.
  expect(studs.reduce((s, n) => s + n, 0)).toBe(5 * 17 - 3 * 2);
  const total = await numberIn(page, 'h1', /with (\d+) piece/);
  await page.getByRole('region', { name: 'How it lies' }).focus();
  await page.keyboard.press('p');
  await expect(headline(page)).toContainText(/Planned as M \d+: \d+ pieces, to be laid course by course/);
  expect(await numberIn(page, 'h1', /: (\d+) piece/)).toBe(total);
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Course 1', { exact: true })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Course 2', { exact: true })).toBeVisible();
  await expect(page.getByText('Course 1', { exact: true })).toBeHidden();
  await isAccessible(page);
  // One undo takes the plan back; it is planned again and laid anew.
  await page.getByRole('button', { name: /^Undo: plan/ }).click();
  await expect(headline(page)).toContainText('The walls close with');
  await page.keyboard.press('p');
  await expect(headline(page)).toContainText('Planned as');
  await page.reload();
  await openFit(page, /Walls/);
  await expect(headline(page)).toContainText('Planned as');
  await page.getByRole('button', { name: 'Lay it anew' }).click();
  await expect(headline(page)).toContainText('The walls close with');
  await page.getByRole('button', { name: 'Copy it mirrored' }).click();
  await expect(page.getByRole('combobox', { name: 'Walls', exact: true })).toContainText(
    'Wall of Shed, mirrored',
  );
  await expect(page.getByLabel('Walls: a name and studs each')).toHaveValue('side 8, front 10');
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Balance' })).toContainText('69');
});

test('a terrace from what is at hand: mixed, with a kerb and a post left free, planned and on the bench', async ({
  page,
}) => {
  await openBuild(page, /Lightkeeper's garden/);
  await openFit(page, /Floors/);
  await expect(headline(page)).toContainText('The floor closes with');
  await expect(page.getByText(/It comes out ash \d+ % and slate \d+ %/)).toBeVisible();
  await isAccessible(page);
  await page.getByRole('button', { name: /As it lies/ }).click();
  await expect(headline(page)).not.toContainText('to buy for');
  await page.getByRole('button', { name: /Firm/ }).click();
  await page.getByRole('combobox', { name: 'Laid' }).selectOption('basket weave');
  await expect(headline(page)).toContainText('The floor closes with');
  await page.getByLabel('Slab, wide').fill('5');
  await page.getByLabel('Slab, wide').press('Enter');
  await expect(headline(page)).toContainText('No part is 5 x 1');
  await page.getByLabel('Slab, wide').fill('2');
  await page.getByLabel('Slab, wide').press('Enter');
  await expect(headline(page)).toContainText('The floor closes with');
  await page.getByRole('button', { name: /^Plan these/ }).click();
  await expect(headline(page)).toContainText('Planned as');
  await page.getByRole('link', { name: 'Place them on the bench' }).click();
  await expect(page.getByText('Terrace').first()).toBeVisible();
});

test('the plot, the street and the sums of the trade: each answers in a sentence, and refuses nonsense', async ({
  page,
}) => {
  await openBuild(page, /Lightkeeper's House/);
  await openFit(page, /Size and plot/);
  await expect(headline(page)).toHaveText(
    'It does not fit: it sticks out 2 studs in width, against the neighbour on the left and right.',
  );
  await expect(page.getByRole('region', { name: 'The street' })).toContainText(
    '33 plates is 1 higher than 32',
  );
  await page.getByLabel('Studs wide', { exact: true }).first().fill('40');
  await page.getByLabel('Studs wide', { exact: true }).first().press('Enter');
  await expect(headline(page)).toHaveText(/^It fits: 6 studs left in width, 2 studs in depth/);
  const storeys = page.getByLabel('Its storeys, plates from the ground (bricks with a b)');
  await storeys.fill('3, 10b, roof');
  await storeys.press('Enter');
  await expect(page.getByText('“roof” is no height')).toBeVisible();
  await storeys.fill('3, 11b');
  await storeys.press('Enter');
  await expect(storeys).toHaveValue('3, 33');
  await isAccessible(page);

  await showPart(page, /Clearance/);
  const railway = page.getByRole('region', { name: 'A railway or tram past a wall' });
  await expect(railway).toContainText('32.2 mm');
  await expect(railway).toContainText('On the outside it must go back 1 stud.');
  await railway.getByLabel('Between bogies, mm').fill('300');
  await railway.getByLabel('Between bogies, mm').press('Enter');
  await expect(railway).toContainText('cannot stand on this curve');
  await isAccessible(page);

  await showPart(page, /Levels/);
  const levels = page.getByRole('region', { name: 'Levels', exact: true });
  await levels.getByLabel('Height or gap, mm').fill('6,4');
  await levels.getByLabel('Height or gap, mm').press('Enter');
  await expect(levels).toContainText('2 plates fill 6.4 mm exactly.');
  await levels.getByLabel('Height or gap, mm').fill('1e9');
  await expect(levels).toContainText('from 0.1 to 2000');
  await levels.getByLabel('Height or gap, mm').fill('6.4');
  await levels.getByLabel('Height or gap, mm').press('Enter');
  await levels.getByRole('button', { name: /Lay the 2 layers of plates/ }).click();
  await expect(headline(page)).toContainText('The floor closes with');
  await expect(page.getByRole('button', { name: 'Upper layer' })).toBeVisible();

  await showPart(page, /Scale/);
  await isAccessible(page);
  await showPart(page, /Mass/);
  await expect(headline(page)).toContainText(/It weighs about \d+ g ± \d+/);
  await isAccessible(page);
  await page.goBack();
  await expect(headline(page)).toContainText('How big is it at 1:44?');
});

for (const [what, size] of [
  ['a phone', { width: 390, height: 844 }],
  ['a page at 200 %', { width: 640, height: 400 }],
] as const)
  test(`every part of Fit is reached on ${what}`, async ({ page }) => {
    test.slow();
    await page.setViewportSize(size);
    await openBuild(page, /Lightkeeper's House/);
    await openFit(page, /Size and plot/);
    for (const part of [/Size and plot/, /Walls/, /Clearance/, /Levels/, /Scale/, /Mass/]) {
      await showPart(page, part);
      await expect(headline(page)).toBeVisible();
      const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect([String(part), over]).toEqual([String(part), 0]);
      await isAccessible(page);
    }
    await showPart(page, /Walls/);
    const plan = page.getByRole('button', { name: /^Plan these/ });
    await plan.scrollIntoViewIfNeeded();
    await expect(plan).toBeInViewport();
  });
