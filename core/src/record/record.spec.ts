import { randomInt, Rng, seededRng } from '../deck/rng';
import { compareWordings, Fit, fitChoice, rateOf, secondsOf, shareWithin } from '.';

/** How many values there are: 1 to 51. */
const SIZE = 51;
const VALUES = Array.from({ length: SIZE }, (_, index) => index + 1);

const normal = (weights: readonly number[]): readonly number[] => {
  const sum = weights.reduce((all, each) => all + each, 0);
  return weights.map((each) => each / sum);
};
const bell = (about: number, within: number): readonly number[] =>
  normal(VALUES.map((value) => Math.exp(-(((value - about) / within) ** 2) / 2)));
const FAVOURITES = new Set([7, 13, 17, 21, 24, 27, 33, 37]);
const STATED = bell(26, 6);

/** Helpers of six kinds, and how far the fit may be from them on average: 10, 30, 100 and 300 seen. */
const HELPERS: readonly (readonly [kind: string, truth: readonly number[], most: readonly number[]])[] = [
  ['about 26 within 6, as stated', STATED, [0.15, 0.12, 0.06, 0.04]],
  ['about 21 within 4', bell(21, 4), [0.36, 0.19, 0.1, 0.06]],
  [
    'two habits',
    bell(12, 3).map((chance, index) => 0.4 * chance + 0.6 * bell(30, 5)[index]),
    [0.42, 0.24, 0.11, 0.06],
  ],
  [
    'small packets with a long tail',
    normal(VALUES.map((value) => Math.exp(-(((Math.log(value) - Math.log(14)) / 0.45) ** 2) / 2) / value)),
    [0.48, 0.24, 0.1, 0.06],
  ],
  [
    'favourite numbers',
    normal(VALUES.map((value) => (FAVOURITES.has(value) ? 27 : 1))),
    [1.15, 0.6, 0.22, 0.11],
  ],
  ['any, all alike', normal(VALUES.map(() => 1)), [0.3, 0.22, 0.09, 0.04]],
];
const SEEN = [10, 30, 100, 300];

const drawn = (truth: readonly number[], count: number, rng: Rng): readonly number[] =>
  Array.from({ length: count }, () => {
    let left = rng();
    const index = truth.findIndex((chance) => (left -= chance) < 0);
    return index < 0 ? SIZE : index + 1;
  });

/** How far a fit is from the truth, in nats (Kullback and Leibler). */
const divergence = (truth: readonly number[], { chances }: Fit): number =>
  truth.reduce(
    (sum, chance, index) => sum + (chance > 0 ? chance * Math.log(chance / chances[index]) : 0),
    0,
  );

test.each(HELPERS)('%s: the fit comes as near as it must, averaged over 30 runs', (_, truth, most) => {
  const reached = SEEN.map((count) => {
    const rng = seededRng(count);
    const runs = Array.from({ length: 30 }, () =>
      divergence(truth, fitChoice(drawn(truth, count, rng), STATED, 1)),
    );
    return runs.reduce((sum, each) => sum + each, 0) / runs.length;
  });
  reached.forEach((far, index) =>
    expect([SEEN[index], far <= most[index], far]).toEqual([SEEN[index], true, far]),
  );
});

test.each(HELPERS)('%s: from 30 seen on, intervals hold the truth at least 8 times in 10', (_, truth) => {
  for (const [low, high] of [
    [18, 32],
    [10, 20],
  ]) {
    const share = truth.slice(low - 1, high).reduce((sum, each) => sum + each, 0);
    for (const count of [30] as const) {
      const rng = seededRng(7 * count + low);
      const held = Array.from({ length: 50 }, () => {
        const found = shareWithin(fitChoice(drawn(truth, count, rng), STATED, 1), low, high);
        return found.low <= share && share <= found.high;
      }).filter(Boolean).length;
      expect([low, count, held >= 40, held]).toEqual([low, count, true, held]);
    }
  }
});

test('chances add up to 1, above 0 where anything may be; nothing seen: as stated', () => {
  const rng = seededRng(3);
  for (let time = 0; time < 60; time++) {
    const size = 1 + randomInt(rng, 20);
    const from = randomInt(rng, 5);
    const stated = Array.from({ length: size }, () => randomInt(rng, 4));
    const observed = Array.from({ length: randomInt(rng, 12) }, () => randomInt(rng, 30));
    const { chances, counts, data, n } = fitChoice(observed, stated, from);
    expect(chances.reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 10);
    expect(chances.every((each) => each >= 0 && each <= 1)).toBe(true);
    expect(n).toBe(observed.filter((value) => value >= from && value < from + size).length);
    expect(counts.reduce((sum, each) => sum + each, 0)).toBe(n);
    expect(data).toBeGreaterThanOrEqual(0);
    expect(data).toBeLessThanOrEqual(1);
    if (n === 0) {
      const sum = stated.reduce((all, each) => all + each, 0);
      chances.forEach((each, index) =>
        expect(each).toBeCloseTo(sum > 0 ? stated[index] / sum : 1 / size, 12),
      );
      expect(data).toBe(0);
    }
  }
});

test('the more is seen, the more of it is data; the sequence does not matter', () => {
  const all = drawn(HELPERS[2][1], 200, seededRng(9));
  const shares = [0, 10, 50, 200].map((count) => fitChoice(all.slice(0, count), STATED, 1).data);
  expect([...shares].sort((a, b) => a - b)).toEqual(shares);
  expect(shares[3]).toBeGreaterThan(0.8);
  expect(fitChoice([...all].reverse(), STATED, 1).chances).toEqual(fitChoice(all, STATED, 1).chances);
});

test('the chance of a range is that of its values; its interval narrows with what is seen', () => {
  const truth = HELPERS[1][1];
  const widths = [30, 300].map((count) => {
    const fit = fitChoice(drawn(truth, count, seededRng(4)), STATED, 1);
    const { share, low, high } = shareWithin(fit, 18, 32);
    expect(share).toBeCloseTo(
      fit.chances.slice(17, 32).reduce((sum, each) => sum + each, 0),
      12,
    );
    expect(low).toBeLessThanOrEqual(share);
    expect(high).toBeGreaterThanOrEqual(share);
    return high - low;
  });
  expect(widths[1]).toBeLessThan(widths[0] / 2);
  const fit = fitChoice([], STATED, 1);
  expect(shareWithin(fit, 60, 70).share).toBe(0);
  expect(shareWithin(fit, 0, 99).share).toBeCloseTo(1, 10);
});

test('two wordings: which keeps them in the range more often, by what was seen of each', () => {
  const [wide, narrow] = [bell(26, 9), bell(26, 3)].map((truth) =>
    fitChoice(drawn(truth, 80, seededRng(2)), STATED, 1),
  );
  expect(compareWordings(wide, narrow, 20, 32)).toBeGreaterThan(0.99);
  expect(compareWordings(narrow, wide, 20, 32)).toBeLessThan(0.01);
  expect(compareWordings(wide, wide, 20, 32)).toBeCloseTo(0.5, 6);
  for (const [a, b] of [
    [wide, narrow],
    [fitChoice([20, 21, 40], STATED, 1), fitChoice([3, 26], STATED, 1)],
  ])
    expect(compareWordings(a, b, 18, 28) + compareWordings(b, a, 18, 28)).toBeCloseTo(1, 9);
});

test('a rate has Wilson’s interval; of no tries nothing is known', () => {
  expect(rateOf(0, 0)).toEqual({ share: 0, low: 0, high: 1 });
  const { share, low, high } = rateOf(8, 10);
  expect([share, low, high].map((each) => each.toFixed(4))).toEqual(['0.8000', '0.4902', '0.9433']);
  expect(rateOf(0, 5).low).toBeCloseTo(0, 12);
  expect(rateOf(5, 5).high).toBeCloseTo(1, 12);
});

test('seconds: the stated value is worth five; what takes longer moves it so far', () => {
  const nothing = secondsOf([], 12);
  expect(nothing.seconds).toBeCloseTo(12, 10);
  // Five of 24 and the stated 12 are worth the same: half-way, as factors go.
  expect(secondsOf([24, 24, 24, 24, 24], 12).seconds).toBeCloseTo(12 * Math.SQRT2, 10);
  const much = secondsOf(
    Array.from({ length: 200 }, (_, index) => 20 + (index % 5)),
    5,
  );
  expect(much.seconds).toBeGreaterThan(20);
  expect(much.high - much.low).toBeLessThan(nothing.high - nothing.low);
  expect(much.low).toBeLessThan(much.seconds);
  // What was not timed at all is left out.
  expect(secondsOf([NaN, Infinity, -3], 12)).toEqual(nothing);
});
