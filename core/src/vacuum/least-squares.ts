/** Symmetric matrix by rows. */
export type Matrix = readonly (readonly number[])[];

/**
 * Makes a symmetric positive definite matrix, all rows after one another, its inverse, by its Cholesky factor (Golub & Van Loan 2013,
 * Matrix Computations, 4.2). A grid of time constants asks for it thousands of times.
 * @returns the logarithm of its determinant; null where it is not positive definite: two columns say the same
 */
function invert(matrix: Float64Array, n: number): number | null {
  const l = matrix.slice();
  let logDeterminant = 0;
  for (let j = 0; j < n; j++) {
    for (let i = j; i < n; i++) {
      let sum = l[i * n + j] as number;
      for (let k = 0; k < j; k++) sum -= (l[i * n + k] as number) * (l[j * n + k] as number);
      if (i === j) {
        if (!(sum > 1e-13 * (matrix[j * n + j] as number))) return null;
        logDeterminant += Math.log(sum);
        l[j * n + j] = Math.sqrt(sum);
      } else l[i * n + j] = sum / (l[j * n + j] as number);
    }
  }
  // Column by column: forwards through the factor, back through its transpose.
  for (let c = 0; c < n; c++) {
    for (let i = 0; i < n; i++) {
      let sum = i === c ? 1 : 0;
      for (let k = 0; k < i; k++) sum -= (l[i * n + k] as number) * (matrix[k * n + c] as number);
      matrix[i * n + c] = sum / (l[i * n + i] as number);
    }
    for (let i = n - 1; i >= 0; i--) {
      let sum = matrix[i * n + c] as number;
      for (let k = i + 1; k < n; k++) sum -= (l[k * n + i] as number) * (matrix[k * n + c] as number);
      matrix[i * n + c] = sum / (l[i * n + i] as number);
    }
  }
  return logDeterminant;
}

/** Inverse of a symmetric positive definite matrix; null where it is not positive definite. */
export function inverseOf(matrix: Matrix): number[][] | null {
  const n = matrix.length;
  const flat = Float64Array.from(matrix.flat());
  return invert(flat, n) === null ? null : matrix.map((_, i) => Array.from(flat.subarray(i * n, (i + 1) * n)));
}

/** Sums that a weighted linear fit needs: of each two columns, of each with what was measured, and of that with itself. */
export interface NormalSums {
  readonly columns: Matrix;
  readonly withMeasured: readonly number[];
  readonly measured: number;
}

export interface LinearFit {
  readonly values: readonly number[];
  /** For a scatter of one; all rows after one another. */
  readonly covariance: Float64Array;
  readonly logDeterminant: number;
  /** What is left, weighted. */
  readonly chiSquared: number;
}

/** Weighted linear least squares from its sums; null where two columns say the same. */
export function solve({ columns, withMeasured, measured }: NormalSums): LinearFit | null {
  const n = columns.length;
  // Columns of one size make one scale of what is too small to tell.
  const scale = new Float64Array(n);
  for (let i = 0; i < n; i++) scale[i] = 1 / Math.sqrt(columns[i]?.[i] || 1);
  const covariance = new Float64Array(n * n);
  const scaled = () => {
    for (let i = 0; i < n; i++)
      for (let j = 0; j < n; j++)
        covariance[i * n + j] = (covariance[i * n + j] as number) * (scale[i] as number) * (scale[j] as number);
  };
  for (let i = 0; i < n; i++) for (let j = 0; j < n; j++) covariance[i * n + j] = columns[i]?.[j] ?? 0;
  scaled();
  let logDeterminant = invert(covariance, n);
  if (logDeterminant === null) return null;
  scaled();
  const values = new Float64Array(n);
  let explained = 0;
  for (let i = 0; i < n; i++) {
    let value = 0;
    for (let j = 0; j < n; j++) value += (covariance[i * n + j] as number) * (withMeasured[j] ?? 0);
    values[i] = value;
    explained += value * (withMeasured[i] ?? 0);
    logDeterminant -= 2 * Math.log(scale[i] as number);
  }
  return {
    values: Array.from(values),
    covariance,
    logDeterminant,
    chiSquared: Math.max(0, measured - explained),
  };
}
