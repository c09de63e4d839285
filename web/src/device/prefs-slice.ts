import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export const PRESSURE_UNITS = ['hPa', 'mbar', 'Torr', 'mTorr'] as const;
export const VOLUME_UNITS = ['mL', 'L', 'fl oz', 'qt'] as const;
export const TEMPERATURE_UNITS = ['°C', '°F'] as const;
export const FLOW_UNITS = ['m³/h', 'L/s', 'cfm'] as const;

export interface Prefs {
  readonly pressure: (typeof PRESSURE_UNITS)[number];
  readonly volume: (typeof VOLUME_UNITS)[number];
  readonly temperature: (typeof TEMPERATURE_UNITS)[number];
  readonly flow: (typeof FLOW_UNITS)[number];
  readonly theme: 'system' | 'light' | 'dark';
  /** Id of the person who writes on this device. */
  readonly who: string | null;
  /** Single-letter keys; they can be switched off. */
  readonly letters: boolean;
}

const KEY = 'winter-jar.prefs';
const DEFAULTS: Prefs = {
  pressure: 'hPa',
  volume: 'mL',
  temperature: '°C',
  flow: 'm³/h',
  theme: 'system',
  who: null,
  letters: true,
};

export function loadPrefs(): Prefs {
  try {
    return { ...DEFAULTS, ...(JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Prefs>) };
  } catch {
    return DEFAULTS;
  }
}

export function savePrefs(prefs: Prefs): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(prefs));
  } catch {
    // A browser without storage still works; it only forgets.
  }
}

export const prefsSlice = createSlice({
  name: 'prefs',
  initialState: loadPrefs,
  reducers: {
    chosen: (prefs, action: PayloadAction<Partial<Prefs>>) => ({ ...prefs, ...action.payload }),
  },
});
