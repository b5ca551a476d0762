import fc from 'fast-check';
import { Card, cardOf, Rank, Suit, suitOf, SUITS } from '../deck/card';
import { mod } from '../deck/mod';
import { numberOrder, Order } from '../deck/order';
import { parseOrder } from '../deck/orderText';
import { seededRng, shuffled } from '../deck/rng';
import stacks from '../../test/vectors/stacks.json';
import { orderByRule } from './rule';
import { SuitLayout, suitLayout } from './suitLayout';

const rotating = fc
  .tuple(fc.nat(51), fc.integer({ min: 1, max: 12 }), fc.shuffledSubarray([...SUITS], { minLength: 4 }))
  .map(([first, step, suits]) => {
    const outcome = orderByRule({ kind: 'rotating', first, step, suits });
    return { step, order: outcome.ok ? outcome.order : [] };
  });

/** What a person who does as the layout says has in hand at the end. */
const followed = ({ rows, cycle }: SuitLayout): Order => {
  const heaps = new Map<Suit, Card[]>(
    rows.map(({ suit, cards, step }) => [
      suit,
      step === undefined
        ? [...cards]
        : Array.from({ length: 13 }, (_, index) =>
            cardOf((mod((cards[0] % 13) + index * step, 13) + 1) as Rank, suit),
          ),
    ]),
  );
  return Array.from({ length: 52 }, (_, index) => heaps.get((cycle as Suit[])[index % 4])?.shift() as Card);
};

test('an order by a rotating rule is its four suits, each taken by a steady step, in turn', () => {
  fc.assert(
    fc.property(rotating, ({ step, order }) => {
      const layout = suitLayout(order);
      expect(layout.rows.map((row) => row.step)).toEqual(new Array(4).fill(mod(4 * step, 13)));
      expect(layout.cycle).toEqual(order.slice(0, 4).map(suitOf));
      expect(followed(layout)).toEqual(order);
    }),
  );
});

test('where the step is one, the suits need only be cut', () => {
  const outcome = orderByRule({ kind: 'rotating', first: 4, step: 10, suits: [0, 1, 2, 3] });
  const { rows, says } = suitLayout(outcome.ok ? outcome.order : []);
  expect(rows[0].says).toBe('Cut the clubs so that 5♣ comes to the top.');
  expect(says).toContain('♣ ♦ ♥ ♠');
  const down = orderByRule({ kind: 'rotating', first: 4, step: 3, suits: [0, 1, 2, 3] });
  expect(suitLayout(down.ok ? down.order : []).rows[1].says).toContain('king to ace');
});

test('any other order is told card by card, and no card is lost', () => {
  const outcome = parseOrder(stacks.tidemark.join(' '));
  const { rows, cycle, says } = suitLayout(outcome.ok ? outcome.order : []);
  expect(cycle).toBeUndefined();
  expect(rows[0].says).toMatch(/^Lay the clubs as A♣ Q♣ 4♣/);
  expect(says).toContain('♣ 2 × ♥ ♦');
  const pack = [...shuffled(numberOrder(), seededRng(3)), 52];
  expect(suitLayout(pack).rows.flatMap((row) => row.cards)).toHaveLength(52);
  expect(suitLayout(pack).says).toContain('X1');
});
