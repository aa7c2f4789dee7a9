import { chromium } from '@playwright/test';
const [, , out, at, ...steps] = process.argv;
const [w, h] = (process.env.SIZE ?? '1280x800').split('x').map(Number);
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
const context = await browser.newContext({
  viewport: { width: w!, height: h! },
  deviceScaleFactor: Number(process.env.SCALE ?? 1),
  colorScheme: (process.env.SCHEME as 'dark') ?? 'light',
});
const page = await context.newPage();
page.on('console', (m) => m.type() === 'error' && console.log('console:', m.text()));
page.on('pageerror', (e) => console.log('error:', e.message));
await page.goto(/^\w+:/.test(at!) ? at! : `${process.env.BASE ?? 'http://127.0.0.1:3772'}${at}`);
await page.waitForLoadState('networkidle').catch(() => {});
if (process.env.ZOOM)
  await page.evaluate((z) => ((document.documentElement.style as any).zoom = z), process.env.ZOOM);
for (const s of steps) {
  const i = s.indexOf(':');
  const [k, v] = [s.slice(0, i), s.slice(i + 1)];
  if (k === 'link') await page.getByRole('link', { name: v }).first().click();
  if (k === 'click') await page.getByRole('button', { name: v }).first().click();
  if (k === 'menu') await page.getByRole('menuitem', { name: v }).first().click();
  if (k === 'tab') await page.getByRole('tab', { name: v }).first().click();
  if (k === 'key') await page.keyboard.press(v);
  if (k === 'type') await page.keyboard.type(v);
  if (k === 'fill') {
    const [l, t] = v.split('=');
    await page.getByLabel(l!).first().fill(t!);
  }
  if (k === 'select') {
    const [l, t] = v.split('=');
    await page.getByLabel(l!).first().selectOption({ label: t! });
  }
  if (k === 'css') await page.locator(v).first().click();
  if (k === 'scroll') await page.locator(v).first().scrollIntoViewIfNeeded();
  if (k === 'text') await page.getByText(v).first().click();
  if (k === 'wait') await page.waitForTimeout(Number(v));
  if (k === 'eval') console.log(await page.evaluate(v));
  await page.waitForTimeout(250);
}
await page.waitForTimeout(400);
if (out !== '-') await page.screenshot({ path: out! });
await browser.close();
