import fc from 'fast-check';
import stacks from '../../test/vectors/stacks.json';
import { formatCard, parseCard, showCard, speakCard } from './notation';
import { cardAt, missingCards, numberOrder, placeOf } from './order';
import { formatOrder, OrderProblem, parseOrder, parsePart, readEntries } from './orderText';
import { sayProblem } from './problem';

const anyOrder = fc.shuffledSubarray([...numberOrder()], { minLength: 52 });
const tidemark = stacks.tidemark;

const problemsOf = (text: string): readonly OrderProblem[] => {
  const outcome = parseOrder(text);
  return outcome.ok ? [] : outcome.problems;
};

test('every order is read back from what is written, however it is set out', () => {
  const layouts = [
    (names: string[]) => names.join(' '),
    (names: string[]) => names.join(',\n'),
    (names: string[]) => names.join(''),
    (names: string[]) => names.map((name, index) => `${index + 1}. ${name}`).join('\r\n'),
    (names: string[]) => names.map((name, index) => `${index + 1}\t${name.toLowerCase()}`).join('\n'),
    (names: string[]) => names.map((name, index) => `${index + 1})${name};`).join(' | '),
  ];
  fc.assert(
    fc.property(anyOrder, fc.constantFrom(...layouts), fc.boolean(), (order, layout, symbols) => {
      const text = layout(order.map(symbols ? showCard : formatCard));
      expect(parseOrder(text)).toEqual({ ok: true, order });
    }),
  );
});

test.each(['tidemark', 'mirroredHalves'] as const)('the vector %s is an order', (name) => {
  const outcome = parseOrder(stacks[name].join(' '));
  expect(outcome.ok && formatOrder(outcome.order)).toBe(stacks[name].join(' '));
});

test('jokers may be in a pack but are never missed', () => {
  expect(parseOrder([...tidemark, 'X1'].join(' ')).ok).toBe(true);
  expect(parseOrder(['X2', ...tidemark, 'X1'].join(' ')).ok).toBe(true);
});

test('51 cards: the missing one is named', () => {
  const problems = problemsOf(tidemark.filter((name) => name !== '7D').join(' '));
  expect(problems.map(sayProblem)).toEqual(['7♦ is missing. Put it in at its place.']);
});

test('a doubled card is told with both places, and what it pushed out', () => {
  const text = tidemark.map((name, index) => (index === 19 ? 'AC' : name)).join('\n');
  expect(problemsOf(text)).toEqual([
    expect.objectContaining({ kind: 'doubled', place: 20, line: 20, column: 1 }),
    expect.objectContaining({ kind: 'missing', card: 19 }),
  ]);
});

test('an unreadable card is told with its place, line and column', () => {
  const text = tidemark.map((name, index) => (index === 19 ? '11H' : name)).join(' ');
  const [problem] = problemsOf(text);
  expect(problem).toMatchObject({ kind: 'unreadable', place: 20, line: 1, column: 58 });
  expect(text.slice(57, 60)).toBe('11H');
  expect(sayProblem(problem)).toBe('Place 20: “11H” is not a card. Ranks are A, 2 to 10, J, Q and K.');
});

test('an empty text and one that is far too long have one message each', () => {
  expect(problemsOf(' \n ').map(({ kind }) => kind)).toEqual(['empty']);
  expect(problemsOf('7D '.repeat(500)).filter(({ kind }) => kind === 'too long')).toHaveLength(1);
});

test('no text makes reading fail, and what is refused has a problem', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 300 }), (text) => {
      const outcome = parseOrder(text);
      expect(outcome.ok ? outcome.order.length >= 52 : outcome.problems.length > 0).toBe(true);
    }),
  );
});

test('removing or doubling any card of any order is always seen', () => {
  fc.assert(
    fc.property(anyOrder, fc.nat(51), fc.nat(51), (order, from, to) => {
      fc.pre(from !== to);
      const changed = order.map((card, index) => (index === to ? order[from] : card));
      const kinds = problemsOf(formatOrder(changed)).map(({ kind }) => kind);
      expect(kinds).toEqual(['doubled', 'missing']);
      expect(missingCards(changed)).toEqual([order[to]]);
    }),
  );
});

test('a part of a pack is an order too, but not with a card twice or one that cannot be read', () => {
  fc.assert(
    fc.property(fc.shuffledSubarray([...numberOrder()], { minLength: 1 }), (order) => {
      expect(parsePart(formatOrder(order))).toEqual({ ok: true, order });
    }),
  );
  expect(['', 'AC AC', 'AC 11H'].map((text) => parsePart(text).ok)).toEqual([false, false, false]);
});

test('place and card look each other up', () => {
  fc.assert(
    fc.property(anyOrder, fc.integer({ min: 1, max: 52 }), (order, place) => {
      expect(placeOf(order, cardAt(order, place) as number)).toBe(place);
    }),
  );
  expect(placeOf(numberOrder(), 53)).toBeUndefined();
  expect(cardAt(numberOrder(), 53)).toBeUndefined();
});

test('cards with blanks or quotes are read where they stand, beside plain ones and places', () => {
  const text = '1. ace of spades, "2H"\n3 7 D; Queen of hearts  QS 6. 10 of clubs';
  const entries = readEntries(text);
  expect(entries.map(({ card }) => card)).toEqual(
    ['AS', '2H', '7D', 'QH', 'QS', 'TC'].map((name) => parseCard(name)),
  );
  expect(entries.map(({ line, column }) => [line, column])).toEqual([
    [1, 4],
    [1, 20],
    [2, 3],
    [2, 8],
    [2, 25],
    [2, 31],
  ]);
  const spoken = numberOrder().map((card) => speakCard(card));
  expect(parseOrder(spoken.join('\n'))).toEqual({ ok: true, order: numberOrder() });
});
