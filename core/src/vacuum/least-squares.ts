/** Symmetric matrix by rows. */
export type Matrix = readonly (readonly number[])[];

/**
 * Inverse of a symmetric positive definite matrix by its Cholesky factor (Golub & Van Loan 2013, Matrix Computations, 4.2).
 * @returns null where it is not positive definite: two columns say the same
 */
export function inverseOf(matrix: Matrix): { readonly inverse: number[][]; readonly logDeterminant: number } | null {
  const n = matrix.length;
  const l = matrix.map((row) => [...row]);
  const at = (m: number[][], i: number, j: number): number => m[i]?.[j] ?? 0;
  let logDeterminant = 0;
  for (let j = 0; j < n; j++) {
    for (let i = j; i < n; i++) {
      let sum = at(l, i, j);
      for (let k = 0; k < j; k++) sum -= at(l, i, k) * at(l, j, k);
      if (i === j) {
        if (!(sum > 1e-13 * (matrix[j]?.[j] ?? 0))) return null;
        logDeterminant += Math.log(sum);
        (l[j] as number[])[j] = Math.sqrt(sum);
      } else (l[i] as number[])[j] = sum / at(l, j, j);
    }
  }
  const inverse = matrix.map(() => new Array<number>(n).fill(0));
  for (let c = 0; c < n; c++) {
    const y = new Array<number>(n).fill(0);
    for (let i = 0; i < n; i++) {
      let sum = i === c ? 1 : 0;
      for (let k = 0; k < i; k++) sum -= at(l, i, k) * (y[k] ?? 0);
      y[i] = sum / at(l, i, i);
    }
    for (let i = n - 1; i >= 0; i--) {
      let sum = y[i] ?? 0;
      for (let k = i + 1; k < n; k++) sum -= at(l, k, i) * at(inverse, k, c);
      (inverse[i] as number[])[c] = sum / at(l, i, i);
    }
  }
  return { inverse, logDeterminant };
}

/** Sums that a weighted linear fit needs: of each two columns, of each with what was measured, and of that with itself. */
export interface NormalSums {
  readonly columns: Matrix;
  readonly withMeasured: readonly number[];
  readonly measured: number;
}

export interface LinearFit {
  readonly values: readonly number[];
  /** For a scatter of one. */
  readonly covariance: Matrix;
  readonly logDeterminant: number;
  /** What is left, weighted. */
  readonly chiSquared: number;
}

/** Weighted linear least squares from its sums; null where two columns say the same. */
export function solve({ columns, withMeasured, measured }: NormalSums): LinearFit | null {
  // Columns of one size make one scale of what is too small to tell.
  const scale = columns.map((row, i) => 1 / Math.sqrt(row[i] || 1));
  const found = inverseOf(columns.map((row, i) => row.map((v, j) => v * (scale[i] ?? 1) * (scale[j] ?? 1))));
  if (!found) return null;
  const covariance = found.inverse.map((row, i) => row.map((v, j) => v * (scale[i] ?? 1) * (scale[j] ?? 1)));
  const values = covariance.map((row) => row.reduce((sum, v, j) => sum + v * (withMeasured[j] ?? 0), 0));
  const explained = values.reduce((sum, v, j) => sum + v * (withMeasured[j] ?? 0), 0);
  const logDeterminant = found.logDeterminant - 2 * scale.reduce((sum, v) => sum + Math.log(v), 0);
  return { values, covariance, logDeterminant, chiSquared: Math.max(0, measured - explained) };
}
