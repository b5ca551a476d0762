import { numberOrder } from '../deck/order';
import { MOST_MOVES, Origin, parseOrigin } from './origin';

const half = numberOrder().filter((card) => card % 13 < 13 && card < 26);
const cutOnce = { kind: 'cut', count: 1 } as const;
const ORIGINS: readonly Origin[] = [
  { kind: 'rule', rule: { kind: 'rotating', first: 21, step: 5, suits: [1, 3, 2, 0] } },
  {
    kind: 'rule',
    rule: { kind: 'rank row', ranks: [8, 13, 3, 10, 2, 7, 9, 5, 12, 4, 1, 6, 11], suits: [1, 3, 2, 0] },
  },
  { kind: 'rule', rule: { kind: 'palindrome', half } },
  { kind: 'rule', rule: { kind: 'mirrored halves', half } },
  { kind: 'rule', rule: { kind: 'factory', suits: [0, 1, 2, 3], up: [true, true, false, false] } },
  { kind: 'bank', bank: { cards: [3, 4], places: [21, 22], loose: true } },
  { kind: 'random', seed: 7, conditions: { ranksApart: true, suitsApart: false, colourRun: 3 } },
  { kind: 'random', seed: 7, conditions: { ranksApart: true, suitsApart: false, colourRun: undefined } },
  { kind: 'recipe', base: numberOrder(), moves: [] },
  { kind: 'recipe', base: numberOrder(), moves: Array.from({ length: MOST_MOVES }, () => cutOnce) },
];

test.each(ORIGINS.map((origin) => [origin.kind, origin]))('an origin by %s is read as it is', (_, origin) => {
  expect(parseOrigin(origin)).toEqual({ ok: true, origin });
});

test.each<[string, unknown, string]>([
  ['no kind', {}, 'kind'],
  ['three signs', { kind: 'rule', rule: { kind: 'factory', suits: [0, 1, 2, 3], up: [true] } }, 'rule › up'],
  [
    'a suit twice',
    { kind: 'rule', rule: { kind: 'rotating', first: 1, step: 5, suits: [1, 1, 2, 0] } },
    'rule › suits',
  ],
  ['a bank without places', { kind: 'bank', bank: { cards: [3, 4], places: [21] } }, 'bank › places'],
  ['a wrong move', { kind: 'recipe', base: [1], moves: [cutOnce, { kind: 'run' }] }, 'moves › 2 › kind'],
  [
    'too many moves',
    { kind: 'recipe', base: [1], moves: Array.from({ length: MOST_MOVES + 1 }, () => cutOnce) },
    'moves',
  ],
  ['no seed', { kind: 'random', seed: 1e300, conditions: {} }, 'seed'],
])('%s is told with its place', (_, value, where) => {
  const outcome = parseOrigin(value);
  expect(outcome.ok ? '' : outcome.problems[0].where).toBe(where);
});
