import { Card, isJoker } from '../deck/card';
import { formatCard, parseCard } from '../deck/notation';
import { Order } from '../deck/order';
import { Item, Said } from './item';

/** What an item is answered with. */
export type Asks = 'number' | 'card' | 'two cards';

export const asksOf = ({ direction }: Item): Asks =>
  direction === 'number' || direction === 'mate' ? 'number' : direction === 'around' ? 'two cards' : 'card';

/** What has been typed of an answer, and the answer once it is complete. */
export interface Typed {
  readonly text: string;
  readonly said?: Said;
}

export const EMPTY: Typed = { text: '' };

const numberSaid = (text: string): Said => ({ kind: 'number', number: Number(text) });

/** A number is done at its second digit, or when none could follow. */
const typeNumber = (text: string, key: string, size: number): Typed => {
  if (!/^\d$/.test(key) || (text === '' && key === '0')) return { text };
  const longer = `${text}${key}`;
  return longer.length >= size.toString().length || Number(longer) * 10 > size
    ? { text: longer, said: numberSaid(longer) }
    : { text: longer };
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
    : { text: words.join(' '), said: { kind: 'cards', cards } };
};

/** One key more for the last of the cards. */
const typeCard = (text: string, key: string, order: Order, wanted: number): Typed => {
  const typed = text.split(' ');
  const others = typed.slice(0, -1);
  const last = `${typed[typed.length - 1]}${key.toLowerCase()}`;
  if (parseCard(last) !== undefined) return withCard([...others, last], wanted);
  const possible = BEGINNING.test(last) && (!last.startsWith('x') || order.some(isJoker));
  return { text: possible ? [...others, last].join(' ') : text };
};

const wantedOf = (asks: Asks): number => (asks === 'two cards' ? 2 : 1);

/** An answer with a card that was pressed whole: it takes the place of one that is half typed. */
export const pickCard = (asks: Asks, { text }: Typed, card: Card): Typed =>
  asks === 'number'
    ? { text }
    : withCard([...text.split(' ').slice(0, -1), formatCard(card)], wantedOf(asks));

/**
 * An answer with one key more: a digit, a rank or suit, Enter, or Backspace. A key that cannot belong to it changes
 * nothing.
 *
 * @param key as a keyboard event names it.
 */
export const typeKey = (asks: Asks, { text }: Typed, key: string, order: Order): Typed => {
  if (key === 'Backspace') return { text: text.trimEnd().slice(0, -1) };
  if (key === 'Enter') return asks === 'number' && text !== '' ? { text, said: numberSaid(text) } : { text };
  if ([...key].length !== 1) return { text };
  return asks === 'number' ? typeNumber(text, key, order.length) : typeCard(text, key, order, wantedOf(asks));
};
