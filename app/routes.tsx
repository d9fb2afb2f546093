import { Navigate, type RouteObject } from 'react-router';
import { Broken } from './shell/Broken.tsx';

/** What stands there while a view is fetched: a moment, and only the first time. */
const fetching = (
  <main id="view" className="p-6">
    Opening&hellip;
  </main>
);

/** Each view is fetched when it is first wanted: the first screen waits for none of the others. */
const VIEWS: RouteObject[] = [
  { path: '/', element: <Navigate to="/jobs" replace /> },
  { path: '/jobs', lazy: async () => ({ Component: (await import('./shop/Jobs.tsx')).Jobs }) },
  { path: '/jobs/:jobId', lazy: async () => ({ Component: (await import('./job/JobPage.tsx')).JobPage }) },
  { path: '/jobs/:jobId/:station', lazy: async () => ({ Component: (await import('./job/JobPage.tsx')).JobPage }) },
  {
    path: '/jobs/:jobId/:station/:mode',
    lazy: async () => ({ Component: (await import('./job/JobPage.tsx')).JobPage }),
  },
  { path: '/lathes', lazy: async () => ({ Component: (await import('./shop/Lathes.tsx')).Lathes }) },
  { path: '/lathes/:latheId', lazy: async () => ({ Component: (await import('./shop/LathePage.tsx')).LathePage }) },
  { path: '/tables', lazy: async () => ({ Component: (await import('./shop/Tables.tsx')).Tables }) },
  { path: '/gauges', lazy: async () => ({ Component: (await import('./shop/Gauges.tsx')).Gauges }) },
  { path: '/practice', lazy: async () => ({ Component: (await import('./practice/Practice.tsx')).Practice }) },
  { path: '/practice/:game', lazy: async () => ({ Component: (await import('./practice/Game.tsx')).Game }) },
  { path: '/settings', lazy: async () => ({ Component: (await import('./shop/Settings.tsx')).Settings }) },
  { path: '*', element: <Navigate to="/jobs" replace /> },
];

/** Every address of the application; each breaks by itself, and says what can still be done. */
export const routes: RouteObject[] = VIEWS.map((r) => ({
  ...r,
  errorElement: <Broken />,
  hydrateFallbackElement: fetching,
}));
