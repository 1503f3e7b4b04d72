/** Knows how to solve a small dense system of linear equations. */

/** Solves a · x = b in place by Gaussian elimination with partial pivoting; x is given in b. Not finite where a is singular. */
export function solve(a: Float64Array[], b: Float64Array): Float64Array {
  const n = b.length;
  for (let c = 0; c < n; c++) {
    let pivot = c;
    for (let r = c + 1; r < n; r++) if (Math.abs(a[r][c]) > Math.abs(a[pivot][c])) pivot = r;
    [a[c], a[pivot]] = [a[pivot], a[c]];
    [b[c], b[pivot]] = [b[pivot], b[c]];
    for (let r = c + 1; r < n; r++) {
      const m = a[r][c] / a[c][c];
      if (m === 0) continue;
      for (let k = c; k < n; k++) a[r][k] -= m * a[c][k];
      b[r] -= m * b[c];
    }
  }
  for (let r = n - 1; r >= 0; r--) {
    for (let k = r + 1; k < n; k++) b[r] -= a[r][k] * b[k];
    b[r] /= a[r][r];
  }
  return b;
}
