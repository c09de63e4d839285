import { configureStore } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { useDispatch, useSelector } from 'react-redux';
import { baseApi } from '../api/base-api.js';
import { connectionSlice } from '../api/connection-slice.js';
import { doorSlice } from '../api/door-slice.js';
import { prefsSlice, savePrefs } from './prefs-slice.js';
import { toastsSlice } from './toasts-slice.js';

export function createStore() {
  const store = configureStore({
    reducer: {
      [baseApi.reducerPath]: baseApi.reducer,
      connection: connectionSlice.reducer,
      door: doorSlice.reducer,
      prefs: prefsSlice.reducer,
      toasts: toastsSlice.reducer,
    },
    middleware: (defaults) => defaults().concat(baseApi.middleware),
  });
  let saved = store.getState().prefs;
  store.subscribe(() => {
    const { prefs } = store.getState();
    if (prefs !== saved) savePrefs((saved = prefs));
  });
  setupListeners(store.dispatch);
  return store;
}

export type Store = ReturnType<typeof createStore>;
export const useAppSelector = useSelector.withTypes<ReturnType<Store['getState']>>();
export const useAppDispatch = useDispatch.withTypes<Store['dispatch']>();
