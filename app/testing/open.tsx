import { jest } from '@jest/globals';
import { act, configure, render, type RenderResult } from '@testing-library/react';
import type { Job, Shop } from '../../core/job/schema.ts';
import { demoJobs, demoShop } from '../../demo/index.ts';
import type { CalcWorker } from '../workers/protocol.ts';

// a failure names what was sought; the whole page beside it hides that
// and a machine that is busy with other tests beside this one takes its time
configure({
  asyncUtilTimeout: 5000,
  defaultHidden: true,
  getElementError: (message) => new Error(message ?? 'not found'),
});

/**
 * The worker's own functions without a thread: comlink is replaced, so that what the worker exposes is what the page
 * asks. Must run before any module of the application is imported.
 */
export async function withWorker(): Promise<void> {
  let api: CalcWorker | null = null;
  jest.unstable_mockModule('comlink', () => ({
    expose: (given: CalcWorker) => void (api = given),
    proxy: (f: unknown) => f,
    wrap: () =>
      new Proxy(
        {},
        {
          get:
            (_, name: string) =>
            async (...args: unknown[]) => {
              const asked = (api as unknown as Record<string, (...a: unknown[]) => unknown>)[name];
              await Promise.resolve();
              return asked?.(...args);
            },
        },
      ),
  }));
  await import('../workers/calc.worker.ts');
}

/** The application at an address, with a shop and its jobs in the record: the demo shop unless another is given. */
export async function openAt(
  path: string,
  shop: Shop = demoShop(),
  jobs: readonly Job[] = demoJobs(),
): Promise<Opened> {
  // a browser fetches modules beside one another; the test runner loses its place when it has to, so that nothing is
  // fetched while it waits, and these one after the other
  globalThis.requestIdleCallback = () => 0;
  for (const page of [
    () => import('../job/opening.ts'),
    () => import('../job/stationViews.ts'),
    () => import('../job/JobPage.tsx'),
    () => import('../job/StationPage.tsx'),
  ])
    await page();
  const { replaceAll } = await import('../storage/db.ts');
  const { dropDrafts } = await import('../ui/drafts.ts');
  dropDrafts();
  const { allSaved, openShop } = await import('../store/store.ts');
  // what the view before is still writing down must not come over this
  await allSaved();
  openShop(shop, await replaceAll(shop, jobs));
  return show(path);
}

/** The application as it was opened, and how one goes on to another address in it. */
export interface Opened extends RenderResult {
  readonly goTo: (path: string) => Promise<void>;
}

/** The application at an address, with whatever lies in the record. */
export async function show(path: string): Promise<Opened> {
  const { Provider } = await import('react-redux');
  const { createMemoryRouter, RouterProvider } = await import('react-router');
  const { routes } = await import('../routes.tsx');
  const { store } = await import('../store/store.ts');
  const router = createMemoryRouter(routes, { initialEntries: [path] });
  const rendered = render(
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>,
  );
  // a view is fetched when it is first wanted, and a busy machine reads a whole station's sources first
  await rendered.findAllByRole('heading', { level: 1 }, { timeout: 25_000 });
  return { ...rendered, goTo: (to) => act(() => router.navigate(to)) };
}
