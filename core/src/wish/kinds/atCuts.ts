import { countOf } from '../../deck/countOf';
import { mod } from '../../deck/mod';
import { WishKind } from '../kind';
import { CUTS } from '../moveSlots';
import { Slot } from '../slots';
import { Cuts } from '../wish';

/** A wish inside another: its shape is that of all wishes, which the list of kinds puts in. */
export const INNER: Slot = { kind: 'other', part: () => undefined, say: () => '' };

/** The counts from which a cut is one of these, for a pack of `size` cards. */
const countsOf = (cuts: Cuts, size: number): readonly number[] => {
  if (cuts === 'every') return Array.from({ length: size }, (_, count) => count);
  if (Array.isArray(cuts)) return cuts as readonly number[];
  const { from, to } = cuts as { readonly from: number; readonly to: number };
  return Array.from({ length: to - from + 1 }, (_, step) => from + step);
};

const cutAt = <Item>(row: readonly Item[], count: number): readonly Item[] => {
  const at = mod(count, row.length);
  return [...row.slice(at), ...row.slice(0, at)];
};

/** For each count that is cut from top to bottom, a wish holds. */
export const AT_CUTS: WishKind<'at cuts'> = {
  begins: 'at every cut',
  says: () => 'At {cuts}: {wish}',
  fields: { cuts: CUTS, wish: INNER },
  begin: {
    kind: 'at cuts',
    cuts: 'every',
    wish: { kind: 'card made of two', rankFrom: 1, suitFrom: 2, at: 14 },
  },
  cases: (laid, { cuts, wish }, { judge }) =>
    countsOf(cuts, laid.length).map((count) => {
      const cases = judge(cutAt(laid, count), wish, count);
      const bad = cases.filter(({ ok }) => !ok);
      return {
        ok: bad.length === 0,
        says:
          bad.length > 0 ? bad[0].says : cases.length === 1 ? cases[0].says : countOf(cases.length, 'case'),
        places: bad.length > 0 ? bad[0].places : cases.length === 1 ? cases[0].places : [],
        cut: count,
      };
    }),
  terms: ({ cuts, wish }, site, inside) => {
    const size = site.view.length;
    const all: number[] = [];
    if (cuts === 'every') for (let count = 0; count < size; count++) all.push(count);
    else if (Array.isArray(cuts)) all.push(...(cuts as readonly number[]));
    else {
      const { from, to } = cuts as { readonly from: number; readonly to: number };
      for (let count = from; count <= to; count++) all.push(count);
    }
    return all.flatMap((count) =>
      inside(wish, {
        ...site,
        view: site.view.map((_, index) => site.view[(index + count) % size]),
        cut: count,
      }),
    );
  },
};
