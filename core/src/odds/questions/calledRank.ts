import { shuffled } from '../../deck/rng';
import { num, numberField } from '../../form/fields';
import { choose, factorial, power, product, share } from '../counting';
import { OddsQuestion } from '../question';

const RANKS = 13;
const EACH = 4;
const SIZE = RANKS * EACH;

/** In how many ways k of the cards of a rank are dealt to calls of it, by k: rooks on a board of calls and cards. */
const rooks = (calls: number, each: number): readonly bigint[] =>
  Array.from(
    { length: Math.min(calls, each) + 1 },
    (_, k) => choose(calls, k) * choose(each, k) * factorial(k),
  );

/**
 * The chance that a rank is dealt just as it is called, ace to king over and over: rook placements, by inclusion and
 * exclusion.
 *
 * @param dealt how many cards are dealt, 1 to `ranks` · `each`. @param each cards of each rank.
 */
export const calledRankChance = (dealt: number, ranks = RANKS, each = EACH): number => {
  const [rounds, more] = [Math.floor(dealt / ranks), dealt % ranks];
  const placed = product(power(rooks(rounds + 1, each), more), power(rooks(rounds, each), ranks - more));
  const none = placed.reduce(
    (sum, ways, k) => sum + (k % 2 === 0 ? ways : -ways) * factorial(ranks * each - k),
    0n,
  );
  const all = factorial(ranks * each);
  return share(all - none, all);
};

export const CALLED_RANK: OddsQuestion = {
  path: 'called-rank',
  name: 'A rank dealt as it is called',
  asks: 'Cards are dealt from a shuffled pack to the calls ace, two, three … king, ace …. How often does a card come as it is called?',
  takes: 'Every order of 52 cards is as likely.',
  source: 'Exact: rook placements, by inclusion and exclusion.',
  fields: [numberField('dealt', 'Cards dealt', 'How many cards are dealt?', { start: RANKS, most: SIZE })],
  chance: (values) => calledRankChance(num(values, 'dealt')),
  says: (values) => {
    const dealt = num(values, 'dealt');
    return dealt === 1
      ? 'The first card is an ace.'
      : `At least one of ${dealt} cards dealt has the rank that is called with it.`;
  },
  trial: (values) => {
    const dealt = num(values, 'dealt');
    const ranks = Array.from({ length: SIZE }, (_, index) => index % RANKS);
    return (rng) =>
      shuffled(ranks, rng)
        .slice(0, dealt)
        .some((rank, index) => rank === index % RANKS);
  },
  over: { field: 'dealt', range: () => [1, SIZE] },
};
