import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export interface Connection {
  readonly isLost: boolean;
  /** When the oldest of what is shown from memory was answered; null while nothing is. */
  readonly asOf: string | null;
}

const NOT_LOST: Connection = { isLost: false, asOf: null };

/** Whether the server answered when it was asked last, and how old what is shown without it may be. */
export const connectionSlice = createSlice({
  name: 'connection',
  initialState: NOT_LOST,
  reducers: {
    answered: (connection) => (connection.isLost ? { isLost: false, asOf: null } : connection),
    lost: (connection) => (connection.isLost ? connection : { isLost: true, asOf: null }),
    recalled: (connection, { payload: at }: PayloadAction<string>) =>
      connection.asOf !== null && connection.asOf <= at ? connection : { isLost: true, asOf: at },
  },
});
