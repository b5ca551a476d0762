import fc from 'fast-check';
import composed from '../../test/vectors/composed-card.json';
import stacks from '../../test/vectors/stacks.json';
import { Card, mateOf } from '../deck/card';
import { parseCard } from '../deck/notation';
import { numberOrder, Order } from '../deck/order';
import { seededRng, shuffled } from '../deck/rng';
import { cut } from '../moves/cut';
import { weave } from '../moves/weave';
import { countingRun, fillSlots, freeSlots } from '../deck/bank';
import { composedCardAt } from '../deck/composedCard';
import { askOrder } from './question';
import { evenSpacing, longestSequence } from './sequences';

const read = (names: readonly string[]): Order => names.map((name) => parseCard(name) as Card);
const rotating = read(stacks.rotating.order);

test('the composed card of the worked examples', () => {
  for (const way of ['rank then suit', 'suit then rank'] as const)
    expect(askOrder(rotating, { kind: 'composed card', way, place: 12 })).toMatchObject({
      holds: true,
      count: 52,
    });
  expect(askOrder(rotating, { kind: 'composed card', way: 'rank then suit', place: 13 }).count).toBe(0);
  for (const row of composed.rows) {
    const named = composedCardAt(cut(rotating, row.cutAt - 1), 'rank then suit');
    expect(named).toEqual({ card: parseCard(row.rankThenSuit), place: 12 });
  }
});

test('mates stand so far apart for every cut just where they do', () => {
  const mirrored = read(stacks.mirroredHalves);
  for (let distance = 1; distance < 52; distance++)
    expect(askOrder(mirrored, { kind: 'apart', relation: 'mates', distance }).holds).toBe(distance === 26);
  expect(askOrder(rotating, { kind: 'apart', relation: 'of the same suit', distance: 4 }).holds).toBe(true);
  expect(askOrder(rotating, { kind: 'apart', relation: 'of the same rank', distance: 13 }).holds).toBe(true);
});

test('a counting run answers its cuts and no others but by chance', () => {
  const run = countingRun(14, 8, 4) as Card[];
  const bank = { cards: run, places: run.map((_, index) => 15 + index) };
  const order = fillSlots(freeSlots(bank, 52), shuffled(numberOrder(), seededRng(5)));
  const { cases } = askOrder(order, { kind: 'sum', count: 2, more: 0 });
  for (let count = 14; count <= 20; count++) expect(cases[count].ok).toBe(true);
});

test('a block of cards is split by the cuts inside it only', () => {
  fc.assert(
    fc.property(fc.integer(), fc.nat(40), fc.integer({ min: 2, max: 11 }), (seed, from, length) => {
      const order = shuffled(numberOrder(), seededRng(seed));
      const cards = order.slice(from, from + length);
      const { cases } = askOrder(order, { kind: 'together', cards: [...cards].reverse() });
      for (const each of cases) expect(each.ok).toBe(each.cut <= from || each.cut >= from + length);
    }),
  );
  expect(askOrder([1, 2], { kind: 'together', cards: [7] }).holds).toBe(false);
});

test('the longest sequence, and how a weave spreads it', () => {
  const cards = [0, 14, 28, 3, 17];
  const order = [...shuffled(numberOrder(), seededRng(2)).filter((card) => !cards.includes(card)), ...cards];
  expect(longestSequence(order)?.cards.length).toBeGreaterThanOrEqual(5);
  const pack = numberOrder();
  expect(longestSequence(pack)).toEqual({ cards: pack, every: 1 });
  for (const kind of ['in', 'out'] as const)
    expect(evenSpacing(weave(pack, kind), pack.slice(3, 15))).toBe(2);
  expect(longestSequence([0, mateOf(0), 9])).toBeUndefined();
});
