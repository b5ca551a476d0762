import { ruleHolds } from '../../test/ruleHolds';
import { randomInt, Rng, seededRng } from '../deck/rng';
import { Condition, Procedure, Step } from '../procedure/procedure';
import { caseGrid, clearestAxes } from './caseGrid';
import { Case, Cases, casesOf, End } from './cases';
import { narrow } from './narrow';
import { plainRule } from './plainRule';
import { prove } from './prove';
import { readProcedure } from './readProcedure';
import { CaseTable, ENDS, NOT_CHOSEN } from './study';
import { Range, widestRange } from './widestRange';

const RUNS = 2000;
const NAMES = ['first', 'second', 'third'];
const WORST: Readonly<Record<End, number>> = { held: 0, outs: 1, failed: 2 };

/** A procedure of choices with claims, outs and what is asked for between them: cases end anywhere. */
const randomChoices = (seed: number): Procedure => {
  const rng: Rng = seededRng(seed);
  const pick = <Item>(items: readonly Item[]): Item => items[randomInt(rng, items.length)];
  const often = (chance: number): boolean => rng() < chance;
  const about = (names: readonly string[]): Condition => {
    const [name, other] = [pick(names), pick(names)];
    const by = often(0.3) && other !== name ? other : 1 + randomInt(rng, 4);
    return pick<Condition>([{ 'at most': [name, by] }, { less: [by, name] }, { not: { equal: [name, by] } }]);
  };
  const judged = (names: readonly string[]): Step[] => {
    if (often(0.35)) return [];
    const that = about(names);
    return [
      pick<Step>([
        { do: 'claim', that },
        { do: 'claim', that: { any: [that, about(names)] } },
        { do: 'if', that, then: [{ do: 'out', words: 'An out.' }] },
        { do: 'require', that },
      ]),
    ];
  };
  const choice = (name: string, before: readonly string[]): Step => {
    const names = [...before, name];
    if (often(0.25)) {
      const ways = 2 + randomInt(rng, 2);
      const of = Array.from({ length: ways }, (_, way) => ({
        words: `Way ${(way + 1).toString()}.`,
        steps: often(0.3) ? judged(names) : [],
      }));
      return { do: 'choose one', name, told: true, of };
    }
    const from = 1 + randomInt(rng, 2);
    const to = often(0.2) && before.length > 0 ? { sum: [before[0], 3] } : from + 1 + randomInt(rng, 4);
    return { do: 'choose', name, told: true, from, to };
  };
  const steps: Step[] = [];
  const names = NAMES.slice(0, 1 + randomInt(rng, 3));
  for (const [index, name] of names.entries()) {
    const before = names.slice(0, index);
    if (index > 0 && often(0.2)) {
      // The same is chosen in two places, of which a case sees one.
      const [then, otherwise] = [choice(name, before), choice(name, before)];
      steps.push({ do: 'if', that: about(before), then: [then], otherwise: [otherwise] });
    } else steps.push(choice(name, before));
    steps.push(...judged(names.slice(0, index + 1)));
  }
  return { name: 'Random', steps: steps };
};

const PROCEDURES = Array.from({ length: RUNS }, (_, seed) => {
  const procedure = randomChoices(seed + 1);
  const read = readProcedure(procedure);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return { seed, procedure, cases: casesOf(procedure) };
});
const LISTED = PROCEDURES.flatMap(({ seed, procedure, cases }) =>
  cases ? [{ seed, procedure, cases }] : [],
);

/** Whether a case can still be met when just these ranges are asked for. */
const isLeft = ({ names }: Cases, { values }: Case, ranges: readonly Range[]): boolean =>
  ranges.every(({ name, from, to }) => {
    const value = values.at(names.indexOf(name));
    return names.indexOf(name) >= values.length || value === undefined || (value >= from && value <= to);
  });

/** How many cases the widest ranges of one choice or two leave, found by trying all. */
const mostLeft = (cases: Cases): number => {
  const ranges = (name: string, index: number): Range[] => {
    const values = [
      ...new Set(cases.cases.flatMap(({ values }) => (index < values.length ? [values[index]] : []))),
    ];
    return values.flatMap((from) => values.filter((to) => to >= from).map((to) => ({ name, from, to })));
  };
  const byName = cases.names.map(ranges);
  const all = [
    ...byName.flat().map((range) => [range]),
    ...byName.flatMap((these, other) =>
      byName.slice(0, other).flatMap((those) => those.flatMap((one) => these.map((two) => [one, two]))),
    ),
  ];
  let most = 0;
  for (const each of all) {
    const left = cases.cases.filter((one) => isLeft(cases, one, each));
    // A range in which the choice is never made is none.
    const made = each.every(({ name }) =>
      left.some(({ values }) => cases.names.indexOf(name) < values.length),
    );
    if (made && left.every(({ end }) => end !== 'failed')) most = Math.max(most, left.length);
  }
  return most;
};

test('most of them can be listed, and they end in every way, early too', () => {
  expect(LISTED.length).toBeGreaterThan(RUNS * 0.9);
  const early = LISTED.filter(({ cases: { names, cases } }) =>
    cases.some(({ values, end }) => end === 'failed' && values.length < names.length),
  );
  expect(early.length).toBeGreaterThan(RUNS / 10);
});

test('the widest ranges: nothing fails in them, none are wider, and asked for they leave just these cases', () => {
  for (const { seed, procedure, cases } of LISTED) {
    const widest = widestRange(cases);
    const fails = cases.cases.some(({ end }) => end === 'failed');
    expect([seed, widest?.cases ?? 0]).toEqual([seed, fails ? mostLeft(cases) : 0]);
    if (!widest) continue;
    const left = cases.cases.filter((each) => isLeft(cases, each, widest.ranges));
    expect([seed, left.length, left.some(({ end }) => end === 'failed')]).toEqual([
      seed,
      widest.cases,
      false,
    ]);
    const asked = narrow(procedure, widest.ranges);
    expect(readProcedure(asked).ok).toBe(true);
    expect([seed, prove(asked)]).toMatchObject([seed, { failed: 0, cases: widest.cases, complete: true }]);
  }
});

test('the plain rule holds of just the cases that end so', () => {
  for (const { seed, cases } of LISTED)
    for (const end of ['failed', 'outs'] as const) {
      const words = plainRule(cases, end);
      if (words === undefined) continue;
      for (const each of cases.cases) {
        const chosen = new Map(each.values.map((value, index) => [cases.names[index], value]));
        expect([seed, words, each.values, ruleHolds(words, chosen)]).toEqual([
          ...[seed, words, each.values],
          each.end === end,
        ]);
      }
    }
});

const tableOf = ({ names, cases }: Cases): CaseTable => {
  const values = new Int32Array(cases.length * names.length).fill(NOT_CHOSEN);
  cases.forEach((each, index) => values.set(each.values, index * names.length));
  return { names, values, ends: Uint8Array.from(cases, ({ end }) => ENDS.indexOf(end)) };
};

test('the grid: no case is left out, whichever choices it is laid out by', () => {
  for (const { seed, cases } of LISTED) {
    const table = tableOf(cases);
    const chosen = clearestAxes(table);
    const all = cases.names.flatMap((_, across) => [
      [across, undefined] as const,
      ...cases.names.flatMap((_name, down) => (down > across ? [[across, down] as const] : [])),
    ]);
    for (const [across, down] of [chosen, ...all]) {
      const grid = caseGrid(table, across, down);
      const at = (index: number): number[] =>
        [...new Set(cases.cases.flatMap(({ values }) => values.at(index) ?? []))].sort((a, b) => a - b);
      const [columns, rows] = [at(across), down === undefined ? [0] : at(down)];
      const expected = columns.flatMap((column) =>
        rows.flatMap((row) => {
          const inside = cases.cases.filter(
            ({ values }) =>
              (values.at(across) ?? column) === column &&
              (down === undefined || (values.at(down) ?? row) === row),
          );
          const [worst] = [...inside].sort((a, b) => WORST[b.end] - WORST[a.end]);
          return inside.length === 0 ? [] : [{ column, row, end: worst.end, values: worst.values }];
        }),
      );
      const byPlace = (a: (typeof expected)[0], b: (typeof expected)[0]): number =>
        a.column - b.column || a.row - b.row;
      expect([seed, [...grid.cells].sort(byPlace)]).toEqual([seed, expected]);
    }
    // What is shown first hides no failure.
    const shown = caseGrid(table, ...chosen).cells.some(({ end }) => end === 'failed');
    expect([seed, shown]).toEqual([seed, cases.cases.some(({ end }) => end === 'failed')]);
  }
});
