import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import './app.css';
import { registerOffline } from './offline/register.ts';
import { beginOpening } from './shell/beginOpening.ts';
import { Opening } from './shell/Opening.tsx';
import { holdUnwritten, store } from './store/store.ts';

window.addEventListener('beforeunload', holdUnwritten);

// in development the files change under the worker's feet
if (import.meta.env.PROD) registerOffline().catch(() => undefined); // without it the server is needed, as before

beginOpening();

const root = document.getElementById('root');
if (!root) throw new Error('no root element');
createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <Opening />
    </Provider>
  </StrictMode>,
);
