import { countOf } from './countOf';
import { Card, FULL_PACK, isSecond, LARGEST_PACK } from './card';
import { formatCard, parseCard, showCard, SPACED_CARD, whyNotCard } from './notation';
import { missingCards, Order } from './order';
import { Outcome, Problem } from './problem';

/** One thing written in a text of cards: the card that it names, or undefined when it names none. */
export interface Entry {
  readonly text: string;
  readonly card: Card | undefined;
  /** Where it starts in the text, both from 1. */
  readonly line: number;
  readonly column: number;
}

/** Why a text is not an order. `place` counts from 1; `line` and `column` point into the text, from 1. */
export type OrderProblem = Problem &
  (
    | { readonly kind: 'unreadable'; readonly place: number; readonly line: number; readonly column: number }
    | { readonly kind: 'doubled'; readonly place: number; readonly line: number; readonly column: number }
    | { readonly kind: 'too long'; readonly place: number; readonly line: number; readonly column: number }
    | { readonly kind: 'missing'; readonly card: Card }
    | { readonly kind: 'empty' }
  );

const CARD = /(?:(?:10|[2-9atjqk])[cdhs♣♦♥♠♧♢♡♤][\ufe0e\ufe0f]?|x[12]|[\u{1f0a1}-\u{1f0df}])[*²]?/giu;
/** A card with blanks in it, or whatever stands between blanks, commas, semicolons, bars and quotes. */
const WORD = new RegExp(`${SPACED_CARD.source}|[^\\s,;|"“”]+`, 'giu');

/** The cards of a word such as `ACKH10d`, or undefined when anything in it is not a card. */
const splitRun = (word: string): string[] | undefined => {
  const cards = word.match(CARD);
  return cards?.join('') === word ? cards : undefined;
};

/** Whether a word only says which place comes next: `17.`, `17)`, `17:` or `17` before the 17th card. */
const isPlaceLabel = (word: string, place: number): boolean => {
  const label = /^(\d{1,2})[.):]?$/.exec(word);
  return label !== null && Number(label[1]) === place;
};

/**
 * Every entry of a text of cards, in the order written: cards with or without blanks, commas, semicolons, bars
 * or quotes between them. Numbers that only count the places are passed over.
 */
export const readEntries = (text: string): Entry[] => {
  const entries: Entry[] = [];
  text.split(/\r\n|\r|\n/).forEach((row, rowIndex) => {
    for (const match of row.matchAll(WORD)) {
      const word = match[0].replace(/^\d{1,2}[.):](?=.)/, '');
      if (isPlaceLabel(word, entries.length + 1)) continue;
      let column = match.index + match[0].length - word.length + 1;
      const parts = parseCard(word) === undefined ? (splitRun(word) ?? [word]) : [word];
      for (const part of parts) {
        entries.push({ text: part, card: parseCard(part), line: rowIndex + 1, column });
        column += part.length;
      }
    }
  });
  return entries;
};

const shorten = (text: string): string => (text.length > 20 ? `${text.slice(0, 19)}…` : text);

/** Where an entry stands; the line is told only where there is more than one. */
const whereIs = (place: number, line: number, manyLines: boolean): string =>
  manyLines ? `Place ${place}, line ${line}` : `Place ${place}`;

const placeProblem = (
  { text, card, line, column }: Entry,
  place: number,
  firstPlace: number | undefined,
  manyLines: boolean,
): OrderProblem[] => {
  const at = { place, line, column, where: whereIs(place, line, manyLines) };
  if (card === undefined)
    return [
      { kind: 'unreadable', ...at, what: `“${shorten(text)}” is not a card.`, remedy: whyNotCard(text) },
    ];
  if (firstPlace === undefined) return [];
  const what = `${showCard(card)} is there twice.`;
  return [
    {
      kind: 'doubled',
      ...at,
      what,
      remedy:
        `It already stands at place ${firstPlace}; change one of the two` +
        (isSecond(card) ? '.' : `, or write ${showCard(card)}² here if the pack really holds two.`),
    },
  ];
};

const tooLong = ({ line, column }: Entry, count: number, manyLines: boolean): OrderProblem => ({
  kind: 'too long',
  place: LARGEST_PACK + 1,
  line,
  column,
  where: whereIs(LARGEST_PACK + 1, line, manyLines),
  what: `${countOf(count, 'entry', 'entries')} ${count === 1 ? 'is' : 'are'} there.`,
  remedy: `A pack has ${FULL_PACK} cards, with jokers and duplicates at most ${LARGEST_PACK}; take the rest away.`,
});

/** What is odd about entries meant as a full pack (jokers allowed): unreadable, doubled, missing or too many. */
export const checkEntries = (entries: readonly Entry[]): OrderProblem[] => {
  if (entries.length === 0)
    return [{ kind: 'empty', what: 'There are no cards here.', remedy: 'Write the order, top card first.' }];
  const manyLines = entries[entries.length - 1].line > 1;
  const firstPlaces = new Map<Card, number>();
  const placed = entries.slice(0, LARGEST_PACK).flatMap((entry, index) => {
    const firstPlace = entry.card === undefined ? undefined : firstPlaces.get(entry.card);
    if (entry.card !== undefined && firstPlace === undefined) firstPlaces.set(entry.card, index + 1);
    return placeProblem(entry, index + 1, firstPlace, manyLines);
  });
  const missing = missingCards(firstPlaces.keys()).map((card): OrderProblem => ({
    kind: 'missing',
    card,
    what: `${showCard(card)} is missing.`,
    remedy: 'Put it in at its place.',
  }));
  return entries.length > LARGEST_PACK
    ? [...placed, tooLong(entries[LARGEST_PACK], entries.length, manyLines), ...missing]
    : [...placed, ...missing];
};

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

/**
 * Reads an order of any part of a pack: like `parseOrder`, but cards may be missing.
 *
 * @returns the order, or what is unreadable, doubled or too much.
 */
export const parsePart = (text: string): Outcome<{ order: Order }, OrderProblem> => {
  const entries = readEntries(text);
  const problems = checkEntries(entries).filter(({ kind }) => kind !== 'missing');
  return problems.length > 0
    ? { ok: false, problems }
    : { ok: true, order: entries.map(({ card }) => card as Card) };
};

/** An order as short names with blanks between them, top card first; `parseOrder` reads it back. */
export const formatOrder = (order: Order): string => order.map(formatCard).join(' ');
