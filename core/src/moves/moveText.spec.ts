import { parseCard } from '../deck/notation';
import { numberOrder } from '../deck/order';
import { applyMove, Move } from './move';
import { MOVE_USAGE, parseMovesText, parseMoveText } from './moveText';

const pack = numberOrder();

test.each<[string, Move]>([
  ['out', { kind: 'weave', weave: 'out' }],
  [' IN ', { kind: 'weave', weave: 'in' }],
  ['in 26', { kind: 'weave', weave: 'in', top: 26 }],
  ['unweave out', { kind: 'unweave', weave: 'out' }],
  ['weave 10 in', { kind: 'weave packet', weave: 'in', count: 10 }],
  ['unweave 10 out', { kind: 'unweave packet', weave: 'out', count: 10 }],
  ['cut  12', { kind: 'cut', count: 12 }],
  ['deal 9', { kind: 'deal', count: 9 }],
  ['reverse 5 to 20', { kind: 'reverse packet', from: 5, to: 20 }],
  ['block 5 9 to 30', { kind: 'move packet', from: 5, to: 9, after: 30, reversed: false }],
  ['turned block 5 9 to 0', { kind: 'move packet', from: 5, to: 9, after: 0, reversed: true }],
  ['heaps 4', { kind: 'deal heaps', heaps: 4, gather: [1, 2, 3, 4] }],
  ['heaps 3 2 1 3', { kind: 'deal heaps', heaps: 3, gather: [2, 1, 3] }],
  ['riffle #77', { kind: 'riffle', seed: 77 }],
  ['overhand', { kind: 'overhand', seed: 1, chop: 0.2 }],
  ['take 5', { kind: 'take', place: 5, card: 4 }],
  ['reversed block 5 9 to 0', { kind: 'move packet', from: 5, to: 9, after: 0, reversed: true }],
  ['put X1 53', { kind: 'put', place: 53, card: 52 }],
])('“%s” is a move', (text, move) => expect(parseMoveText(text, pack)).toEqual({ move }));

test('everything that the usage names is read, the card to put in being out', () => {
  const now = applyMove(pack, { kind: 'take', place: pack.indexOf(parseCard('7D') as number) + 1 });
  for (const text of MOVE_USAGE.split(' · ')) expect(parseMoveText(text, now).move).toBeDefined();
});

test.each([
  'cut',
  'cut x',
  'reverse 9 4',
  'block 5 9 to 7',
  'heaps 1',
  'heaps 20',
  'heaps 3 1 1 2',
  'shuffle',
  '12',
])('“%s” is not a move', (text) => expect(parseMoveText(text, pack).problem).toContain('is not a move'));

test('numbers beyond the pack, cards that are in it, and nothing at all', () => {
  expect(parseMoveText('cut 60', pack).problem).toBe('60 is more than the pack has: 52 cards.');
  expect(parseMoveText('put 7D 3', pack).problem).toBe('7♦ is in the pack already. Take it out first.');
  expect(parseMoveText('put 7Q 3', pack).problem).toContain('is not a card');
  expect(parseMoveText('put X1 54', pack).problem).toContain('from 1 to 53');
  expect(parseMoveText('  ', pack)).toEqual({});
});

test('a row of moves is read each against what it is done to', () => {
  expect(parseMovesText('take 52, take 51; cut 52', pack).problem).toBe(
    '52 is more than the pack has: 50 cards.',
  );
  expect(parseMovesText('take 1\nput AC 51,', pack).moves).toHaveLength(2);
  expect(parseMovesText(' ', pack)).toEqual({ moves: [] });
});
