import { randomInt } from '../../deck/rng';
import { num, numberField } from '../../form/fields';
import { OddsQuestion } from '../question';
import { sizeField } from './fields';

/** The places at which a card counts as near the number: first and last. */
const near = (size: number, number: number, within: number): readonly [number, number] => [
  Math.max(1, number - within),
  Math.min(size, number + within),
];

export const NEAR_NUMBER: OddsQuestion = {
  path: 'near-number',
  name: 'A named card near a named number',
  asks: 'They name a card and a number. How often does the card lie there, or nearly there, by itself?',
  takes: 'Each place is as likely for the card: the pack was shuffled, or cut anywhere.',
  source: 'Exact: the places that count, out of all.',
  fields: [
    sizeField(52),
    numberField('number', 'The number named', 'Which number was named?', { start: 17, most: 104 }),
    numberField('within', 'At most so far off', 'How far off may it be?', { start: 2, least: 0, most: 103 }),
  ],
  problem: (values) =>
    num(values, 'number') > num(values, 'size')
      ? {
          what: `${num(values, 'number')} is more than the pack has.`,
          remedy: `Take a number up to ${num(values, 'size')}.`,
        }
      : undefined,
  chance: (values) => {
    const size = num(values, 'size');
    const [first, last] = near(size, num(values, 'number'), num(values, 'within'));
    return (last - first + 1) / size;
  },
  says: (values) => {
    const [number, within] = [num(values, 'number'), num(values, 'within')];
    if (within === 0) return `The named card lies at ${number} exactly.`;
    const [first, last] = near(num(values, 'size'), number, within);
    return `The named card lies at ${number} or at most ${within} off: from ${first} to ${last}.`;
  },
  trial: (values) => {
    const size = num(values, 'size');
    const [number, within] = [num(values, 'number'), num(values, 'within')];
    return (rng) => Math.abs(1 + randomInt(rng, size) - number) <= within;
  },
  over: { field: 'within', range: (values) => [0, Math.min(26, num(values, 'size') - 1)] },
};
