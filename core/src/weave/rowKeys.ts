import { Move } from '../moves/move';
import { WeaveKind } from '../moves/weave';

/** A row of moves as it is typed: what stands, and the keys of a move that is not whole yet or may get a number. */
export interface TypedRow {
  readonly row: readonly Move[];
  /** Keys behind the row: `c1` may become a cut of 1 or of 12, `i` an in weave of the top cards. */
  readonly open: string;
}

const KINDS: Readonly<Record<string, WeaveKind>> = { i: 'in', o: 'out' };

/** The largest number that a row takes: as many cards as any pack has. */
const MOST_DIGITS = 3;

/** The move that keys stand for, done to `size` cards; undefined where they are not whole or go beyond the pack. */
const moveOf = (keys: string, size: number): Move | undefined => {
  const [, prefix = '', digits, letter] = /^([cprio])?(\d*)([io])?$/.exec(keys) ?? [];
  const count = digits === '' ? undefined : Number(digits);
  if (count !== undefined && (count < 1 || count > size)) return undefined;
  switch (prefix) {
    case 'c':
      return count === undefined || letter || count === size ? undefined : { kind: 'cut', count };
    case 'p':
      return count === undefined || !letter || 2 * count > size
        ? undefined
        : { kind: 'weave packet', weave: KINDS[letter], count };
    case 'r':
      return letter && count === undefined ? { kind: 'unweave', weave: KINDS[letter] } : undefined;
    case 'i':
    case 'o':
      return letter ? undefined : { kind: 'weave', weave: KINDS[prefix], ...(count && { top: count }) };
    default:
      return undefined;
  }
};

/** Whether a weave of the row's end is still open to a number. */
const isWeave = (open: string): boolean => /^[io]/.test(open);

export const openMove = ({ open }: TypedRow, size: number): Move | undefined =>
  isWeave(open) ? undefined : moveOf(open, size);

/** What is open ends: a move that is whole stands, keys of none are gone. */
export const closeRow = (typed: TypedRow, size: number): TypedRow => {
  const move = openMove(typed, size);
  return { row: move ? [...typed.row, move] : typed.row, open: '' };
};

/** A weave's last digit is taken back, or the whole move. */
const backInWeave = ({ row, open }: TypedRow, size: number): TypedRow => {
  const keys = open.slice(0, -1);
  const move = moveOf(keys, size);
  return move ? { row: [...row.slice(0, -1), move], open: keys } : { row: row.slice(0, -1), open: '' };
};

const back = (typed: TypedRow, size: number): TypedRow => {
  if (isWeave(typed.open)) return backInWeave(typed, size);
  return typed.open === ''
    ? { row: typed.row.slice(0, -1), open: '' }
    : { ...typed, open: typed.open.slice(0, -1) };
};

const digit = (typed: TypedRow, key: string, size: number): TypedRow | undefined => {
  const { row, open } = typed;
  const keys = open + key;
  if (!/^[cpio]\d+$/.test(keys) || keys.length > MOST_DIGITS + 1) return undefined;
  const count = Number(keys.slice(1));
  if (count < 1 || count > size) return undefined;
  if (isWeave(open)) {
    const move = moveOf(keys, size);
    return move && { row: [...row.slice(0, -1), move], open: keys };
  }
  // A cut that can get no further digit stands.
  const next = { row, open: keys };
  return open.startsWith('c') && count * 10 > size ? closeRow(next, size) : next;
};

const letter = (typed: TypedRow, key: string, size: number): TypedRow | undefined => {
  const within = typed.open === '' ? undefined : moveOf(typed.open + key, size);
  if (within) return { row: [...typed.row, within], open: '' };
  const { row } = closeRow(typed, size);
  const move = moveOf(key, size);
  return move ? { row: [...row, move], open: key } : { row, open: key };
};

/**
 * What one key makes of a row. `i` and `o` are weaves (a number behind them: of so many top cards), `r` before them
 * takes such a weave back, `c` and a number is a cut, `p`, a number and `i` or `o` a packet woven into the top of the
 * rest; Backspace takes back, Enter ends a number.
 *
 * @param size cards in the pack. @returns undefined for a key that means nothing here.
 */
export const typeRow = (typed: TypedRow, key: string, size: number): TypedRow | undefined => {
  if (key === 'Backspace') return back(typed, size);
  if (key === 'Enter' || key === ' ') return typed.open === '' ? undefined : closeRow(typed, size);
  if (/^\d$/.test(key)) return digit(typed, key, size);
  const small = key.toLowerCase();
  return /^[iocrp]$/.test(small) ? letter(typed, small, size) : undefined;
};
