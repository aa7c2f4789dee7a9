import AxeBuilder from '@axe-core/playwright';
import axeCore from 'axe-core';
import { expect, type Locator, type Page } from './test';

export const balance = (page: Page) => page.getByRole('region', { name: 'Balance' });

/** Opens a build from the list of builds, as a person does. */
export async function openBuild(page: Page, name: string | RegExp): Promise<void> {
  await page.goto('/');
  // Where there are many, a page shows the newest: the others are looked for.
  const find = page.getByLabel('Find a build');
  const words = typeof name === 'string' ? name : name.source;
  if (await find.isVisible()) {
    await find.fill(words.replace(/\\(.)/g, '$1'));
    // The list moves when what was found comes: who presses on it meanwhile presses beside.
    await expect(page.getByRole('status').filter({ hasText: /^\d+ found$/ })).toBeVisible();
  }
  await page.getByRole('link', { name }).first().click();
  await expect(balance(page)).toBeVisible();
}

/** Logs a line by the keyboard and waits until the server has it. */
export async function log(page: Page, line: string): Promise<void> {
  // An action before it may be answered late: the answer to this line is the one that is waited for.
  const label = JSON.stringify(`log ${line.trim()}`).slice(0, -1);
  const answered = page.waitForResponse(
    (r) => r.url().endsWith('/api/actions') && (r.request().postData() ?? '').includes(label),
    { timeout: 60_000 },
  );
  await page.locator('#log-line').fill(line);
  await page.keyboard.press('Enter');
  expect((await answered).ok()).toBe(true);
}

/** Goes to the parts of the build that is open, and to one of their tabs. */
export async function openParts(page: Page, tab = 'Needed'): Promise<void> {
  await page.getByRole('link', { name: 'Parts', exact: true }).click();
  // The address says that it has come: a tab chosen before would be left again.
  await expect(page).toHaveURL(/\/parts$/);
  await chooseTab(page.getByRole('tablist', { name: 'Parts' }), tab);
}

export async function chooseTab(tabs: Locator, name: string): Promise<void> {
  const tab = tabs.getByRole('tab', { name });
  await tab.click();
  await expect(tab).toHaveAttribute('aria-selected', 'true');
}

/** Nothing that axe finds, in the page or in a part of it. */
export async function isAccessible(page: Page, within?: string): Promise<void> {
  // Brought into a page once: most of what a look at a small part takes is bringing it in.
  if (!(await page.evaluate(() => 'axe' in window))) {
    await page.evaluate(axeCore.source);
    await page.evaluate(readColoursOnce);
  }
  // There are no frames: the mode without a page for each finds the same in half the time. Of what it finds to be right
  // only one place is told, not the way to each of thousands.
  const axe = new AxeBuilder({ page, axeSource: ';' })
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'] });
  const { violations } = await (within ? axe.include(within) : axe).analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 160)).join(' | ')}`)).toEqual(
    [],
  );
}

/** A page has a dozen colours, which axe reads from their text for each of its elements: a third of a look. Runs in the page. */
function readColoursOnce(): void {
  interface Colour {
    r: number;
    g: number;
    b: number;
    alpha: number;
  }
  type Read = (this: Colour, text: string) => Colour;
  const { axe } = window as unknown as {
    axe: { commons: { color: { Color: { prototype: { parseString: Read } } } } };
  };
  const colour = axe.commons.color.Color.prototype;
  const read = colour.parseString;
  const known = new Map<string, Colour>();
  colour.parseString = function (text) {
    const { r, g, b, alpha } = known.get(text) ?? read.call(this, text);
    if (!known.has(text)) known.set(text, { r, g, b, alpha });
    return Object.assign(this, { r, g, b, alpha });
  };
}

/** Goes to something with the Tab key alone, and presses Enter there. */
export async function pressTo(page: Page, target: Locator, key = 'Enter'): Promise<void> {
  await expect(target).toBeVisible();
  for (let i = 0; i < 120; i++) {
    if (await target.evaluate((el) => el === document.activeElement)) return page.keyboard.press(key);
    await page.keyboard.press('Tab');
  }
  throw new Error('the Tab key never came there');
}

/** A build of its own for a test, from a pasted block. */
export async function makeBuild(page: Page, name: string, block: string): Promise<void> {
  await page.goto('/import');
  await page.locator('textarea').fill(block);
  await page.getByRole('button', { name: 'Read the block' }).click();
  await page.getByRole('button', { name: 'Use these rows' }).click();
  await page.getByLabel('Name of the build').fill(name);
  await page.getByRole('button', { name: 'Agree and import it' }).click();
  await expect(balance(page)).toBeVisible();
}

export async function startModification(page: Page, title: string): Promise<void> {
  await page.getByRole('button', { name: 'New modification' }).click();
  await page.getByRole('textbox', { name: 'Title' }).fill(title);
  await page.getByRole('button', { name: 'Start it' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: title }).first()).toBeVisible();
}

type Stored = Readonly<Record<string, unknown>>;

/**
 * The first entry and the first modification of the build that is open, as the server has them: what was entered is on the
 * screen before it is there.
 */
export async function storedFirst(page: Page): Promise<{ entry: Stored; modification: Stored }> {
  const build = new URL(page.url()).pathname.split('/')[2]!;
  let records: readonly { readonly type: string; readonly record: Stored }[] = [];
  const first = (type: string): Stored | undefined => records.find((r) => r.type === type)?.record;
  await expect
    .poll(async () => {
      const said = await page.request.get(`/api/builds/${build}/snapshot`);
      ({ records } = ((await said.json()) as { value: { records: typeof records } }).value);
      return Boolean(first('entry') && first('modification'));
    })
    .toBe(true);
  return { entry: first('entry')!, modification: first('modification')! };
}

export const BLOCK =
  'part\tcolour\tqty\tzone\nplate 2x3\tchalk\t40\tPorch\nbrick 1x2\tash\t60\tPorch\narch 1x4\tash\t12\tGallery\n';
