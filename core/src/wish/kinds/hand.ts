import { caseAt } from '../cases';
import { placesAt } from '../find/sites';
import { never } from '../find/terms/single';
import { handTerms } from '../find/handTerms';
import { WishKind, wrong } from '../kind';
import { Look, rankAt, valueAt } from '../look';
import { HAND, number } from '../slots';
import { Hand } from '../wish';
import { LARGEST_PACK } from '../../deck/card';

const allOne = (looks: readonly Look[], by: 'suit' | 'colour'): boolean => {
  const values = looks.map((look) => valueAt(by, look));
  return values.every((value) => value >= 0 && value === values[0]);
};

/** Ranks in a row, the ace low or high. */
const inRow = (looks: readonly Look[]): boolean => {
  const ranks = looks.map(rankAt);
  if (ranks.includes(0) || new Set(ranks).size < ranks.length) return false;
  const high = ranks.map((rank) => (rank === 1 ? 14 : rank));
  return [ranks, high].some((row) => Math.max(...row) - Math.min(...row) === row.length - 1);
};

/** How many of each rank there are, the most first. */
const alike = (looks: readonly Look[]): readonly number[] => {
  const ranks = looks.map(rankAt).filter((rank) => rank > 0);
  return [...new Set(ranks)]
    .map((rank) => ranks.filter((each) => each === rank).length)
    .sort((a, b) => b - a);
};

const atLeast = (looks: readonly Look[], first: number, second = 0): boolean => {
  const [a = 0, b = 0] = alike(looks);
  return a >= first && b >= second;
};

const IS: Readonly<Record<Hand, (looks: readonly Look[]) => boolean>> = {
  flush: (looks) => allOne(looks, 'suit'),
  straight: inRow,
  'straight flush': (looks) => inRow(looks) && allOne(looks, 'suit'),
  'four of a kind': (looks) => atLeast(looks, 4),
  'full house': (looks) => atLeast(looks, 3, 2),
  'three of a kind': (looks) => atLeast(looks, 3),
  'two pairs': (looks) => atLeast(looks, 2, 2) || atLeast(looks, 4),
  pair: (looks) => atLeast(looks, 2),
  'one colour': (looks) => allOne(looks, 'colour'),
};

/** The places, from 0, of what one player is dealt, one card to each in turn. */
const dealtTo = (players: number, cards: number, player: number): readonly number[] =>
  Array.from({ length: cards }, (_, round) => player - 1 + round * players);

/** What one player is dealt makes a hand. */
export const HAND_DEALT: WishKind<'hand'> = {
  begins: 'a hand dealt',
  says: () => 'Dealt {cards} cards each to {players}, number {player} has {is}',
  fields: {
    players: number(1, LARGEST_PACK),
    cards: number(1, LARGEST_PACK),
    player: number(1, LARGEST_PACK),
    is: HAND,
  },
  begin: { kind: 'hand', players: 4, cards: 5, player: 4, is: 'flush' },
  whyNot: ({ players, player }) =>
    player > players
      ? wrong(`There are ${players} players, and it says player ${player}.`, 'Name one of them.')
      : undefined,
  cases: (laid, { players, cards, player, is }) => [caseAt(laid, dealtTo(players, cards, player), IS[is])],
  terms: ({ players, cards, player, is }, site) => {
    const indices = Array.from({ length: cards }, (_, round) => player - 1 + round * players);
    const places = placesAt(site, indices);
    return places ? handTerms(site.faces, places, is) : [never('The pack has too few cards to deal that.')];
  },
};
