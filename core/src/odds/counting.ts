/** n! as a whole number. @param n 0 or more. */
export const factorial = (n: number): bigint => {
  let product = 1n;
  for (let factor = 2; factor <= n; factor++) product *= BigInt(factor);
  return product;
};

/** In how many ways k things are picked out of n. @param n may be huge; 0 ways where there are fewer than k. */
export const choose = (n: bigint | number, k: number): bigint => {
  const all = BigInt(n);
  if (k < 0 || all < BigInt(k)) return 0n;
  let ways = 1n;
  for (let index = 0; index < k; index++) ways = (ways * (all - BigInt(index))) / BigInt(index + 1);
  return ways;
};

/** A part of a whole as a number from 0 to 1, to fifteen places. */
export const share = (part: bigint, whole: bigint): number => Number((part * 10n ** 15n) / whole) / 1e15;

/** The product of two polynomials; index = power. */
export const product = (a: readonly bigint[], b: readonly bigint[]): bigint[] => {
  const result = Array<bigint>(a.length + b.length - 1).fill(0n);
  a.forEach((x, i) => {
    b.forEach((y, j) => (result[i + j] += x * y));
  });
  return result;
};

/** A polynomial so many times itself. @param times 0 or more. */
export const power = (base: readonly bigint[], times: number): readonly bigint[] => {
  let result: readonly bigint[] = [1n];
  for (let time = 0; time < times; time++) result = product(result, base);
  return result;
};
