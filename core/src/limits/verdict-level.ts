/** How hard a verdict is, the mildest first. Words for it live in the interface. */
export const VERDICT_LEVELS = ['runOn', 'lookSooner', 'beforeNextRun', 'stop'] as const;
export type VerdictLevel = (typeof VERDICT_LEVELS)[number];

export const isHarder = (a: VerdictLevel, b: VerdictLevel): boolean =>
  VERDICT_LEVELS.indexOf(a) > VERDICT_LEVELS.indexOf(b);

export const worstLevel = (levels: readonly VerdictLevel[]): VerdictLevel =>
  levels.reduce<VerdictLevel>((worst, l) => (isHarder(l, worst) ? l : worst), 'runOn');
