import { isOf } from '../cardClass';
import { indicesOf, lookIn, showAt } from '../cases';
import { countOfFaces, facesWhere } from '../find/faces';
import { indicesIn } from '../find/sites';
import { count, Counted } from '../find/terms/count';
import { WishKind, wrong } from '../kind';
import { CLASS } from '../classSlot';
import { maybe, number, PLACES } from '../slots';
import { LARGEST_PACK } from '../../deck/card';

const COUNT = maybe(number(0, LARGEST_PACK));

/** So many cards of a class lie at these places; places that the pack does not have are passed over. */
export const CARDS_AMONG: WishKind<'cards among'> = {
  begins: 'cards among places',
  says: ({ least, most }) =>
    least !== undefined && most !== undefined
      ? 'At least {least} and at most {most} of {of} at places {places}'
      : '[At least {least}][At most {most}] of {of} at places {places}',
  fields: { of: CLASS, places: PLACES, least: COUNT, most: COUNT },
  begin: { kind: 'cards among', of: { ranks: [1] }, places: { from: 1, to: 10 }, least: 4 },
  whyNot: ({ least = 0, most = LARGEST_PACK }) =>
    least <= most
      ? undefined
      : wrong(`At least ${least} are more than at most ${most}.`, 'Change one of them.'),
  cases: (laid, { of, places, least = 0, most = laid.length }) => {
    const there = indicesOf(places, laid.length).filter((index) => index < laid.length);
    const found = there.filter((index) => isOf(of, lookIn(laid, index) ?? -1));
    return [
      {
        ok: found.length >= least && found.length <= most,
        says: found.length === 0 ? 'none' : `${found.length}: ${showAt(laid, found)}`,
        places: there.map((index) => index + 1),
      },
    ];
  },
  terms: ({ of, places, least = 0, most = LARGEST_PACK }, site) => {
    const { faces, view } = site;
    const meant = facesWhere(faces, (look) => isOf(of, look));
    const there = indicesIn(site, places).flatMap((index) => view.at(index) ?? []);
    const entry = (place: number): Counted => [place, meant];
    const all = countOfFaces(faces, (look) => isOf(of, look));
    const others = view.filter((place) => !there.includes(place));
    return [
      count(there.map(entry), least, most),
      // What is not here lies elsewhere.
      ...(others.length > 0 ? [count(others.map(entry), Math.max(0, all - most), all - least)] : []),
    ];
  },
};
