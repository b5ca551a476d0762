import { suitOfLetter } from '../cardClass';
import { caseAt, rowsOf } from '../cases';
import { facesWhere } from '../find/faces';
import { onPlaces, rows } from '../find/sites';
import { pair, relationTable, tableOf } from '../find/terms/pair';
import { one } from '../find/terms/single';
import { Site, Term } from '../find/term';
import { WishKind } from '../kind';
import { suitAt } from '../look';
import { SUITS_IN_TURN } from '../classSlot';
import { maybe } from '../slots';
import { SuitLetter, WishOf } from '../wish';
import { inSpan, roundFields, spanWrong } from './span';

/** Suits go round: in a circle that is named, or so that each four in a row are four suits. */
export const SUITS_ROTATE: WishKind<'suits rotate'> = {
  begins: 'suits rotate',
  says: (wish) =>
    wish.suits ? `Suits go round {suits}${inSpan(wish)}` : `Each four in a row are four suits${inSpan(wish)}`,
  fields: { suits: maybe(SUITS_IN_TURN), ...roundFields },
  begin: { kind: 'suits rotate', suits: ['C', 'D', 'H', 'S'] },
  whyNot: spanWrong,
  cases: (laid, { suits, ...span }) => {
    if (!suits)
      return rowsOf(span, laid.length, 4).map((row) =>
        caseAt(laid, row, (looks) => new Set(looks.map(suitAt).filter((suit) => suit >= 0)).size === 4),
      );
    const circle = suits.map(suitOfLetter);
    return rowsOf(span, laid.length, 2).map((row) =>
      caseAt(laid, row, ([a, b]) => {
        const at = circle.indexOf(suitAt(a));
        return at >= 0 && suitAt(b) === circle[(at + 1) % 4];
      }),
    );
  },
  terms: (wish, site) => (wish.suits ? inCircle(wish.suits, wish, site) : fourSuits(wish, site)),
};

const inCircle = (
  suits: readonly SuitLetter[],
  span: WishOf<'suits rotate'>,
  site: Site,
): readonly Term[] => {
  const next = new Map(
    suits.map((suit, index) => [suitOfLetter(suit), suitOfLetter(suits[(index + 1) % 4])]),
  );
  const table = tableOf(
    site.faces,
    `suits ${suits.join('')}`,
    (a, b) => suitAt(b) >= 0 && next.get(suitAt(a)) === suitAt(b),
  );
  return rows(site, span, 2).map((row) => onPlaces(site, row, ([a, b]) => pair(a, b, table)));
};

/** Each two of four differ; and so the fifth is as the first. */
const fourSuits = (span: WishOf<'suits rotate'>, site: Site): readonly Term[] => {
  const { faces } = site;
  const [other, like] = [relationTable(faces, 'other suit'), relationTable(faces, 'like suit')];
  const suited = facesWhere(faces, (look) => suitAt(look) >= 0);
  const fours = rows(site, span, 4).flatMap((row) => {
    const there = row.every((index) => index < site.view.length);
    if (!there) return [onPlaces(site, row, ([place]) => one(place, suited))];
    return row.flatMap((index, step) => [
      onPlaces(site, [index], ([place]) => one(place, suited)),
      ...row.slice(step + 1).map((next) =>
        onPlaces(
          site,
          [index, next].sort((a, b) => a - b),
          ([a, b]) => pair(a, b, other),
        ),
      ),
    ]);
  });
  const size = site.view.length;
  const fifths = rows(site, span, 5)
    .filter((row) => row.every((index) => index < size) && new Set(row).size === 5)
    .map(([first, , , , fifth]) => onPlaces(site, [first, fifth], ([a, b]) => pair(a, b, like)));
  return [...fours, ...fifths];
};
