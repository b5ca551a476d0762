import { Rank, Suit } from '../deck/card';
import { showCard, showRank, showSuit } from '../deck/notation';

/** What a field holds. */
export type FieldValue = number | boolean | readonly number[];

/** What was told, by the fields' names. */
export type Values = Readonly<Partial<Record<string, FieldValue>>>;

/** One thing that a pattern or a fact must be told. */
export interface Field {
  readonly name: string;
  readonly label: string;
  /** What the user is asked for it, as a question: `Which card was at the first cut?` */
  readonly asks: string;
  readonly kind: 'card' | 'number' | 'rank' | 'suits' | 'numbers' | 'cards' | 'choice';
  /** Of a choice: what may be chosen; it holds the index of one, from 0. */
  readonly options?: readonly string[];
  /** What it holds until something else is told; a field without one is lacking until then. */
  readonly start?: number;
  /** The least and the most that a number may be; the pack's size when there is no most. */
  readonly least?: number;
  readonly most?: number;
  /** Whether it is told once for a routine and seldom changed. */
  readonly setup?: boolean;
  /** Whether the answer comes without it, too. */
  readonly optional?: boolean;
}

/** What has fields: a pattern, or a form of a fact. */
export interface Form {
  readonly fields: readonly Field[];
}

/** What a field holds: what was told, or what it starts with. */
export const valueOf = (field: Field, values: Values): Values[string] => values[field.name] ?? field.start;

/** The first field that must still be told. */
export const lackingField = ({ fields }: Form, values: Values): Field | undefined =>
  fields.find((field) => !field.optional && valueOf(field, values) === undefined);

export const completeValues = ({ fields }: Form, values: Values): Values =>
  Object.fromEntries(fields.map((field) => [field.name, valueOf(field, values)]));

/** What a field holds, for people. */
export const sayValue = ({ kind, options }: Field, value: number): string => {
  if (kind === 'choice') return options?.at(value) ?? '';
  if (kind === 'card' || kind === 'cards') return showCard(value);
  if (kind === 'rank') return showRank(value as Rank);
  return kind === 'suits' ? showSuit(value as Suit) : value.toString();
};

/** Values of a form, for people: `9♦, 7♠`. */
export const sayValues = ({ fields }: Form, values: Values): string =>
  fields
    .flatMap((field) => {
      const value = values[field.name];
      if (value === undefined || typeof value === 'boolean') return [];
      const all = typeof value === 'number' ? [value] : value;
      return [all.map((each) => sayValue(field, each)).join(' ')];
    })
    .join(', ');
