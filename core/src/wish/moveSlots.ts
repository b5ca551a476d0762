import { LARGEST_PACK } from '../deck/card';
import { eachOnce, listOf, Part, shape, shouldBe, whole } from '../deck/shape';
import { MOVE, Move } from '../moves/move';
import { parseMovesText } from '../moves/moveText';
import { writeMove } from '../moves/writeMove';
import { FARTHEST, readPlaces, Slot, spanProblem } from './slots';
import { Cuts, Span } from './wish';

/** The most cards that are said to be cut; it goes round the pack. */
const CUT = whole(0, FARTHEST);

export const CUTS: Slot = {
  kind: 'cuts',
  part: (value, fields) => {
    if (value === 'every') return undefined;
    if (Array.isArray(value)) return eachOnce(listOf(CUT, 1, LARGEST_PACK))(value, fields);
    const problem = shape({ from: CUT, to: CUT })(value, fields);
    if (problem) return problem;
    return spanProblem(value as Span) === undefined
      ? undefined
      : shouldBe(value, 'from a cut to a larger one');
  },
  say: (value) => {
    const cuts = value as Cuts;
    if (cuts === 'every') return 'every cut';
    if (Array.isArray(cuts))
      return `${cuts.length === 1 ? 'cut' : 'cuts'} ${(cuts as readonly number[]).join(', ')}`;
    const { from, to } = cuts as { readonly from: number; readonly to: number };
    return `every cut from ${from} to ${to}`;
  },
  read: (text) => {
    const plain = text.replace(/^(at )?(every )?(cuts? ?)?(from )?/, '').trim();
    if (plain === '' || plain === 'every') return 'every';
    const span = /^(\d+) *(?:to|-|–) *(\d+)$/.exec(plain);
    return span ? { from: Number(span[1]), to: Number(span[2]) } : readPlaces(plain);
  },
};

/** Moves that keep all cards and that no chance enters. */
const keepsAll = (value: unknown): boolean => {
  const kind = (value as Move).kind;
  return kind !== 'take' && kind !== 'put' && kind !== 'riffle' && kind !== 'overhand';
};

const MOVE_PART: Part = (value, fields) =>
  MOVE(value, fields) ??
  (keepsAll(value)
    ? undefined
    : shouldBe((value as Move).kind, 'a move that keeps all cards, without chance'));

/** Counts of a move may go up to the largest pack. */
const ANY_PACK = Array.from({ length: LARGEST_PACK }, (_, card) => card);

export const MOVES: Slot = {
  kind: 'moves',
  part: listOf(MOVE_PART, 1, 1000),
  say: (value) => (value as readonly Move[]).map(writeMove).join(', '),
  read: (text) => {
    const { moves, problem } = parseMovesText(text, ANY_PACK);
    return problem !== undefined || moves.length === 0 || !moves.every(keepsAll) ? undefined : moves;
  },
};
