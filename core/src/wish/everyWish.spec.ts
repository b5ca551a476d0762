import { seededRng } from '../deck/rng';
import { FULL, KINDS, randomWish } from '../../test/randomWish';
import { checkWish } from './checkWish';
import { findOrder } from './findOrder';
import { readWishes } from './readWishes';
import { sayWish, wishPieces } from './sayWish';
import { Slot } from './slots';
import { Wish, WishName } from './wish';
import { WISHES } from './wishes';

/** What one begins with, for a pack of 52; one must choose an order or a procedure first. */
const beginOf = (kind: WishName): Wish => {
  const { begin } = WISHES[kind];
  return begin.kind === 'near' ? { ...begin, order: FULL } : begin;
};

const DRAWN = KINDS.flatMap((kind) => {
  const rng = seededRng(kind.length);
  return Array.from({ length: 40 }, () => [kind, randomWish(rng, FULL, 2, kind)] as const);
});

test.each(KINDS)('%s: what one begins with is right, is said, is judged and found', (kind) => {
  const wish = beginOf(kind);
  expect(sayWish(wish)).toMatch(/^[A-Z“\d]/);
  expect(checkWish(FULL, wish).of).toBeGreaterThan(0);
  if (kind === 'procedure') return;
  expect(readWishes({ pack: FULL, wishes: [wish] })).toMatchObject({ ok: true });
  const found = findOrder({ pack: FULL, wishes: [wish] });
  expect(found.end).toBe('found');
});

test.each(KINDS)('%s: its sentence tells every field that is told, and nothing that is not there', (kind) => {
  for (const [, wish] of DRAWN.filter(([each]) => each === kind)) {
    const pieces = wishPieces(wish);
    expect(sayWish(wish)).not.toMatch(/undefined|NaN|object|\{|\[/);
    const told = new Set(pieces.flatMap((piece) => ('field' in piece ? [piece.field] : [])));
    // What is said by other words: how a name is spelt, where it ends, what is not 0.
    const inWords = new Set([
      'round',
      'inOrder',
      'of',
      'from',
      'ends',
      'letters',
      'outs',
      'more',
      'by',
      'distance',
      'within',
      'kind',
      'all',
    ]);
    for (const field of Object.keys(wish)) if (!told.has(field)) expect(inWords).toContain(field);
  }
});

test('what stands in a field is read again as it is said', () => {
  for (const [, wish] of DRAWN)
    for (const piece of wishPieces(wish)) {
      if (!('slot' in piece)) continue;
      const { read, say } = piece.slot;
      if (!read) continue;
      const value = (wish as unknown as Record<string, unknown>)[piece.field];
      const part = piece.index === undefined ? value : (value as readonly unknown[])[piece.index];
      if (part === undefined) continue;
      // Copies look alike, and are said so.
      expect(say(read(say(part)))).toBe(say(part));
    }
});

test('classes of cards, places, cuts and moves as one writes them', () => {
  const read = (kind: WishName, field: string, text: string): unknown =>
    (WISHES[kind].fields as unknown as Record<string, Slot>)[field].read?.(text);
  expect(read('spaced', 'of', 'black aces and kings')).toEqual({ colour: 'black', ranks: [1, 13] });
  expect(read('spaced', 'of', 'hearts')).toEqual({ suits: ['H'] });
  expect(read('spaced', 'of', '7s of hearts or spades')).toEqual({ ranks: [7], suits: ['H', 'S'] });
  expect(read('spaced', 'of', '7D, 8C')).toEqual({ cards: ['7D', '8C'] });
  expect(read('spaced', 'of', 'red cards')).toEqual({ colour: 'red' });
  expect(read('spaced', 'of', 'any cards')).toEqual({});
  expect(read('spaced', 'of', 'seldom')).toBeUndefined();
  expect(read('cards among', 'places', '1 to 10')).toEqual({ from: 1, to: 10 });
  expect(read('cards among', 'places', '3 5 8')).toEqual([3, 5, 8]);
  expect(read('at cuts', 'cuts', 'every cut from 10 to 18')).toEqual({ from: 10, to: 18 });
  expect(read('at cuts', 'cuts', 'every cut')).toBe('every');
  expect(read('at cuts', 'cuts', 'cuts 4, 9')).toEqual([4, 9]);
  expect(read('ranks add up', 'makes', 'the cut')).toBe('cut');
  expect(read('ranks add up', 'makes', 'x')).toBeUndefined();
  expect(read('procedure', 'least', '95')).toBe(0.95);
  expect(read('suits rotate', 'suits', 'CHSD')).toEqual(['C', 'H', 'S', 'D']);
  expect(read('suits rotate', 'suits', 'CHSS')).toBeUndefined();
});
