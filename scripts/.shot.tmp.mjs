import { chromium } from '@playwright/test';
const [, , base, list] = process.argv;
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const shots = JSON.parse(list);
for (const s of shots) {
  const p = await b.newPage({ viewport: s.size ?? { width: 1280, height: 800 } });
  p.on('console', (m) => m.type() === 'error' && console.log('console', s.name, m.text().slice(0, 300)));
  p.on('pageerror', (e) => console.log('pageerror', s.name, e.message.slice(0, 300)));
  await p.goto(base);
  if (s.build) {
    const href = await p
      .getByRole('link', { name: new RegExp(s.build) })
      .first()
      .getAttribute('href');
    await p.goto(base + href + (s.path ?? ''));
  } else if (s.path) await p.goto(base + s.path);
  await p.waitForTimeout(900);
  for (const k of s.keys ?? []) {
    if (k.startsWith('click:')) await p.getByText(k.slice(6)).first().click();
    else if (k.startsWith('type:')) await p.keyboard.type(k.slice(5));
    else if (k.startsWith('wait:')) await p.waitForTimeout(Number(k.slice(5)));
    else await p.keyboard.press(k);
    await p.waitForTimeout(250);
  }
  await p.screenshot({ path: `/tmp/shots/${s.name}.png` });
  await p.close();
}
await b.close();
