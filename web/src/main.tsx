import './app/theme.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { shouldRetry } from './api';
import { Broken } from './app/Broken';
import { PreferencesProvider } from './app/preferences';
import { BenchPage, TestPage } from './features/bench';
import { AnatomyPage, CablesPage } from './features/cables';
import { GuidePage } from './features/guide';
import { CutsPage, KitsPage, LabelsPage, LockerPage, PiecePage } from './features/locker';
import { PlanPage } from './features/plan';
import { ComparePage, PlansPage } from './features/plans';
import { SettingsPage } from './features/settings';

const queries = new QueryClient({
  defaultOptions: {
    queries: { retry: shouldRetry, retryDelay: 1500, refetchOnWindowFocus: false },
  },
});

const router = createBrowserRouter([
  {
    errorElement: <Broken />,
    children: [
      { path: '/', element: <Navigate to="/plans" replace /> },
      { path: '/plans', element: <PlansPage /> },
      { path: '/plans/compare', element: <ComparePage /> },
      { path: '/plans/:id', element: <PlanPage /> },
      { path: '/cables', element: <CablesPage /> },
      { path: '/cables/anatomy', element: <AnatomyPage /> },
      { path: '/bench', element: <BenchPage /> },
      { path: '/bench/:id', element: <TestPage /> },
      { path: '/locker', element: <LockerPage /> },
      { path: '/locker/kits', element: <KitsPage /> },
      { path: '/locker/cuts', element: <CutsPage /> },
      { path: '/locker/labels', element: <LabelsPage /> },
      { path: '/locker/:id', element: <PiecePage /> },
      { path: '/guide', element: <GuidePage /> },
      { path: '/settings', element: <SettingsPage /> },
      { path: '*', element: <Navigate to="/plans" replace /> },
    ],
  },
]);

const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <PreferencesProvider>
        <RouterProvider router={router} />
      </PreferencesProvider>
    </QueryClientProvider>
  </StrictMode>,
);
