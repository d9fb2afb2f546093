import { Navigate, type RouteObject } from 'react-router';
import { JobPage } from './shell/JobPage.tsx';
import { Gauges } from './shop/Gauges.tsx';
import { Jobs } from './shop/Jobs.tsx';
import { LathePage } from './shop/LathePage.tsx';
import { Lathes } from './shop/Lathes.tsx';
import { Settings } from './shop/Settings.tsx';
import { Tables } from './shop/Tables.tsx';
import { Broken } from './shell/Broken.tsx';

/** Every address of the application. */
const ROUTES: RouteObject[] = [
  { path: '/', element: <Navigate to="/jobs" replace /> },
  { path: '/jobs', element: <Jobs /> },
  { path: '/jobs/:jobId', element: <JobPage /> },
  { path: '/jobs/:jobId/:station', element: <JobPage /> },
  { path: '/lathes', element: <Lathes /> },
  { path: '/lathes/:latheId', element: <LathePage /> },
  { path: '/tables', element: <Tables /> },
  { path: '/gauges', element: <Gauges /> },
  { path: '/settings', element: <Settings /> },
  { path: '*', element: <Navigate to="/jobs" replace /> },
];

/** Every address breaks by itself, and says what can still be done. */
export const routes: RouteObject[] = ROUTES.map((r) => ({ ...r, errorElement: <Broken /> }));
