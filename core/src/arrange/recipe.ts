import { Order } from '../deck/order';
import { applyMove, invertMove, Move } from '../moves/move';

/** A base order and what is done to it, in turn. */
export interface Recipe {
  readonly base: Order;
  readonly moves: readonly Move[];
}

/** The order after each move, the base first: one more than there are moves. */
export const recipeSteps = ({ base, moves }: Recipe): Order[] =>
  moves.reduce<Order[]>((orders, move) => [...orders, applyMove(orders[orders.length - 1], move)], [base]);

export const orderByRecipe = (recipe: Recipe): Order => recipe.moves.reduce(applyMove, recipe.base);

/**
 * The moves that take a row of moves back, last first, for a pack of `size` cards.
 *
 * @returns undefined when one of them cannot be taken back.
 */
export const inverseMoves = (moves: readonly Move[], size: number): Move[] | undefined => {
  const inverse = [...moves].reverse().map((move) => invertMove(move, size));
  return inverse.every((move) => move !== undefined) ? inverse : undefined;
};

/**
 * Which arrangement becomes `target` after these moves.
 *
 * @returns undefined when one of the moves cannot be taken back.
 */
export const arrangementBefore = (moves: readonly Move[], target: Order): Order | undefined =>
  inverseMoves(moves, target.length)?.reduce(applyMove, target);
