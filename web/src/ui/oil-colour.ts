/** Tints of the sixteen half steps of ASTM D1500, 0.5 to 8. A memory aid: screens are not calibrated. */
const D1500_TINTS = [
  '#f4e9b8',
  '#f1df9c',
  '#edd381',
  '#e8c668',
  '#e2b853',
  '#daa840',
  '#d09730',
  '#c48524',
  '#b5721b',
  '#a36016',
  '#8f4f14',
  '#7a4013',
  '#653312',
  '#502710',
  '#3c1d0e',
  '#2a140b',
] as const;

const UNKNOWN_TINT = '#e0b352';

/** Tint of oil at a half step from 0.5 to 8; a plain amber when the colour was not looked at. */
export function oilTint(colour: number | null): string {
  if (colour === null) return UNKNOWN_TINT;
  return D1500_TINTS[Math.min(15, Math.max(0, Math.round(colour * 2) - 1))] ?? UNKNOWN_TINT;
}

export const D1500_STEPS: readonly number[] = D1500_TINTS.map((_, i) => (i + 1) / 2);

const WORDS: readonly [upTo: number, word: string][] = [
  [1, 'straw'],
  [2, 'pale honey'],
  [3, 'honey'],
  [4, 'amber'],
  [5, 'brown'],
  [6.5, 'dark brown'],
  [8, 'black'],
];

export const oilColourWord = (colour: number): string => WORDS.find(([upTo]) => colour <= upTo)?.[1] ?? 'black';
