// Takes the picture of those who work together, from a server that was just opened to others; called by e2e/screenshots:
//   LINK=the keeper's link node e2e/screenshots.club.mjs
import { launchChromium, takePicture } from './chromium.mjs';

const link = process.env.LINK;
const browser = await launchChromium();

async function comeIn(by, name) {
  const page = await browser.newPage({
    viewport: { width: 1280, height: 800 },
    ignoreHTTPSErrors: true,
  });
  await page.goto(by);
  await page.getByLabel('Your name, as others see it and as you sign in').fill(name);
  await page.getByLabel('A new password', { exact: true }).fill('three cables in a duct');
  await page.getByRole('button', { name: 'Come in' }).click();
  await page.getByRole('link', { name, exact: true }).waitFor();
  return page;
}

const keeper = await comeIn(link, 'Rowan');
await keeper.goto(new URL('/people', link).href);
const made = keeper.getByLabel('the link');
for (const [name, role] of [
  ['Alder', 'KEEPER'],
  ['Wren', 'MEMBER'],
  ['Sorrel', 'GUEST'],
  ['', 'MEMBER'],
]) {
  const before = (await made.count()) > 0 ? await made.inputValue() : '';
  await keeper.getByLabel('role of whoever comes').selectOption(role);
  await keeper.getByRole('button', { name: 'Make a link' }).click();
  await keeper.waitForFunction(
    (was) => document.querySelector('[aria-label="the link"]')?.value !== was,
    before || undefined,
  );
  if (name) await (await comeIn(await made.inputValue(), name)).close();
}
await keeper.reload();
await keeper.getByText('Sorrel').waitFor();
await takePicture(keeper, 'people');
await browser.close();
