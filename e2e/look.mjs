import { launchChromium } from './chromium.mjs';
const [,, out, ...specs] = process.argv;
const b = await launchChromium();
for (const spec of specs) {
  const [name, path, w='1280', h='800', act] = spec.split('|');
  const p = await b.newPage({ viewport: { width: +w, height: +h } });
  p.on('console', m => m.type()==='error' && console.log(name, m.text()));
  p.on('pageerror', e => console.log(name, e.message));
  await p.goto('http://127.0.0.1:8080' + path); await p.waitForTimeout(1800);
  if (act) { try { await eval(`(async()=>{${act}})()`); } catch (e) { console.log(name, e.message.slice(0,200)); } await p.waitForTimeout(900); }
  await p.screenshot({ path: `${out}/${name}.png` }); await p.close();
}
await b.close();
