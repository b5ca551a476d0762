import fc from 'fast-check';
import offsets from '../../test/vectors/offsets.json';
import stacks from '../../test/vectors/stacks.json';
import { Card } from './card';
import { formatCard, parseCard } from './notation';
import { cardAt, numberOrder, Order, placeOf } from './order';
import { cut } from '../moves/cut';
import { deal } from '../moves/deal';
import {
  breaksIn,
  cutFor,
  fromFace,
  offsetFromFace,
  offsetFromTop,
  offsetOf,
  placeAfter,
  seamOf,
  stackNumberAt,
} from './offset';

const card = (name: string): Card => parseCard(name) as Card;
const tidemark: Order = stacks.tidemark.map(card);

test.each(offsets.rows)('worked example: $face at the face, $card at $number', (row) => {
  const offset = offsetFromFace(tidemark, card(row.face)) as number;
  const stackNumber = placeOf(tidemark, card(row.card)) as number;
  const place = placeAfter(stackNumber, offset, 52);
  const count = cutFor(stackNumber, row.number, offset, 52);
  const after = cut(cut(tidemark, offset), count);
  expect({ offset, stackNumber, position: place, fromFace: fromFace(place, 52), cut: count }).toEqual({
    offset: row.offset,
    stackNumber: row.stackNumber,
    position: row.position,
    fromFace: row.fromFace,
    cut: row.cut,
  });
  expect(formatCard(after[51])).toBe(row.faceAfterCut);
  expect(formatCard(cardAt(cut(tidemark, offset), row.number) as Card)).toBe(row.cardAtNumber);
});

test('for every turn, card and number the formulas agree with a pack that is really cut', () => {
  for (const size of [1, 2, 13, 51, 52, 54]) {
    const home = Array.from({ length: size }, (_, index) => index);
    for (let offset = 0; offset < size; offset++) {
      const now = cut(home, offset);
      expect(offsetFromFace(home, now[size - 1])).toBe(offset);
      expect(offsetFromTop(home, now[0])).toBe(offset);
      expect(offsetOf(home, now)).toBe(offset);
      const numbers = now.map((shown) => placeOf(home, shown) as number);
      expect(numbers.map((number) => placeAfter(number, offset, size))).toEqual(
        now.map((_, index) => index + 1),
      );
      expect(now.map((_, index) => stackNumberAt(index + 1, offset, size))).toEqual(numbers);
    }
  }
});

test('for every turn, card and number the cut brings the card there', () => {
  const size = 20;
  const home = Array.from({ length: size }, (_, index) => index);
  const wrong: number[][] = [];
  for (let offset = 0; offset < size; offset++)
    for (let stackNumber = 1; stackNumber <= size; stackNumber++)
      for (let number = 1; number <= size; number++) {
        const count = cutFor(stackNumber, number, offset, size);
        const isThere = cut(cut(home, offset), count)[number - 1] === home[stackNumber - 1];
        if (count < 0 || count >= size || !isThere) wrong.push([offset, stackNumber, number]);
      }
  expect(wrong).toEqual([]);
});

test('the seam is where the first card of the order lies, and a turned pack has no breaks', () => {
  for (let offset = 0; offset < 52; offset++) {
    const now = cut(tidemark, offset);
    expect(seamOf(tidemark, now)).toBe(now.indexOf(tidemark[0]));
    expect(breaksIn(tidemark, now)).toEqual([]);
  }
});

test('a deal breaks the order at every dealt card and at the end of the heap', () => {
  expect(breaksIn(tidemark, deal(tidemark, 4))).toEqual([1, 2, 3, 4]);
  expect(seamOf(tidemark, deal(tidemark, 4))).toBeUndefined();
  expect(offsetOf(tidemark, deal(tidemark, 2))).toBeUndefined();
});

test('cards that are not in the order have no offset', () => {
  expect(offsetFromFace(tidemark, 53)).toBeUndefined();
  expect(offsetFromTop(tidemark, 53)).toBeUndefined();
  expect(offsetOf(tidemark, tidemark.slice(1))).toBeUndefined();
  expect(offsetOf([], [])).toBeUndefined();
});

test('only turns have an offset', () => {
  fc.assert(
    fc.property(fc.shuffledSubarray([...numberOrder()].slice(0, 5), { minLength: 5 }), (now) => {
      const home = numberOrder().slice(0, 5);
      const turns = home.map((_, count) => cut(home, count).join());
      expect(offsetOf(home, now) !== undefined).toBe(turns.includes(now.join()));
    }),
  );
});
