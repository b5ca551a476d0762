import { LARGEST_PACK } from '../../deck/card';
import { mod } from '../../deck/mod';
import { caseAt } from '../cases';
import { onPlaces } from '../find/sites';
import { pair, relationTable } from '../find/terms/pair';
import { never, one } from '../find/terms/single';
import { countOfFaces, facesWhere } from '../find/faces';
import { Site, Term } from '../find/term';
import { WishKind } from '../kind';
import { related, Relation, valueAt } from '../look';
import { Trait } from '../wish';
import { maybe, number, RELATION } from '../slots';
import { VALUES } from './runs';
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
    const many =
      relation.startsWith('other') && !to && from === 1
        ? tooMany(relation, distance, round === true, site)
        : undefined;
    if (many) return [many];
    return pairs.map((each) =>
      onPlaces(site, each, ([a, b]) =>
        a === b
          ? one(
              a,
              facesWhere(site.faces, (look) => related(relation, look, look)),
            )
          : pair(a, b, table),
      ),
    );
  },
};

/** Places so far apart form rings, or chains where it does not go round; of each, a value has every other place at most. */
const tooMany = (
  relation: Relation,
  distance: number,
  round: boolean,
  { faces, view }: Site,
): Term | undefined => {
  const size = view.length;
  const by = relation.split(' ')[1] as Trait;
  const most = Math.max(
    ...VALUES[by].map((value) => countOfFaces(faces, (look) => valueAt(by, look) === value)),
  );
  const rings = round ? gcd(size, distance) : Math.min(size, distance);
  const room = Array.from({ length: rings }, (_, ring) => {
    const length = round ? size / rings : Math.ceil((size - ring) / distance);
    return round ? Math.floor(length / 2) : Math.ceil(length / 2);
  }).reduce((sum, each) => sum + each, 0);
  return most > room
    ? never(`${most} cards of one ${by} are too many: they can lie at ${room} places without meeting.`)
    : undefined;
};

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
