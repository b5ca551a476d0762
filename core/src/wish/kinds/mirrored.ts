import { caseAt } from '../cases';
import { onPlaces } from '../find/sites';
import { pair, relationTable } from '../find/terms/pair';
import { WishKind } from '../kind';
import { related } from '../look';
import { maybe, RELATION } from '../slots';
import { inSpan, spanFields, spanWrong } from './span';

/** Places as far from both ends hold what is related. */
export const MIRRORED: WishKind<'mirrored'> = {
  begins: 'mirrored',
  says: (wish) => `Cards as far from the top as from the face are {relation}${inSpan(wish)}`,
  fields: { relation: maybe(RELATION), ...spanFields },
  begin: { kind: 'mirrored', relation: 'mates' },
  whyNot: spanWrong,
  cases: (laid, { relation = 'mates', from = 1, to = laid.length }) =>
    Array.from({ length: Math.max(0, Math.floor((to - from + 1) / 2)) }, (_, step) =>
      caseAt(laid, [from - 1 + step, to - 1 - step], ([a, b]) => related(relation, a, b)),
    ),
  terms: ({ relation = 'mates', from = 1, to }, site) => {
    const last = to ?? site.view.length;
    const table = relationTable(site.faces, relation);
    const pairs: [number, number][] = [];
    for (let [a, b] = [from - 1, last - 1]; a < b; a++, b--) pairs.push([a, b]);
    return pairs.map((each) => onPlaces(site, each, ([a, b]) => pair(a, b, table)));
  },
};
