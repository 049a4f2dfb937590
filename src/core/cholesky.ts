const { sqrt } = Math;

/** Lower factor of a symmetric positive definite matrix (row by row, lower part read), in place. False when it is not. */
export function factorize(a: Float64Array, n: number): boolean {
  for (let i = 0; i < n; i++) {
    for (let j = 0; j <= i; j++) {
      let sum = a[i * n + j]!;
      for (let k = 0; k < j; k++) sum -= a[i * n + k]! * a[j * n + k]!;
      if (i !== j) a[i * n + j] = sum / a[j * n + j]!;
      else if (sum > 0) a[i * n + i] = sqrt(sum);
      else return false;
    }
  }
  return true;
}

/** Solves with a lower factor, in place, on `n` values of `x` from `at`. */
export function substitute(l: Float64Array, n: number, x: Float64Array, at = 0): void {
  for (let i = 0; i < n; i++) {
    let sum = x[at + i]!;
    for (let k = 0; k < i; k++) sum -= l[i * n + k]! * x[at + k]!;
    x[at + i] = sum / l[i * n + i]!;
  }
  for (let i = n - 1; i >= 0; i--) {
    let sum = x[at + i]!;
    for (let k = i + 1; k < n; k++) sum -= l[k * n + i]! * x[at + k]!;
    x[at + i] = sum / l[i * n + i]!;
  }
}
