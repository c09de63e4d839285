import { number } from '../ui/number.js';
import {
  iso4406Code,
  LAB_FIGURES,
  type LabReading,
  type LabResultBody,
  type NotJudged,
  type WearSign,
} from '@winter-jar/core';

export type LabFigure = (typeof LAB_FIGURES)[number];

interface FigureWords {
  readonly label: string;
  readonly unit: string;
  readonly dimension: 'share' | 'viscosity' | 'acidNumber' | 'count';
}

/** What a laboratory reports, in the order in which its sheets have it. */
export const FIGURE_WORDS: Readonly<Record<LabFigure, FigureWords>> = {
  viscosity40Mm2s: { label: 'Viscosity at 40 °C', unit: 'mm²/s', dimension: 'viscosity' },
  waterPpm: { label: 'Water (Karl Fischer)', unit: 'ppm', dimension: 'share' },
  acidMgKohG: { label: 'Acid number', unit: 'mg KOH/g', dimension: 'acidNumber' },
  baseMgKohG: { label: 'Base number', unit: 'mg KOH/g', dimension: 'acidNumber' },
  ironPpm: { label: 'Iron', unit: 'ppm', dimension: 'share' },
  siliconPpm: { label: 'Silicon', unit: 'ppm', dimension: 'share' },
  aluminiumPpm: { label: 'Aluminium', unit: 'ppm', dimension: 'share' },
  count4PerMl: { label: 'Particles ≥ 4 µm', unit: '/mL', dimension: 'count' },
  count6PerMl: { label: 'Particles ≥ 6 µm', unit: '/mL', dimension: 'count' },
  count14PerMl: { label: 'Particles ≥ 14 µm', unit: '/mL', dimension: 'count' },
};

export const WEAR_SIGN_WORDS: Readonly<Record<WearSign, string>> = {
  noise: 'noise',
  glitter: 'glitter in the oil',
  poorBlankOff: 'a poor blank-off',
};

const NOT_JUDGED_WORDS: Readonly<Record<NotJudged, string>> = {
  noFreshValue: 'the set-up of this oil does not say what it is when unused',
  noLimitForThisOil: 'there is no limit for an oil of this kind',
  tooFewCharges: 'it is held against earlier charges of this pump, and fewer than three have it',
  dropletsCount: 'the oil is wet, and a counter counts droplets as particles; let it be dried first',
};

/** "Acid number is kept but not judged: the set-up of this oil does not say …" */
export const notJudgedWords = ({ reading, why }: { reading: LabReading; why: NotJudged }): string =>
  `${FIGURE_WORDS[reading].label} is kept but not judged: ${NOT_JUDGED_WORDS[why]}.`;

const given = (value: number | null | undefined): value is number => value !== null && value !== undefined;

/** The cleanliness code of a report that has all three counts. */
export function particleCode({ count4PerMl, count6PerMl, count14PerMl }: LabResultBody): string | null {
  return given(count4PerMl) && given(count6PerMl) && given(count14PerMl)
    ? iso4406Code({ counts: [count4PerMl, count6PerMl, count14PerMl] })
    : null;
}

/** Silicon has two sources; aluminium beside it tells them apart. */
export function siliconWords({ siliconPpm, aluminiumPpm }: LabResultBody): string | null {
  if (!siliconPpm) return null;
  return aluminiumPpm
    ? 'Silicon with aluminium is dust.'
    : 'Silicon without aluminium may be silicone: from release agent, sealant or antifoam.';
}

const numberWords = (value: number): string => number(value, 2);

/** The figures of a report in one line. */
export function figuresWords(body: LabResultBody): string[] {
  const figures = LAB_FIGURES.filter((f) => !f.startsWith('count')).flatMap((figure) => {
    const value = body[figure];
    const { label, unit } = FIGURE_WORDS[figure];
    return given(value) ? [`${label.toLowerCase()} ${numberWords(value)}\u00a0${unit}`] : [];
  });
  const code = particleCode(body);
  const signs = (body.wearSigns ?? []).map((s) => WEAR_SIGN_WORDS[s]).join(', ');
  return [...figures, ...(code ? [`particles ${code}`] : []), ...(signs ? [`with ${signs}`] : [])];
}
