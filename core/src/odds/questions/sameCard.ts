import { sayTimesIn100 } from '../sayShare';
import { Rng } from '../../deck/rng';
import { Values } from '../../form/field';
import { num, numberField } from '../../form/fields';
import { choose } from '../counting';
import { OddsQuestion } from '../question';
import { sizeField } from './fields';

/** The chance of one favourite, and of one of the other cards. */
const habit = (values: Values): { readonly favourite: number; readonly other: number } => {
  const [size, favourites, often] = [
    num(values, 'size'),
    num(values, 'favourites'),
    num(values, 'often') / 100,
  ];
  return { favourite: often / favourites, other: (1 - often) / (size - favourites) };
};

const named = (values: Values, rng: Rng): number => {
  const [size, favourites] = [num(values, 'size'), num(values, 'favourites')];
  return rng() < num(values, 'often') / 100
    ? Math.floor(rng() * favourites)
    : favourites + Math.floor(rng() * (size - favourites));
};

export const SAME_CARD: OddsQuestion = {
  path: 'same-card',
  name: 'The same card named twice',
  asks: 'People name cards from a pack in their heads. How often do two of them name the same one?',
  takes:
    'A few favourites are named so often in all, each as likely, and the others share the rest. Nobody hears the others.',
  source:
    'Exact: all differ with the chance of so many different cards in any order, by how many are favourites.',
  fields: [
    sizeField(52),
    numberField('people', 'People', 'How many people?', { start: 2, least: 2, most: 12 }),
    numberField('favourites', 'Favourites', 'How many cards are favourites?', { start: 4, most: 103 }),
    numberField('often', 'A favourite is named, times in 100', 'How often is a favourite named, in 100?', {
      ...{ start: 40, least: 0, most: 100 },
    }),
  ],
  problem: (values) =>
    num(values, 'favourites') >= num(values, 'size')
      ? {
          what: 'There are as many favourites as cards.',
          remedy: `Take 1 to ${num(values, 'size') - 1} favourites.`,
        }
      : undefined,
  chance: (values) => {
    const [size, people, favourites] = [
      num(values, 'size'),
      num(values, 'people'),
      num(values, 'favourites'),
    ];
    const { favourite, other } = habit(values);
    let orders = 1;
    for (let person = 2; person <= people; person++) orders *= person;
    let differ = 0;
    for (let among = 0; among <= people; among++)
      differ +=
        Number(choose(favourites, among)) *
        favourite ** among *
        Number(choose(size - favourites, people - among)) *
        other ** (people - among);
    return Math.min(1, Math.max(0, 1 - orders * differ));
  },
  says: (values) => {
    const people = num(values, 'people');
    return people === 2
      ? 'Two people name the same card.'
      : `Of ${people} people at least two name the same card.`;
  },
  notes: (values) => {
    const { favourite } = habit(values);
    return [
      `One named favourite comes up ${sayTimesIn100(favourite)}; without habits any card would ${sayTimesIn100(1 / num(values, 'size'))}.`,
    ];
  },
  trial: (values) => (rng) => {
    const cards = Array.from({ length: num(values, 'people') }, () => named(values, rng));
    return new Set(cards).size < cards.length;
  },
  over: { field: 'often', range: () => [0, 100] },
};
