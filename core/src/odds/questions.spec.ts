import { randomInt, seededRng } from '../deck/rng';
import { completeValues, Values } from '../form/field';
import { runJob } from '../job/job';
import { estimate } from './interval';
import { narrowest } from './narrowest';
import { QUESTIONS, questionAt } from './questions';
import { calledRankChance } from './questions/calledRank';
import { sayTimes } from './sayChance';
import { sayShare } from './sayShare';
import { oddsCurve, TRY_QUESTION } from './tryQuestion';

/** Every order of some items. */
const orders = <Item>(items: readonly Item[]): Item[][] =>
  items.length === 0
    ? [[]]
    : items.flatMap((item, index) =>
        orders(items.filter((_, other) => other !== index)).map((rest) => [item, ...rest]),
      );

const shareOf = <Case>(cases: readonly Case[], so: (each: Case) => boolean): number =>
  cases.filter(so).length / cases.length;

/** Every row of so many of these. */
const rows = <Item>(items: readonly Item[], length: number): Item[][] =>
  length === 0 ? [[]] : rows(items, length - 1).flatMap((row) => items.map((item) => [...row, item]));

const beside = (order: readonly number[], meet: (a: number, b: number) => boolean): boolean =>
  order.slice(1).some((card, index) => meet(order[index], card));

/** The weights of a bell over the cuts of a pack, written out. */
const bell = (size: number, about: number, within: number): Map<number, number> => {
  const weights = new Map<number, number>();
  for (let cut = 1; cut < size; cut++) weights.set(cut, Math.exp(-0.5 * ((cut - about) / within) ** 2));
  const all = [...weights.values()].reduce((a, b) => a + b);
  return new Map([...weights].map(([cut, weight]) => [cut, weight / all]));
};

/** Every way to riffle once: which cards come from the upper packet, from top to face. */
const riffled = (pack: readonly number[]): number[][] =>
  rows([true, false], pack.length).map((fromUpper) => {
    const cut = fromUpper.filter(Boolean).length;
    const [upper, lower] = [pack.slice(0, cut), pack.slice(cut)];
    return fromUpper.map((isUpper) => (isUpper ? upper : lower).shift() as number);
  });

/** Each question counted by trying everything, on packs small enough for that. */
const COUNTED: Readonly<Record<string, readonly (readonly [Values, () => number])[]>> = {
  mates: [
    [2, 2],
    [3, 2],
    [4, 2],
    [2, 3],
    [2, 4],
  ].map(([kinds, each]) => [
    { kinds, each },
    () =>
      shareOf(orders(Array.from({ length: kinds * each }, (_, index) => index)), (order) =>
        beside(order, (a, b) => a % kinds === b % kinds),
      ),
  ]),
  'ranks-meet': [
    [6, 1, 1],
    [7, 2, 3],
    [7, 4, 3],
    [8, 2, 2],
  ].map(([size, first, second]) => [
    { size, first, second },
    () => {
      const sort = (card: number): number => (card < first ? 1 : card < first + second ? 2 : 0);
      return shareOf(orders(Array.from({ length: size }, (_, index) => index)), (order) =>
        beside(order, (a, b) => sort(a) * sort(b) === 2),
      );
    },
  ]),
  'called-rank': [[{ dealt: 1 }, () => 1 / 13]],
  'near-number': [
    [10, 4, 2],
    [10, 1, 3],
    [10, 10, 0],
    [5, 3, 9],
  ].map(([size, number, within]) => [
    { size, number, within },
    () =>
      shareOf(
        Array.from({ length: size }, (_, place) => place + 1),
        (at) => Math.abs(at - number) <= within,
      ),
  ]),
  'cut-in-bank': [
    [8, 4, 1, 3, 2],
    [8, 2, 3, 1, 8],
    [52, 26, 6, 20, 13],
  ].map(([size, about, within, from, cards]) => [
    { size, about, within, from, cards },
    () =>
      [...bell(size, about, within)]
        .filter(([cut]) => cut >= from && cut <= from + cards - 1)
        .reduce((sum, [, chance]) => sum + chance, 0),
  ]),
  'until-bank': [
    [6, 3, 1, 2, 2, 1],
    [6, 3, 2, 2, 4, 3],
    [7, 2, 1, 3, 6, 3],
    [5, 2, 9, 5, 1, 2],
  ].map(([size, about, within, bank, from, cuts]) => [
    { size, about, within, bank, from, cuts },
    () => {
      const chances = bell(size, about, within);
      const pack = Array.from({ length: size }, (_, index) => (index - from + 1 + size) % size < bank);
      let shown = 0;
      for (const row of rows([...chances.keys()], cuts)) {
        let [now, seen, chance] = [pack, false, 1];
        for (const cut of row) {
          now = [...now.slice(cut), ...now.slice(0, cut)];
          seen ||= now[size - 1];
          chance *= chances.get(cut) ?? 0;
        }
        if (seen) shown += chance;
      }
      return shown;
    },
  ]),
  'key-card': [
    [2, 1],
    [5, 0],
    [5, 1],
    [5, 2],
    [4, 3],
  ].map(([size, riffles]) => [
    { size, riffles },
    () => {
      const pack = Array.from({ length: size }, (_, index) => index);
      let packs = [pack];
      for (let time = 0; time < riffles; time++) packs = packs.flatMap(riffled);
      const together = pack
        .slice(1)
        .map((card) => shareOf(packs, (now) => beside(now, (a, b) => b === card && a === card - 1)));
      // Wherever the two lie.
      for (const chance of together) expect(chance).toBeCloseTo(together[0], 9);
      return together[0];
    },
  ]),
  'same-card': [
    [5, 2, 2, 40],
    [5, 3, 1, 60],
    [4, 5, 2, 10],
    [6, 3, 5, 0],
    [6, 3, 5, 100],
  ].map(([size, people, favourites, often]) => [
    { size, people, favourites, often },
    () => {
      const chance = (card: number): number =>
        card < favourites ? often / 100 / favourites : (1 - often / 100) / (size - favourites);
      return rows(
        Array.from({ length: size }, (_, card) => card),
        people,
      )
        .filter((cards) => new Set(cards).size < people)
        .reduce((sum, cards) => sum + cards.reduce((all, card) => all * chance(card), 1), 0);
    },
  ]),
  'break-shows': [
    [6, 1, 1],
    [6, 2, 3],
    [7, 3, 6],
    [6, 6, 2],
    [6, 1, 6],
  ].map(([size, breaks, spread]) => [
    { size, breaks, spread },
    () =>
      shareOf(
        rows([true, false], size).filter((joins) => joins.filter(Boolean).length === breaks),
        (joins) => joins.slice(0, spread - 1).includes(true),
      ),
  ]),
};

test('every question is counted here, says what it asks, and has values to begin with that go together', () => {
  expect(Object.keys(COUNTED).sort()).toEqual(QUESTIONS.map(({ path }) => path).sort());
  for (const question of QUESTIONS) {
    const values = completeValues(question, {});
    expect(Object.values(values)).not.toContain(undefined);
    expect(question.problem?.(values)).toBeUndefined();
    expect(question.asks).toMatch(/\?$/);
    expect(
      [question.takes, question.source, question.says(values), ...(question.notes?.(values) ?? [])].join(),
    ).not.toMatch(/undefined|NaN|,,/);
    expect(question.fields.map(({ name }) => name)).toContain(question.over.field);
  }
});

describe.each(Object.entries(COUNTED))('%s', (path, cases) => {
  test('is what trying everything gives on small packs', () => {
    for (const [values, counted] of cases) expect(questionAt(path)?.chance(values)).toBeCloseTo(counted(), 9);
  });
});

test('a rank dealt as it is called, on packs of two and three ranks', () => {
  for (const [ranks, each] of [
    [2, 2],
    [3, 2],
    [2, 4],
  ])
    for (let dealt = 1; dealt <= ranks * each; dealt++)
      expect(calledRankChance(dealt, ranks, each)).toBeCloseTo(
        shareOf(orders(Array.from({ length: ranks * each }, (_, index) => index)), (order) =>
          order.slice(0, dealt).some((card, index) => card % ranks === index % ranks),
        ),
        9,
      );
});

test('of intervals over many seeds nineteen in twenty hold the exact figure, for every question', () => {
  let [held, all] = [0, 0];
  for (const { path, fields, chance } of QUESTIONS) {
    const values = completeValues({ fields }, {});
    const exact = chance(values);
    let own = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const found = runJob(TRY_QUESTION, { path, values, seed, tries: 600, width: 0 });
      expect(found.tries).toBe(600);
      if (found.low <= exact && exact <= found.high) own++;
    }
    expect(own).toBeGreaterThanOrEqual(51);
    [held, all] = [held + own, all + 60];
  }
  expect(held / all).toBeGreaterThan(0.92);
  expect(held / all).toBeLessThan(0.98);
});

test('intervals that are tried until they are narrow enough hold as often', () => {
  const values = { size: 52, number: 17, within: 4 };
  let held = 0;
  for (let seed = 1; seed <= 300; seed++) {
    const { low, high } = runJob(TRY_QUESTION, {
      path: 'near-number',
      values,
      seed,
      tries: 1e6,
      width: 0.03,
    });
    expect(high - low).toBeLessThanOrEqual(0.03);
    if (low <= 9 / 52 && 9 / 52 <= high) held++;
  }
  expect(held / 300).toBeGreaterThan(0.92);
});

test('Wilson’s interval holds what it says, counted over all outcomes', () => {
  for (const [chance, tries] of [
    [0.5, 100],
    [0.1, 200],
    [0.02, 400],
  ]) {
    let [weight, covered] = [(1 - chance) ** tries, 0];
    for (let hits = 0; hits <= tries; hits++) {
      const { low, high } = estimate(hits, tries);
      if (low <= chance && chance <= high) covered += weight;
      weight *= ((tries - hits) / (hits + 1)) * (chance / (1 - chance));
    }
    expect(covered).toBeGreaterThan(0.93);
    expect(covered).toBeLessThan(0.98);
  }
});

test('a curve goes through what is asked, keeps to values that go together, and the same seed tries the same', () => {
  for (const question of QUESTIONS) {
    const values = completeValues(question, {});
    const curve = oddsCurve(question.path, values);
    const here = curve.find(({ value }) => value === values[question.over.field]);
    expect(here?.chance).toBe(question.chance(values));
    for (const { chance } of curve) {
      expect(chance).toBeGreaterThanOrEqual(0);
      expect(chance).toBeLessThanOrEqual(1);
    }
  }
  expect(oddsCurve('cut-in-bank', { size: 52, about: 26, within: 6, from: 50, cards: 1 })).toHaveLength(3);
  expect(oddsCurve('no such', {})).toEqual([]);
  const args = { path: 'mates', values: { kinds: 26, each: 2 }, seed: 9, tries: 500, width: 0 };
  expect(runJob(TRY_QUESTION, args)).toEqual(runJob(TRY_QUESTION, args));
});

test('the narrowest stretch is what trying every stretch gives', () => {
  const rng = seededRng(4);
  for (let round = 0; round < 200; round++) {
    const weights = Array.from({ length: 1 + randomInt(rng, 9) }, () => randomInt(rng, 5));
    const all = weights.reduce((a, b) => a + b, 0) || 1;
    const chances = weights.map((weight) => weight / all);
    const wanted = (1 + randomInt(rng, 20)) / 20;
    const sum = (from: number, to: number): number =>
      weights.slice(from, to + 1).reduce((a, b) => a + b, 0) / all;
    const stretches = chances.flatMap((_, from) =>
      chances.flatMap((__, to) =>
        to >= from && sum(from, to) >= wanted - 1e-9 ? [[from, to] as const] : [],
      ),
    );
    const found = narrowest(chances, 7, wanted);
    if (stretches.length === 0) {
      expect(found).toBeUndefined();
      continue;
    }
    const width = Math.min(...stretches.map(([from, to]) => to - from));
    const best = Math.max(
      ...stretches.filter(([from, to]) => to - from === width).map(([a, b]) => sum(a, b)),
    );
    expect(found && found.to - found.from).toBe(width);
    expect(found?.chance).toBeCloseTo(best, 9);
    expect(found && sum(found.from - 7, found.to - 7)).toBeCloseTo(best, 9);
  }
  expect(narrowest([0.25, 0.25, 0.25, 0.25], 1, 0.5)).toMatchObject({ from: 2, to: 3 });
});

test.each([
  [0, '0 %', 'never'],
  [1e-12, 'under 1 in 10 million', 'less than once in 10 million'],
  [0.0001, '0.010 %', 'about once in 10,000'],
  [0.0192, '1.9 %', 'about once in 52'],
  [0.25, '25.0 %', 'about once in 4'],
  [0.4863, '48.6 %', 'about half the time'],
  [0.6357, '63.6 %', 'about 7 times in 11'],
  [0.98377, '98.4 %', 'all but about once in 62'],
  [0.99999, '99.999 %', 'all but about once in 100,000'],
  [1 - 1e-12, 'all but 1 in 10 million', 'all but once in 10 million'],
  [1, '100 %', 'always'],
])('%d is told as %s, %s', (chance, inHundred, times) => {
  expect(sayShare(chance)).toBe(inHundred);
  expect(sayTimes(chance)).toBe(times);
});

test('values that do not go together are refused with what to do', () => {
  for (const [path, values, says] of [
    ['ranks-meet', { size: 6, first: 4, second: 4 }, /fewer/],
    ['near-number', { size: 10, number: 11, within: 1 }, /up to 10/],
    ['cut-in-bank', { size: 52, about: 52, within: 6, from: 1, cards: 5 }, /1 to 51/],
    ['cut-in-bank', { size: 52, about: 26, within: 6, from: 45, cards: 9 }, /44 at the latest/],
    ['until-bank', { size: 10, about: 5, within: 2, bank: 11, from: 1, cuts: 2 }, /10 at most/],
    ['same-card', { size: 4, people: 2, favourites: 4, often: 10 }, /1 to 3/],
    ['break-shows', { size: 10, breaks: 11, spread: 3 }, /10/],
  ] as const)
    expect(questionAt(path)?.problem?.(values)?.remedy).toMatch(says);
});
