import { Navigate, type LoaderFunctionArgs, type RouteObject } from 'react-router';
import { Broken } from './shell/Broken.tsx';

/** What stands there while a view is fetched: a moment, and only the first time. */
const fetching = (
  <main id="view" className="p-6">
    Opening&hellip;
  </main>
);

/** A station of a job, at the desk or at the machine. */
const STATION = {
  lazy: async () => ({ Component: (await import('./job/StationPage.tsx')).StationPage }),
  loader: async ({ params: { station = '', mode } }: LoaderFunctionArgs) => {
    const { fetchStation } = await import('./job/stationViews.ts');
    await fetchStation(station, mode);
    return null;
  },
  // a tab or a drawer of the station is in the address as well: nothing is fetched for it
  shouldRevalidate: ({ currentUrl, nextUrl }) => currentUrl.pathname !== nextUrl.pathname,
} satisfies RouteObject;

/** Each view is fetched when it is first wanted: the first screen waits for none of the others. */
const VIEWS: RouteObject[] = [
  { path: '/', element: <Navigate to="/jobs" replace /> },
  { path: '/jobs', lazy: async () => ({ Component: (await import('./shop/Jobs.tsx')).Jobs }) },
  {
    path: '/jobs/:jobId',
    // the record, what is around a station and the station itself are fetched beside one another
    lazy: async () => ({ Component: (await import('./job/JobPage.tsx')).JobPage }),
    loader: async ({ params: { jobId = '' }, request }) => {
      const { openingOf } = await import('./job/opening.ts');
      return openingOf(jobId, () => !request.signal.aborted);
    },
    // it is opened once: what changes afterwards is in the store
    shouldRevalidate: ({ currentParams, nextParams }) => currentParams['jobId'] !== nextParams['jobId'],
    children: [
      { index: true, element: <Navigate to="read" replace /> },
      { path: 'paper', lazy: async () => ({ Component: (await import('./job/PaperFrame.tsx')).PaperFrame }) },
      { path: ':station', ...STATION },
      { path: ':station/:mode', ...STATION },
    ],
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
