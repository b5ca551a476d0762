import { formatCard, parseCard } from '@enumeron/core/deck';
import { imageOf, LONGEST_IMAGE } from '../../nouns/learning/images.kind';
import { makeCsv, parseCells } from '../../platform/csv';

/** The largest number that can have an image. */
const LARGEST = 108;

/** Memory images as CSV: what each is of, and its words. */
export const imagesCsv = (images: ReadonlyMap<string, string>): string => {
  const data = [...images].map(([id, words]) => ({ of: nameOf(id), words }));
  return makeCsv(['of', 'words'], data);
};

/** `card-7D_` is the image of 7D*, `number-15` that of 15. */
const nameOf = (id: string): string => id.slice(id.indexOf('-') + 1).replace('_', '*');

/** The row that a name belongs to: a card in any of its usual names, or a number. */
const idFor = (name: string): string | undefined => {
  const number = /^\d+$/.test(name) ? Number(name) : 0;
  if (number >= 1 && number <= LARGEST) return imageOf('number', number.toString());
  const card = parseCard(name);
  return card === undefined ? undefined : imageOf('card', formatCard(card));
};

/**
 * Images from CSV: a card or a number, and its words; what else stands in the row is left out. A row that cannot be
 * read is told with its line and left out.
 */
export const parseImagesCsv = (
  text: string,
): { readonly images: ReadonlyMap<string, string>; readonly problems: readonly string[] } => {
  const data = parseCells(text);
  const images = new Map<string, string>();
  const problems: string[] = [];
  for (const [index, [name = '', words = '']] of data.entries()) {
    if (index === 0 && name.trim().toLowerCase() === 'of') continue;
    const id = idFor(name.trim());
    const line = `Row ${(index + 1).toString()}`;
    if (id === undefined)
      problems.push(`${line}: “${name.slice(0, 30)}” is no card and no number. Write 7D or 15.`);
    else if (words.trim() === '') problems.push(`${line}: there are no words for ${name.trim()}.`);
    else if (words.trim().length > LONGEST_IMAGE)
      problems.push(`${line}: more than ${LONGEST_IMAGE.toString()} letters. Use fewer words.`);
    else images.set(id, words.trim());
  }
  return { images, problems: problems.slice(0, 20) };
};
