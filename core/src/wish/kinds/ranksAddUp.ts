import { caseAt, indicesOf, lookIn } from '../cases';
import { byFace } from '../find/faces';
import { indicesIn, onPlaces } from '../find/sites';
import { sum } from '../find/terms/sum';
import { WishKind } from '../kind';
import { digitsAt, rankAt } from '../look';
import { choice, FARTHEST, MAKES, maybe, number, PLACES } from '../slots';

/** The ranks at some places add up to a number, or to the count that was cut. */
export const RANKS_ADD_UP: WishKind<'ranks add up'> = {
  begins: 'ranks add up',
  says: ({ by, more = 0 }) =>
    `The ${by === 'digits' ? 'digits of the ' : ''}ranks at {places} add up to {makes}${more === 0 ? '' : ' and {more}'}`,
  fields: {
    places: PLACES,
    makes: MAKES,
    more: maybe(number(-FARTHEST, FARTHEST)),
    by: maybe(choice('ranks', 'digits')),
  },
  begin: { kind: 'ranks add up', places: [1, 2], makes: 14 },
  cases: (laid, { places, makes, more = 0, by = 'ranks' }, { cut }) => {
    const worth = by === 'ranks' ? rankAt : digitsAt;
    const indices = indicesOf(places, laid.length);
    const total = indices.reduce((all, index) => {
      const look = lookIn(laid, index);
      return all + (look === undefined ? 0 : worth(look));
    }, 0);
    return [caseAt(laid, indices, () => total === (makes === 'cut' ? cut : makes) + more, ` = ${total}`)];
  },
  terms: ({ places, makes, more = 0, by = 'ranks' }, site) => {
    const total = (makes === 'cut' ? site.cut : makes) + more;
    const values = byFace(site.faces, by === 'ranks' ? rankAt : digitsAt);
    return [onPlaces(site, indicesIn(site, places), (there) => sum(there, values, total, by))];
  },
};
