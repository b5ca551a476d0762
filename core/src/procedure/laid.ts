import { Card } from '../deck/card';
import { formatCard } from '../deck/notation';
import { NONE, Reader, slotsOf, World } from './form';
import { formOf } from './forms';
import { Expression, LaidPart } from './procedure';
import { INDIFFERENT, MOST_CARDS } from './packets';

/** Every card as it is written in a procedure: `7D`, `TC`, `X1`, `7D*`, and `-` for an indifferent one. */
const WRITTEN: ReadonlyMap<string, Card> = new Map([
  ...Array.from({ length: 108 }, (_, card) => [formatCard(card), card] as const),
  ['-', INDIFFERENT],
]);

/** The card that a text means, or undefined: only the one way of writing it. */
export const cardNamed = (text: string): Card | undefined => WRITTEN.get(text);

/** A number that only the givens decide, or NONE. */
export const numberOfGivens = (value: Expression, givens: Readonly<Record<string, number>>): number => {
  if (typeof value === 'number') return value;
  if (typeof value === 'string') return Object.hasOwn(givens, value) ? givens[value] : NONE;
  const form = formOf(value);
  if (!form) return NONE;
  const constant = (each: unknown): Reader => {
    const number = numberOfGivens(each as Expression, givens);
    return () => number;
  };
  const parts = slotsOf(form).map(([field, slot]) => {
    const part = value[field];
    if (Array.isArray(part) && slot !== 'these') return [field, part.map(constant)];
    return [field, slot === 'number' || slot === 'condition' ? constant(part) : undefined];
  });
  if (parts.some(([, part]) => part === undefined)) return NONE;
  return form.read(Object.fromEntries(parts) as Readonly<Record<string, never>>)(NOWHERE);
};

/** What only numbers are read from looks at no world. */
const NOWHERE = {} as World;

/** The cards of a packet at the start, or undefined where there are fewer than none, more than are listed, or too many. */
export const laidOut = (
  row: readonly LaidPart[],
  givens: Readonly<Record<string, number>>,
): Card[] | undefined => {
  const cards: Card[] = [];
  for (const each of row) {
    if (typeof each === 'string') {
      cards.push(cardNamed(each) ?? INDIFFERENT);
      continue;
    }
    const listed = 'first' in each ? each.of : undefined;
    const count = numberOfGivens('first' in each ? each.first : each.indifferent, givens);
    if (count < 0 || count > (listed?.length ?? MOST_CARDS)) return undefined;
    cards.push(
      ...(listed
        ? listed.slice(0, count).map((text) => cardNamed(text) ?? INDIFFERENT)
        : Array<Card>(count).fill(INDIFFERENT)),
    );
  }
  return cards.length > MOST_CARDS ? undefined : cards;
};
