import { expect, test, type Page } from './test';
import { balance, importBuild, makeBuild, openParts, startModification, storedFirst } from './helpers';

/** A set of 240 kinds, all of which come off again: 30 shapes in 8 colours. */
const SHAPES = ['brick', 'plate', 'tile'].flatMap((p) =>
  ['1x1', '1x2', '1x3', '1x4', '1x6', '1x8', '2x2', '2x3', '2x4', '2x6'].map((size) => `${p} ${size}`),
);
const COLOURS = ['chalk', 'ash', 'slate', 'soot', 'bark', 'rust', 'sage', 'dove'];
const KINDS = SHAPES.flatMap((s) => COLOURS.map((c) => `${s}\t${c}`));

const elements = (page: Page) => page.evaluate(() => document.querySelectorAll('*').length);
/** Where a row of a long list stands in it, first and last of those that are drawn. */
const drawn = async (page: Page): Promise<number[]> => {
  const at = await page
    .locator('li[aria-posinset]')
    .evaluateAll((rows) => rows.map((r) => Number(r.ariaPosInSet)));
  return [Math.min(...at), Math.max(...at)];
};

/** One piece of every kind comes off, in one entry, as another program would log it. */
async function takeOff(page: Page): Promise<void> {
  const build = new URL(page.url()).pathname.split('/')[2]!;
  const { entry, modification } = await storedFirst(page);
  const unpacked = entry as { movements: { to: string }[] };
  const record = {
    ...unpacked,
    id: crypto.randomUUID(),
    kind: 'remove',
    no: 1,
    position: 1,
    modification: modification.id,
    movements: unpacked.movements.map((m) => ({ ...m, qty: 1, from: m.to, to: `spares:${build}` })),
  };
  const diff = { added: [{ type: 'entry', record }], changed: [], removed: [] };
  const said = await page.request.post('/api/actions', {
    data: { id: crypto.randomUUID(), scope: build, label: 'all off', diff },
  });
  expect(said.ok()).toBe(true);
}

test('lists of hundreds are drawn where one looks, whole on paper, and reached to their end', async ({
  page,
}) => {
  test.slow();
  await makeBuild(page, 'Many kinds', `part\tcolour\tqty\n${KINDS.map((k) => `${k}\t2`).join('\n')}\n`);
  await startModification(page, 'All of it off');
  await takeOff(page);
  await expect(balance(page)).toContainText(`− ${KINDS.length}`);

  // Inspect: the lot that is up is in sight, also the last one.
  await page.getByRole('link', { name: 'Inspect', exact: true }).click();
  const lots = page.getByRole('region', { name: 'Lots of this tray' });
  await expect(lots.getByRole('button').first()).toBeVisible();
  expect(await elements(page)).toBeLessThan(3000);
  expect((await drawn(page))[1]).toBeLessThan(60);
  await page
    .getByRole('textbox', { name: /count|there/i })
    .first()
    .focus();
  for (let i = 0; i < 30; i++) await page.keyboard.press('ArrowDown');
  await expect(lots.locator('[aria-current=true]')).toBeInViewport();
  await expect.poll(async () => (await drawn(page))[1]).toBeGreaterThan(31);

  await openParts(page, 'Put away');
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    `${KINDS.length} pieces of ${KINDS.length} kinds`,
  );
  await expect(page.locator('li[aria-posinset]').first()).toBeVisible();
  expect(await elements(page)).toBeLessThan(3000);
  for (const [width, height] of [
    [1280, 800],
    [390, 844],
  ] as const) {
    await page.setViewportSize({ width, height });
    await expect
      .poll(async () => {
        await page.locator('li[aria-posinset]').last().hover();
        await page.mouse.wheel(0, 30_000);
        return (await drawn(page))[1];
      })
      .toBe(KINDS.length);
    expect((await drawn(page))[0]).toBeGreaterThan(KINDS.length - 60);
  }
  // What holds the focus stays, though it is scrolled far away: keys go on from there.
  const last = page.locator('li[aria-posinset]').last().getByRole('combobox');
  const named = await last.getAttribute('aria-label');
  await last.focus();
  await page.mouse.wheel(0, -60_000);
  await expect.poll(async () => (await drawn(page))[0]).toBe(1);
  await expect(page.getByRole('combobox', { name: named!, exact: true })).toBeFocused();
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  await expect(page.getByRole('combobox', { name: /^Tray for/ })).toHaveCount(KINDS.length);
});

test('where there are many builds, one is looked for by its words, and its link opens it', async ({
  page,
}) => {
  const others = Array.from({ length: 12 }, (_, n) => `Boathouse ${n + 1}`);
  for (const name of others) await importBuild(page, name, 'part\tcolour\tqty\nbrick 1x2\tash\t20\n');
  await page.goto('/');
  const link = page.getByRole('link', { name: /Lightkeeper's House/ });
  // A page of the list shows the newest.
  await expect(page.getByRole('link', { name: 'Boathouse 12' })).toBeVisible();
  await expect(link).toHaveCount(0);
  const found = (words: string) => page.getByRole('status').filter({ hasText: words });
  await page.getByLabel('Find a build').fill('keeper');
  await expect(found('2 found')).toBeVisible();
  await page.getByLabel('Find a build').fill("keeper's hou");
  await expect(found('1 found')).toBeVisible();
  await link.click();
  await expect(balance(page)).toContainText('= 489');
  await page.goto('/');
  await page.getByLabel('Find a build').fill('no such build');
  await expect(found('0 found')).toBeVisible();
  await expect(page.getByRole('link', { name: /Boathouse/ })).toHaveCount(0);
});
