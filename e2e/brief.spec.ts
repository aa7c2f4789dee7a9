import { expect, test, type Page } from './test';
import { balance, BLOCK, isAccessible, log, makeBuild, startModification } from './helpers';

const headline = (page: Page) => page.getByRole('heading', { level: 1 });

async function openBrief(page: Page, part: string): Promise<void> {
  await page.getByRole('link', { name: 'Brief', exact: true }).click();
  const tab = page.getByRole('tablist', { name: 'Brief' }).getByRole('tab', { name: part });
  await expect(async () => {
    await tab.click();
    await expect(tab).toHaveAttribute('aria-selected', 'true', { timeout: 500 });
  }).toPass();
}

test('what must stay is said before and asked for again', async ({ page }) => {
  await makeBuild(page, 'Stays', BLOCK);
  await openBrief(page, 'What must stay');
  await page.getByRole('button', { name: 'Something that must stay…' }).click();
  await page.getByLabel('What was found').fill('The ramp folds');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('0 of 1 asked through')).toBeVisible();
  await page.getByRole('button', { name: 'lost' }).click();
  await expect(page.getByText('1 of 1 asked through, 1 lost.')).toBeVisible();
  await isAccessible(page);
});

test('house rules: switched on with a limit, warned of before Enter, broken all the same with a reason, told at the end', async ({
  page,
}) => {
  test.slow();
  await makeBuild(page, 'Promised', BLOCK);
  await openBrief(page, 'What for');
  await expect(headline(page)).toHaveText('What is it for, and what must it keep to?');
  await page.getByLabel('What it is for, in a sentence').fill('A porch one can sit on');
  await page.getByLabel('What it is for, in a sentence').press('Tab');
  await expect(headline(page)).toHaveText('No house rule is on.');
  await page.getByRole('button', { name: 'Add a wish' }).click();
  await page.getByRole('button', { name: 'Credit an idea' }).click();
  await expect(page.getByLabel('Whose, 1')).toBeVisible();
  await isAccessible(page);

  await openBrief(page, 'House rules');
  const rules = page.getByRole('region', { name: 'House rules' });
  await rules.getByLabel('Pieces at most').check();
  const limit = rules.getByLabel('Pieces at most, pieces');
  await limit.fill('115');
  await limit.press('Enter');
  await expect(rules.getByText('It is 112, 3 left.')).toBeVisible();
  await rules.getByLabel('Nothing of these colours').check();
  await expect(rules.getByText('It cannot be told yet: the colours would have to be known.')).toBeVisible();
  await rules.getByLabel('Colours', { exact: true }).fill('amber');
  await rules.getByLabel('Colours', { exact: true }).press('Tab');
  await expect(headline(page)).toHaveText('2 of 2 rules hold.');
  await isAccessible(page);

  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await startModification(page, 'A rail');
  await page.locator('#log-line').fill('+3 bar 1x4 soot own');
  await expect(balance(page)).toContainText('2 of 2 rules hold');
  await expect(balance(page)).not.toContainText('would break');
  await page.locator('#log-line').fill('+4 bar 1x4 soot own');
  await expect(balance(page)).toContainText('would break: pieces at most');
  await page.locator('#log-line').fill('+1 bar 1x4 amber own');
  await expect(balance(page)).toContainText('would break: nothing of these colours');
  await log(page, '+4 bar 1x4 soot own');
  await expect(balance(page)).toContainText('1 of 2 rules hold, 1 broken');

  await openBrief(page, 'House rules');
  await expect(rules.getByText('▲ Broken. It is 116, 1 too many.')).toBeVisible();
  await rules.getByLabel('Why pieces at most may be broken').fill('the rail needs its posts');
  await rules.getByRole('button', { name: 'Make an exception' }).click();
  await expect(headline(page)).toHaveText('1 of 2 rules hold, 1 broken with a reason.');
  await page.getByRole('link', { name: 'Tally', exact: true }).click();
  await expect(page.getByRole('region', { name: 'House rules' })).toContainText(
    'An exception: the rail needs its posts.',
  );
});
