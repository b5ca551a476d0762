import { Card, isJoker } from '../deck/card';
import { formatCard, parseCard } from '../deck/notation';
import { Order } from '../deck/order';
import { WeaveKind } from '../moves/weave';
import { Item } from './item';
import { Answer, saidCards, saidNumber, saidOff, saidWeaves } from './said';

/** What a question is answered with: how far off something lies is a number, `-` before it where it is too high. */
export type AnswerKind = 'number' | 'off' | 'card' | 'two cards' | 'weaves';

export const asksOf = ({ direction }: Item): AnswerKind =>
  direction === 'number' || direction === 'mate' ? 'number' : direction === 'around' ? 'two cards' : 'card';

/** What has been typed of an answer, and the answer once it is complete. */
export interface Typed {
  readonly text: string;
  readonly said?: Answer;
}

export const NO_INPUT: Typed = { text: '' };

/** A number is done at its second digit, or when none could follow. @param largest the largest that it can be. */
const typeNumber = (text: string, key: string, largest: number): Typed => {
  if (!/^\d$/.test(key) || (text === '' && key === '0')) return { text };
  const longer = `${text}${key}`;
  return longer.length >= largest.toString().length || Number(longer) * 10 > largest
    ? { text: longer, said: saidNumber(Number(longer)) }
    : { text: longer };
};

/** How far off something lies: at most half the pack; `-` or `+` says which way, and 0 that it is there. */
const typeOff = (text: string, key: string, size: number): Typed => {
  if (key === '-' || key === '−') return { text: text.startsWith('-') ? text.slice(1) : `-${text}` };
  if (key === '+') return { text: text.replace('-', '') };
  if (text === '' && key === '0') return { text: '0', said: saidOff(0) };
  const [sign, digits] = text.startsWith('-') ? ['-', text.slice(1)] : ['', text];
  const next = typeNumber(digits, key, Math.floor(size / 2));
  const longer = sign + next.text;
  return next.said ? { text: longer, said: saidOff(Number(longer)) } : { text: longer };
};

/** The most weaves in a row. */
const MOST_WEAVES = 8;

/** A row of weaves: `i` and `o`. */
const typeWeaves = (text: string, key: string): Typed => ({
  text: /^[ioIO]$/.test(key) && text.length < MOST_WEAVES ? text + key.toLowerCase() : text,
});

/** What Enter makes of what has been typed: the answer, where that is whole. */
const typedWhole = (asks: AnswerKind, text: string): Answer | undefined => {
  if (asks === 'number' && text !== '') return saidNumber(Number(text));
  if (asks === 'off' && /\d/.test(text)) return saidOff(Number(text));
  if (asks === 'weaves') return saidWeaves([...text].map((key): WeaveKind => (key === 'i' ? 'in' : 'out')));
  return undefined;
};

/** Beginnings of a card: a rank, the 1 of a ten, the x of a joker. */
const BEGINNING = /^(?:[a2-9tjqk]|10?|x)$/;

/** The cards that were typed, with one more: the answer, where that is enough. */
const withCard = (words: readonly string[], wanted: number): Typed => {
  const cards = words.flatMap((word): Card[] => {
    const read = parseCard(word);
    return read === undefined ? [] : [read];
  });
  return cards.length < wanted
    ? { text: `${words.join(' ')} ` }
    : { text: words.join(' '), said: saidCards(...cards) };
};

const typeCard = (text: string, key: string, order: Order, wanted: number): Typed => {
  const typed = text.split(' ');
  const others = typed.slice(0, -1);
  const last = `${typed[typed.length - 1]}${key.toLowerCase()}`;
  if (parseCard(last) !== undefined) return withCard([...others, last], wanted);
  // A rank after a rank takes its place: it was a slip.
  const begun = [last, key.toLowerCase()].find(
    (word) => BEGINNING.test(word) && (!word.startsWith('x') || order.some(isJoker)),
  );
  return { text: begun === undefined ? text : [...others, begun].join(' ') };
};

const wantedOf = (asks: AnswerKind): number => (asks === 'two cards' ? 2 : 1);

/** An answer with a card that was pressed whole: it takes the place of one that is half typed. */
export const pickCard = (asks: AnswerKind, { text }: Typed, card: Card): Typed =>
  asks === 'card' || asks === 'two cards'
    ? withCard([...text.split(' ').slice(0, -1), formatCard(card)], wantedOf(asks))
    : { text };

/**
 * An answer with one key more: a digit, a rank or suit, a sign, a weave, Enter, or Backspace. A key that cannot belong to it changes
 * nothing.
 *
 * @param key as a keyboard event names it.
 */
export const typeKey = (asks: AnswerKind, { text }: Typed, key: string, order: Order): Typed => {
  if (key === 'Backspace') return { text: text.trimEnd().slice(0, -1) };
  if (key === 'Enter') {
    const said = typedWhole(asks, text);
    return said ? { text, said } : { text };
  }
  if ([...key].length !== 1) return { text };
  switch (asks) {
    case 'number':
      return typeNumber(text, key, order.length);
    case 'off':
      return typeOff(text, key, order.length);
    case 'weaves':
      return typeWeaves(text, key);
    case 'card':
    case 'two cards':
      return typeCard(text, key, order, wantedOf(asks));
  }
};

/** What has been typed, for the eye. */
export const showTyped = (asks: AnswerKind, { text }: Typed): string =>
  asks === 'off'
    ? text.replace('-', '−')
    : asks === 'weaves'
      ? [...text].map((key) => (key === 'i' ? 'in' : 'out')).join(' ')
      : text.toUpperCase();
