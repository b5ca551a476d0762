/**
 * So many of a thing, as people say it: `1 card`, `1,326 cases`.
 *
 * @param one the word for one. @param many the word for any other number; with an s unless told.
 */
export const countOf = (count: number, one: string, many = `${one}s`): string =>
  `${count.toLocaleString('en')} ${count === 1 ? one : many}`;
