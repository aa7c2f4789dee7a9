import { expect, test, type Page } from './test';
import { balance, log, makeBuild, startModification, storedFirst } from './helpers';

/** More entries than a page is given with itself: its books are asked for. */
const ENTRIES = 1600;

/** As many entries as another program would have logged: a piece each. */
async function logMany(page: Page): Promise<string> {
  const build = new URL(page.url()).pathname.split('/')[2]!;
  const { entry, modification } = await storedFirst(page);
  const unpacked = entry as { movements: { to: string }[] };
  const [first] = unpacked.movements;
  const added = Array.from({ length: ENTRIES }, (_, i) => ({
    type: 'entry',
    record: {
      ...unpacked,
      id: crypto.randomUUID(),
      kind: 'add',
      no: i + 1,
      position: i + 1,
      modification: modification.id,
      movements: [{ ...first, qty: 1, from: 'outside', to: first!.to }],
    },
  }));
  const said = await page.request.post('/api/actions', {
    data: { id: crypto.randomUUID(), scope: build, label: 'many', diff: { added, changed: [], removed: [] } },
  });
  expect(await said.text()).toMatch(/^\{"ok":true/);
  return build;
}

test('a long log opens as it is now, line first, whatever was logged since it was read', async ({ page }) => {
  test.slow();
  await makeBuild(page, 'Long log', 'part\tcolour\tqty\nbrick 1x2\tash\t20\n');
  await startModification(page, 'Piece by piece');
  const build = await logMany(page);
  // Every balance that was ever shown since the page began.
  await page.addInitScript(() => {
    const seen: string[] = [];
    new MutationObserver(() => {
      const now = document.querySelector('[aria-label="Balance"]')?.textContent;
      if (now && now !== seen.at(-1)) seen.push(now);
    }).observe(document, { childList: true, characterData: true, subtree: true });
    Object.assign(window, { seenBalances: seen });
  });
  const seen = () =>
    page.evaluate(() => (window as unknown as { seenBalances: string[] }).seenBalances.join(' | '));
  const read: string[] = [];
  page.on('response', (r) => {
    if (r.url().includes('/snapshot')) read.push(r.headers()['content-type'] ?? '');
  });

  await page.goto(`/builds/${build}`);
  await expect(balance(page)).toContainText('= 1,620');
  await expect(page.getByText('0 out · 1,600 in')).toBeVisible();
  expect(read).toEqual(['application/gzip']);
  // The page itself has it asked for, before its program is there; what was asked so is taken up, and not asked again.
  const asked = await page.evaluate(() =>
    (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
      .filter(({ name }) => /snapshot|knowledge|surroundings/.test(name))
      .map(({ name, initiatorType }) => `${new URL(name).pathname.split('/').at(-1)} by ${initiatorType}`),
  );
  expect(asked.sort()).toEqual(['knowledge by link', 'snapshot by link', 'surroundings by link']);
  await log(page, '+4 brick 1x2 ash bought at 0.10');
  await expect(balance(page)).toContainText('= 1,624');

  // Opened anew: what was logged is told behind what was read before, and nothing older is ever shown.
  await page.reload();
  await expect(balance(page)).toContainText('= 1,624');
  await expect(page.getByRole('region', { name: 'Worklog' })).toContainText('0 out · 1,604 in');
  expect(await seen()).not.toContain('1,620');
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await expect(balance(page)).toContainText('= 1,620');
  await page.goto(`/builds/${build}/tally`);
  await expect(page.getByText('1,620').first()).toBeVisible();
  await page.goto(`/builds/${build}`);
  await expect(balance(page)).toContainText('= 1,620');
  expect(await seen()).not.toContain('1,624');
});
