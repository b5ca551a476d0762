import { lookNamed } from '../cardClass';
import { lookIn, rowsOf, showAt } from '../cases';
import { bit, Bits, firstBits, union, without } from '../find/bits';
import { rows } from '../find/sites';
import { Layout, layout, oneOfLayouts } from '../find/terms/layouts';
import { never } from '../find/terms/single';
import { Laying, Site, Term } from '../find/term';
import { WishKind } from '../kind';
import { CARDS, FLAG_SLOT, maybe } from '../slots';

const sorted = (looks: readonly number[]): string => [...looks].sort((a, b) => a - b).join(' ');

/** Cards fill neighbouring places, in any order unless it is said. */
export const SIDE_BY_SIDE: WishKind<'side by side'> = {
  begins: 'side by side',
  says: () => '{cards} lie side by side[{inOrder}, in this order][{round}, going round]',
  fields: { cards: CARDS, inOrder: maybe(FLAG_SLOT), round: maybe(FLAG_SLOT) },
  begin: { kind: 'side by side', cards: ['KH', 'QH'] },
  cases: (laid, { cards, inOrder, round }) => {
    const wanted = cards.map(lookNamed);
    const all = wanted.length <= laid.length ? rowsOf({ round }, laid.length, wanted.length) : [];
    const found = all.find((row) => {
      const looks = row.map((index) => lookIn(laid, index) ?? -1);
      return inOrder ? looks.join(' ') === wanted.join(' ') : sorted(looks) === sorted(wanted);
    });
    const lying = laid.flatMap((_, index) => (wanted.includes(lookIn(laid, index) ?? -1) ? [index] : []));
    const seen = found ?? lying;
    return [
      {
        ok: found !== undefined,
        says:
          seen.length === 0
            ? 'none is there'
            : `${showAt(laid, seen)}, at ${seen.map((index) => index + 1).join(', ')}`,
        places: seen.map((index) => index + 1),
      },
    ];
  },
  terms: (wish, site) => {
    const { cards, inOrder, round } = wish;
    const faces = cards.map((card) => site.faces.byLook[lookNamed(card)]);
    if (faces.some((face) => face < 0) || cards.length > site.view.length)
      return [never('Not all of these cards are in the pack.')];
    const windows = rows(site, { round }, cards.length);
    const ways = windows.map((row) => wayOf(site, row, faces, inOrder === true));
    const key = `side ${String(inOrder)} ${faces.join(' ')} | ${windows.map((row) => row.map((index) => site.view[index]).join(' ')).join(',')}`;
    return [oneOfLayouts(ways, key, missing(site, windows, faces, inOrder === true))] satisfies Term[];
  },
};

/** One row of places with the cards in it; where every copy is asked for, none of them lies elsewhere. */
const wayOf = (
  { view, faces: pack }: Site,
  row: readonly number[],
  faces: readonly number[],
  inOrder: boolean,
): Layout => {
  const set = faces.map(bit).reduce(union);
  const all = faces.filter((face, index) => faces.indexOf(face) === index);
  const isWhole = all.every((face) => pack.copies[face] === faces.filter((each) => each === face).length);
  const others = without(firstBits(pack.looks.length), set);
  const here = (step: number): Bits => (inOrder ? bit(faces[step]) : set);
  return layout([
    ...row.map((index, step) => [view[index], here(step).lo, here(step).hi] as const),
    ...(isWhole
      ? view.flatMap((place, index) => (row.includes(index) ? [] : [[place, others.lo, others.hi] as const]))
      : []),
  ]);
};

/** The fewest cards that lack in a row. */
const missing =
  (
    { view, faces: { looks } }: Site,
    windows: readonly (readonly number[])[],
    faces: readonly number[],
    inOrder: boolean,
  ) =>
  ({ at }: Laying): number => {
    const wanted = new Uint8Array(looks.length);
    let least = faces.length;
    for (const row of windows) {
      wanted.fill(0);
      for (const face of faces) wanted[face]++;
      let lacks = 0;
      row.forEach((index, step) => {
        const face = at[view[index]];
        if (inOrder ? face === faces[step] : wanted[face] > 0) wanted[face]--;
        else lacks++;
      });
      least = Math.min(least, lacks);
    }
    return least;
  };
