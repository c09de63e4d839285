import './app/theme.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { createRouter } from './app/routes.js';
import { createStore } from './device/store.js';

const root = document.getElementById('root');
if (!root) throw new Error('The page has no element with the id "root".');
createRoot(root).render(
  <StrictMode>
    <Provider store={createStore()}>
      <RouterProvider router={createRouter()} />
    </Provider>
  </StrictMode>,
);
