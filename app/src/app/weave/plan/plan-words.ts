import { Move } from '@enumeron/core/moves';
import { PlacesPlan } from '@enumeron/core/weave';
import { CutPrice } from '../../nouns/weaves/weaving.kind';
import { counted, tookWords } from '../search-words';

const isCut = ({ kind }: Move): boolean => kind === 'cut';

/**
 * What a plan says in its largest line: `Six moves, and no fewer`.
 *
 * @param cuts what a cut costs, or that there are none.
 */
export const planWords = (row: readonly Move[], cuts: CutPrice): string => {
  if (row.length === 0) return 'They are there already';
  const weaves = row.filter((move) => !isCut(move)).length;
  if (cuts === 'none') return `${counted(weaves, 'weave', 'weaves')}, and no fewer`;
  if (cuts === 1) return `${counted(row.length, 'move', 'moves')}, and no fewer`;
  if (cuts === 0) return `${counted(weaves, 'weave', 'weaves')}, and no fewer, with cuts between`;
  const price = weaves + 2 * (row.length - weaves);
  return `${counted(row.length, 'move', 'moves')}; no row costs less than ${price.toString()}`;
};

/** Why there may be no row, and what to do. */
export const noRow = (size: number, cuts: CutPrice): string => {
  if (cuts !== 'none')
    return size % 2 === 1
      ? 'In an odd pack a weave only doubles how far cards lie apart. Change a place, or take a card out.'
      : 'Weaves and cuts never bring these cards there. Change a place.';
  return size % 2 === 1
    ? 'In an odd pack some cards only go round a few places. Allow cuts, or change a place.'
    : 'Weaves alone never part two cards that lie as far from the top as from the face, nor join two that do not. Allow cuts, or change a place.';
};

/** How large the search was and how long it took: `18,204 states of 3 cards, 0.4 s`. */
export const searchWords = ({ looked }: Pick<PlacesPlan, 'looked'>, cards: number, ms: number): string => {
  const many = `${looked.toLocaleString('en')} ${looked === 1 ? 'state' : 'states'}`;
  return `${many} of ${cards === 1 ? 'one card' : `${cards.toString()} cards`} looked at, ${tookWords(ms)}.`;
};
