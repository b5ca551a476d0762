import fc from 'fast-check';
import stacks from '../../test/vectors/stacks.json';
import { Card, mateOf, Rank, Suit } from '../deck/card';
import { parseCard, parseSuit } from '../deck/notation';
import { numberOrder, Order, placeOf } from '../deck/order';
import { formatOrder } from '../deck/orderText';
import { seededRng, shuffled } from '../deck/rng';
import { orderByRule, Rule, stackNumberByRule } from './rule';
import { halfOfMates } from './rules/mirrored';
import { rankRowRecipe } from './rules/rankRow';
import { Rotating, rotatingRecipe } from './rules/rotating';

const card = (name: string): Card => parseCard(name) as Card;
const suits = fc.shuffledSubarray([0, 1, 2, 3] as Suit[], { minLength: 4 });
const ranks = fc.shuffledSubarray([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13] as Rank[], { minLength: 13 });

const orderOf = (rule: Rule): Order => {
  const outcome = orderByRule(rule);
  if (!outcome.ok) throw new Error(outcome.problems[0].what);
  return outcome.order;
};

const anyRule: fc.Arbitrary<Rule> = fc.oneof(
  fc.record({
    kind: fc.constant('rotating'),
    first: fc.nat(51),
    step: fc.integer({ min: 1, max: 12 }),
    suits,
  }),
  fc.record({ kind: fc.constant('rank row'), ranks, suits }),
  fc.record({
    kind: fc.constant('factory'),
    suits,
    up: fc.array(fc.boolean(), { minLength: 4, maxLength: 4 }),
  }),
  fc.record({
    kind: fc.constantFrom('mirrored halves', 'palindrome'),
    half: fc.integer().map((seed) => halfOfMates(shuffled(numberOrder(), seededRng(seed)))),
  }),
);

const nineFive: Rotating = {
  kind: 'rotating',
  first: card(stacks.rotating.first),
  step: stacks.rotating.step,
  suits: [...stacks.rotating.suits].map((letter) => parseSuit(letter) as Suit),
};

test('the worked example of a rotating order', () => {
  expect(formatOrder(orderOf(nineFive))).toBe(stacks.rotating.order.join(' '));
});

test('every rule gives each card once', () => {
  fc.assert(
    fc.property(anyRule, (rule) => {
      expect([...orderOf(rule)].sort((a, b) => a - b)).toEqual(numberOrder());
    }),
  );
});

test('every step of a rotating order adds the step to the rank and moves the suit on', () => {
  fc.assert(
    fc.property(anyRule, (rule) => {
      fc.pre(rule.kind === 'rotating');
      const order = orderOf(rule);
      order.forEach((shown, index) => {
        const next = order[(index + 1) % 52];
        expect(((next % 13) - (shown % 13) + 13) % 13).toBe(rule.step % 13);
        const at = rule.suits.indexOf(Math.floor(shown / 13) as Suit);
        expect(Math.floor(next / 13)).toBe(rule.suits[(at + 1) % 4]);
      });
    }),
  );
});

test('mates stand where a mirrored order says', () => {
  const half = stacks.mirroredHalves.slice(0, 26).map(card);
  expect(formatOrder(orderOf({ kind: 'mirrored halves', half }))).toBe(stacks.mirroredHalves.join(' '));
  const order = orderOf({ kind: 'palindrome', half });
  order.forEach((shown, index) => expect(order[51 - index]).toBe(mateOf(shown)));
});

test('the sum for the head gives every stack number', () => {
  fc.assert(
    fc.property(anyRule, (rule) => {
      fc.pre(rule.kind === 'rotating' || rule.kind === 'rank row');
      const order = orderOf(rule);
      for (const shown of order) expect(stackNumberByRule(rule, shown)).toBe(placeOf(order, shown));
    }),
  );
});

test('its recipe shows one card worked out', () => {
  const recipe = rotatingRecipe(nineFive, card('7D'));
  expect(recipe.example).toEqual([
    '7♦: (7 − 9) × 8 round 13 = 10',
    '♦ is 0: 0 − 10 round 4 = 2',
    '13 × 2 + 10 + 1 = 37',
  ]);
  expect(placeOf(orderOf(nineFive), card('7D'))).toBe(37);
  const row = rankRowRecipe(
    { kind: 'rank row', ranks: [8, 13, 3, 10, 2, 7, 9, 5, 12, 4, 1, 6, 11], suits: [0, 2, 3, 1] },
    card('2H'),
  );
  expect(row.example[2]).toBe('13 × 1 + 4 + 1 = 18');
});

const spaced: Rule = {
  ...{ kind: 'spaced run', run: [13, 14, 15, 16], first: 2, every: 4, apart: 17, apartAt: 9 },
  ...{ out: [0, 51], seed: 0 },
};

test('a spaced run lies where it is said, with every other card once', () => {
  fc.assert(
    fc.property(
      fc.shuffledSubarray([...numberOrder()], { minLength: 4, maxLength: 18 }),
      fc.nat(6),
      fc.integer({ min: 1, max: 9 }),
      fc.integer({ min: 1, max: 9 }),
      fc.nat(3),
      (named, left, first, every, seed) => {
        const out = named.slice(0, Math.min(left, named.length - 3));
        const [apart, ...run] = named.slice(out.length);
        const outcome = orderByRule({
          ...spaced,
          run,
          first,
          every,
          apart,
          apartAt: 52 - out.length,
          out,
          seed,
        });
        const last = first + every * (run.length - 1);
        expect(outcome.ok).toBe(last < 52 - out.length);
        if (!outcome.ok) return;
        run.forEach((shown, index) => expect(placeOf(outcome.order, shown)).toBe(first + every * index));
        expect(outcome.order.at(-1)).toBe(apart);
        expect([...outcome.order, ...out].sort((a, b) => a - b)).toEqual(numberOrder());
      },
    ),
  );
});

test.each<[string, Rule]>([
  ['Each suit must be', { kind: 'rotating', first: 0, step: 5, suits: [0, 0, 1, 2] }],
  ['The step is 13', { kind: 'rotating', first: 0, step: 13, suits: [0, 1, 2, 3] }],
  ['X1', { kind: 'rotating', first: 52, step: 3, suits: [0, 1, 2, 3] }],
  ['Each rank must be', { kind: 'rank row', ranks: [1, 1], suits: [0, 1, 2, 3] }],
  ['has 3 cards', { kind: 'palindrome', half: [1, 2, 3] }],
  ['its mate', { kind: 'mirrored halves', half: Array.from({ length: 26 }, (_, index) => index + 13) }],
  [
    'X1 has no mate',
    { kind: 'mirrored halves', half: [52, ...Array.from({ length: 25 }, (_, card) => card)] },
  ],
  ['X2² has no mate', { kind: 'palindrome', half: [...Array.from({ length: 25 }, (_, card) => card), 107] }],
  [
    'Each rank must be',
    { kind: 'rank row', ranks: [0, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13] as never, suits: [0, 1, 2, 3] },
  ],
  [
    'Each rank must be',
    { kind: 'rank row', ranks: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 14] as never, suits: [0, 1, 2, 3] },
  ],
  ['A♦ is named twice', { ...spaced, out: [13] }],
  ['would lie at 53, and the pack has 50 cards', { ...spaced, every: 17 }],
  ['Place 6 is one of the run', { ...spaced, apartAt: 6 }],
  ['no place 51 among 50', { ...spaced, apartAt: 51 }],
  ['has no place', { ...spaced, apartAt: undefined }],
  ['not of the 52', { ...spaced, out: [52] }],
  ['has 1 card', { ...spaced, run: [13] }],
  ['3 signs', { kind: 'factory', suits: [0, 1, 2, 3], up: [true, true, true] }],
  ['5 signs', { kind: 'factory', suits: [0, 1, 2, 3], up: [true, true, true, true, true] }],
  ['The first card is not a card', { kind: 'rotating', first: -1, step: 3, suits: [0, 1, 2, 3] }],
])('a rule that cannot be is told: %s', (message, rule) => {
  const outcome = orderByRule(rule);
  expect(outcome.ok ? '' : outcome.problems[0].what).toContain(message);
});
