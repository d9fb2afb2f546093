import { StrictMode, useEffect, useState } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { demoJobs, demoShop } from '../demo/index.ts';
import './app.css';
import { routes } from './routes.tsx';
import { loadShop, replaceAll } from './storage/db.ts';
import { holdUnwritten, shopOpened, store, useAppDispatch, useAppSelector } from './store/store.ts';

const router = createBrowserRouter(routes);

/** Opens the shop from the record; the first visit finds the demo shop in place. */
async function openShop() {
  const kept = await loadShop();
  if (kept) return kept;
  const shop = demoShop();
  await replaceAll(shop, demoJobs());
  return shop;
}
// one opening, however often the component is mounted
const opening = openShop();

function App() {
  const dispatch = useAppDispatch();
  const shop = useAppSelector((s) => s.work.shop?.present ?? null);
  const [failed, setFailed] = useState<string | null>(null);
  useEffect(() => {
    opening.then(
      (s) => dispatch(shopOpened(s)),
      (e: unknown) => setFailed(e instanceof Error ? e.message : 'storage refused'),
    );
  }, [dispatch]);
  useTheme(shop?.settings.theme ?? 'auto');
  if (failed !== null) {
    return (
      <main className="p-6">
        <h1 className="text-2xl">The record could not be opened</h1>
        <p>
          {failed}. Gelvin keeps its data in the browser&rsquo;s storage: allow it for this address, or leave private
          browsing, and load the page again.
        </p>
      </main>
    );
  }
  if (!shop) return <main className="p-6">Opening the shop&hellip;</main>;
  return <RouterProvider router={router} />;
}

function useTheme(theme: 'light' | 'dark' | 'auto'): void {
  useEffect(() => {
    const media = window.matchMedia('(prefers-color-scheme: dark)');
    const apply = (): void => {
      document.documentElement.dataset['theme'] = theme === 'auto' ? (media.matches ? 'dark' : 'light') : theme;
    };
    apply();
    media.addEventListener('change', apply);
    return () => media.removeEventListener('change', apply);
  }, [theme]);
}

window.addEventListener('beforeunload', holdUnwritten);

const root = document.getElementById('root');
if (!root) throw new Error('no root element');
createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <App />
    </Provider>
  </StrictMode>,
);
