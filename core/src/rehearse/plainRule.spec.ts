import { ruleHolds } from '../../test/ruleHolds';
import vectors from '../../test/vectors/procedures.json';
import { randomInt, seededRng } from '../deck/rng';
import { Procedure } from '../procedure/procedure';
import { Case, Cases, casesOf } from './cases';
import { plainRule } from './plainRule';
import { prove } from './prove';
import { readProcedure } from './readProcedure';
import { widestRange } from './widestRange';

/** All pairs of two choices, the second deeper or not, of which those fail that are meant. */
const grid = (fails: (a: number, b: number) => boolean, deeper = false, most = 12): Cases => {
  const cases: Case[] = [];
  for (let a = 1; a <= most; a++)
    for (let b = deeper ? a + 1 : 1; b <= most; b++)
      cases.push({ values: [a, b], end: fails(a, b) ? 'failed' : 'held' });
  return { names: ['first', 'second'], cases };
};

test.each<[(a: number, b: number) => boolean, string | undefined, 'deeper' | 'any']>([
  [() => false, undefined, 'any'],
  [() => true, 'always', 'any'],
  [(a) => a === 1, 'first is 1', 'any'],
  [(a) => a < 4, 'first is 3 or less', 'any'],
  [(_, b) => b > 9, 'second is 10 or more', 'any'],
  [(a) => a > 3 && a < 8, 'first is 4 to 7', 'any'],
  [(a) => a < 5 || a > 9, 'first is under 5 or over 9', 'any'],
  [(a) => a !== 6, 'first is not 6', 'any'],
  [(a) => [2, 5, 11].includes(a), 'first is 2, 5 or 11', 'any'],
  [(a) => a % 2 === 1, 'first is odd', 'any'],
  [(a, b) => a === b, 'second is the same as first', 'any'],
  [(a, b) => b === a + 1, 'second is one more than first', 'deeper'],
  [(a, b) => b < a, 'second is less than first', 'any'],
  [(a, b) => b >= a, 'second is no less than first', 'any'],
  [(a, b) => b - a < -3, 'second less first is −4 or less', 'any'],
  [(a, b) => b === a - 2, 'second is two less than first', 'any'],
  [(a, b) => b - a < 3 || b - a > 7, 'second less first is under 3 or over 7', 'deeper'],
  [(a, b) => a + b === 9, 'first and second together is 9', 'any'],
  [(a, b) => a > 8 && b < 4, 'first is 9 or more and second is 3 or less', 'any'],
  [(a, b) => a === 1 || b === a + 1, 'first is 1, or second is one more than first', 'deeper'],
  [(a, b) => (a * 7 + b * b) % 5 === 0, undefined, 'any'],
])('%s: %s', (fails, words, second) => {
  expect(plainRule(grid(fails, second === 'deeper'))).toBe(words);
});

/** Whether a rule in words holds of two choices. */
const holds = (words: string, first: number, second: number): boolean =>
  ruleHolds(words, new Map(Object.entries({ first, second })));

test('a rule that is told holds of the cases that fail and of no other', () => {
  let told = 0;
  for (let seed = 1; seed <= 400; seed++) {
    const rng = seededRng(seed);
    const size = 3 + randomInt(rng, 4);
    const some = new Set(Array.from({ length: 1 + randomInt(rng, 5) }, () => randomInt(rng, size * size)));
    const [low, high] = [1 + randomInt(rng, size), 1 + randomInt(rng, size)];
    const cases = grid(
      seed % 2 === 0
        ? (a, b) => some.has((a - 1) * size + b - 1)
        : (a, b) => (a >= low && b <= high) || (seed % 3 === 0 && b - a === low - high),
      seed % 5 === 0,
      size,
    );
    const words = plainRule(cases);
    if (words === undefined) continue;
    told++;
    const wrong = cases.cases.filter(({ values: [a, b], end }) => holds(words, a, b) !== (end === 'failed'));
    expect([seed, words, wrong]).toEqual([seed, words, []]);
  }
  expect(told).toBeGreaterThan(150);
});

test('the widest ranges leave no case that fails, and no wider one would', () => {
  for (let seed = 1; seed <= 150; seed++) {
    const rng = seededRng(seed);
    const size = 3 + randomInt(rng, 3);
    const some = new Set(Array.from({ length: 1 + randomInt(rng, 6) }, () => randomInt(rng, size * size)));
    const cases = grid((a, b) => some.has((a - 1) * size + b - 1), seed % 3 === 0, size);
    let best = 0;
    for (let a = 1; a <= size; a++)
      for (let to = a; to <= size; to++)
        for (let b = 1; b <= size; b++)
          for (let end = b; end <= size; end++) {
            const within = cases.cases.filter(
              ({ values: [x, y] }) => x >= a && x <= to && y >= b && y <= end,
            );
            if (within.every((each) => each.end === 'held')) best = Math.max(best, within.length);
          }
    const failing = cases.cases.some(({ end }) => end === 'failed');
    expect([seed, widestRange(cases)?.cases ?? 0]).toEqual([seed, failing ? best : 0]);
    for (const { values, end } of cases.cases)
      if (
        widestRange(cases)?.ranges.every(({ name, from, to }) => {
          const value = values[cases.names.indexOf(name)];
          return value >= from && value <= to;
        })
      )
        expect(end).toBe('held');
  }
});

test('the cases of the worked examples are those that were proved, and what fails in them is described', () => {
  const rules: string[] = [];
  for (const { procedure } of vectors.rows as readonly { procedure: unknown }[]) {
    const read = readProcedure(procedure);
    if (!read.ok) continue;
    const { cases, held, failed, outs } = prove(read.procedure);
    const all = casesOf(read.procedure);
    if (!all) {
      expect(read.procedure.name).toBe('Dealt as they please');
      continue;
    }
    const of = (end: Case['end']): number => all.cases.filter((each) => each.end === end).length;
    expect([all.cases.length, of('held'), of('failed'), of('outs')]).toEqual([cases, held, failed, outs]);
    const rule = plainRule(all);
    if (rule) rules.push(`${read.procedure.name}: ${rule}`);
    const out = plainRule(all, 'outs');
    if (out) rules.push(`${read.procedure.name}, out: ${out}`);
  }
  expect(rules).toEqual([
    'Two cuts, one difference, out: second cut less first cut is under 5 or over 24',
    'A card made of two: always',
    'One card out of mirrored halves: always',
    'Dealt back and dealt again: n is 0',
    'The bank counts down, out: half and last cut together is under 40 or over 52',
    'A number on a line, out: steps down and stopped at together is 13 or less',
    'One lost, its mate placed by a count: first cut is 1',
    'A card here, its place there: always',
    'A packet that knows its card, out: packet is under 21 or over 33',
    'Without an end: always',
    'what an indifferent card is: place is not 2',
    'A packet that knows its card, by givens, out: packet is under 21 or over 33',
    'A packet that knows its card, by givens, out: packet is under 21 or over 28',
    'A packet that knows its card, by givens, out: packet is under 25 or over 29',
    'A packet that knows its card, by givens, out: packet is under 15 or over 27',
    'known at the end, judged when all has run: always',
    "a branch's sight counts: a is 2 or less",
  ]);
});

test('what is chosen differently from world to world has no list of cases', () => {
  const read = (steps: unknown): Procedure => {
    const outcome = readProcedure({ name: '', steps });
    if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems));
    return outcome.procedure;
  };
  const choose = (name: string, to: unknown): unknown => ({ do: 'choose', name, from: 1, to });
  const way = (one: unknown[], other: unknown[]): unknown => ({
    ...{ do: 'choose one', name: 'way' },
    of: [
      { words: '', steps: one },
      { words: '', steps: other },
    ],
  });
  expect(casesOf(read([way([choose('a', 3)], [choose('b', 3)])]))).toBeUndefined();
  // Also where those that chose otherwise failed early.
  const failing = { do: 'claim', that: { less: [1, 0] } };
  expect(casesOf(read([way([choose('a', 3), failing], [choose('b', 3), choose('c', 2)])]))).toBeUndefined();
  expect(casesOf(read([choose('a', 1000), choose('b', 1000)]))).toBeUndefined();
  // Who fails before all is chosen has made only the first choices.
  const early = casesOf(read([choose('a', 3), { do: 'claim', that: { less: ['a', 3] } }, choose('b', 2)]));
  expect(early?.names).toEqual(['a', 'b']);
  expect(early?.cases.map(({ values }) => values.length)).toEqual([2, 2, 2, 2, 1]);
  expect(early && plainRule(early)).toBe('a is 3');
});
