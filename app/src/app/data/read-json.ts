import { Outcome } from '@enumeron/core/deck';

/** Line and column, both from 1, of a place in a text. */
const lineAndColumn = (text: string, offset: number): string => {
  const before = text.slice(0, offset).split('\n');
  return `Line ${before.length.toString()}, column ${(before[before.length - 1].length + 1).toString()}`;
};

/** Where a text stops being JSON. Browsers tell it for some errors only. */
const whereItBreaks = async (text: string): Promise<string | undefined> => {
  const { parse } = await import('jsonc-parser');
  const errors: { readonly offset: number }[] = [];
  parse(text, errors as Parameters<typeof parse>[1], { disallowComments: true });
  return errors.length > 0 ? lineAndColumn(text, errors[0].offset) : undefined;
};

/**
 * The value of a text in JSON, whatever it is: nothing about it has been checked.
 *
 * @param remedy what to do when it is not JSON.
 * @returns a problem with its line and column when the text is not JSON.
 */
export const readJson = async (text: string, remedy: string): Promise<Outcome<{ value: unknown }>> => {
  try {
    return { ok: true, value: JSON.parse(text) as unknown };
  } catch {
    const where = await whereItBreaks(text);
    return { ok: false, problems: [{ where, what: 'The file is not JSON.', remedy }] };
  }
};
