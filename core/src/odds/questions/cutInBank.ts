import { num, numberField } from '../../form/fields';
import { drawFrom } from '../cutChances';
import { narrowest } from '../narrowest';
import { OddsQuestion } from '../question';
import { ABOUT, cutsOf, sizeField, whereProblem, WITHIN } from './fields';

export const CUT_IN_BANK: OddsQuestion = {
  path: 'cut-in-bank',
  name: 'A cut that lands in a bank',
  asks: 'They cut near the middle. How often is the card at the face of their packet one of the bank?',
  takes:
    'Cuts lie in a bell about a number, two in three of them within so many cards; one card stays at least.',
  source:
    'Exact: the bell over 1 to one less than the pack, added up over the bank. The bell itself is a guess until cuts are recorded.',
  fields: [
    sizeField(52),
    ABOUT,
    WITHIN,
    numberField('from', 'The bank begins at', 'At which place does the bank begin?', {
      start: 18,
      most: 104,
    }),
    numberField('cards', 'Cards in the bank', 'How many cards has the bank?', { start: 13, most: 104 }),
  ],
  problem: (values) =>
    whereProblem(values) ??
    (num(values, 'from') + num(values, 'cards') - 1 > num(values, 'size')
      ? {
          what: `A bank of ${num(values, 'cards')} from place ${num(values, 'from')} goes beyond the face.`,
          remedy: `Let it begin at ${Math.max(1, num(values, 'size') - num(values, 'cards') + 1)} at the latest, or take fewer cards.`,
        }
      : undefined),
  chance: (values) => {
    const from = num(values, 'from');
    return Math.min(
      1,
      cutsOf(values)
        .slice(from, from + num(values, 'cards'))
        .reduce((sum, chance) => sum + chance, 0),
    );
  },
  says: (values) => {
    const from = num(values, 'from');
    return `The card they cut to is one of the bank at ${from} to ${from + num(values, 'cards') - 1}.`;
  },
  notes: (values) =>
    ([0.8, 0.95] as const).flatMap((wanted) => {
      const bank = narrowest(cutsOf(values).slice(1), 1, wanted);
      const often = wanted === 0.95 ? '19 in 20' : 'four in five';
      return bank
        ? [`For ${often} it needs ${bank.to - bank.from + 1} cards: from ${bank.from} to ${bank.to}.`]
        : [];
    }),
  trial: (values) => {
    const [chances, from, cards] = [cutsOf(values), num(values, 'from'), num(values, 'cards')];
    return (rng) => {
      const cut = drawFrom(chances, rng());
      return cut >= from && cut < from + cards;
    };
  },
  over: {
    field: 'cards',
    range: (values) => [1, Math.min(40, num(values, 'size') - num(values, 'from') + 1)],
  },
};
