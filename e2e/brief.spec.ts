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

test('what is kept beside the sums: compromises, attempts, time with fresh eyes, and who was asked', async ({
  page,
}) => {
  test.slow();
  await makeBuild(page, 'Beside', BLOCK);
  await openBrief(page, 'Compromises');
  await expect(page.getByRole('heading', { name: 'Nothing waits to be mended.' })).toBeVisible();
  await page.getByRole('button', { name: 'A place waits for something' }).click();
  await page.getByLabel('What it waits for').fill('a weather vane');
  await page.getByLabel('What it waits for').press('Tab');
  await expect(page.getByRole('heading', { name: '1 to mend, 0 with what is at hand.' })).toBeVisible();
  await isAccessible(page);
  await page.getByRole('button', { name: 'Chosen', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Nothing waits to be mended.' })).toBeVisible();

  await openBrief(page, 'Attempts');
  await page.getByRole('button', { name: 'Note a technique' }).click();
  await page.getByLabel('On the table').selectOption('dropped');
  await page.getByLabel('Because').selectOption('too heavy');
  await expect(
    page.getByRole('heading', { name: '1 techniques: 0 still to be tried on the table, 1 dropped.' }),
  ).toBeVisible();
  await isAccessible(page);

  await openBrief(page, 'Time');
  await page.getByLabel('Minutes').fill('90');
  await page.getByLabel('Minutes').press('Tab');
  await page.getByRole('button', { name: 'Add the time' }).click();
  await expect(page.getByRole('heading', { name: '1 h 30 min in all' })).toBeVisible();
  await page.getByLabel('Until').fill('2099-01-01');
  await page.getByRole('button', { name: 'Put it aside' }).click();
  await expect(page.getByRole('heading', { name: 'Put aside until 2099-01-01' })).toBeVisible();
  await page.getByRole('button', { name: 'Look at it today already' }).click();
  await page.getByLabel('Where are gaps?').fill('under the eaves');
  await page.getByLabel('Where are gaps?').press('Tab');
  await isAccessible(page);
  await page.getByRole('button', { name: 'That is what I saw' }).click();
  await expect(page.getByText(/Looked at again on/)).toBeVisible();

  await openBrief(page, 'Who was asked');
  await page.getByRole('button', { name: 'Somebody was asked' }).click();
  for (let i = 0; i < 2; i++) {
    await page.getByLabel('What', { exact: true }).fill('Could you print two?');
    await page.getByLabel('What', { exact: true }).press('Tab');
    await page.getByRole('button', { name: 'Add the line' }).click();
  }
  await expect(page.getByText('Asked twice without an answer.')).toBeVisible();
  await isAccessible(page);

  await openBrief(page, 'What for');
  await page.getByLabel('The row that it stands in').fill('harbour row');
  await page.getByLabel('The row that it stands in').press('Tab');
  const looks = page.getByRole('region', { name: 'Looks' });
  await expect(looks.getByText("Lightkeeper's House")).toBeVisible();
  await isAccessible(page);
});

test('a line that touches what must stay says so before Enter', async ({ page }) => {
  await makeBuild(page, 'Touched', BLOCK);
  await openBrief(page, 'What must stay');
  await page.getByRole('button', { name: 'Something that must stay…' }).click();
  await page.getByLabel('What was found').fill('The arcade');
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel(/^Zone/).selectOption({ label: 'Gallery' });
  await dialog.getByLabel(/^Its parts/).fill('4 arch 1x4 ash');
  await dialog.getByLabel(/^Its parts/).press('Enter');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await page.getByRole('button', { name: 'hidden' }).click();
  await page.getByLabel('Where it is hidden').fill('behind the sign');
  await page.getByLabel('Where it is hidden').press('Tab');
  await expect(page.getByText('a feature, hidden: behind the sign')).toBeVisible();
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await startModification(page, 'Take it down');
  await page.locator('#log-line').fill('-1 arch 1x4 ash @gallery');
  await expect(page.getByText('touches what must stay: The arcade')).toBeVisible();
  await page.locator('#log-line').fill('-1 plate 2x3 chalk @porch');
  await expect(page.getByText('touches what must stay')).toHaveCount(0);
});
