import './app/theme.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, Outlet, RouterProvider } from 'react-router';
import { shouldRetry } from './api';
import { Broken } from './app/Broken';
import { NotHere } from './app/NotHere';
import { PreferencesProvider, settingsQuery } from './app/preferences';
import { SessionProvider } from './app/session';
import { SignedIn } from './app/SignedIn';
import { PlansPage } from './features/plans';

const queries = new QueryClient({
  defaultOptions: {
    queries: { retry: shouldRetry, retryDelay: 1500, refetchOnWindowFocus: false },
  },
});

// the list of plans opens at once; the sheets are fetched at leisure, so that they open even while the server is away
const plan = () => import('./features/plan/sheet');
const compare = () => import('./features/plans/compare');
const cables = () => import('./features/cables');
const bench = () => import('./features/bench');
const locker = () => import('./features/locker');
const sites = () => import('./features/sites');
const guide = () => import('./features/guide');
const people = () => import('./features/people');
const settings = () => import('./features/settings');

const router = createBrowserRouter([
  {
    hydrateFallbackElement: <p className="p-5">Opening …</p>,
    errorElement: <Broken />,
    children: [
      { path: '/shared', lazy: async () => ({ Component: (await plan()).SharedPage }) },
      { path: '/come-in', lazy: async () => ({ Component: (await people()).ComeInPage }) },
      {
        element: (
          <SignedIn>
            <PreferencesProvider>
              <Outlet />
            </PreferencesProvider>
          </SignedIn>
        ),
        children: [
          { path: '/', element: <Navigate to="/plans" replace /> },
          { path: '/plans', element: <PlansPage /> },
          {
            path: '/plans/compare',
            lazy: async () => ({ Component: (await compare()).ComparePage }),
          },
          { path: '/plans/:id', lazy: async () => ({ Component: (await plan()).PlanPage }) },
          { path: '/sites', lazy: async () => ({ Component: (await sites()).SitesPage }) },
          { path: '/cables', lazy: async () => ({ Component: (await cables()).CablesPage }) },
          {
            path: '/cables/anatomy',
            lazy: async () => ({ Component: (await cables()).AnatomyPage }),
          },
          { path: '/bench', lazy: async () => ({ Component: (await bench()).BenchPage }) },
          { path: '/bench/:id', lazy: async () => ({ Component: (await bench()).TestPage }) },
          { path: '/locker', lazy: async () => ({ Component: (await locker()).LockerPage }) },
          { path: '/locker/kits', lazy: async () => ({ Component: (await locker()).KitsPage }) },
          { path: '/locker/cuts', lazy: async () => ({ Component: (await locker()).CutsPage }) },
          {
            path: '/locker/labels',
            lazy: async () => ({ Component: (await locker()).LabelsPage }),
          },
          { path: '/locker/:id', lazy: async () => ({ Component: (await locker()).PiecePage }) },
          { path: '/guide', lazy: async () => ({ Component: (await guide()).GuidePage }) },
          { path: '/settings', lazy: async () => ({ Component: (await settings()).SettingsPage }) },
          {
            path: '/happenings',
            lazy: async () => ({ Component: (await people()).HappeningsPage }),
          },
          { path: '/people', lazy: async () => ({ Component: (await people()).PeoplePage }) },
          { path: '*', element: <NotHere /> },
        ],
      },
    ],
  },
]);

const AT_LEISURE_MS = 1500;
setTimeout(() => {
  void plan()
    .then(({ fetchViews }) => fetchViews())
    .catch(() => undefined);
  for (const sheet of [compare, sites, cables, bench, locker, guide, people, settings])
    void sheet().catch(() => undefined);
}, AT_LEISURE_MS);

// asked for together with who is at work, not after it
void queries.prefetchQuery(settingsQuery);

const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <SessionProvider>
        <RouterProvider router={router} />
      </SessionProvider>
    </QueryClientProvider>
  </StrictMode>,
);
