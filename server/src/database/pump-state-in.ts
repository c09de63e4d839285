import { FOLD_VERSION, initialState, type PumpState } from '@winter-jar/core';

/**
 * What is made of a pump's state, of whatever version that is: where one of before an update cannot be read any more, nothing is
 * known but that it is being made anew.
 */
export function ofAnyVersion<T>(pumpId: string, state: PumpState, make: (state: PumpState) => T): T {
  if (state.foldVersion === FOLD_VERSION) return make(state);
  try {
    return make(state);
  } catch {
    return make({ ...initialState(pumpId), foldVersion: 0, entries: 1 });
  }
}

/** A pump's state as it is stored; one of before an update has what it lacks filled in, and says by its version that it is old. */
export function pumpStateIn(pumpId: string, stored: { readonly state: string } | undefined): PumpState {
  if (!stored) return initialState(pumpId);
  const state = JSON.parse(stored.state) as PumpState;
  return state.foldVersion === FOLD_VERSION
    ? state
    : { ...initialState(pumpId), foldVersion: 0, entries: 1, ...(state as Partial<PumpState>) };
}
