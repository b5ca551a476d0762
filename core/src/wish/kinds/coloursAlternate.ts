import { caseAt, rowsOf } from '../cases';
import { onPlaces, rows } from '../find/sites';
import { pair, tableOf } from '../find/terms/pair';
import { WishKind } from '../kind';
import { colourAt } from '../look';
import { inSpan, roundFields, spanWrong } from './span';

const differ = (a: number, b: number): boolean =>
  colourAt(a) !== undefined && colourAt(b) !== undefined && colourAt(a) !== colourAt(b);

/** Red and black take turns. */
export const COLOURS_ALTERNATE: WishKind<'colours alternate'> = {
  begins: 'colours alternate',
  says: (wish) => `Colours alternate${inSpan(wish)}`,
  fields: roundFields,
  begin: { kind: 'colours alternate' },
  whyNot: spanWrong,
  cases: (laid, wish) =>
    rowsOf(wish, laid.length, 2).map((row) =>
      caseAt(laid, row, ([a, b]) => {
        const colours = [colourAt(a), colourAt(b)];
        return colours.includes('red') && colours.includes('black');
      }),
    ),
  terms: (wish, site) => {
    const table = tableOf(site.faces, 'colours differ', differ);
    return rows(site, wish, 2).map((row) => onPlaces(site, row, ([a, b]) => pair(a, b, table)));
  },
};
