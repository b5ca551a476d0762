import { LARGEST_PACK } from '../../deck/card';
import { caseAt, rowsOf } from '../cases';
import { countOfFaces, facesWhere } from '../find/faces';
import { never } from '../find/terms/single';
import { onPlaces, rows } from '../find/sites';
import { notAllAlike } from '../find/terms/alike';
import { WishKind } from '../kind';
import { valueAt } from '../look';
import { number, TRAIT } from '../slots';
import { Trait } from '../wish';
import { inSpan, roundFields, spanWrong } from './span';

/** The values of a trait. */
export const VALUES: Readonly<Record<Trait, readonly number[]>> = {
  colour: [0, 1],
  suit: [0, 1, 2, 3],
  rank: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13],
};

/** No more than so many of a colour, suit or rank lie in a row. */
export const RUNS: WishKind<'runs'> = {
  begins: 'no runs',
  says: (wish) => `No more than {most} of a {of} in a row${inSpan(wish)}`,
  fields: { of: TRAIT, most: number(1, LARGEST_PACK), ...roundFields },
  begin: { kind: 'runs', of: 'colour', most: 3, round: true },
  whyNot: spanWrong,
  cases: (laid, { of, most, ...span }) =>
    most >= laid.length
      ? []
      : rowsOf(span, laid.length, most + 1).map((row) =>
          caseAt(laid, row, ([first, ...others]) => {
            const value = valueAt(of, first);
            return value < 0 || others.some((look) => valueAt(of, look) !== value);
          }),
        ),
  terms: ({ of, most, ...span }, site) => {
    if (most >= site.view.length) return [];
    if (span.from === undefined && span.to === undefined) {
      const many = VALUES[of].map((value) => countOfFaces(site.faces, (look) => valueAt(of, look) === value));
      const rest = site.view.length - Math.max(...many) + (span.round ? 0 : 1);
      if (Math.max(...many) > most * rest)
        return [
          never(
            `${Math.max(...many)} cards of one ${of} are too many: the others cannot part them so often.`,
          ),
        ];
    }
    const values = VALUES[of].map((value) => facesWhere(site.faces, (look) => valueAt(of, look) === value));
    return rows(site, span, most + 1).map((row) =>
      onPlaces(site, row, (places) => notAllAlike(places, values, of)),
    );
  },
};
