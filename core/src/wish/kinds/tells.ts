import { LARGEST_PACK } from '../../deck/card';
import { mod } from '../../deck/mod';
import { lookIn, showAt } from '../cases';
import { never } from '../find/terms/single';
import { tells } from '../find/terms/tells';
import { WishKind } from '../kind';
import { valueAt } from '../look';
import { choiceOf, number } from '../slots';

/** What the next cards are by rank, suit or colour tells the place. */
export const TELLS: WishKind<'tells'> = {
  begins: 'the next cards tell',
  says: () => 'The next {next} cards tell the place by their {by}',
  fields: {
    next: number(1, LARGEST_PACK),
    by: choiceOf({ colour: 'colours', suit: 'suits', rank: 'ranks', card: 'faces' }),
  },
  begin: { kind: 'tells', next: 6, by: 'colour' },
  cases: (laid, { next, by }) => {
    const size = laid.length;
    const row = (index: number): string =>
      Array.from({ length: next }, (_, step) =>
        valueAt(by, lookIn(laid, mod(index + step, size)) ?? -1),
      ).join(' ');
    const all = laid.map((_, index) => row(index));
    return all.map((each, index) => {
      const other = all.findIndex((text, at) => at !== index && text === each);
      return {
        ok: other < 0,
        says: other < 0 ? showAt(laid, [index]) : `from ${index + 1} as from ${other + 1}`,
        places: [index + 1, ...(other < 0 ? [] : [other + 1])],
      };
    });
  },
  terms: ({ next, by }, { faces, view }) => {
    const all = [...new Set(faces.looks.map((look) => valueAt(by, look)))];
    const values = Int16Array.from(faces.looks, (look) => all.indexOf(valueAt(by, look)));
    const rows = all.length ** Math.min(next, view.length);
    return rows < view.length
      ? [never(`There are ${rows} rows of so many, and ${view.length} places to tell.`)]
      : [tells(view, values, next, by)];
  },
};
