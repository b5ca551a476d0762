import { Move } from '@enumeron/core';

/** What a text was read as: a move, or what is wrong with it; neither while it is empty. */
export interface MoveReading {
  readonly move?: Move;
  readonly problem?: string;
}

/** How moves are written in a recipe, for the eye. */
export const MOVE_USAGE =
  'out · in · cut 12 · deal 9 · reverse 5 20 · block 5 9 to 30 · heaps 4 · unweave out';

const make = (words: readonly string[], numbers: readonly number[]): Move | undefined => {
  const [word, second] = words;
  const [a, b, c] = numbers;
  if (word === 'out' || word === 'in')
    return numbers.length === 0 ? { kind: 'weave', weave: word } : { kind: 'weave', weave: word, top: a };
  if (word === 'unweave' && (second === 'out' || second === 'in')) return { kind: 'unweave', weave: second };
  if ((word === 'cut' || word === 'deal') && numbers.length === 1) return { kind: word, count: a };
  if (word === 'reverse' && numbers.length === 2 && a < b) return { kind: 'reverse packet', from: a, to: b };
  if (word === 'block' && numbers.length === 3 && a <= b && (c < a || c >= b))
    return { kind: 'move packet', from: a, to: b, after: c, reversed: false };
  if (word === 'heaps' && numbers.length === 1 && a >= 2 && a <= 13)
    return { kind: 'deal heaps', heaps: a, gather: Array.from({ length: a }, (_, index) => index + 1) };
  return undefined;
};

/** Reads one move of a recipe: a word and its numbers, each at most the size of the pack. */
export const readMove = (text: string, size: number): MoveReading => {
  const words = text.trim().toLowerCase().split(/\s+/);
  if (words[0] === '') return {};
  const numbers = words.filter((word) => /^\d+$/.test(word)).map(Number);
  const tooLarge = numbers.find((number) => number > size);
  if (tooLarge !== undefined) return { problem: `${tooLarge} is more than the pack has: ${size} cards.` };
  const move = make(words, numbers);
  return move ? { move } : { problem: `“${text.trim().slice(0, 30)}” is no move. Write ${MOVE_USAGE}.` };
};
