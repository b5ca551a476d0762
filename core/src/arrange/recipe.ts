import { Order } from '../deck/order';
import { applyMove, invertMove, Move } from '../moves/move';

export interface Recipe {
  readonly base: Order;
  readonly moves: readonly Move[];
}

/** The order after each move, the base first: one more than there are moves. */
export const recipeSteps = ({ base, moves }: Recipe): Order[] =>
  moves.reduce<Order[]>((orders, move) => [...orders, applyMove(orders[orders.length - 1], move)], [base]);

export const orderByRecipe = (recipe: Recipe): Order => recipe.moves.reduce(applyMove, recipe.base);

/** How many cards a move brings into the pack: one less than none where it takes one out. */
const broughtBy = ({ kind }: Move): number => (kind === 'put' ? 1 : kind === 'take' ? -1 : 0);

/**
 * The moves that take a row of moves back, last first, for a pack of `size` cards before the first of them.
 *
 * @returns undefined when one of them cannot be taken back.
 */
export const inverseMoves = (moves: readonly Move[], size: number): Move[] | undefined => {
  let now = size;
  const inverse = moves
    .map((move) => {
      const back = invertMove(move, now);
      now += broughtBy(move);
      return back;
    })
    .reverse();
  return inverse.every((move) => move !== undefined) ? inverse : undefined;
};

/** How many cards a pack has before moves that leave it with `size`. */
export const sizeBefore = (moves: readonly Move[], size: number): number =>
  moves.reduce((sum, move) => sum - broughtBy(move), size);

/**
 * Which arrangement becomes `target` after these moves.
 *
 * @returns undefined when one of the moves cannot be taken back.
 */
export const arrangementBefore = (moves: readonly Move[], target: Order): Order | undefined =>
  inverseMoves(moves, sizeBefore(moves, target.length))?.reduce(applyMove, target);
