import './app/theme.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { houseApi } from './api/house-api.js';
import { createRouter } from './app/routes.js';
import { createStore } from './device/store.js';

const root = document.getElementById('root');
if (!root) throw new Error('The page has no element with the id "root".');
const store = createStore();
createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <RouterProvider router={createRouter()} />
    </Provider>
  </StrictMode>,
);

// What others write shows without a reload; begun once the page has what it needs. A browser asks no second time for
// a part that did not come: a page cut short while it opened is opened again when there is a connection.
Promise.all([import('./api/follow-changes.js'), import('./sending/keep-sending.js')])
  .then(async ([{ followChanges }, { keepSending }]) => {
    const { changed } = await keepSending(store);
    followChanges((tags) => {
      store.dispatch(houseApi.util.invalidateTags([...tags]));
      changed();
    });
    // Once it is known what waits: a newer version does not take over before.
    void import('./app/own-worker.js').then(({ beginOwnWorker }) => beginOwnWorker(store)).catch(() => undefined);
  })
  .catch(() => window.addEventListener('online', () => window.location.reload()));
// At hand before the connection goes, where no service worker keeps the app's files.
void import('./held/with-waiting.js').catch(() => undefined);
