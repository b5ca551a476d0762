import { Card, FULL_PACK } from './card';
import { formatCard, parseCard, showCard, whyNotCard } from './notation';
import { Outcome, Problem } from './problem';

/** Cards from the top (index 0) to the face. Never changed in place; a move gives a new one. */
export type Order = readonly Card[];

/** Why a text is not an order. `place` counts from 1; `line` and `column` point into the text, from 1. */
export type OrderProblem = Problem &
  (
    | { kind: 'unreadable'; place: number; line: number; column: number; text: string }
    | { kind: 'doubled'; place: number; firstPlace: number; line: number; column: number; card: Card }
    | { kind: 'missing'; card: Card }
    | { kind: 'empty' }
    | { kind: 'too long'; place: number; line: number; column: number }
  );

/** One thing written in a text of cards: the card that it names, or undefined when it names none. */
export interface Entry {
  readonly text: string;
  readonly card: Card | undefined;
  /** Where it starts in the text, both from 1. */
  readonly line: number;
  readonly column: number;
}

/** Two jokers beside a full pack. */
const LARGEST = FULL_PACK + 2;

const CARD = /(?:10|[2-9atjqk])[cdhs♣♦♥♠♧♢♡♤][\ufe0e\ufe0f]?|x[12]|[\u{1f0a1}-\u{1f0df}]/giu;
const WORD = /[^\s,;|]+/gu;

/** The cards of a word such as `ACKH10d`, or undefined when anything in it is not a card. */
const splitRun = (word: string): string[] | undefined => {
  const cards = word.match(CARD);
  return cards?.join('') === word ? cards : undefined;
};

/**
 * Every entry of a text of cards, in the order written: cards with or without blanks, commas, semicolons or
 * bars between them. A number that only says which place comes next (`17.` or `17)` or `17` before the
 * seventeenth card) is passed over.
 */
export const readEntries = (text: string): Entry[] => {
  const entries: Entry[] = [];
  text.split(/\r\n|\r|\n/).forEach((row, rowIndex) => {
    for (const match of row.matchAll(WORD)) {
      const word = match[0].replace(/^(\d{1,2})[.):](?=.)/, '');
      const skipped = match[0].length - word.length;
      if (isPlaceLabel(word, entries.length + 1)) continue;
      let column = match.index + skipped + 1;
      for (const part of splitRun(word) ?? [word]) {
        entries.push({ text: part, card: parseCard(part), line: rowIndex + 1, column });
        column += part.length;
      }
    }
  });
  return entries;
};

const isPlaceLabel = (word: string, place: number): boolean => {
  const label = /^(\d{1,2})[.):]?$/.exec(word);
  return label !== null && Number(label[1]) === place;
};

const where = (place: number, line: number, manyLines: boolean): string =>
  manyLines ? `Place ${place}, line ${line}` : `Place ${place}`;

/** The cards of a full pack that are not among `cards`, clubs first, aces first. Jokers are never missed. */
export const missingCards = (cards: Iterable<Card>): Card[] => {
  const present = new Set(cards);
  return Array.from({ length: FULL_PACK }, (_, card) => card).filter((card) => !present.has(card));
};

/** What is odd about entries meant as a full pack (jokers allowed): unreadable, doubled, missing or too many. */
export const checkEntries = (entries: readonly Entry[]): OrderProblem[] => {
  if (entries.length === 0)
    return [{ kind: 'empty', what: 'There are no cards here.', remedy: 'Write the order, top card first.' }];
  const manyLines = entries[entries.length - 1].line > 1;
  const problems: OrderProblem[] = [];
  const firstPlaces = new Map<Card, number>();
  entries.slice(0, LARGEST).forEach(({ text, card, line, column }, index) => {
    const place = index + 1;
    const at = where(place, line, manyLines);
    const firstPlace = card === undefined ? undefined : firstPlaces.get(card);
    if (card === undefined) {
      const what = `“${shorten(text)}” is not a card.`;
      problems.push({
        kind: 'unreadable',
        place,
        line,
        column,
        text,
        what,
        where: at,
        remedy: whyNotCard(text),
      });
    } else if (firstPlace !== undefined) {
      const what = `${showCard(card)} is there twice.`;
      const remedy = `It already stands at place ${firstPlace}; change one of the two.`;
      problems.push({ kind: 'doubled', place, firstPlace, line, column, card, what, where: at, remedy });
    } else firstPlaces.set(card, place);
  });
  const extra = entries[LARGEST];
  if (extra) {
    const what = `There are ${entries.length} entries.`;
    const at = where(LARGEST + 1, extra.line, manyLines);
    const remedy = `A pack has 52 cards, with jokers at most ${LARGEST}; take the rest away.`;
    problems.push({
      kind: 'too long',
      place: LARGEST + 1,
      line: extra.line,
      column: extra.column,
      what,
      where: at,
      remedy,
    });
  }
  for (const card of missingCards(firstPlaces.keys()))
    problems.push({
      kind: 'missing',
      card,
      what: `${showCard(card)} is missing.`,
      remedy: 'Put it in at its place.',
    });
  return problems;
};

const shorten = (text: string): string => (text.length > 20 ? `${text.slice(0, 19)}…` : text);

/**
 * Reads an order of a full pack, top card first, with no, one or two jokers in it.
 *
 * @returns the order, or every problem: first those that have a place, in order, then the missing cards.
 */
export const parseOrder = (text: string): Outcome<{ order: Order }, OrderProblem> => {
  const entries = readEntries(text);
  const problems = checkEntries(entries);
  return problems.length > 0
    ? { ok: false, problems }
    : { ok: true, order: entries.map(({ card }) => card as Card) };
};

/** An order as short names with blanks between them, top card first; `parseOrder` reads it back. */
export const formatOrder = (order: Order): string => order.map(formatCard).join(' ');

/** Where a card lies in an order, from 1 at the top, or undefined when it is not in it. */
export const placeOf = (order: Order, card: Card): number | undefined => {
  const index = order.indexOf(card);
  return index < 0 ? undefined : index + 1;
};

/** The card at a place from 1 (top) to N (face), or undefined outside. */
export const cardAt = (order: Order, place: number): Card | undefined => order[place - 1];

/** A pack in the order of its numbers: ace to king of clubs, diamonds, hearts, spades. */
export const numberOrder = (): Order => Array.from({ length: FULL_PACK }, (_, card) => card);

export const sameOrder = (a: Order, b: Order): boolean =>
  a.length === b.length && a.every((card, index) => card === b[index]);
