import { Field, Values } from './field';

/** Fields as they are usually made. */
export const cardField = (name: string, label: string, asks: string, part: Partial<Field> = {}): Field => ({
  name,
  label,
  asks,
  kind: 'card',
  ...part,
});
export const numberField = (name: string, label: string, asks: string, part: Partial<Field> = {}): Field => ({
  name,
  label,
  asks,
  kind: 'number',
  ...part,
});
export const setupField = (name: string, label: string, start: number, part: Partial<Field> = {}): Field =>
  numberField(name, label, `${label}?`, { setup: true, start, ...part });

/** The value of a field that holds a number, card or rank; a form's fields are checked before they are read. */
export const num = (values: Values, name: string): number => values[name] as number;
export const maybe = (values: Values, name: string): number | undefined => values[name] as number | undefined;
export const list = (values: Values, name: string): readonly number[] =>
  (values[name] as readonly number[] | undefined) ?? [];
