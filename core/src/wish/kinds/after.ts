import { applyMove, Move } from '../../moves/move';
import { WishKind } from '../kind';
import { MOVES } from '../moveSlots';
import { INNER } from './atCuts';

const moved = (row: readonly number[], moves: readonly Move[]): readonly number[] =>
  moves.reduce<readonly number[]>((now, move) => applyMove(now, move), row);

/** On the pack after some moves a wish holds. */
export const AFTER: WishKind<'after'> = {
  begins: 'after moves',
  says: () => 'After {moves}: {wish}',
  fields: { moves: MOVES, wish: INNER },
  begin: {
    kind: 'after',
    moves: [{ kind: 'weave', weave: 'out' }],
    wish: { kind: 'neighbours', relation: 'other rank' },
  },
  cases: (laid, { moves, wish }, { judge, cut }) => judge(moved(laid, moves), wish, cut),
  terms: ({ moves, wish }, site, inside) => inside(wish, { ...site, view: moved(site.view, moves) }),
};
