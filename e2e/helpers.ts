import AxeBuilder from '@axe-core/playwright';
import axeCore from 'axe-core';
import { randomUUID } from 'node:crypto';
import { PALETTE } from '../src/core/colour';
import { guessColumns, readDelimited, readRows } from '../src/core/formats';
import type { Builds } from '../src/server/build-list';
import type { ImportBoxes } from '../src/server/import-schemas';
import { expect, type Locator, type Page } from './test';

export const balance = (page: Page) => page.getByRole('region', { name: 'Balance' });

/** Opens the newest build of a name. Where the list of builds leads to is looked at by its own tests. */
export async function openBuild(page: Page, name: string | RegExp): Promise<void> {
  const words = (typeof name === 'string' ? name : name.source).replace(/\\(.)/g, '$1');
  const answer = await page.request.get(`/api/builds?find=${encodeURIComponent(words)}`);
  const said = (await answer.json()) as { value: Builds };
  const [build] = said.value.builds;
  if (!build) throw new Error(`there is no build “${words}”`);
  await page.goto(`/builds/${build.id}`);
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

/**
 * A build of its own for a test, from a block of columns, agreed to as the screen of imports does: the tests of that screen go its
 * way, for all others it would be half of their time.
 */
export async function makeBuild(page: Page, name: string, block: string): Promise<void> {
  await page.goto(`/builds/${await importBuild(page, name, block)}`);
  await expect(balance(page)).toBeVisible();
}

/** The same without opening it. */
export async function importBuild(page: Page, name: string, block: string): Promise<string> {
  const answer = await page.request.post('/api/import/take', {
    data: { what: 'boxes', input: oneBox(name, block) },
  });
  const said = (await answer.json()) as { ok: boolean; value: { build: string } };
  expect(said).toMatchObject({ ok: true });
  return said.value.build;
}

function oneBox(name: string, block: string): ImportBoxes {
  const table = readDelimited(block);
  if (!table.ok) throw new Error(`the block is no table: ${JSON.stringify(table.reason)}`);
  const context = { purpose: 'set', palette: PALETTE, aliases: new Map() } as const;
  const rows = readRows(table.value, { ...context, roles: guessColumns(table.value, 'set', PALETTE) });
  const lots = rows.map(({ element, faults, qty, condition, zone, extra }) => {
    if (!element || faults.length > 0)
      throw new Error(`a row of the block is no lot: ${JSON.stringify(faults)}`);
    return { element, qty, condition, zone, extra };
  });
  const box = { setName: 'Pasted block', setCode: '', copies: 1, price: null, lots };
  return {
    request: randomUUID(),
    build: { name },
    boxes: [{ ...box, condition: 'new', role: 'base' }],
    colours: { made: [], matched: [] },
    memory: null,
  };
}

export async function startModification(page: Page, title: string): Promise<void> {
  await page.getByRole('button', { name: 'New modification' }).click();
  await page.getByRole('textbox', { name: 'Title' }).fill(title);
  await page.getByRole('button', { name: 'Start it' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: title }).first()).toBeVisible();
  // It is drawn before the dialog has given the focus back: a key pressed in between is nobody's.
  await expect(page.locator('#log-line')).toBeFocused();
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
