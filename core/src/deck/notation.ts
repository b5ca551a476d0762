import { Card, cardOf, firstOf, isJoker, isSecond, Rank, rankOf, secondOf, Suit, suitOf } from './card';

const RANK_LETTERS = 'A23456789TJQK';
const SUIT_LETTERS = 'CDHS';
const SUIT_SYMBOLS = '♣♦♥♠';
const SUIT_OUTLINES = '♧♢♡♤';
const SUIT_NAMES = ['clubs', 'diamonds', 'hearts', 'spades'];
const RANK_NAMES = [
  'ace',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'jack',
  'queen',
  'king',
];

/** A suit's letter or symbol, alone. */
export const parseSuit = (text: string): Suit | undefined => {
  const suits = [SUIT_LETTERS, SUIT_SYMBOLS, SUIT_OUTLINES];
  const found = suits.map((row) => row.indexOf(text.toUpperCase())).find((suit) => suit >= 0);
  return text.length === 1 ? (found as Suit | undefined) : undefined;
};

/** A rank alone: `A`, `2` to `10`, `T`, `J`, `Q`, `K`, in either case. */
export const parseRank = (text: string): Rank | undefined => {
  const upper = text.toUpperCase();
  if (upper === '10') return 10;
  const index = upper.length === 1 ? RANK_LETTERS.indexOf(upper) : -1;
  return index < 0 ? undefined : ((index + 1) as Rank);
};

/**
 * A card in the Unicode block of playing cards (U+1F0A0): a row of sixteen code points a suit in the order
 * spades, hearts, diamonds, clubs; 1 to 14 are the ranks, with the knight (12), which no pack here has,
 * between jack and queen. The black joker is read as the first, the red and the white one as the second.
 */
const parseUnicodeCard = (text: string): Card | undefined => {
  const point = text.codePointAt(0) ?? 0;
  if (text.length !== 2 || point < 0x1f0a0 || point > 0x1f0df) return undefined;
  if (point === 0x1f0cf) return 52;
  if (point === 0x1f0bf || point === 0x1f0df) return 53;
  const low = point & 15;
  if (low === 0 || low === 12 || low === 15) return undefined;
  return cardOf((low > 12 ? low - 1 : low) as Rank, (3 - ((point - 0x1f0a0) >> 4)) as Suit);
};

const RANK_WORDS = `10|[2-9atjqk]|${RANK_NAMES.join('|')}`;
const SUIT_WORDS = `${SUIT_NAMES.map((name) => `${name}?`).join('|')}|[cdhs♣♦♥♠♧♢♡♤]`;

/** A card written with blanks in it, anywhere in a text: `7 D`, `7 of hearts`, `queen of spades`. */
export const SPACED_CARD = new RegExp(
  `(?<![\\w.])(${RANK_WORDS})[ \\t]+(?:of[ \\t]+)?(${SUIT_WORDS})[\\ufe0e\\ufe0f]?(?![\\w])`,
  'giu',
);

const rankByWord = (word: string): Rank | undefined => {
  const index = RANK_NAMES.indexOf(word.toLowerCase());
  return index < 0 ? parseRank(word) : ((index + 1) as Rank);
};

/** The text with every card that is written with blanks in it as its short name: `7 of hearts 15` is `7H 15`. */
export const joinCards = (text: string): string =>
  text.replace(SPACED_CARD, (all: string, rankWord: string, suitWord: string) => {
    const [rank, suit] = [rankByWord(rankWord), parseSuit(suitWord.charAt(0))];
    return rank === undefined || suit === undefined ? all : formatCard(cardOf(rank, suit));
  });

/**
 * Reads one card: `7D`, `7d`, `7♦`, `10h`, `TH`, `X1`, `7 D`, `7 of diamonds`, or a Unicode card character; with
 * `*` or `²` after it the second of two such cards. Spaces and quotes around it and the selector that asks for
 * a symbol's emoji or text form are passed over.
 *
 * @returns the card, or undefined when the text is anything else.
 */
export const parseCard = (text: string): Card | undefined => {
  const plain = joinCards(text.replace(/[\ufe0e\ufe0f"“”]/g, '').trim());
  if (/.[*²]$/u.test(plain)) {
    const first = parseCard(plain.slice(0, -1));
    return first === undefined || isSecond(first) ? undefined : secondOf(first);
  }
  const joker = /^x([12])$/i.exec(plain);
  if (joker) return 51 + Number(joker[1]);
  const rank = parseRank(plain.slice(0, -1));
  const suit = parseSuit(plain.slice(-1));
  return rank === undefined || suit === undefined ? parseUnicodeCard(plain) : cardOf(rank, suit);
};

const begins = (text: string, names: readonly string[]): boolean =>
  names.some((name) => name.startsWith(text));

/** Whether more letters may make a text a card written in words: `sev`, `seven of`, `7 of dia`. */
export const isCardBegun = (text: string): boolean => {
  const [rank, ...rest] = text.trimStart().toLowerCase().split(/\s+/);
  if (rest.length === 0) return begins(rank, RANK_NAMES);
  if (rankByWord(rank) === undefined) return false;
  const after = rest.join(' ');
  return (
    begins(after, SUIT_NAMES) ||
    begins(
      after,
      SUIT_NAMES.map((name) => `of ${name}`),
    )
  );
};

/** Why a text is not a card, as a sentence that says what would be right. */
export const whyNotCard = (text: string): string => {
  const plain = text.trim();
  const suit = parseSuit(plain.slice(-1));
  if (parseRank(plain) !== undefined) return 'The suit is missing: C, D, H or S, or its symbol.';
  const turnedAbout = parseCard(plain.slice(1) + plain.charAt(0));
  if (suit === undefined && turnedAbout !== undefined && !isJoker(turnedAbout))
    return `The rank comes first: ${formatCard(turnedAbout)}.`;
  if (suit !== undefined && /^1$/.test(plain.slice(0, -1))) return 'The ace is written A.';
  if (suit !== undefined) return 'Ranks are A, 2 to 10, J, Q and K.';
  if (parseRank(plain.slice(0, -1)) !== undefined) return 'Suits are C, D, H and S, or their symbols.';
  return 'A card is a rank and a suit, such as 7D, 10H or Q♣.';
};

/** A card's short name, `AC` to `KS` with `TD` for a ten, `X1` and `X2` for the jokers, `7D*` for a second 7D. */
export const formatCard = (card: Card): string => {
  if (isSecond(card)) return `${formatCard(firstOf(card))}*`;
  return isJoker(card)
    ? `X${card - 51}`
    : RANK_LETTERS[(rankOf(card) as number) - 1] + SUIT_LETTERS[suitOf(card) as number];
};

/** A rank as people read it: `A`, `2` to `10`, `J`, `Q`, `K`. */
export const showRank = (rank: Rank): string => (rank === 10 ? '10' : RANK_LETTERS[rank - 1]);

export const showSuit = (suit: Suit): string => SUIT_SYMBOLS[suit];

/** A card as people read it: `7♦`, `10♥`; jokers as `X1` and `X2`; a second copy as `7♦²`. */
export const showCard = (card: Card): string => {
  if (isSecond(card)) return `${showCard(firstOf(card))}²`;
  return isJoker(card) ? formatCard(card) : showRank(rankOf(card) as Rank) + showSuit(suitOf(card) as Suit);
};

/** A card as it is spoken: `seven of diamonds`, `first joker`, `second seven of diamonds`. */
export const speakCard = (card: Card): string => {
  if (isSecond(card)) return `second ${speakCard(firstOf(card))}`;
  return isJoker(card)
    ? `${card === 52 ? 'first' : 'second'} joker`
    : `${RANK_NAMES[(rankOf(card) as number) - 1]} of ${SUIT_NAMES[suitOf(card) as number]}`;
};

/** A suit's name: `clubs`, `diamonds`, `hearts` or `spades`. */
export const speakSuit = (suit: Suit): string => SUIT_NAMES[suit];

/** A rank's name: `ace`, `two` … `king`. */
export const speakRank = (rank: Rank): string => RANK_NAMES[rank - 1];
