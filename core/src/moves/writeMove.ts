import { Move, MOVE_RULES } from './move';

/** How many cards from the top are woven, where it is not all of them. */
const topOf = (top: number | undefined): string => (top === undefined ? '' : ` ${top}`);

/** A move as one writes it (`cut 12`), to be read again; one that is not written is described. */
export const writeMove = (move: Move): string => {
  switch (move.kind) {
    case 'weave':
      return `${move.weave}${topOf(move.top)}`;
    case 'unweave':
      return `unweave ${move.weave}${topOf(move.top)}`;
    case 'weave packet':
      return `weave ${move.count} ${move.weave}`;
    case 'unweave packet':
      return `unweave ${move.count} ${move.weave}`;
    case 'cut':
    case 'deal':
      return `${move.kind} ${move.count}`;
    case 'deal heaps':
      return `heaps ${[move.heaps, ...move.gather].join(' ')}`;
    case 'swap cards':
      return `exchange ${move.one} ${move.other}`;
    case 'reverse packet':
      return `reverse ${move.from} ${move.to}`;
    default:
      return MOVE_RULES[move.kind].describe(move as never).replace(/\.$/, '');
  }
};
