import { Move } from '../moves/move';
import { closeRow, openMove, TypedRow, typeRow } from './rowKeys';

const EMPTY: TypedRow = { row: [], open: '' };

const typed = (keys: string, size = 52): TypedRow =>
  keys.split(' ').reduce((now, key) => typeRow(now, key, size) ?? now, EMPTY);

/** The row as one reads it. */
const shown = (keys: string, size = 52): string =>
  closeRow(typed(keys, size), size)
    .row.map((move: Move) => {
      switch (move.kind) {
        case 'cut':
          return `cut ${move.count.toString()}`;
        case 'weave':
        case 'unweave':
          return `${move.kind === 'weave' ? '' : 'back '}${move.weave}${move.top ? ` ${move.top.toString()}` : ''}`;
        case 'weave packet':
          return `packet ${move.count.toString()} ${move.weave}`;
        default:
          return move.kind;
      }
    })
    .join(', ');

test.each([
  ['i o o i', 'in, out, out, in'],
  ['I O', 'in, out'],
  ['c 1 2 i', 'cut 12, in'],
  ['c 5 o', 'cut 5, out'],
  ['c 5 Enter 3 i', 'cut 5, in'],
  ['c 6 7 o', 'cut 6, out'],
  ['c i', 'in'],
  ['c 0 4 i', 'cut 4, in'],
  ['c c 9', 'cut 9'],
  ['r i r o', 'back in, back out'],
  ['r c 4', 'cut 4'],
  ['r 4 i', 'back in'],
  ['i 1 6 o', 'in 16, out'],
  ['i 9 9', 'in 9'],
  ['i 1 6 Backspace', 'in 1'],
  ['i 1 6 Backspace Backspace', 'in'],
  ['i 1 6 Backspace Backspace Backspace', ''],
  ['p 1 0 i', 'packet 10 in'],
  ['p 2 7 i', 'in'],
  ['p i', 'in'],
  ['i o Backspace Backspace Backspace', ''],
  ['i c 1 Backspace Backspace Backspace', ''],
  ['x 7 . / Tab', ''],
  ['c 5 2', ''],
])('%s is %s', (keys, row) => {
  expect(shown(keys)).toBe(row);
});

test('a cut stands as soon as no digit can follow, in a pack of any size', () => {
  for (let size = 2; size <= 108; size++)
    for (let count = 1; count < size; count++) {
      const keys = typed(`c ${[...count.toString()].join(' ')}`, size);
      const [move] = closeRow(keys, size).row;
      if (move.kind !== 'cut' || move.count !== count) throw new Error(`${count} of ${size}`);
      if ((keys.open === '') !== count * 10 > size)
        throw new Error(`${count} of ${size} stands at the wrong key`);
      if (keys.open !== '' && !openMove(keys, size)) throw new Error(`${count} of ${size} is not shown`);
    }
});

test('keys that mean nothing are left to others', () => {
  for (const key of ['ArrowLeft', 'Escape', '/', '7', 'Enter', ' ', 'z'])
    expect(typeRow(EMPTY, key, 52)).toBeUndefined();
  expect(typeRow(EMPTY, 'Backspace', 52)).toEqual(EMPTY);
});

test('what one types never goes beyond the pack', () => {
  const keys = [...'iocrp0123456789', 'Backspace', 'Enter'];
  let seed = 1;
  let now = EMPTY;
  const size = 11;
  for (let step = 0; step < 20_000; step++) {
    seed = (seed * 48271) % 2147483647;
    now = typeRow(now, keys[seed % keys.length], size) ?? now;
    if (now.row.length > 30) now = EMPTY;
    const move = now.row.at(-1);
    const count = move && 'count' in move ? move.count : move && 'top' in move ? (move.top ?? 1) : 1;
    const most = move?.kind === 'cut' ? size - 1 : move?.kind === 'weave packet' ? size >> 1 : size;
    if (count < 1 || count > most) throw new Error(`after ${step} keys: ${JSON.stringify(move)}`);
  }
});
