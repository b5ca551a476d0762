import fc from 'fast-check';
import { Card, looksLike, mateOf, secondOf } from '../deck/card';
import { showCard } from '../deck/notation';
import { numberOrder, Order } from '../deck/order';
import { seededRng, shuffled } from '../deck/rng';
import { confusable, digitsExchanged } from './confusable';
import {
  DIRECTIONS,
  Item,
  itemId,
  itemsOf,
  judge,
  MORE_DIRECTIONS,
  parseItem,
  promptOf,
  sayConfused,
  truthOf,
} from './item';
import { Answer, showSaid } from './said';

const ALL = [...DIRECTIONS, ...MORE_DIRECTIONS];
/** Packs of every kind: small, full, with jokers, with second copies. */
const packs = fc
  .record({
    size: fc.integer({ min: 1, max: 52 }),
    jokers: fc.integer({ min: 0, max: 2 }),
    seconds: fc.integer({ min: 0, max: 4 }),
    seed: fc.integer(),
  })
  .map(({ size, jokers, seconds, seed }): Order => {
    const own = shuffled(numberOrder(), seededRng(seed)).slice(0, size);
    const second = own.slice(0, seconds).map(secondOf);
    return shuffled([...own, ...[52, 53].slice(0, jokers), ...second], seededRng(seed + 1));
  });

test('a full order has 208 items, each with a text of its own that is read back', () => {
  const items = itemsOf(numberOrder());
  expect(items).toHaveLength(208);
  expect(new Set(items.map(itemId)).size).toBe(208);
  fc.assert(
    fc.property(packs, (order) => {
      for (const item of itemsOf(order, ALL)) expect(parseItem(itemId(item))).toEqual(item);
    }),
    { numRuns: 30 },
  );
  for (const text of ['', 'number', 'number 7Q', 'number 7D 8D', 'sideways 7D', 'number 7d'])
    expect(parseItem(text)).toBeUndefined();
});

test('every truth is what is found by laying the order out and looking', () => {
  fc.assert(
    fc.property(packs, (order) => {
      const lies = (card: Card): number => order.findIndex((each) => each === card) + 1;
      const round = [order[order.length - 1], ...order, order[0]];
      for (const item of itemsOf(order, ALL)) {
        const at = lies(item.card);
        const truths: Record<Item['direction'], Answer> = {
          number: { kind: 'number', number: at },
          card: { kind: 'cards', cards: [item.card] },
          after: { kind: 'cards', cards: [round[at + 1]] },
          before: { kind: 'cards', cards: [round[at - 1]] },
          around: { kind: 'cards', cards: [round[at - 1], round[at + 1]] },
          mate: { kind: 'number', number: lies(mateOf(item.card)) },
        };
        expect(truthOf(item, order)).toEqual(truths[item.direction]);
        const prompt = promptOf(item, order);
        if (item.direction === 'card') expect(prompt).toEqual({ kind: 'number', number: at });
        else expect(prompt).toEqual({ kind: 'cards', cards: [item.card] });
        // Nothing is asked that has no answer.
        if (item.direction === 'mate') expect(order).toContain(mateOf(item.card));
      }
    }),
    { numRuns: 30 },
  );
});

test('an answer is right just when it is the truth or looks like it; a wrong one says what it would answer', () => {
  fc.assert(
    fc.property(packs, fc.nat(), fc.nat(), (order, one, other) => {
      const items = itemsOf(order, ALL);
      const item = items[one % items.length];
      const like = items.filter(({ direction }) => direction === item.direction);
      const given = truthOf(like[other % like.length], order);
      const { right, truth, confused } = judge(item, order, given);
      expect(truth).toEqual(truthOf(item, order));
      const same =
        truth.kind !== 'cards' || given.kind !== 'cards'
          ? JSON.stringify(truth) === JSON.stringify(given)
          : truth.cards.every((card, index) => looksLike(card, given.cards[index]));
      expect(right).toBe(same);
      if (right) expect(confused).toBeUndefined();
      else
        expect(confused && showSaid(truthOf(confused, order)).replaceAll('²', '')).toBe(
          showSaid(given).replaceAll('²', ''),
        );
    }),
  );
  const order = numberOrder();
  const item: Item = { direction: 'number', card: 19 };
  expect(judge(item, order, { kind: 'number', number: 99 })).toMatchObject({
    right: false,
    confused: undefined,
  });
  expect(judge(item, order, { kind: 'cards', cards: [19] }).right).toBe(false);
  expect(judge({ direction: 'around', card: 0 }, order, { kind: 'cards', cards: [51] }).right).toBe(false);
});

test('what was mixed up is true of the order, whatever was said', () => {
  const order = shuffled(numberOrder(), seededRng(8));
  const lies = (name: string): number => order.findIndex((card) => showCard(card) === name) + 1;
  for (const item of itemsOf(order, ALL)) {
    const other = { ...item, card: order[17] };
    const said = truthOf(other, order);
    const { confused } = judge(item, order, said);
    const says = sayConfused(item, order, said, confused);
    if (!confused) {
      expect(says).toBe('');
      continue;
    }
    const [, name, place] = /^(\S+) lies at (\d+)\.$/.exec(says) ?? [];
    if (item.direction === 'number' || item.direction === 'card') expect(lies(name)).toBe(Number(place));
    else expect(says).toBe(`That is so for ${showCard(confused.card)}.`);
  }
});

test('what is easily confused is so both ways: neighbours round the end, mates, exchanged digits', () => {
  expect([
    digitsExchanged(12, 21),
    digitsExchanged(2, 20),
    digitsExchanged(33, 33),
    digitsExchanged(1, 12),
  ]).toEqual([true, true, false, false]);
  const order = shuffled(numberOrder(), seededRng(5));
  const pairs = order.flatMap((a, i) => order.slice(i + 1).map((b, j) => ({ a, b, apart: j + 1, i })));
  let confused = 0;
  for (const { a, b, apart, i } of pairs) {
    const places = [i + 1, i + 1 + apart].map((place) => place.toString().padStart(2, '0'));
    const expected =
      apart === 1 || apart === 51 || mateOf(a) === b || places[0] === [...places[1]].reverse().join('');
    expect(confusable(a, b, order)).toBe(expected);
    expect(confusable(b, a, order)).toBe(expected);
    if (expected) confused++;
  }
  expect(confused).toBeGreaterThan(52);
  expect(confusable(3, 3, order)).toBe(false);
});
