import { chromium } from 'playwright-core';

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
