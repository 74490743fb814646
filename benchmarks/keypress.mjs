// From a key press in the length field to the painted ledger, in Chromium, on a running server; called by the script beside it,
// which starts one of its own:
//   benchmarks/keypress
// Prints the median and the 95th percentile over the presses, once the server has warmed up.
import { launchChromium } from '../e2e/chromium.mjs';

const address = process.env.ESKIZ ?? 'http://127.0.0.1:8080';
const presses = Number(process.env.PRESSES ?? 200);
const warmUp = 200;

const browser = await launchChromium();
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(`${address}/plans/5ca77a00-0001-4000-8000-000000000001?band=b2m`);
await page.waitForSelector('[data-row]');

const times = await page.evaluate(async (count) => {
  const field = document.querySelector('input[aria-label=length]');
  const setValue = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
  const figure = () => document.querySelector('[data-row=foam-10] td:nth-of-type(3)').textContent;
  const painted = () => new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
  const taken = [];
  for (let i = 0; i < count; i++) {
    const before = figure();
    const start = performance.now();
    setValue.call(field, i % 2 ? `${31 + (i % 50) / 10}` : `${51 + (i % 50) / 10}`);
    field.dispatchEvent(new Event('input', { bubbles: true }));
    while (figure() === before && performance.now() - start < 3000) await painted();
    await painted();
    taken.push(performance.now() - start);
  }
  return taken;
}, warmUp + presses);
await browser.close();

const sorted = times.slice(warmUp).sort((a, b) => a - b);
const at = (share) => sorted[Math.floor(share * (sorted.length - 1))].toFixed(1);
console.log(
  `key press to painted ledger, ${sorted.length} presses: median ${at(0.5)} ms, 95 % ${at(0.95)} ms`,
);
