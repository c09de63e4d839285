import { createSlice } from '@reduxjs/toolkit';

/** Whether the server asked to sign in first. Whoever comes in opens the page anew. */
export const doorSlice = createSlice({
  name: 'door',
  initialState: { isShut: false },
  reducers: {
    shut: (door) => {
      door.isShut = true;
    },
  },
});
