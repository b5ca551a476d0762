import { Form, Slot, slotsOf } from '../procedure/form';
import { FORMS, formOf } from '../procedure/forms';
import { Condition } from '../procedure/procedure';

/** A piece of a form's words: words as they stand, or a field. */
export type Piece =
  string | { readonly field: string; readonly slot: Slot; readonly between: string | undefined };

export interface Phrase {
  readonly form: Form;
  readonly pieces: readonly Piece[];
}

const slotsBy = (form: Form): Readonly<Record<string, Slot>> => Object.fromEntries(slotsOf(form));

/** With all that may be left out, and without it. */
const versionsOf = (says: string): readonly string[] =>
  says.includes('[') ? [says.replace(/[[\]]/g, ''), says.replace(/\[[^\]]*\]/g, '')] : [says];

const piecesOf = (says: string, form: Form): readonly Piece[] =>
  says
    .split(/(\{[^}]+\})/)
    .filter((piece) => piece !== '')
    .map((piece): Piece => {
      const found = /^\{([^}|]+)(?:\|([^}]*))?\}$/.exec(piece);
      if (!found) return piece;
      const [, field] = found;
      return { field, slot: slotsBy(form)[field], between: found.at(2) };
    });

/** Other words for the same, beside those in which a form is said. */
const ALSO: readonly (readonly [field: string, says: string])[] = [
  ['top of', 'the top of {top of}'],
  ['face of', 'the face of {face of}'],
  ['size of', 'how many cards are in {size of}'],
  ['size of', 'how many are in {size of}'],
  ['face up in', 'how many face up in {face up in}'],
  ['how many of', 'how many of {how many of|, } are in {in}'],
  ['first of', 'the first of {first of|, } that is not in {not in}'],
  ['next after', 'the card after {next after} in {in} towards the {towards}'],
  ['mates together in', 'where two mates lie together in {mates together in}'],
];

export const PHRASES: readonly Phrase[] = [
  ...FORMS.filter(({ says }) => !says.startsWith('{')).map((form) => [form, form.says] as const),
  ...ALSO.flatMap(([field, says]) => {
    const form = formOf({ [field]: 0 });
    return form ? [[form, says] as const] : [];
  }),
].flatMap(([form, says]) =>
  versionsOf(says.replace(/^the /, '')).map((each) => ({ form, pieces: piecesOf(each, form) })),
);

/** How the words of forms begin, with and without `the`. */
export const BEGINNINGS: readonly string[] = PHRASES.flatMap(({ pieces: [words] }) =>
  typeof words === 'string' ? [words.toLowerCase(), `the ${words.toLowerCase()}`] : [],
);

/** How two things are compared. The longer words come first. */
export const COMPARED: readonly (readonly [
  words: readonly string[],
  make: (a: unknown, b: unknown) => Condition,
])[] = [
  [['is not', '≠', '!='], (a, b) => ({ not: { equal: [a, b] } })],
  [['is at most', '≤', '<='], (a, b) => ({ 'at most': [a, b] })],
  [['is at least', '≥', '>='], (a, b) => ({ 'at most': [b, a] })],
  [['is under', 'is less than', '<'], (a, b) => ({ less: [a, b] })],
  [['is over', 'is more than', '>'], (a, b) => ({ less: [b, a] })],
  [['is', '='], (a, b) => ({ equal: [a, b] })],
];

/** How an order is named where its cards are meant. */
export const ALL_OF = 'the order';
