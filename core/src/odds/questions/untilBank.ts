import { countOf } from '../../deck/countOf';
import { mod } from '../../deck/mod';
import { Values } from '../../form/field';
import { num, numberField } from '../../form/fields';
import { drawFrom } from '../cutChances';
import { OddsQuestion } from '../question';
import { ABOUT, cutsOf, sizeField, whereProblem, WITHIN } from './fields';

/** More cuts than this are not looked at. */
const MOST_CUTS = 60;

/**
 * The chance that a bank card has shown at the face after 1, 2, 3 … completed cuts (index = cuts; index 0 is 0): how
 * the bank may lie, cut by cut, as long as none has shown.
 *
 * @param chances of each cut, by how many cards it takes. @param bank cards in it. @param from the place of its first.
 */
export const shownAfter = (
  chances: readonly number[],
  bank: number,
  from: number,
  most: number,
): number[] => {
  const size = chances.length;
  // By where the bank's first card lies, from 0: it shows where the last place is one of the bank's.
  let lies = new Float64Array(size);
  lies[from - 1] = 1;
  const shown = [0];
  for (let cut = 1; cut <= most; cut++) {
    const after = new Float64Array(size);
    for (let at = 0; at < size; at++)
      for (let count = 1; count < size; count++)
        after[at >= count ? at - count : at - count + size] += lies[at] * chances[count];
    let seen = 0;
    for (let at = Math.max(0, size - bank); at < size; at++) {
      seen += after[at];
      after[at] = 0;
    }
    shown.push(Math.min(1, shown[cut - 1] + seen));
    lies = after;
  }
  return shown;
};

const shownOf = (values: Values, most: number): number[] =>
  shownAfter(cutsOf(values), num(values, 'bank'), num(values, 'from'), most);

const cutsFor = (shown: readonly number[], wanted: number): string => {
  const cuts = shown.findIndex((chance) => chance >= wanted - 1e-12);
  return cuts < 0 ? `more than ${MOST_CUTS} cuts` : cuts === 1 ? '1 cut' : `${cuts} cuts`;
};

export const UNTIL_BANK: OddsQuestion = {
  path: 'until-bank',
  name: 'Cuts until a bank card shows',
  asks: 'Helpers cut, one after the other, until a card of the bank is at the face. How many cuts does that take?',
  takes:
    'Each cut is completed, and lies in a bell about a number, two in three of them within so many cards.',
  source: 'Exact: where the bank may lie is followed from cut to cut (a Markov chain).',
  fields: [
    sizeField(52),
    ABOUT,
    WITHIN,
    numberField('bank', 'Cards in the bank', 'How many cards has the bank?', { start: 13, most: 104 }),
    numberField('from', 'The bank begins at', 'At which place does the bank begin?', {
      start: 18,
      most: 104,
    }),
    numberField('cuts', 'Cuts', 'How many cuts?', { start: 3, most: MOST_CUTS }),
  ],
  problem: (values) => {
    const [size, bank, from] = [num(values, 'size'), num(values, 'bank'), num(values, 'from')];
    if (bank > size || from > size)
      return {
        what: `The pack has ${countOf(size, 'card')}.`,
        remedy: `Let the bank have and begin at ${size} at most.`,
      };
    return whereProblem(values);
  },
  chance: (values) => shownOf(values, num(values, 'cuts'))[num(values, 'cuts')],
  says: (values) => {
    const cuts = num(values, 'cuts');
    return `A card of the bank shows at the face after ${cuts === 1 ? 'one cut' : `at most ${cuts} cuts`}.`;
  },
  notes: (values) => {
    const shown = shownOf(values, MOST_CUTS);
    return [`Half the time ${cutsFor(shown, 0.5)} will do; 19 times in 20, ${cutsFor(shown, 0.95)}.`];
  },
  trial: (values) => {
    const [size, bank, from, cuts] = [
      ...[num(values, 'size'), num(values, 'bank')],
      ...[num(values, 'from'), num(values, 'cuts')],
    ];
    const chances = cutsOf(values);
    return (rng) => {
      let face = size - 1;
      for (let cut = 0; cut < cuts; cut++) {
        // The face goes up by what is cut, seen from the pack as it was.
        face = mod(face + drawFrom(chances, rng()), size);
        if (mod(face - (from - 1), size) < bank) return true;
      }
      return false;
    };
  },
  over: { field: 'cuts', range: () => [1, 20] },
};
