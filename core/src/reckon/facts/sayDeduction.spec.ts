import stacks from '../../../test/vectors/stacks.json';
import { Card } from '../../deck/card';
import { parseCard } from '../../deck/notation';
import { applyMove, Move } from '../../moves/move';
import { deduce, Deduction } from './deduce';
import { Fact } from './fact';
import { Reckoning } from '../reckoning';
import { reckonFacts, sayTally } from './sayDeduction';

const tidemark = stacks.tidemark.map((name) => parseCard(name) as Card);
const card = (name: string): Card => parseCard(name) as Card;
const reckon = (...facts: Fact[]): Reckoning =>
  reckonFacts(tidemark, facts, deduce(tidemark, facts) as Deduction);

test('one state: what it is, with what was open before', () => {
  const { answer, known } = reckon({ kind: 'cut' }, { kind: 'seen', at: 'face', card: card('KH') });
  expect(answer).toBe('Cards cut 3, face K♥');
  expect(known).toEqual([
    { words: 'Ways it can lie', value: 1 },
    { words: 'Cards cut', value: '3' },
    { words: 'On top', card: card('9D') },
    { words: 'Second', card: card('QC') },
    { words: 'At the face', card: card('KH') },
  ]);
  expect(reckon({ kind: 'gap', above: card('3H'), below: card('9D'), count: 1 }).answer).toBe(
    'Out K♥, face K♦',
  );
  // The cards of a heap, whose pack lies in one way.
  expect(reckon({ kind: 'heap', heaps: 4, heap: 2 }).answer).toBe('Thought of one of 13, face K♦');
});

test('a card thought of and dealt three times: which it is and where it has come to lie', () => {
  const heap = (number: number, heaps: number): Fact => ({
    kind: 'heap',
    heaps,
    heap: number,
    gather: Array.from({ length: heaps }, (_, index) => index + 1),
  });
  const { answer, known } = reckon(heap(2, 4), heap(1, 4), heap(3, 4));
  expect(answer).toMatch(/^Thought of ([2-9AKQJ]|10)[♣♦♥♠], face ([2-9AKQJ]|10)[♣♦♥♠]$/);
  const thought = known.find(({ words }) => words === 'Thought of')?.card;
  const at = Number(known.find(({ words }) => words === 'It lies at')?.value);
  const deals = [0, 1, 2].map((): Move => ({ kind: 'deal heaps', heaps: 4, gather: [1, 2, 3, 4] }));
  expect(deals.reduce(applyMove, tidemark)[at - 1]).toBe(thought);
});

test('several states: the look that would tell most', () => {
  expect(reckon({ kind: 'cut' }).answer).toBe('Glimpse the face: that settles it');
  expect(reckon({ kind: 'taken', count: 1 }).answer).toMatch(
    /^Glimpse the card at \d+: about [\d.]+ of 52 states are left$/,
  );
  const lifted = reckon({ kind: 'lift', size: [20, 24] });
  expect(lifted.known[1]).toEqual({ words: 'Cards lifted', value: '20 to 24' });
  expect(lifted.notes).toEqual(['The pack can lie in one way only; how it got there is open.']);
});

test('no state: what cannot be true together', () => {
  expect(reckon({ kind: 'seen', at: 'face', card: card('KH') }).answer).toBe(
    '“K♥ at the face” does not fit this order',
  );
  expect(
    reckon(
      { kind: 'cut' },
      { kind: 'seen', at: 'face', card: card('KH') },
      { kind: 'seen', at: 'top', card: card('7D') },
    ).answer,
  ).toBe('“K♥ at the face” and “7♦ on top” cannot both be true');
  expect(reckon({ kind: 'dealt', count: 60 }).answer).toBe('This cannot have happened with so many cards');
});

test('a cut that was not told is thought of, where it would help', () => {
  const notes = (...facts: Fact[]): readonly string[] => reckon(...facts).notes;
  const uncut = ['It would fit if the pack had been cut first.'];
  const face: Fact = { kind: 'seen', at: 'face', card: card('KH') };
  expect(reckon(face).known).toEqual([{ words: 'Ways it can lie', value: 0 }]);
  expect(notes(face)).toEqual(uncut);
  expect(notes({ kind: 'lift', face: card('9S') }, face)).toEqual(uncut);
  expect(notes({ kind: 'cut' }, face)).toEqual([]);
  expect(notes(face, { kind: 'seen', at: 'top', card: card('7D') })).toEqual([]);
  expect(notes({ kind: 'dealt', count: 60 })).toEqual([]);
});

test('what is marked: the cards seen, and those that are out while they are few', () => {
  const { marks } = reckon({ kind: 'gap', above: card('3H'), below: card('9D'), count: 1 });
  expect(marks).toEqual([
    { place: 3, mark: 'missing' },
    { place: 2, mark: 'seen' },
    { place: 4, mark: 'seen' },
  ]);
  expect(reckon({ kind: 'taken', count: 1 }).marks).toEqual([]);
  const seenAt = (fact: Fact): number[] =>
    reckon(fact)
      .marks.filter(({ mark }) => mark === 'seen')
      .map(({ place }) => place);
  expect(seenAt({ kind: 'lift', face: tidemark[19] })).toEqual([20]);
  expect(seenAt({ kind: 'cuts', first: tidemark[3], second: tidemark[13] })).toEqual([4, 14]);
  expect(seenAt({ kind: 'row', cards: tidemark.slice(30, 33) })).toEqual([31, 32, 33]);
  // A card named twice is marked once; one that the pack does not hold is not marked.
  expect(seenAt({ kind: 'row', cards: [tidemark[7]] })).toEqual([8]);
  expect(seenAt({ kind: 'seen', at: 'top', card: 52 })).toEqual([]);
});

test('tallies in words', () => {
  const tally = (...values: number[]): { value: number; count: number }[] =>
    values.map((value) => ({ value, count: 1 }));
  expect(
    [tally(), tally(4), tally(6, 5, 4), tally(9, 3), tally(1, 3, 5, 7, 9, 11, 13)].map((each) =>
      sayTally(each),
    ),
  ).toEqual(['nothing', '4', '4 to 6', '3 9', 'one of 7']);
});
