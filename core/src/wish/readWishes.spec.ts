import { FULL, KINDS, randomPack, randomWish } from '../../test/randomWish';
import { topProcedure } from '../../test/topProcedure';
import { seededRng } from '../deck/rng';
import { readWishes } from './readWishes';

const RUNS = { kind: 'runs', of: 'colour', most: 3 };
const PACK = ['AC', '2C', 'X1', '7D', '7D*', '-'];
const list = (more: object = {}): object => ({ pack: PACK, wishes: [RUNS], ...more });
const withWish = (wish: unknown): object => list({ wishes: [RUNS, RUNS, wish] });

const REFUSED: readonly (readonly [name: string, value: unknown, where: string])[] = [
  ['no list', 7, 'File'],
  ['a list of lists', [], 'File'],
  ['an unknown key', list({ extra: 1 }), 'File'],
  ['another format', list({ format: 'other' }), 'File'],
  ['a later version', list({ version: 2 }), 'File'],
  ['a name that is no text', list({ name: 3 }), 'File'],
  ['no wishes', { pack: PACK }, 'File'],
  ['no pack', { wishes: [] }, 'Pack'],
  ['three cards', list({ pack: ['AC', '2C', '3C'] }), 'Pack'],
  ['61 cards', list({ pack: [...FULL, ...Array.from({ length: 9 }, () => '-')] }), 'Pack'],
  ['a card that is none', list({ pack: ['AC', '2C', '3C', '1C'] }), 'Pack'],
  ['a card twice', list({ pack: ['AC', '2C', '3C', 'AC'] }), 'Pack'],
  ['a start that is too short', list({ start: ['AC'] }), 'Start'],
  ['a start with another card', list({ start: ['KC', null, null, null, null, null] }), 'Start'],
  ['a start with a card too often', list({ start: ['AC', 'AC', null, null, null, null] }), 'Start'],
  ['a start with a number', list({ start: [1, null, null, null, null, null] }), 'Start'],
  ['an unknown kind', withWish({ kind: 'dream' }), 'Wish 3'],
  ['no wish', withWish(null), 'Wish 3'],
  ['an unknown field', withWish({ ...RUNS, extra: 1 }), 'Wish 3'],
  ['a missing field', withWish({ kind: 'runs', of: 'colour' }), 'Wish 3'],
  ['a weight of 0', withWish({ ...RUNS, weight: 0 }), 'Wish 3'],
  ['a weight inside', withWish({ kind: 'at cuts', cuts: 'every', wish: { ...RUNS, weight: 1 } }), 'Wish 3'],
  ['round with places', withWish({ ...RUNS, round: true, from: 2 }), 'Wish 3'],
  ['from behind to', withWish({ ...RUNS, from: 3, to: 2 }), 'Wish 3'],
  ['place 0', withWish({ kind: 'cards at', cards: ['AC'], places: [0] }), 'Wish 3'],
  ['a place twice', withWish({ kind: 'cards at', cards: ['AC', '2C'], places: [1, 1] }), 'Wish 3'],
  ['more cards than places', withWish({ kind: 'cards at', cards: ['AC', '2C'], places: [1] }), 'Wish 3'],
  [
    'exactly and at least',
    withWish({ kind: 'before', card: 'AC', other: '2C', exactly: 1, least: 1 }),
    'Wish 3',
  ],
  [
    'a made card twice told',
    withWish({ kind: 'card made of two', rankFrom: 1, suitFrom: 2, at: 3, is: 'AC' }),
    'Wish 3',
  ],
  ['a made card not told', withWish({ kind: 'card made of two', rankFrom: 1, suitFrom: 2 }), 'Wish 3'],
  ['three mates', withWish({ kind: 'packets', size: 3, by: 'mates', all: 'alike' }), 'Wish 3'],
  ['player 5 of 4', withWish({ kind: 'hand', players: 4, cards: 1, player: 5, is: 'pair' }), 'Wish 3'],
  ['a target from the top', withWish({ kind: 'spells', cards: ['AC'], target: '2C' }), 'Wish 3'],
  ['no target from itself', withWish({ kind: 'spells', cards: ['AC'], from: 'itself' }), 'Wish 3'],
  ['three suits', withWish({ kind: 'suits rotate', suits: ['C', 'H', 'S'] }), 'Wish 3'],
  ['a step of 13', withWish({ kind: 'ranks step', step: 13 }), 'Wish 3'],
  ['another order’s size', withWish({ kind: 'near', order: ['AC'], most: 1 }), 'Wish 3'],
  ['a riffle', withWish({ kind: 'after', moves: [{ kind: 'riffle', seed: 1 }], wish: RUNS }), 'Wish 3'],
  ['a card taken', withWish({ kind: 'after', moves: [{ kind: 'take', place: 1 }], wish: RUNS }), 'Wish 3'],
  ['no moves', withWish({ kind: 'after', moves: [], wish: RUNS }), 'Wish 3'],
  ['three of two', withWish({ kind: 'some of', wishes: [RUNS, RUNS], least: 3 }), 'Wish 3'],
  [
    'a procedure without the packet',
    withWish({ kind: 'procedure', ...topProcedure(PACK, 0), packet: 'other' }),
    'Wish 3',
  ],
  [
    'a procedure with chance',
    withWish({
      kind: 'procedure',
      packet: 'pack',
      procedure: { name: 'Riffled', packets: { pack: PACK }, steps: [{ do: 'riffle', packet: 'pack' }] },
    }),
    'Wish 3',
  ],
  ['no procedure', withWish({ kind: 'procedure', packet: 'pack', procedure: { steps: 7 } }), 'Wish 3'],
];

test.each(REFUSED)('refused: %s', (_, value, where) => {
  const read = readWishes(value);
  if (read.ok) throw new Error('read');
  expect(read.problems.map((problem) => problem.where)).toEqual([where]);
  for (const { what, remedy } of read.problems) {
    expect(what).toMatch(/\S.*[.!]$/);
    expect(remedy).toMatch(/\S/);
  }
});

test('what is right is read as it is', () => {
  const value = {
    ...{ format: 'enumeron wishes', version: 1, name: 'The count', pack: PACK },
    start: ['7D*', null, 'AC', null, '7D', '-'],
    wishes: [
      { ...RUNS, weight: 0.5 },
      { kind: 'cards at', cards: ['KS', '-', '-'], places: [1, 2, 99] },
      { kind: 'cards among', of: {}, places: { to: 70 } },
      { kind: 'mirrored' },
    ],
  };
  const read = readWishes(value);
  expect(read).toEqual({ ok: true, list: value });
  if (read.ok) expect(read.list).toBe(value);
});

test('every wish that is drawn is read', () => {
  const rng = seededRng(9);
  for (const kind of KINDS)
    for (let time = 0; time < 30; time++) {
      const pack = randomPack(rng, 5 + (time % 4));
      const wish = randomWish(rng, pack, 2, kind);
      const read = readWishes({ pack, wishes: [wish] });
      // Some are drawn with places that go back, or that exclude each other.
      if (!read.ok) expect(read.problems[0].what).toMatch(/goes from|at most|at one place|mates/i);
    }
});

test('a wish inside a hundred others is refused, not followed', () => {
  let wish: object = RUNS;
  for (let deep = 0; deep < 100; deep++) wish = { kind: 'at cuts', cuts: 'every', wish };
  expect(readWishes(withWish(wish)).ok).toBe(false);
});
