import { cardOf, Rank, rankOf, suitOf, Suit } from '../deck/card';
import { parseCard, formatCard } from '../deck/notation';
import { cardNamed } from '../procedure/laid';
import { LaidPart } from '../procedure/procedure';
import { sayExpression } from './sentence';
import { readWords } from './words';

/** What a packet's words mean, or what is wrong with them. */
export type ReadLaid =
  { readonly ok: true; readonly parts: readonly LaidPart[] } | { readonly ok: false; readonly what: string };

/** Runs of so many cards and more are said by their ends. */
const LONG_RUN = 5;
const ON = '…';

/** A card's rank and suit, or undefined for one without, and for a second copy. */
const plain = (text: string | undefined): { readonly rank: number; readonly suit: Suit } | undefined => {
  const card = text === undefined ? undefined : cardNamed(text);
  const [rank, suit] = card === undefined || card > 51 ? [] : [rankOf(card), suitOf(card)];
  return rank === undefined || suit === undefined ? undefined : { rank, suit };
};

/** How many cards from the first on are a run of one suit, each one rank from the one before in the same direction. */
const runLength = (cards: readonly string[]): number => {
  const all = cards.map(plain);
  const [first, second] = all;
  if (!first || second?.suit !== first.suit || Math.abs(second.rank - first.rank) !== 1) return 1;
  const step = second.rank - first.rank;
  const end = all.findIndex(
    (card, index) => card?.suit !== first.suit || card.rank !== first.rank + step * index,
  );
  return end < 0 ? all.length : end;
};

/** Cards with blanks between them, long runs by their first two and their last. */
export const sayCards = (cards: readonly string[]): string => {
  if (cards.length === 0) return '';
  const length = runLength(cards);
  const said = length < LONG_RUN ? cards.slice(0, 1) : [cards[0], cards[1], ON, cards[length - 1]];
  return [...said, sayCards(cards.slice(length < LONG_RUN ? 1 : length))].filter(Boolean).join(' ');
};

/** A packet at the start in words, on one line: `18 -, AS 2S … KS, 21 -`, `first bank of AH 2H 3H`. */
export const sayLaid = (row: readonly LaidPart[]): string => {
  const said: string[] = [];
  let cards: string[] = [];
  const end = (): void => {
    if (cards.length > 0) said.push(sayCards(cards));
    cards = [];
  };
  for (const part of row) {
    if (typeof part === 'string') {
      cards.push(part);
      continue;
    }
    end();
    said.push(
      'first' in part
        ? `first ${sayExpression(part.first)} of ${sayCards(part.of)}`
        : `${sayExpression(part.indifferent)} -`,
    );
  }
  end();
  return said.join(', ');
};

/** What a row of dots stands for: the cards between two of a suit, in the steps of the two before it. */
const between = (before: readonly string[], last: string): readonly string[] | undefined => {
  const [from, to] = [plain(before.at(-1)), plain(last)];
  if (!from || from.suit !== to?.suit) return undefined;
  const earlier = plain(before.at(-2));
  const step = earlier?.suit === from.suit ? from.rank - earlier.rank : Math.sign(to.rank - from.rank);
  const count = step === 0 ? 0 : (to.rank - from.rank) / step - 1;
  if (!Number.isInteger(count) || count < 0) return undefined;
  return Array.from({ length: count }, (_, index) =>
    formatCard(cardOf((from.rank + step * (index + 1)) as Rank, from.suit)),
  );
};

/** Cards with blanks between them, or what is wrong. */
const cardsIn = (text: string): readonly string[] | { readonly wrong: string } => {
  const cards: string[] = [];
  let isRun = false;
  for (const each of text.split(/\s+/).filter((word) => word !== '')) {
    if (each === ON || each === '...') {
      isRun = true;
      continue;
    }
    const named = cardNamed(each) === undefined ? parseCard(each) : undefined;
    if (named === undefined && cardNamed(each) === undefined)
      return { wrong: `“${each.slice(0, 30)}” is no card.` };
    const card = named === undefined ? each : formatCard(named);
    const run = isRun ? between(cards, card) : [];
    if (!run) return { wrong: `“${ON}” leads from ${cards.at(-1) ?? 'nothing'} to ${card} by no step.` };
    cards.push(...run, card);
    isRun = false;
  }
  return isRun ? { wrong: `Say where “${ON}” ends.` } : cards;
};

/**
 * Reads a packet's words as `sayLaid` says them; parts have commas, semicolons or line ends between them.
 *
 * @param givens names of numbers that may be used.
 */
export const readLaid = (text: string, givens: readonly string[]): ReadLaid => {
  const known = { names: givens, packets: [], orders: [] };
  const parts: LaidPart[] = [];
  for (const part of text.split(/[\n;,]/).map((each) => each.trim())) {
    const said = /^(.+)\sindifferent$/i.exec(part)?.at(1);
    const count = said ?? indifferentIn(part, givens);
    const first = /^first\s(.+?)\sof\s(.*)$/i.exec(part);
    const most = first?.at(1);
    const cards = cardsIn(first?.at(2) ?? (count === undefined ? part : ''));
    if ('wrong' in cards) return { ok: false, what: cards.wrong };
    const number = count ?? most;
    if (number === undefined) {
      parts.push(...cards);
      continue;
    }
    const read = readWords(number, 'number', known);
    if (!read.ok) return { ok: false, what: read.what };
    parts.push(count === undefined ? { first: read.value, of: cards } : { indifferent: read.value });
  }
  return { ok: true, parts };
};

/** The number in `18 -`; undefined where what stands there is no number, as in `7D -`. */
const indifferentIn = (part: string, givens: readonly string[]): string | undefined => {
  const number = /^(.+)\s-$/.exec(part)?.at(1);
  const known = { names: givens, packets: [], orders: [] };
  return number !== undefined && readWords(number, 'number', known).ok && parseCard(number) === undefined
    ? number
    : undefined;
};
