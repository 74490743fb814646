import { mkdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { chromium } from 'playwright-core';

const out = process.env.OUT ?? fileURLToPath(new URL('../docs/screenshots', import.meta.url));

/** Debian's Chromium without a screen, quiet, and willing to run as root. */
export function launchChromium() {
  return chromium.launch({
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
}

/** Takes a picture of what a page shows, once it stands still. */
export async function takePicture(page, name) {
  mkdirSync(out, { recursive: true });
  await page.evaluate(settled);
  await page.screenshot({ path: `${out}/${name}.png` });
}

/** Until nothing is moving, all letters are there, and what follows from that is painted. */
async function settled() {
  await document.fonts.ready;
  await Promise.all(document.getAnimations().map((a) => a.finished.catch(() => undefined)));
  await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
}
