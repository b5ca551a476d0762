import { LARGEST_PACK } from '../../deck/card';
import { mod } from '../../deck/mod';
import { isOf } from '../cardClass';
import { lookIn, showAt } from '../cases';
import { countOfFaces, facesWhere } from '../find/faces';
import { never } from '../find/terms/single';
import { rows } from '../find/sites';
import { count } from '../find/terms/count';
import { WishKind } from '../kind';
import { CLASS } from '../classSlot';
import { FLAG_SLOT, maybe, number } from '../slots';

/** Between two cards of a class lie at least so many less one others. */
export const SPACED: WishKind<'spaced'> = {
  begins: 'cards spaced',
  says: () => 'Each two of {of} lie {least} apart or more[{round}, going round]',
  fields: { of: CLASS, least: number(1, LARGEST_PACK), round: maybe(FLAG_SLOT) },
  begin: { kind: 'spaced', of: { ranks: [1] }, least: 5 },
  cases: (laid, { of, least, round }) => {
    const size = laid.length;
    const those = laid.flatMap((_, index) => (isOf(of, lookIn(laid, index) ?? -1) ? [index] : []));
    return those.map((index) => {
      const next = Array.from({ length: Math.min(least, size) - 1 }, (_, step) => index + step + 1)
        .filter((each) => round === true || each < size)
        .map((each) => mod(each, size));
      const near = next.filter((each) => those.includes(each));
      return {
        ok: near.length === 0,
        says:
          near.length === 0 ? showAt(laid, [index]) : `${showAt(laid, [index])}, then ${showAt(laid, near)}`,
        places: [index, ...near].map((each) => each + 1),
      };
    });
  },
  terms: ({ of, least, round }, site) => {
    const { faces, view } = site;
    const meant = facesWhere(faces, (look) => isOf(of, look));
    const length = Math.min(least, view.length);
    const cards = countOfFaces(faces, (look) => isOf(of, look));
    const room = round ? cards * length : (cards - 1) * length + 1;
    if (cards > 1 && room > view.length)
      return [never(`${cards} cards so far apart need ${room} places, and the pack has ${view.length}.`)];
    return rows(site, { round }, length).map((row) =>
      count(
        row.map((index) => [view[index], meant]),
        0,
        1,
      ),
    );
  },
};
