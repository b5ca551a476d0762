import { Move } from '@enumeron/core';
import { MOVE_USAGE, readMove } from './read-move';

test.each<[string, Move]>([
  ['out', { kind: 'weave', weave: 'out' }],
  [' IN ', { kind: 'weave', weave: 'in' }],
  ['in 26', { kind: 'weave', weave: 'in', top: 26 }],
  ['unweave out', { kind: 'unweave', weave: 'out' }],
  ['cut 12', { kind: 'cut', count: 12 }],
  ['deal 9', { kind: 'deal', count: 9 }],
  ['reverse 5 20', { kind: 'reverse packet', from: 5, to: 20 }],
  ['block 5 9 to 30', { kind: 'move packet', from: 5, to: 9, after: 30, reversed: false }],
  ['heaps 4', { kind: 'deal heaps', heaps: 4, gather: [1, 2, 3, 4] }],
])('“%s” is a move', (text, move) => expect(readMove(text, 52)).toEqual({ move }));

test('everything that the usage names is read', () => {
  for (const text of MOVE_USAGE.split(' · ')) expect(readMove(text, 52).move).toBeDefined();
});

test.each(['cut', 'cut x', 'reverse 9 4', 'block 5 9 to 7', 'heaps 1', 'heaps 20', 'shuffle', '12'])(
  '“%s” is no move',
  (text) => expect(readMove(text, 52).problem).toContain('is no move'),
);

test('numbers beyond the pack, and nothing at all', () => {
  expect(readMove('cut 60', 52).problem).toBe('60 is more than the pack has: 52 cards.');
  expect(readMove('  ', 52)).toEqual({});
});
