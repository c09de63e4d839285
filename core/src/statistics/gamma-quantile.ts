/**
 * Regularised lower incomplete gamma function P(a, x) and its inverse, for the Gamma distribution of due dates.
 * Source: NIST Digital Library of Mathematical Functions (2010), 8.11.4 (series) and 8.9.2 (continued fraction, Lentz's
 * method); start value by Wilson & Hilferty (1931), PNAS 17, 684. No units. Valid for a > 0, x >= 0, 0 < p < 1.
 * Example: P(1, ln 2) = 0.5, so the median of Gamma(shape 1, mean 1) is 0.6931.
 */
const RELATIVE = 1e-12;
const MAX_TERMS = 10_000;
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
];

/** ln Γ(a), a > 0 (Lanczos 1964, g = 7). */
function logGamma(a: number): number {
  if (a < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * a)) - logGamma(1 - a);
  const z = a - 1;
  const t = z + 7.5;
  const series = LANCZOS.reduce((sum, c, i) => (i === 0 ? c : sum + c / (z + i)), 0);
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(series);
}

function lowerGamma(a: number, x: number, logGammaA: number): number {
  if (x <= 0) return 0;
  const front = Math.exp(a * Math.log(x) - x - logGammaA);
  if (x < a + 1) {
    let term = 1 / a;
    let sum = term;
    for (let n = 1; n < MAX_TERMS && term > sum * RELATIVE; n++) {
      term *= x / (a + n);
      sum += term;
    }
    return front * sum;
  }
  let b = x + 1 - a;
  let c = 1e300;
  let d = 1 / b;
  let h = d;
  for (let i = 1; i < MAX_TERMS; i++) {
    const an = -i * (i - a);
    b += 2;
    d = 1 / (an * d + b || 1e-300);
    c = b + an / c || 1e-300;
    h *= d * c;
    if (Math.abs(d * c - 1) < RELATIVE) break;
  }
  return 1 - front * h;
}

/** Inverse of the standard normal distribution at the three probabilities that the product uses. */
const NORMAL: Readonly<Record<number, number>> = { 0.1: -1.2815515655446004, 0.5: 0, 0.9: 1.2815515655446004 };

/** Quantile of Gamma(shape, scale 1). @throws RangeError when shape <= 0 or p is not 0.1, 0.5 or 0.9 */
export function gammaQuantile({ shape, p }: { shape: number; p: 0.1 | 0.5 | 0.9 }): number {
  const normal = NORMAL[p];
  if (!(shape > 0) || !Number.isFinite(shape)) throw new RangeError(`shape: ${shape} is not above 0`);
  if (normal === undefined) throw new RangeError(`p: ${p} is none of 0.1, 0.5, 0.9`);
  const wilsonHilferty = shape * (1 - 1 / (9 * shape) + normal / (3 * Math.sqrt(shape))) ** 3;
  if (shape > 500) return wilsonHilferty; // its relative error is below 1e-5 there
  const logGammaA = logGamma(shape);
  const small = Math.exp((Math.log(p * shape) + logGammaA) / shape);
  let x = shape > 0.6 && wilsonHilferty > 0 ? wilsonHilferty : small;
  for (let i = 0; i < 60; i++) {
    const density = Math.exp((shape - 1) * Math.log(x) - x - logGammaA);
    const step = (lowerGamma(shape, x, logGammaA) - p) / density;
    const halley = step / (1 - Math.min(0.5, Math.max(-0.5, step * ((shape - 1) / x - 1) * 0.5)));
    const next = x - halley;
    const bounded = next <= 0 ? x / 2 : next;
    if (Math.abs(bounded - x) <= 1e-9 * x) return bounded;
    x = bounded;
  }
  return x;
}
