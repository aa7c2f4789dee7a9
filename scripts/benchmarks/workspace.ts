import { CHROMIUM } from '../lib/chromium.mjs';
import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import { chromium, type Page as Window } from '@playwright/test';
import { serve, startServer, type Server } from '../server';
import { say, summary } from './measure';

const BIG = '.shots/big-workspace';
/** What is measured: lines are logged in it, and the next time it is to weigh the same. */
const COPY = '.shots/big-workspace-copy';

interface Page {
  readonly ms: number;
  readonly kB: number;
}
/** A field that says below it what is typed, and nothing else: what this machine takes for a key stroke whatever the page. */
const FIELD_ALONE = `<input id="log-line" oninput="this.nextSibling.textContent = this.value"><p></p>`;
/** A display shows sixty frames a second: waiting for the next one would be nearly all that is measured. */
const NO_WAIT = ['--disable-gpu-vsync', '--disable-frame-rate-limit'];

type Pages = Record<'first' | 'again' | 'house' | 'long', Page>;

/** What pages weigh and how long they take on a workspace of the size that is planned for, beside the demo. */
export async function measureWorkspace(): Promise<void> {
  if (!fs.existsSync(BIG))
    execFileSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'scripts/big-workspace.ts', BIG], {
      stdio: 'inherit',
    });
  const demo = await measured(await startServer(3795, '.shots/bench-data'));
  const demoRested = await rested(await serve(3795, '.shots/bench-data'));
  fs.rmSync(COPY, { recursive: true, force: true });
  fs.cpSync(BIG, COPY, { recursive: true });
  // Once to work out what is kept, once more for a cold start of what a person has.
  await workedOut(await serve(3796, COPY));
  const big = await measured(await serve(3796, COPY));
  const bigRested = await rested(await serve(3796, COPY));
  const row = (what: string, aim: string, of: keyof Pages) =>
    say(what, aim, `${told(big.pages[of])}; demo ${told(demo.pages[of])}`);
  row('first page, cold, while the server still loads its programs', 'no more than the demo', 'first');
  say(
    'first page, once they are loaded and it has drawn its first pages itself',
    'under 300 ms',
    `${told(bigRested)}; demo ${told(demoRested)}`,
  );
  row('first page, again', 'under 300 ms and 150 kB', 'again');
  row('bench of the house', 'under 300 kB, below 1.3 of the demo', 'house');
  row('page of a log of 20,000 entries', 'under 1 MB', 'long');
  say('elements of the long log’s page', 'under 3,000', `${big.long.elements}`);
  say('page of the long log to a line understood', 'under 1 s', summary(big.long.opened));
  say(
    'bench of the house to a line understood',
    'under 1 s',
    `${summary(big.house.opened)}; demo ${summary(demo.house.opened)}`,
  );
  const seen = (of: { answers: Answers }): string => summary(of.answers.seen);
  say(
    'a logged line to its answer, for the page, which draws meanwhile, long log',
    'what the next row says, and the drawing',
    `${seen(big.long)}; house ${seen(big.house)}; demo ${seen(demo.house)}`,
  );
  say(
    'a logged line answered by the server, long log',
    'under 20 ms',
    `${summary(big.long.answers.alone)}; house ${summary(big.house.answers.alone)}; demo ${summary(demo.house.answers.alone)}`,
  );
  say('a key stroke to the screen, long log', 'under 16 ms', keysTold(big.long));
  say(
    'a key stroke to the screen, house',
    'under 8 ms',
    `${keysTold(big.house)}; demo ${keysTold(demo.house)}`,
  );
  say(
    'a key stroke to the screen, a field alone on an empty page',
    'what no page is below',
    summary(demo.alone),
  );
}

const keysTold = ({ keys, frames }: { keys: readonly number[]; frames: readonly number[] }): string =>
  `${summary(keys)}, a bare frame ${summary(frames)}`;

const told = ({ ms, kB }: Page): string => `${ms} ms, ${kB} kB`;

/** A server loads the programs of all pages as it starts: how long, only the machine tells, not the workspace. */
const LOADED_AFTER = 4000;
const loaded = (): Promise<void> => new Promise((done) => setTimeout(done, LOADED_AFTER));

/** The first page of a server that nobody asked anything before, and that has nothing else to do any more. */
async function rested(server: Server): Promise<Page> {
  try {
    await loaded();
    return await got(`${server.url}/`);
  } finally {
    server.stop();
    await new Promise((done) => setTimeout(done, 500));
  }
}

async function got(url: string): Promise<Page> {
  const began = performance.now();
  const text = await (await fetch(url)).text();
  return { ms: Math.round(performance.now() - began), kB: Math.round(text.length / 1000) };
}

/** The pages, none of which anybody has worked on: the house is the demo's, and not the garden of the same keeper. */
async function pagesOf({ url }: Server) {
  const get = (path: string): Promise<Page> => got(`${url}${path}`);
  const find = async (words: string): Promise<string> => {
    const said = (await (await fetch(`${url}/api/builds?find=${words}`)).json()) as {
      value: { builds: { id: string }[]; waiting: number };
    };
    if (said.value.waiting > 0) return find(words);
    return `/builds/${said.value.builds[0]?.id ?? 'none'}`;
  };
  const first = await get('/');
  await loaded();
  const [house, long] = [await find('lightkeeper%27s+house'), await find('worked+on')];
  const pages: Pages = { first, again: await get('/'), house: await get(house), long: await get(long) };
  return { pages, house, long };
}

/** Asks for every page once, has what goes on behind them end, and ends the server. */
async function workedOut(server: Server): Promise<void> {
  try {
    await pagesOf(server);
    await loaded();
  } finally {
    server.stop();
    await new Promise((done) => setTimeout(done, 500));
  }
}

async function measured(server: Server) {
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox', ...NO_WAIT] });
  try {
    const { pages, house, long } = await pagesOf(server);
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const typed = async (path: string) => {
      await page.goto(`${server.url}${path}`);
      if (path.endsWith('none')) return { keys: [], frames: [], elements: 0 };
      await page.waitForSelector('#log-line');
      await page.waitForTimeout(2000);
      const elements = await page.evaluate(() => document.querySelectorAll('*').length);
      const keys = await page.evaluate(typing, '-1 brick 1x2 ash');
      return { keys, frames: await page.evaluate(typing, null), elements };
    };
    const inUse = async (path: string) => {
      if (path.endsWith('none')) return { opened: [], answers: { seen: [], alone: [] } };
      const opened: number[] = [];
      for (let n = 0; n < 5; n++) opened.push(await interactive(page, `${server.url}${path}`));
      return { opened: opened.slice(1), answers: await answers(page) };
    };
    await page.setContent(FIELD_ALONE);
    const alone = await page.evaluate(typing, '-1 brick 1x2 ash');
    const [houseNow, longNow] = [await typed(house), await typed(long)];
    return {
      pages,
      alone,
      house: { ...houseNow, ...(await inUse(house)) },
      long: { ...longNow, ...(await inUse(long)) },
    };
  } finally {
    await browser.close();
    server.stop();
    await new Promise((done) => setTimeout(done, 500));
  }
}

/** From asking for a page to a line on it that is understood, in milliseconds. */
async function interactive(page: Window, url: string): Promise<number> {
  await page.goto('about:blank');
  const began = performance.now();
  await page.goto(url, { waitUntil: 'commit' });
  await page.waitForFunction(() => {
    const input = document.querySelector<HTMLInputElement>('#log-line');
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
    if (!input || !set) return false;
    set.call(input, input.value === '-1' ? '-1 ' : '-1');
    input.dispatchEvent(new Event('input', { bubbles: true }));
    // What is said under the line alone: asking for the text of the whole page has it laid out for each look.
    const says = document.getElementById(input.getAttribute('aria-describedby') ?? '');
    return says?.textContent?.includes('Name a part and a colour') ?? false;
  });
  return performance.now() - began;
}

interface Answers {
  readonly seen: readonly number[];
  readonly alone: readonly number[];
}

/**
 * How long the server took over each of some lines that were logged: as the page saw it, which draws the new balance on one
 * of the processors at the same time, and for the same lines sent again with nothing else to do.
 */
async function answers(page: Window): Promise<Answers> {
  const line = page.locator('#log-line');
  const seen: number[] = [];
  const sent: { url: string; body: string }[] = [];
  for (let n = 0; n < 12; n++) {
    await line.fill('+1 brick 1x2 ash bought');
    const answered = page.waitForResponse((r) => r.url().endsWith('/api/actions'));
    await line.press('Enter');
    const request = (await answered).request();
    const { responseStart, requestStart } = request.timing();
    seen.push(responseStart - requestStart);
    sent.push({ url: request.url(), body: request.postData() ?? '' });
  }
  await page.goto('about:blank');
  const alone: number[] = [];
  for (const { url, body } of [...sent, ...sent, ...sent]) {
    const began = performance.now();
    const said = await fetch(url, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: renamed(body),
    });
    const { ok } = (await said.json()) as { ok: boolean };
    alone.push(performance.now() - began);
    if (!ok) throw new Error(`a line was not taken again: ${body}`);
  }
  return { seen: seen.slice(2), alone: alone.slice(sent.length) };
}

/** The same action under another name, with other names for what it adds. */
function renamed(body: string): string {
  const action = JSON.parse(body) as { id: string; diff: { added: { record: { id: string } }[] } };
  const names = [action.id, ...action.diff.added.map((r) => r.record.id)];
  return names.reduce(
    (text, name) => text.replaceAll(JSON.stringify(name), JSON.stringify(randomUUID())),
    body,
  );
}

/**
 * Types a line some times and gives, for all but the first, how long each key took to the frame after it; with no line,
 * what as many frames take in which nothing but one letter at the end of the page changes. Often enough that a processor
 * that is lent to somebody else for a moment is not what is measured. Runs in the page.
 */
async function typing(line: string | null): Promise<number[]> {
  const input = document.querySelector<HTMLInputElement>('#log-line');
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
  if (!input || !set) return [];
  const letter = document.body.appendChild(document.createElement('span'));
  const times: number[] = [];
  for (let round = 0; round < 7; round++) {
    for (let i = 1; i <= (line ?? '-1 brick 1x2 ash').length; i++) {
      const began = performance.now();
      if (line === null) letter.textContent = String(i);
      else {
        set.call(input, line.slice(0, i));
        input.dispatchEvent(new Event('input', { bubbles: true }));
      }
      await new Promise((done) => requestAnimationFrame(() => setTimeout(done, 0)));
      if (round > 0) times.push(performance.now() - began);
    }
  }
  letter.remove();
  return times;
}
