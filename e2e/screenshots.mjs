// Takes the pictures in docs/screenshots from the demo data of a running server:
//   ./eskiz start --background && node e2e/screenshots.mjs
// SHOTS=name,name takes some of them only; OUT=folder puts them elsewhere.
import { mkdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { chromium } from 'playwright-core';

const address = process.env.ESKIZ ?? 'http://127.0.0.1:8080';
const out = process.env.OUT ?? fileURLToPath(new URL('../docs/screenshots', import.meta.url));
const only = process.env.SHOTS?.split(',');
const gallery = '/plans/5ca77a00-0001-4000-8000-000000000001?band=b2m';

const views = [
  { name: 'plans', path: '/plans' },
  { name: 'plan-sheet', path: gallery },
];

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--no-first-run',
    '--disable-quic',
  ],
});
mkdirSync(out, { recursive: true });
for (const view of views.filter((v) => !only || only.includes(v.name))) {
  const page = await browser.newPage({ viewport: view.size ?? { width: 1280, height: 800 } });
  await page.goto(address + view.path, { waitUntil: 'networkidle' });
  await view.act?.(page);
  await page.waitForTimeout(300);
  await page.screenshot({ path: `${out}/${view.name}.png` });
  await page.close();
}
await browser.close();
