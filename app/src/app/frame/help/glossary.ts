import { distance } from 'fastest-levenshtein';
import words from '../../../../../docs/words.md';

/** A word of the craft, as docs/words.md tells it. */
export interface Term {
  /** What it is called; the first name heads it. */
  readonly names: readonly string[];
  readonly says: string;
  /** The page that it belongs to, by the name that opens it in the ask line. */
  readonly page?: string;
}

/** The table under a heading of a Markdown text, cell by cell, without its head. */
const tableUnder = (heading: string, text: string): readonly (readonly string[])[] => {
  const [, section = ''] = text.split(`\n## ${heading}\n`);
  const [own] = section.split('\n## ');
  return own
    .split('\n')
    .filter((line) => line.startsWith('|'))
    .slice(2)
    .map((line) =>
      line
        .slice(1, -1)
        .split('|')
        .map((cell) => cell.replace(/[_`]/g, '').replace(/'/g, '’').trim()),
    );
};

/** Every word of the glossary, as it stands in docs/words.md. */
export const TERMS: readonly Term[] = tableUnder('Words of the craft', words).map(([names, says, page]) => ({
  names: names.split(', '),
  says: `${says.charAt(0).toUpperCase()}${says.slice(1)}.`,
  ...(page !== '' && { page }),
}));

/** A word without the ending of more than one: `weaves`, `glimpses`. */
const single = (word: string): string => word.replace(/(?<=[^s])s$/, '');

/** The term of exactly a name, in small letters; of several of it, too. */
export const termOf = (text: string): Term | undefined =>
  TERMS.find(({ names }) => names.some((name) => [text, single(text)].includes(name.toLowerCase())));

/** How far a text is from a term's nearest name: letters changed, added or left out. */
const far = (text: string, { names }: Term): number =>
  Math.min(...names.map((name) => distance(text, name.toLowerCase())));

/** Terms that a text is found in: those called so first, then those whose meaning has it. */
export const termsWith = (text: string): readonly Term[] => {
  const typed = text.trim().toLowerCase();
  const called = TERMS.filter(({ names }) => names.some((name) => name.toLowerCase().includes(typed)));
  const told = TERMS.filter((term) => !called.includes(term) && term.says.toLowerCase().includes(typed));
  return [...called, ...told];
};

/** So many are offered where nothing is found. */
const FEW = 3;

/** The terms that are written the most like a text, the nearest first. */
export const nearestTerms = (text: string): readonly Term[] => {
  const typed = text.trim().toLowerCase();
  return [...TERMS].sort((a, b) => far(typed, a) - far(typed, b)).slice(0, FEW);
};
