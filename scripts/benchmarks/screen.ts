import { CHROMIUM } from '../lib/chromium.mjs';
import { chromium, type Page } from '@playwright/test';
import { elementName } from '../../src/core/parts';
import { icebreaker } from '../../src/demo/sets/icebreaker';
import { startServer } from '../server';
import { say, summary } from './measure';

/** Figures of the production build in a browser, on the demo data. */
export async function measureScreen(): Promise<void> {
  const server = await startServer(3793, '.shots/bench-data');
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox'] });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    say(
      'bench of the icebreaker interactive after the click',
      'under 1.5 s',
      summary(await opening(page, server.url)),
    );
    say('a keystroke to the new balance, icebreaker', 'under 50 ms', summary(await keystrokes(page)));
    say('scrolling its tray: frames with a blank row', 'none', await scrolling(page));
    say(
      'inventory of 12,000 rows: chosen, read, matched, shown',
      'under 2 s',
      summary(await rows(page, server.url)),
    );
    for (const [name, slider] of [
      ['photo slider of the house', /How much of/],
      ['time axis of the house', /How far the log/],
    ] as const)
      say(
        `dragging the ${name}: from frame to frame`,
        '16.7 ms, 60 a second',
        summary(await dragging(page, server.url, slider)),
      );
  } finally {
    await browser.close();
    server.stop();
  }
}

/** Times from one frame to the next while a slider is moved in each of them. */
async function dragging(page: Page, url: string, name: RegExp): Promise<number[]> {
  await page.goto(url);
  await page
    .getByRole('link', { name: /Lightkeeper's House/ })
    .first()
    .click();
  await page.waitForURL(/builds/);
  await page.goto(`${page.url().split('?')[0]}/tally?part=stages`);
  const slider = page.getByRole('slider', { name });
  await slider.waitFor();
  return slider.evaluate(
    (input: HTMLInputElement) =>
      new Promise<number[]>((done) => {
        const put = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
        const [low, high] = [Number(input.min), Number(input.max)];
        const times: number[] = [];
        let [last, n] = [0, 0];
        const frame = (now: number) => {
          if (last > 0) times.push(now - last);
          last = now;
          put.call(input, String(low + ((high - low) * (n % 40)) / 40));
          input.dispatchEvent(new Event('input', { bubbles: true }));
          if (++n > 120) done(times.slice(10));
          else requestAnimationFrame(frame);
        };
        requestAnimationFrame(frame);
      }),
  );
}

async function opening(page: Page, url: string): Promise<number[]> {
  const times: number[] = [];
  for (let n = 0; n < 6; n++) {
    await page.goto(url);
    await page.waitForTimeout(1200);
    const link = page.getByRole('link', { name: /Northern Reach/ });
    const start = Date.now();
    await link.click();
    // Interactive: a key pressed is answered.
    await page.waitForFunction(() => document.querySelector('#log-line') !== null);
    await page.locator('#log-line').fill('-1');
    await page.waitForFunction(() => document.body.innerText.includes('Name a part and a colour'));
    times.push(Date.now() - start);
  }
  return times.slice(1);
}

/** From the input event to the frame in which the balance has changed. */
async function keystrokes(page: Page): Promise<number[]> {
  const lot = icebreaker.lots.find((l) => l.zone === 'Helideck' && l.qty > 9);
  if (!lot) throw new Error('the benchmark needs a lot of the helideck');
  await page.locator('#log-line').fill(`- ${elementName(lot.element)}`);
  const times: number[] = [];
  for (let n = 0; n < 24; n++) {
    const qty = 2 + (n % 7);
    const took = await page.evaluate(
      ({ line }) =>
        new Promise<number>((done) => {
          const input = document.querySelector<HTMLInputElement>('#log-line')!;
          const balance = document.querySelector('[aria-label="Balance"]')!;
          const start = performance.now();
          new MutationObserver((_, observer) => {
            observer.disconnect();
            done(performance.now() - start);
          }).observe(balance, { subtree: true, characterData: true, childList: true });
          Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(input, line);
          input.dispatchEvent(new Event('input', { bubbles: true }));
        }),
      { line: `-${qty} ${elementName(lot.element)} @Helideck` },
    );
    times.push(took);
  }
  return times.slice(4);
}

async function scrolling(page: Page): Promise<string> {
  return page.evaluate(async () => {
    const scroller = document.querySelector<HTMLElement>('[aria-label="On the model"] .overflow-auto')!;
    let [blank, frames] = [0, 0];
    for (let at = 0; at < scroller.scrollHeight; at += 260) {
      scroller.scrollTop = at;
      await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
      frames++;
      const { top, bottom, left, width } = scroller.getBoundingClientRect();
      for (let y = top + 20; y < Math.min(bottom, top + scroller.scrollHeight - at) - 40; y += 60)
        if (document.elementFromPoint(left + width * 0.15, y) === scroller) blank++;
    }
    return `${blank} of ${frames} frames`;
  });
}

async function rows(page: Page, url: string): Promise<number[]> {
  const lots = icebreaker.lots;
  const body = Array.from({ length: 12_000 }, (_, n) => {
    const lot = lots[n % lots.length]!;
    const [part, colour] = lot.element.split('|');
    return `${part},${colour},${lot.qty},"${lot.zone}"`;
  });
  const buffer = Buffer.from(`what,shade,how many,zone\n${body.join('\n')}`);
  const times: number[] = [];
  for (let n = 0; n < 4; n++) {
    await page.goto(`${url}/import`);
    await page.waitForTimeout(800);
    const start = Date.now();
    await page.getByLabel('Table file').setInputFiles({ name: 'big.csv', mimeType: 'text/csv', buffer });
    await page.getByText('12,000 rows').first().waitFor();
    await page.getByRole('region', { name: 'Rows of the table' }).getByRole('listitem').first().waitFor();
    times.push(Date.now() - start);
  }
  return times;
}
