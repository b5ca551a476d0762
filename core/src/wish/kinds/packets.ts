import { LARGEST_PACK } from '../../deck/card';
import { caseAt } from '../cases';
import { onPlaces } from '../find/sites';
import { pair, relationTable } from '../find/terms/pair';
import { WishKind, wrong } from '../kind';
import { mateAt, valueAt } from '../look';
import { choice, choiceOf, number } from '../slots';

/** Each whole packet of a size from the top holds what is alike, or what is different. */
export const PACKETS: WishKind<'packets'> = {
  begins: 'packets',
  says: ({ by }) =>
    by === 'mates'
      ? 'Every {size} cards from the top are {by}'
      : 'In every {size} cards from the top, the {by} are {all}',
  fields: {
    size: number(2, LARGEST_PACK),
    by: choiceOf({ rank: 'ranks', suit: 'suits', colour: 'colours', mates: 'mates' }),
    all: choice('alike', 'different'),
  },
  begin: { kind: 'packets', size: 4, by: 'suit', all: 'different' },
  whyNot: ({ size, by, all }) =>
    by === 'mates' && (size !== 2 || all !== 'alike')
      ? wrong('Mates are two cards.', 'Use a size of 2, and alike.')
      : undefined,
  cases: (laid, { size, by, all }) =>
    Array.from({ length: Math.floor(laid.length / size) }, (_, packet) =>
      caseAt(
        laid,
        Array.from({ length: size }, (_each, step) => packet * size + step),
        (looks) => {
          if (by === 'mates') return mateAt(looks[0]) === looks[1];
          const values = looks.map((look) => valueAt(by, look));
          const told = values.filter((value) => value >= 0);
          // What lacks the value is like nothing, and other than all.
          return all === 'alike'
            ? told.length === size && new Set(told).size === 1
            : new Set(told).size === told.length;
        },
      ),
    ),
  terms: ({ size, by, all }, site) => {
    const relation = by === 'mates' ? 'mates' : (`${all === 'alike' ? 'like' : 'other'} ${by}` as const);
    const table = relationTable(site.faces, relation);
    const pairs: [number, number][] = [];
    for (let start = 0; start + size <= site.view.length; start += size)
      for (let a = start; a < start + size; a++)
        for (let b = a + 1; b < start + size; b++) pairs.push([a, b]);
    return pairs.map((each) => onPlaces(site, each, ([a, b]) => pair(a, b, table)));
  },
};
