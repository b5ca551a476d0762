import { LARGEST_PACK, Rank, RANKS, Suit } from '../deck/card';
import { parseRank, parseSuit, showRank, showSuit, speakRank, speakSuit } from '../deck/notation';
import { eachOnce, listOf, oneOf, optional, shape, whole } from '../deck/shape';
import { suitOfLetter } from './cardClass';
import { CARD_PART, readCard, readEach, sayCard, Slot } from './slots';
import { CardClass, SuitLetter } from './wish';

const SUIT_LETTERS: readonly SuitLetter[] = ['C', 'D', 'H', 'S'];

const CLASS_PART = shape({
  cards: optional(listOf(CARD_PART, 1, LARGEST_PACK)),
  suits: optional(eachOnce(listOf(oneOf(...SUIT_LETTERS), 1, 4))),
  ranks: optional(eachOnce(listOf(whole(1, 13), 1, 13))),
  colour: optional(oneOf('red', 'black')),
});

const showLetter = (letter: SuitLetter): string => showSuit(suitOfLetter(letter) as Suit);

const inWords = (parts: readonly string[]): string =>
  parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} or ${parts[parts.length - 1]}`;

/** More of a rank than one: `aces`, `7s`. */
const ranksOf = (rank: number): string =>
  rank > 1 && rank < 11 ? `${showRank(rank as Rank)}s` : `${speakRank(rank as Rank)}s`;

const sayClass = ({ cards, suits, ranks, colour }: CardClass): string => {
  const named = suits && inWords(suits.map((letter) => speakSuit(suitOfLetter(letter) as Suit)));
  const which = [
    colour ?? [],
    ranks ? inWords(ranks.map(ranksOf)) : [],
    named === undefined ? [] : ranks ? `of ${named}` : named,
    cards ? cards.map(sayCard).join(', ') : [],
  ].flat();
  if (which.length === 0) return 'any cards';
  return colour && which.length === 1 ? `${colour} cards` : which.join(' ');
};

const suitByWord = (word: string): SuitLetter | undefined => {
  const index = [0, 1, 2, 3].find((suit) =>
    [speakSuit(suit as Suit), speakSuit(suit as Suit).slice(0, -1)].includes(word),
  );
  const suit = index ?? parseSuit(word);
  return suit === undefined ? undefined : SUIT_LETTERS[suit];
};

const rankByWord = (word: string): number | undefined => {
  const one = word.toLowerCase().replace(/(?<=.)s$/, '');
  return RANKS.find((rank) => speakRank(rank) === one || `${speakRank(rank)}e` === one) ?? parseRank(one);
};

/** One word of a class more. */
const withWord = (known: CardClass, word: string): CardClass | undefined => {
  if (word === 'red' || word === 'black') return known.colour ? undefined : { ...known, colour: word };
  // `7s` are sevens, `7S` is a card.
  const card = /^(10|[2-9])s$/.test(word) ? undefined : readCard(word);
  if (card !== undefined) return { ...known, cards: [...(known.cards ?? []), card] };
  const rank = rankByWord(word);
  if (rank !== undefined && !known.ranks?.includes(rank))
    return { ...known, ranks: [...(known.ranks ?? []), rank] };
  const suit = suitByWord(word);
  return suit === undefined || known.suits?.includes(suit)
    ? undefined
    : { ...known, suits: [...(known.suits ?? []), suit] };
};

/** Words that say nothing of a class. */
const FILLERS = /\b(and|or|the|of|any|cards?)\b/g;

export const CLASS: Slot = {
  kind: 'class',
  part: CLASS_PART,
  say: (value) => sayClass(value as CardClass),
  read: (text) =>
    text
      .replace(FILLERS, ' ')
      .split(/[\s,]+/)
      .filter((word) => word !== '')
      .reduce<CardClass | undefined>((known, word) => known && withWord(known, word), {}),
};

export const SUITS_IN_TURN: Slot = {
  kind: 'suits',
  part: eachOnce(listOf(oneOf(...SUIT_LETTERS), 4, 4)),
  say: (value) => (value as readonly SuitLetter[]).map(showLetter).join(' '),
  read: (text) => {
    const suits = readEach([...text.replace(/[\s,]/g, '')], suitByWord);
    return suits && new Set(suits).size === 4 && suits.length === 4 ? suits : undefined;
  },
};
