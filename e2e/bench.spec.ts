import { expect, test, type Page } from './test';
import { balance, BLOCK, log, makeBuild, openBuild } from './helpers';

test('one line is logged by keyboard alone: the balance moves while it is typed, and is kept', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('link', { name: /Lightkeeper's House/ }).click();
  const balance = page.getByRole('region', { name: 'Balance' });
  await expect(balance).toContainText('= 489');
  // Who opens a build types: the line has the focus.
  await expect(page.locator('#log-line')).toBeFocused();
  await page.keyboard.type(
    '-2 brick 1x2 chalk @tower, +2 brick 1x2 ash, ~6 brick 1x4 dune > bark @house front',
  );
  await expect(balance).toHaveAttribute('data-trying', 'yes');
  await expect(balance).toContainText('− 14');
  await expect(balance).toContainText('+ 92');
  await expect(balance).toContainText('24 recoloured');
  await page.keyboard.press('Enter');
  await expect(balance).not.toHaveAttribute('data-trying', 'yes');
  await expect(balance).toContainText('− 14');
  await page.reload();
  await expect(balance).toContainText('24 recoloured');
  await page.getByRole('button', { name: /^Undo: log -2 brick/ }).click();
  await expect(balance).toContainText('18 recoloured');
  await page.getByRole('button', { name: /^Redo: log -2 brick/ }).click();
  await expect(balance).toContainText('24 recoloured');
  await page.getByRole('button', { name: /^Undo: log -2 brick/ }).click();
  await expect(balance).toContainText('18 recoloured');
});

test('typing paints none of the columns above the line again', async ({ page }) => {
  await openBuild(page, /Lightkeeper's House/);
  const painted = await paintings(page);
  await expect.poll(() => painted().columns.length).toBe(3);
  // What comes after the page, like prices, paints them once more.
  await page.waitForLoadState('networkidle');
  await expect(async () => {
    const before = painted();
    await page.waitForTimeout(700);
    expect(painted()).toEqual(before);
  }).toPass();
  const before = painted();
  await page.keyboard.type('-2 brick 1x2 ch', { delay: 40 });
  await expect(page.getByRole('listbox', { name: 'Ways to go on' })).toBeVisible();
  await expect.poll(() => painted().page).toBeGreaterThan(before.page + 4);
  expect(painted().columns).toEqual(before.columns);
});

/** How often the columns of the bench, and the rest of the page, have been painted since it opened. */
async function paintings(page: Page): Promise<() => { page: number; columns: number[] }> {
  const session = await page.context().newCDPSession(page);
  let layers: { width: number; height: number; paintCount: number; drawsContent: boolean }[] = [];
  session.on('LayerTree.layerTreeDidChange', (e) => (layers = e.layers ?? layers));
  await session.send('DOM.enable');
  await session.send('LayerTree.enable');
  const { width, height } = page.viewportSize()!;
  return () => {
    const drawn = layers.filter((l) => l.drawsContent && l.height > 300);
    const whole = drawn.filter((l) => l.width >= width && l.height >= height);
    return {
      page: Math.max(0, ...whole.map((l) => l.paintCount)),
      columns: drawn.filter((l) => !whole.includes(l) && l.height < height).map((l) => l.paintCount),
    };
  };
}

test('a line where no modification is chosen begins one, named from what it does', async ({ page }) => {
  await makeBuild(page, 'Begun by a line', BLOCK);
  await log(page, '-2 brick 1x2 light grey @porch');
  await expect(page.getByRole('button', { name: /2 brick 1x2 ash removed/ })).toBeVisible();
  await expect(balance(page)).toContainText('− 2');
  await page.getByRole('button', { name: /^Undo: log -2/ }).click();
  await expect(page.getByRole('button', { name: /2 brick 1x2 ash removed/ })).toBeHidden();
  await expect(balance(page)).toContainText('− 0');
});
