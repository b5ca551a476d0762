import { formatCard, parseCard, parseRank, parseSuit, showRank } from '../deck/notation';
import { Rank } from '../deck/card';
import { Field, FieldValue, Form, Values } from './field';

/** Values of a form as the query of an address has them: readable, by the fields' names. */

const SUITS = 'CDHS';
const BETWEEN = '.';

const writeOne = ({ kind }: Field, value: number): string => {
  switch (kind) {
    case 'card':
    case 'cards':
      return formatCard(value);
    case 'rank':
      return showRank(value as Rank);
    case 'suits':
      return SUITS[value];
    case 'choice':
      // Counted from 1, as people do.
      return `${value + 1}`;
    default:
      return `${value}`;
  }
};

const wholeIn = (text: string): number | undefined => (/^\d{1,6}$/.test(text) ? Number(text) : undefined);

const readOne = ({ kind, options = [] }: Field, text: string): number | undefined => {
  switch (kind) {
    case 'card':
    case 'cards':
      return parseCard(text);
    case 'rank':
      return parseRank(text);
    case 'suits':
      return parseSuit(text);
    case 'choice': {
      const which = wholeIn(text);
      return which !== undefined && which >= 1 && which <= options.length ? which - 1 : undefined;
    }
    default:
      return wholeIn(text);
  }
};

const isList = ({ kind }: Field): boolean => kind === 'cards' || kind === 'suits' || kind === 'numbers';

/** The values as texts, by the fields' names; what was not told is left out. */
export const writeValues = ({ fields }: Form, values: Values): Readonly<Record<string, string>> =>
  Object.fromEntries(
    fields.flatMap((field) => {
      const value = values[field.name];
      if (value === undefined || typeof value === 'boolean') return [];
      const all = typeof value === 'number' ? [value] : value;
      return [[field.name, all.map((each) => writeOne(field, each)).join(BETWEEN)]];
    }),
  );

/** The values that texts stand for; what cannot be read, and what no field is called, is left out. */
export const readValues = ({ fields }: Form, texts: Readonly<Record<string, string>>): Values =>
  Object.fromEntries(
    fields.flatMap((field): [string, FieldValue][] => {
      if (!Object.hasOwn(texts, field.name)) return [];
      const read = texts[field.name]
        .split(BETWEEN)
        .filter((text) => text !== '')
        .map((text) => readOne(field, text));
      if (read.some((each) => each === undefined)) return [];
      const all = read as readonly number[];
      if (isList(field)) return [[field.name, all]];
      return all.length === 1 ? [[field.name, all[0]]] : [];
    }),
  );
