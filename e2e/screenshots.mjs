// Takes the pictures in docs/screenshots from the demo data of a running server; called by the script beside it,
// which starts one of its own with fresh data:
//   e2e/screenshots
// SHOTS=name,name takes some of them only; OUT=folder puts them elsewhere.
import { launchChromium, takePicture } from './chromium.mjs';

const address = process.env.ESKIZ ?? 'http://127.0.0.1:8080';
const only = process.env.SHOTS?.split(',');
const gallery = '/plans/5ca77a00-0001-4000-8000-000000000001?band=b2m';

const wire = '/plans/5ca77a00-0003-4000-8000-000000000003';

const forked = '/plans/5ca77a00-0007-4000-8000-000000000007';

const views = [
  { name: 'plans', path: '/plans' },
  { name: 'plan-sheet', path: gallery },
  { name: 'forked-run', path: forked },
  {
    name: 'site',
    path: '/sites/Signal%20mast',
    act: (page) => page.getByText('Nothing is cheaper').waitFor(),
  },
  {
    name: 'night-sheet',
    path: wire,
    act: (page) => page.emulateMedia({ colorScheme: 'dark' }),
  },
  {
    name: 'whole-run',
    path: wire,
    act: async (page) => {
      await page.getByTestId('standing-wave').waitFor();
      await page.getByLabel(/^matching unit/).click();
      await page.getByText(/matched at the antenna.*W/).waitFor();
    },
  },
  {
    name: 'reach-view',
    path: `${gallery}&view=reach`,
    act: (page) =>
      page
        .getByText(/m, by 70 cm/)
        .first()
        .waitFor(),
  },
  {
    name: 'value-view',
    path: `${gallery}&view=value`,
    act: (page) => page.getByText('what a dB costs me').waitFor(),
  },
  { name: 'cables', path: '/cables?type=foam-10&over=rg-213 rg-58' },
  {
    name: 'bench',
    path: '/bench?tests=00000000-0000-4000-8000-0000000b0004 00000000-0000-4000-8000-0000000b0009 00000000-0000-4000-8000-0000000b0007',
    act: (page) => page.getByLabel('losses side by side', { exact: true }).waitFor(),
  },
  {
    name: 'bench-test',
    path: '/bench/00000000-0000-4000-8000-0000000b0004',
    act: (page) => page.getByText('Likely water').waitFor(),
  },
  {
    name: 'line-view',
    path: `${wire}?view=line`,
    act: (page) => page.mouse.move(420, 430),
  },
  {
    name: 'side-by-side',
    path: '/plans/compare?p=5ca77a00-0001-4000-8000-000000000001&p=5ca77a00-0001-4000-8000-000000000001~rg-213&p=5ca77a00-0002-4000-8000-000000000002&band=2%20m',
  },
  { name: 'phone', path: gallery, size: { width: 390, height: 844 } },
  {
    name: 'paper',
    path: `${wire}?view=paper`,
    act: (page) => page.getByText('Cut and terminate').first().waitFor(),
  },
  { name: 'guide', path: '/guide' },
  { name: 'locker', path: '/locker' },
  {
    name: 'piece',
    path: '/locker/00000000-0000-4000-8000-0000000c000c',
    act: (page) => page.getByText('surely between').waitFor(),
  },
];

const browser = await launchChromium();
for (const view of views.filter((v) => !only || only.includes(v.name))) {
  const page = await browser.newPage({
    viewport: view.size ?? { width: 1280, height: 800 },
  });
  // a page that listens to what others do is never idle
  await page.route('**/events', (route) => route.abort());
  await page.goto(address + view.path, { waitUntil: 'networkidle' });
  await view.act?.(page);
  await takePicture(page, view.name);
  await page.close();
}
await browser.close();
