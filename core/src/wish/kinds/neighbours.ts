import { LARGEST_PACK } from '../../deck/card';
import { mod } from '../../deck/mod';
import { caseAt } from '../cases';
import { onPlaces } from '../find/sites';
import { pair, relationTable } from '../find/terms/pair';
import { one } from '../find/terms/single';
import { facesWhere } from '../find/faces';
import { WishKind } from '../kind';
import { related } from '../look';
import { maybe, number, RELATION } from '../slots';
import { inSpan, roundFields, spanWrong } from './span';

/** What lies so many places apart is related. */
export const NEIGHBOURS: WishKind<'neighbours'> = {
  begins: 'neighbours',
  says: (wish) =>
    (wish.distance ?? 1) === 1
      ? `Neighbours are {relation}${inSpan(wish)}`
      : `Cards {distance} apart are {relation}${inSpan(wish)}`,
  fields: { relation: RELATION, distance: maybe(number(1, LARGEST_PACK)), ...roundFields },
  begin: { kind: 'neighbours', relation: 'other rank', round: true },
  whyNot: spanWrong,
  cases: (laid, { relation, distance = 1, round, from = 1, to = laid.length }) => {
    const [first, last] = round ? [1, laid.length] : [from, to - distance];
    return Array.from({ length: Math.max(0, last - first + 1) }, (_, step) => {
      const index = first - 1 + step;
      const other = round ? mod(index + distance, laid.length) : index + distance;
      return caseAt(laid, [index, other], ([a, b]) => related(relation, a, b));
    });
  },
  terms: ({ relation, distance = 1, round, from = 1, to }, site) => {
    const size = site.view.length;
    const table = relationTable(site.faces, relation);
    const pairs: [number, number][] = [];
    if (round) for (let index = 0; index < size; index++) pairs.push([index, (index + distance) % size]);
    else
      for (let index = from - 1; index + distance < (to ?? size); index++)
        pairs.push([index, index + distance]);
    return pairs.map((each) =>
      onPlaces(site, each, ([a, b]) =>
        a === b ? one(a, facesWhere(site.faces, (look) => related(relation, look, look))) : pair(a, b, table),
      ),
    );
  },
};
