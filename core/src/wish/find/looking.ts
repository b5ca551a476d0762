import { Term } from './term';

/** By place or face, of so many: the numbers of the terms that look there. */
export const lookingAt = (
  count: number,
  terms: readonly Term[],
  of: (term: Term) => readonly number[],
): readonly Int32Array[] => {
  const rows: number[][] = Array.from({ length: count }, () => []);
  terms.forEach((term, index) => {
    for (const at of of(term)) rows[at].push(index);
  });
  return rows.map((row) => Int32Array.from(row));
};

/** Its places, unless it looks for cards wherever they lie. */
export const placesOf = (term: Term): readonly number[] => (term.faces ? [] : term.places);
export const facesOfTerm = (term: Term): readonly number[] => term.faces ?? [];
