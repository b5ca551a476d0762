import { shuffled } from '../../deck/rng';
import { num, numberField } from '../../form/fields';
import { adjacentKindsChance } from '../adjacentMates';
import { OddsQuestion } from '../question';

export const ADJACENT_MATES: OddsQuestion = {
  path: 'mates',
  name: 'Two mates side by side',
  asks: 'How often do two mates, or two of one rank, lie side by side in a shuffled pack?',
  takes: 'Every order of the pack is as likely. A full pack has 26 pairs of mates, or 13 ranks of four.',
  source: 'Exact, by inclusion and exclusion over the ways to glue neighbours together.',
  fields: [
    numberField('kinds', 'Pairs, or ranks', 'How many pairs, or ranks?', { start: 26, least: 2, most: 27 }),
    numberField('each', 'Cards of each', 'How many cards of each?', { start: 2, least: 2, most: 4 }),
  ],
  chance: (values) => adjacentKindsChance(num(values, 'kinds'), num(values, 'each')),
  says: (values) => {
    const [kinds, each] = [num(values, 'kinds'), num(values, 'each')];
    const what = each === 2 ? 'Two mates' : 'Two of one rank';
    return `${what} lie side by side somewhere in a shuffled pack of ${kinds * each}.`;
  },
  trial: (values) => {
    const [kinds, each] = [num(values, 'kinds'), num(values, 'each')];
    const pack = Array.from({ length: kinds * each }, (_, index) => index % kinds);
    return (rng) => shuffled(pack, rng).some((kind, index, order) => order[index + 1] === kind);
  },
  over: { field: 'kinds', range: () => [2, 27] },
};
