import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Correction, Entry, SetUpVersion } from '@winter-jar/core';

/** What an Undo takes back: whole deeds, a correction, or a version of the set-up. */
export type Undoable =
  | { readonly entryIds: readonly string[] }
  | { readonly correction: Correction; readonly before: Entry | null }
  | { readonly setUp: SetUpVersion };

/** What was just written, and how it is undone. */
export interface ToastShown {
  readonly id: string;
  readonly words: string;
  readonly undo: Undoable | null;
}

export const toastsSlice = createSlice({
  name: 'toasts',
  initialState: [] as readonly ToastShown[],
  reducers: {
    shown: (toasts, action: PayloadAction<ToastShown>) => [...toasts.slice(-2), action.payload],
    dismissed: (toasts, action: PayloadAction<string>) => toasts.filter((t) => t.id !== action.payload),
  },
});
