import type { LabValues } from '../journal/index.js';

/** Upper ends of the classes of ISO 4406:2021, particles per mL, from scale number 0 on. */
const UPPER_PER_ML = [
  0.01, 0.02, 0.04, 0.08, 0.16, 0.32, 0.64, 1.3, 2.5, 5, 10, 20, 40, 80, 160, 320, 640, 1300, 2500, 5000, 10_000,
  20_000, 40_000, 80_000, 160_000, 320_000, 640_000, 1_300_000, 2_500_000,
];

const HIGHEST = UPPER_PER_ML.length - 1;

/** Above the scale one more than its highest number. */
function scaleNumber(perMl: number): number {
  if (!(perMl >= 0)) throw new RangeError(`counts: ${perMl} is not a count per mL, 0 or more`);
  const number = UPPER_PER_ML.findIndex((upper) => perMl <= upper);
  return number < 0 ? HIGHEST + 1 : number;
}
const printed = (number: number): string => (number > HIGHEST ? `>${HIGHEST}` : String(number));

/**
 * Solid contamination code of ISO 4406:2021, table 1.
 * @param input `counts` particles per mL at or above 4, 6 and 14 µm(c), in this order
 * @returns the three scale numbers with slashes; above the scale ">28"
 * @throws RangeError for a count below 0
 * @example iso4406Code({ counts: [18340, 2210, 97] }) // "21/18/14"
 */
export const iso4406Code = ({ counts }: { counts: readonly [number, number, number] }): string =>
  counts.map((perMl) => printed(scaleNumber(perMl))).join('/');

/** Classes at 6 and at 14 µm(c), which say more of wear than the finest; null where one was not counted. */
export const classesOf = ({ count6PerMl, count14PerMl }: LabValues): [six: number, fourteen: number] | null =>
  typeof count6PerMl === 'number' && typeof count14PerMl === 'number'
    ? [scaleNumber(count6PerMl), scaleNumber(count14PerMl)]
    : null;

const CODE = /^(\d{1,2})\s*[/\\-]\s*(\d{1,2})\s*[/\\-]\s*(\d{1,2})$/;

/**
 * The most particles per mL that a code stands for, at or above 4, 6 and 14 µm(c): the upper ends of its three classes, so that they
 * make the same code again.
 * @returns null for what is no code of ISO 4406:2021, such as one that rises with the size
 * @example countsOfIso4406('21/18/14') // [20000, 2500, 160]
 */
export function countsOfIso4406(code: string): readonly [number, number, number] | null {
  const numbers =
    CODE.exec(code.trim().replace(/^ISO\s*(4406)?:?\s*/i, ''))
      ?.slice(1)
      .map(Number) ?? [];
  const [four, six, fourteen] = numbers.map((number) => UPPER_PER_ML[number]);
  if (four === undefined || six === undefined || fourteen === undefined || six > four || fourteen > six) return null;
  return [four, six, fourteen];
}
