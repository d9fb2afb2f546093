import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import './app.css';
import { Opening } from './shell/Opening.tsx';
import { holdUnwritten, store } from './store/store.ts';

window.addEventListener('beforeunload', holdUnwritten);

const root = document.getElementById('root');
if (!root) throw new Error('no root element');
createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <Opening />
    </Provider>
  </StrictMode>,
);
