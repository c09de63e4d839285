import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Correction, Entry, SetUpKind, SetUpVersion } from '@winter-jar/core';

/** What an Undo takes back: whole deeds, a deed that was moved, a correction, records that were added, or a version of one. */
export type Undoable =
  | { readonly entryIds: readonly string[] }
  /** Taken back at one place and written at another. */
  | { readonly moved: { readonly from: readonly string[]; readonly to: readonly string[] } }
  | { readonly correction: Correction; readonly before: Entry | null }
  /** Records that were just added, each with its kind and id. */
  | { readonly added: readonly { readonly kind: SetUpKind; readonly id: string }[] }
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
