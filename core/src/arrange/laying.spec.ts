import fc from 'fast-check';
import { Card, mateOf, rankOf } from '../deck/card';
import { numberOrder, Order } from '../deck/order';
import { seededRng, shuffled } from '../deck/rng';
import { Bank, BankPosition, layBank } from '../deck/bank';
import { Freedom, freedomFits, gatherHeaps, heapNames, layAll, layCard } from './laying';

const anyPack = fc.integer().map((seed) => shuffled(numberOrder(), seededRng(seed)));
const laid = (freedom: Freedom, turned: Order): Order => gatherHeaps(freedom, layAll(freedom, turned)).order;
const bankAt = (cards: readonly Card[], position: BankPosition, loose = false): Bank => {
  const outcome = layBank(cards, position, 52);
  if (!outcome.ok) throw new Error('no room');
  return { ...outcome.bank, loose };
};

test('any shuffled pack comes to mirrored halves, each card handled once', () => {
  fc.assert(
    fc.property(anyPack, (pack) => {
      const order = laid({ kind: 'mirrored halves' }, pack);
      expect([...order].sort((a, b) => a - b)).toEqual(numberOrder());
      order.slice(0, 26).forEach((card, index) => expect(order[index + 26]).toBe(mateOf(card)));
    }),
  );
});

test('and to a palindrome of mates', () => {
  fc.assert(
    fc.property(anyPack, (pack) => {
      const order = laid({ kind: 'palindrome' }, pack);
      order.forEach((card, index) => expect(order[51 - index]).toBe(mateOf(card)));
    }),
  );
});

test('a bank comes to its places and the indifferent cards fall as they come', () => {
  const positions: BankPosition[] = [
    { kind: 'behind', count: 0 },
    { kind: 'behind', count: 20 },
    { kind: 'at the face' },
    { kind: 'every', first: 3, step: 3 },
  ];
  fc.assert(
    fc.property(anyPack, fc.constantFrom(...positions), fc.integer(), (pack, position, seed) => {
      const bank = bankAt(shuffled(numberOrder(), seededRng(seed)).slice(0, 13), position);
      const order = laid({ kind: 'bank', bank }, pack);
      bank.places.forEach((place, index) => expect(order[place - 1]).toBe(bank.cards[index]));
      const indifferent = (cards: Order): Card[] => cards.filter((card) => !bank.cards.includes(card));
      // Each is laid on the one before, so that the last turned is the highest.
      expect(indifferent(order)).toEqual(indifferent(pack).reverse());
    }),
  );
});

test('the groups of a loose bank take their cards in any order', () => {
  const cards = [6, 19, 32, 45, 7, 20, 33, 46];
  const bank = bankAt(cards, { kind: 'around the middle' }, true);
  const freedom: Freedom = { kind: 'bank', bank };
  expect(heapNames(freedom)).toEqual(['7s', '8s', 'rest']);
  fc.assert(
    fc.property(anyPack, (pack) => {
      expect(laid(freedom, pack).slice(22, 30).map(rankOf)).toEqual([7, 7, 7, 7, 8, 8, 8, 8]);
    }),
  );
});

test('how the heaps are gathered', () => {
  const says = (bank: Bank): string => {
    const freedom: Freedom = { kind: 'bank', bank };
    return gatherHeaps(freedom, layAll(freedom, numberOrder())).says;
  };
  const hearts = numberOrder().slice(26, 39);
  expect(says(bankAt(hearts, { kind: 'behind', count: 0 }))).toBe('Put the bank on the rest.');
  expect(says(bankAt(hearts, { kind: 'at the face' }))).toBe('Put the rest on the bank.');
  expect(says(bankAt(hearts, { kind: 'behind', count: 20 }))).toBe(
    'Put the bank under the top 20 cards of the rest, so that 19 are below it.',
  );
  expect(says(bankAt(hearts.slice(0, 3), { kind: 'every', first: 4, step: 4 }))).toContain('places 4, 8, 12');
});

test('a mate goes under the cards whose mates lie higher in heap A', () => {
  const mates: Freedom = { kind: 'mirrored halves' };
  const turned = [0, 1, 2, mateOf(1)];
  // Heap A holds 2, 1, 0 from the top; heap B has the mate of 1.
  expect(layCard(mates, layAll(mates, turned), mateOf(0))).toEqual({ heap: 1, under: 1 });
  expect(layCard(mates, layAll(mates, turned), mateOf(2))).toEqual({ heap: 1, under: 0 });
  expect(layCard({ kind: 'palindrome' }, layAll({ kind: 'palindrome' }, turned), mateOf(2))).toEqual({
    heap: 1,
    under: 1,
  });
});

test('what a pack must have for it', () => {
  expect(freedomFits({ kind: 'palindrome' }, numberOrder())).toBe(true);
  expect(freedomFits({ kind: 'palindrome' }, numberOrder().slice(1))).toBe(false);
  expect(freedomFits({ kind: 'bank', bank: { cards: [3], places: [1] } }, [4, 5])).toBe(false);
});
