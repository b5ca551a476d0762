import { mod } from '../../deck/mod';
import { lookIn, showAt } from '../cases';
import { firstBits, without } from '../find/bits';
import { countOfFaces, facesWhere } from '../find/faces';
import { layout, oneOfLayouts } from '../find/terms/layouts';
import { Site, Term } from '../find/term';
import { WishKind } from '../kind';
import { valueAt } from '../look';
import { FLAG_SLOT, maybe, TRAIT } from '../slots';
import { Trait } from '../wish';
import { VALUES } from './runs';

/** The cards of each colour, suit or rank lie together. */
export const BLOCKS: WishKind<'blocks'> = {
  begins: 'in blocks',
  says: () => 'The cards of each {by} lie together[{round}, going round]',
  fields: { by: TRAIT, round: maybe(FLAG_SLOT) },
  begin: { kind: 'blocks', by: 'suit' },
  cases: (laid, { by, round }) => {
    const size = laid.length;
    const values = laid.map((_, index) => valueAt(by, lookIn(laid, index) ?? -1));
    return VALUES[by].flatMap((value) => {
      const there = values.flatMap((each, index) => (each === value ? [index] : []));
      if (there.length === 0) return [];
      // A block begins where what lies before it is something else.
      const begins = there.filter((index) =>
        round ? values[mod(index - 1, size)] !== value : index === 0 || values[index - 1] !== value,
      );
      return [
        {
          ok: begins.length <= 1,
          says:
            begins.length <= 1
              ? `together from ${(begins.at(0) ?? 0) + 1}`
              : `${showAt(laid, begins)} begin blocks of their own`,
          places: begins.map((index) => index + 1),
        },
      ];
    });
  },
  terms: ({ by, round }, site) => VALUES[by].flatMap((value) => blockOf(site, by, value, round === true)),
};

/** One block by the place where it begins. */
const blockOf = ({ faces, view }: Site, by: Trait, value: number, round: boolean): readonly Term[] => {
  const meant = facesWhere(faces, (look) => valueAt(by, look) === value);
  const others = without(firstBits(faces.looks.length), meant);
  const size = view.length;
  const cards = countOfFaces(faces, (look) => valueAt(by, look) === value);
  if (cards === 0) return [];
  const starts = Array.from({ length: round ? size : size - cards + 1 }, (_, start) => start);
  const ways = starts.map((start) =>
    layout(
      view.map((place, index) => {
        const { lo, hi } = mod(index - start, size) < cards ? meant : others;
        return [place, lo, hi] as const;
      }),
    ),
  );
  const isMeant = Uint8Array.from(faces.looks, (look) => Number(valueAt(by, look) === value));
  return [
    oneOfLayouts(ways, `block ${by} ${value} ${String(round)} ${view.join(' ')}`, ({ at }) => {
      let begins = round ? 0 : isMeant[at[view[0]]];
      for (let index = round ? 0 : 1; index < size; index++)
        if (isMeant[at[view[index]]] === 1 && isMeant[at[view[(index + size - 1) % size]]] === 0) begins++;
      return Math.max(0, begins - 1);
    }),
  ];
};
