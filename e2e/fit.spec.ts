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
  test.slow();
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
  const storeys = page.getByLabel('Its storeys, plates from the ground');
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
  await expect(railway).toContainText('At 4 studs courses 2 to 6 must go back 1 stud; the others may stay.');
  await expect(railway).toContainText('By hand 176 mm passed without cutting back');
  await railway.getByLabel('at, studs').fill('5');
  await railway.getByLabel('at, studs').press('Enter');
  await expect(railway).toContainText('all of its courses are clear');
  await railway.getByLabel('Between bogies, mm').fill('300');
  await railway.getByLabel('Between bogies, mm').press('Enter');
  await expect(railway).toContainText('cannot stand on this curve');
  await isAccessible(page);

  await showPart(page, /Levels/);
  const levels = page.getByRole('region', { name: 'Levels', exact: true });
  await levels.getByLabel('Height or gap, mm').fill('6,4');
  await levels.getByLabel('Height or gap, mm').press('Enter');
  await expect(levels).toContainText('2 plates fill 6.4 mm exactly, at hand.');
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

test('rooms, what lifts off and what holds by little, on a set of one’s own: said, answered, planned and undone', async ({
  page,
}) => {
  test.slow();
  const rows = ['brick 2x4\tmilk\t40\tShed', 'plate 2x8\tmilk\t10\tRoof'];
  await makeBuild(page, 'Shed to live in', ['part\tcolour\tqty\tzone', ...rows].join('\n'));
  await openFit(page, /Rooms/);
  await expect(headline(page)).toHaveText('Which rooms are there, and how does one get in?');
  const add = (name: string) => page.getByRole('button', { name, exact: true }).click();
  const say = async (label: string, value: string, nth = 0) => {
    const field = page.getByLabel(label, { exact: true }).nth(nth);
    await field.fill(value);
    await field.press('Tab');
    await expect(field).toHaveValue(value);
  };
  await add('Add a room');
  await say('Room 1', 'hall');
  await expect(headline(page)).toHaveText('Hall cannot be reached from the street.');
  await add('Add a way');
  await expect(headline(page)).toHaveText('Every room is reached from the street.');
  await add('Add what must get through');
  await say('What, 2', 'barrow');
  await say('Wide, studs', '6', 3);
  await expect(page.getByText(/Barrow: gets into no room, not into hall: the door between/)).toContainText(
    '2 studs too narrow',
  );
  await say('Furniture, a footprint each', 'bed 4x6, wardrobe 12x2');
  await expect(page.getByText(/80 studs, 48 under furniture, 32 studs free/)).toContainText(
    'wardrobe fits in neither way',
  );
  await page.getByLabel('Furniture, a footprint each').fill('bed');
  await page.getByLabel('Furniture, a footprint each').press('Enter');
  await expect(page.getByText('“bed” has no footprint')).toBeVisible();
  await isAccessible(page);

  await showPart(page, /Strength/);
  await add('Note a place');
  const place = page.getByRole('region', { name: 'What holds by little' });
  await expect(place).toContainText('It pulls with 3.1 N·mm; what holds it bears at least 8.0 N·mm.');
  await expect(headline(page)).toHaveText('Balcony is weak.');
  await place.getByRole('button', { name: /^Plan it: A row of plates/ }).click();
  await expect(place).toContainText(/To be strengthened as M \d+/);
  await expect(page.getByText(/as planned 51/)).toBeVisible();
  await page.getByRole('button', { name: /^Undo:/ }).click();
  await expect(place).not.toContainText('To be strengthened');
  await expect(page.getByText(/^Undone: plan Strengthen/)).toBeVisible();
  await add('Note a seam');
  const seam = page.getByRole('region', { name: 'Seams that lift off' });
  await seam.getByLabel('Roof', { exact: true }).check();
  await seam.getByLabel('Studs left to hold').fill('60');
  await seam.getByLabel('Studs left to hold').press('Enter');
  await expect(headline(page)).toHaveText('Balcony is weak; Roof is too tight.');
  await seam.getByLabel('When it was lifted').selectOption('held');
  await expect(headline(page)).toHaveText('Balcony is weak.');
  await isAccessible(page);

  await showPart(page, /Mass/);
  await expect(headline(page)).toContainText(/about [\d,]+ g/);
  const before = await numberIn(page, 'h1', /about ([\d,]+) g/);
  const weighed = page.getByRole('region', { name: 'Weighed' });
  await weighed.getByLabel('Part').fill('brick 2x4');
  await weighed.getByLabel('Together, g').fill('50');
  await weighed.getByLabel('Together, g').press('Enter');
  await weighed.getByRole('button', { name: 'Keep it' }).click();
  await expect(weighed).toContainText('brick 2x4: 5.00 g, by its size 2.30 g');
  // Forty bricks weigh 2.7 g more each.
  await expect.poll(() => numberIn(page, 'h1', /about ([\d,]+) g/)).toBe(before + 108);
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
    for (const part of [
      /Size and plot/,
      /Walls/,
      /Floors/,
      /Rooms/,
      /Clearance/,
      /Levels/,
      /Scale/,
      /Mass/,
      /Strength/,
    ]) {
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

// The last of the file: it plans the walls that others find stated.
test('zones on the plot: what sticks out is named with the parts of planned walls, which add to the size', async ({
  page,
}) => {
  test.slow();
  await openBuild(page, /Lightkeeper's House/);
  await openFit(page, /Walls/);
  await page.getByRole('button', { name: 'Spread a face' }).click();
  await expect(
    side(page)
      .getByText(/masonry brick 1x2/)
      .first(),
  ).toBeVisible();
  await page.getByRole('button', { name: /^Plan these/ }).click();
  await expect(headline(page)).toContainText('Planned as');
  await showPart(page, /Size and plot/);
  // Whatever was said of the plot before.
  await page.getByLabel('Studs wide', { exact: true }).first().fill('32');
  await page.getByLabel('Studs wide', { exact: true }).first().press('Enter');
  const zones = page.getByRole('region', { name: 'Zones on the plot' });
  const quay = zones.getByRole('listitem').filter({ has: page.getByText('Quay', { exact: true }) });
  // Two walls in a row, 18 along the street and 11 back, six courses of bricks tall.
  await expect(quay.last()).toContainText('20 x 11 studs (160 × 88 mm), 6 bricks, 57.6 mm tall');
  await quay.last().getByLabel('from the left').fill('20');
  await quay.last().getByLabel('from the left').press('Enter');
  await expect(zones.getByRole('list', { name: 'What would have to move' })).toContainText(
    /Quay sticks out 8 studs on the right; of its walls .*brick 1x\d.* would have to move/,
  );
  await isAccessible(page);
});
