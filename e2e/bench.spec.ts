import { expect, test } from './test';
import { balance, BLOCK, log, makeBuild } from './helpers';

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

test('a line where no modification is chosen begins one, named from what it does', async ({ page }) => {
  await makeBuild(page, 'Begun by a line', BLOCK);
  await log(page, '-2 brick 1x2 light grey @porch');
  await expect(page.getByRole('button', { name: /2 brick 1x2 ash removed/ })).toBeVisible();
  await expect(balance(page)).toContainText('− 2');
  await page.getByRole('button', { name: /^Undo: log -2/ }).click();
  await expect(page.getByRole('button', { name: /2 brick 1x2 ash removed/ })).toBeHidden();
  await expect(balance(page)).toContainText('− 0');
});
