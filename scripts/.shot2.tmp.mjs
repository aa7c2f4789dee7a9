import { chromium } from '@playwright/test';
const base = 'http://127.0.0.1:3801';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const p = await b.newPage({ viewport: { width: 1280, height: 800 } });
p.on('console', (m) => m.type() === 'error' && console.log('console', m.text().slice(0, 300)));
p.on('pageerror', (e) => console.log('pageerror', e.message.slice(0, 300)));
const href = async (n) => {
  await p.goto(base);
  return p.getByRole('link', { name: n }).first().getAttribute('href');
};
const reach = await href(/Reach/);
let t = Date.now();
await p.goto(base + reach + '/colour');
await p.getByRole('heading', { level: 1 }).waitFor();
console.log('icebreaker colour', Date.now() - t);
await p.screenshot({ path: '/tmp/shots/reach.png' });
await p.keyboard.press('Alt+3');
await p.getByLabel('brick-red becomes').waitFor();
t = Date.now();
await p.getByLabel('brick-red becomes').selectOption('kelp');
await p.getByText(/can change for/).waitFor();
console.log('plan', Date.now() - t);
await p.getByLabel('berry becomes').selectOption('bottle');
await p.waitForTimeout(500);
await p.screenshot({ path: '/tmp/shots/whole.png' });
const sk = await href(/Skerry/);
await p.goto(base + sk + '/colour');
await p.waitForTimeout(600);
await p.keyboard.press('Alt+2');
await p.waitForTimeout(300);
await p.keyboard.press('f');
await p.getByRole('button', { name: /demo’s photo/ }).click();
await p.waitForTimeout(600);
const c = p.locator('canvas');
await c.click({ position: { x: 458, y: 305 } });
for (const [x, y] of [
  [105, 45],
  [100, 150],
  [255, 197],
  [330, 150],
])
  await c.click({ position: { x, y } });
await p.getByRole('button', { name: 'Read it' }).click();
await p.waitForTimeout(1500);
await p.screenshot({ path: '/tmp/shots/photo.png' });
await p.goto(base + sk + '/look-over');
await p.waitForTimeout(600);
await p.keyboard.press('Alt+2');
await p.waitForTimeout(500);
await p.screenshot({ path: '/tmp/shots/find.png' });
await b.close();
