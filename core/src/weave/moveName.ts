import { describeMove, Move } from '../moves/move';

/**
 * A move of a row in a few letters: `in`, `out 16`, `unweave in`, `weave 10 out`, `cut 12`, as one types it. Moves that
 * rows of weaves do not have are told in their sentence.
 */
export const moveName = (move: Move): string => {
  switch (move.kind) {
    case 'weave':
    case 'unweave': {
      const name = move.kind === 'weave' ? move.weave : `unweave ${move.weave}`;
      return move.top === undefined ? name : `${name} ${move.top}`;
    }
    case 'weave packet':
      return `weave ${move.count} ${move.weave}`;
    case 'unweave packet':
      return `unweave ${move.count} ${move.weave}`;
    case 'cut':
      return `cut ${move.count}`;
    case 'reverse packet':
      return `reverse ${move.from} ${move.to}`;
    default:
      return describeMove(move).replace(/\.$/, '');
  }
};

/** The first move of a row that names more cards than the pack has, as its index from 0; −1 where none does. */
export const beyondPack = (row: readonly Move[], size: number): number =>
  row.findIndex((move) =>
    Object.values(move).some((value: unknown) => typeof value === 'number' && value > size),
  );
