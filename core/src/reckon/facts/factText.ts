import { formatCard, parseCard } from '../../deck/notation';
import { Fact, parseFact } from './fact';

/**
 * A fact as the query of an address has it: its kind, then its parts by their names, `lift,face:9S,size:10.20`. Cards stand
 * as they are written, several things with a dot between them.
 */

/** The parts that are cards; all others are numbers or words. Of two cuts the first and second are, of two ranks not. */
const CARDS: readonly string[] = ['card', 'cards', 'face', 'above', 'below'];
const isOfCards = (kind: string, name: string): boolean => CARDS.includes(name) || kind === 'cuts';

/** The parts that are lists, however many stand in one. */
const LISTS: readonly string[] = ['cards', 'gather', 'size'];

export const writeFact = ({ kind, ...parts }: Fact): string =>
  [
    kind,
    ...Object.entries(parts as Readonly<Record<string, unknown>>).flatMap(([name, value]) => {
      if (value === undefined) return [];
      const all = (Array.isArray(value) ? value : [value]) as readonly (string | number)[];
      const words = all.map((each) =>
        typeof each === 'number' && isOfCards(kind, name) ? formatCard(each) : `${each}`,
      );
      return [`${name}:${words.join('.')}`];
    }),
  ].join(',');

const readWord = (kind: string, name: string, word: string): unknown => {
  if (isOfCards(kind, name)) return parseCard(word);
  return /^\d{1,3}$/.test(word) ? Number(word) : word;
};

/** The fact that a text stands for; undefined where it is none. */
export const readFact = (text: string): Fact | undefined => {
  const [kind, ...rest] = text.split(',');
  const parts = rest.map((part) => {
    const [name, value = ''] = part.split(':');
    const words = value.split('.').map((word) => readWord(kind, name, word));
    return [name, LISTS.includes(name) ? words : words[0]] as const;
  });
  if (parts.flatMap(([, value]) => value).some((value) => value === undefined || value === ''))
    return undefined;
  const outcome = parseFact({ kind, ...Object.fromEntries(parts) });
  return outcome.ok ? outcome.fact : undefined;
};
