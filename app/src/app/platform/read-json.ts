import { Outcome } from '@enumeron/core/deck';

/** How deep lists and groups may lie in each other. Nothing of ours is nearly as deep. */
const DEEPEST = 40;

/** Line and column, both from 1, of a place in a text. */
const lineAndColumn = (text: string, offset: number): string => {
  const before = text.slice(0, offset).split('\n');
  return `Line ${before.length.toString()}, column ${(before[before.length - 1].length + 1).toString()}`;
};

/** Where a text nests deeper than that, from 0; undefined where it does not. Texts in quotes are passed over. */
const tooDeepAt = (text: string): number | undefined => {
  let [depth, quoted] = [0, false];
  for (let index = 0; index < text.length; index++) {
    const code = text.charCodeAt(index);
    if (quoted) {
      if (code === 0x5c) index++;
      else if (code === 0x22) quoted = false;
    } else if (code === 0x22) quoted = true;
    else if (code === 0x5b || code === 0x7b) {
      if (++depth > DEEPEST) return index;
    } else if (code === 0x5d || code === 0x7d) depth--;
  }
  return undefined;
};

/** The longest text in which the place of a fault is looked for, in characters. */
const LONGEST_SEARCHED = 2_000_000;

/** Where a text stops being JSON. Browsers tell it for some errors only. */
const whereItBreaks = async (text: string): Promise<string | undefined> => {
  if (text.length > LONGEST_SEARCHED) return undefined;
  const { visit } = await import('jsonc-parser');
  let at: number | undefined;
  visit(text, { onError: (_, offset) => (at ??= offset) }, { disallowComments: true });
  return at === undefined ? undefined : lineAndColumn(text, at);
};

/**
 * The value of a text in JSON, whatever it is: nothing about it has been checked but that it is not nested too deep
 * for a check to come to its end.
 *
 * @param remedy what to do when it is not JSON.
 * @returns a problem with its line and column when the text is not JSON.
 */
export const readJson = async (text: string, remedy: string): Promise<Outcome<{ value: unknown }>> => {
  const deep = tooDeepAt(text);
  if (deep !== undefined)
    return {
      ok: false,
      problems: [{ where: lineAndColumn(text, deep), what: 'The file is nested too deeply.', remedy }],
    };
  try {
    return { ok: true, value: JSON.parse(text) as unknown };
  } catch {
    const where = await whereItBreaks(text);
    return { ok: false, problems: [{ where, what: 'The file is not JSON.', remedy }] };
  }
};
