import { joinCards } from '../deck/notation';
import { Order } from '../deck/order';
import { applyMove, Move, MOVE_RULES } from './move';
import { Written } from './rule';
import { countOfCards } from './wording';

/** What a text was read as: a move, or what is wrong with it; neither while it is empty. */
export interface MoveReading {
  readonly move?: Move;
  readonly problem?: string;
}

export const WRITTEN_MOVES: readonly Written<Move>[] = Object.values(MOVE_RULES).flatMap(
  ({ written }) => (written as Written<Move> | undefined) ?? [],
);

export const MOVE_USAGE = WRITTEN_MOVES.map(({ usage }) => usage).join(' · ');

/** Moves that anybody knows, as one writes them. */
const EXAMPLES = 'Write one such as cut 12, deal 9, out, or reverse 5 20.';

/** How a move is written that begins with the same word; else some that anybody knows. */
const howToWrite = (plain: string): string => {
  const [word] = plain.split(' ');
  const like = WRITTEN_MOVES.filter(({ usage }) => usage.split(' ')[0] === word);
  return like.length > 0 ? `Write ${like.map(({ usage }) => usage).join(' or ')}.` : EXAMPLES;
};

/** Numbers of a text but those behind a #, which are a seed's; the place of a card put in may be one more. */
const numbersIn = (text: string): number[] =>
  text.startsWith('put ') ? [] : (text.match(/(?<![#\d])\d+/g) ?? []).map(Number);

/**
 * Reads one move as it is written (`cut 12`), against the pack that it is done to.
 *
 * @param now the pack: numbers may not go beyond it.
 */
export const parseMoveText = (text: string, now: Order): MoveReading => {
  const plain = joinCards(text.trim()).toLowerCase().replace(/\s+/g, ' ');
  if (plain === '') return {};
  const tooLarge = numbersIn(plain).find((number) => number > now.length);
  if (tooLarge !== undefined)
    return { problem: `${tooLarge} is more than the pack has: ${countOfCards(now.length)}.` };
  for (const { pattern, parse } of WRITTEN_MOVES) {
    const found = pattern.exec(plain);
    const parts = found?.slice(1).map((part: string | undefined) => part ?? '');
    const read = parts && parse(parts, now);
    if (typeof read === 'string') return { problem: read };
    if (read) return { move: read };
  }
  return { problem: `“${text.trim().slice(0, 30)}” is not a move. ${howToWrite(plain)}` };
};

/** Reads a row of moves with commas, semicolons or new lines between them, each against what it is done to. */
export const parseMovesText = (
  text: string,
  start: Order,
): { readonly moves: readonly Move[]; readonly problem?: string } => {
  const moves: Move[] = [];
  let now = start;
  for (const part of text.split(/[,;\n]/)) {
    const { move, problem } = parseMoveText(part, now);
    if (problem) return { moves, problem };
    if (!move) continue;
    moves.push(move);
    now = applyMove(now, move);
  }
  return { moves };
};
