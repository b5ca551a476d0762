import { shuffled } from '../../deck/rng';
import { num, numberField } from '../../form/fields';
import { choose, share } from '../counting';
import { OddsQuestion } from '../question';
import { sizeField } from './fields';

/**
 * The chance that somewhere a card of one sort lies beside a card of another. The first sort falls into i runs and
 * the second into j; none meet where all the runs stand in gaps of their own between the other cards.
 *
 * @param size cards in all. @param first, second cards of each sort, 1 or more, together no more than `size`.
 */
export const meetingChance = (size: number, first: number, second: number): number => {
  const others = size - first - second;
  let apart = 0n;
  for (let i = 1; i <= first; i++)
    for (let j = 1; j <= second; j++)
      apart +=
        choose(first - 1, i - 1) * choose(second - 1, j - 1) * choose(i + j, i) * choose(others + 1, i + j);
  const all = choose(size, first) * choose(size - first, second);
  return share(all - apart, all);
};

export const RANKS_MEET: OddsQuestion = {
  path: 'ranks-meet',
  name: 'Two named ranks side by side',
  asks: 'They name two ranks. How often does one lie beside the other somewhere in a shuffled pack?',
  takes: 'Every order of the pack is as likely. A rank has four cards; a single named card is one.',
  source: 'Exact: the runs of both ranks are counted by how they can stand apart.',
  fields: [
    sizeField(52),
    numberField('first', 'Cards of the first', 'How many cards of the first?', { start: 4, most: 13 }),
    numberField('second', 'Cards of the second', 'How many cards of the second?', { start: 4, most: 13 }),
  ],
  problem: (values) =>
    num(values, 'first') + num(values, 'second') > num(values, 'size')
      ? { what: 'There are not so many cards in the pack.', remedy: 'Take fewer of each, or a larger pack.' }
      : undefined,
  chance: (values) => meetingChance(num(values, 'size'), num(values, 'first'), num(values, 'second')),
  says: (values) =>
    `A card of the one lies beside a card of the other somewhere in a shuffled pack of ${num(values, 'size')}.`,
  trial: (values) => {
    const [size, first, second] = [num(values, 'size'), num(values, 'first'), num(values, 'second')];
    const pack = Array.from({ length: size }, (_, index) =>
      index < first ? 1 : index < first + second ? 2 : 0,
    );
    return (rng) => shuffled(pack, rng).some((sort, index, order) => sort + order[index + 1] === 3);
  },
  over: { field: 'first', range: (values) => [1, Math.min(13, num(values, 'size') - num(values, 'second'))] },
};
