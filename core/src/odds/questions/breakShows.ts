import { countOf } from '../../deck/countOf';
import { shuffled } from '../../deck/rng';
import { Values } from '../../form/field';
import { num, numberField } from '../../form/fields';
import { choose, share } from '../counting';
import { OddsQuestion } from '../question';
import { sizeField } from './fields';

/** The chance that one of the breaks lies between two of the cards that are spread. */
const breakChance = (size: number, breaks: number, spread: number): number => {
  const all = choose(size, breaks);
  return share(all - choose(size - spread + 1, breaks), all);
};

/** How many cards must be spread for a chance. */
const spreadFor = (values: Values, wanted: number): number => {
  const [size, breaks] = [num(values, 'size'), num(values, 'breaks')];
  let spread = 1;
  while (spread < size && breakChance(size, breaks, spread) < wanted) spread++;
  return spread;
};

export const BREAK_SHOWS: OddsQuestion = {
  path: 'break-shows',
  name: 'A break that shows',
  asks: 'A row of cards in order has a break in it, and the pack was cut. How often does the break show in the first cards spread?',
  takes:
    'The order goes on round from face to top; after the cut each of its joins is as likely to be a broken one.',
  source: 'Exact: joins that are seen, out of all joins round the pack (hypergeometric).',
  fields: [
    sizeField(52),
    numberField('breaks', 'Breaks', 'How many breaks are there?', { start: 1, most: 104 }),
    numberField('spread', 'Cards spread', 'How many cards are spread?', { start: 13, most: 104 }),
  ],
  problem: (values) => {
    const size = num(values, 'size');
    return num(values, 'breaks') > size || num(values, 'spread') > size
      ? {
          what: `The pack has ${countOf(size, 'card')}.`,
          remedy: `Take ${size} breaks and cards spread at most.`,
        }
      : undefined;
  },
  chance: (values) => breakChance(num(values, 'size'), num(values, 'breaks'), num(values, 'spread')),
  says: (values) => {
    const breaks = num(values, 'breaks');
    const spread = num(values, 'spread');
    const where = spread === 1 ? 'the first card' : `the first ${spread} cards`;
    return `${breaks === 1 ? 'The break' : `At least one of ${breaks} breaks`} shows in ${where}.`;
  },
  notes: (values) => {
    const [half, most] = [spreadFor(values, 0.5), spreadFor(values, 0.95)];
    return [`It shows half the time in ${half} cards, and 19 times in 20 in ${most}.`];
  },
  trial: (values) => {
    const [size, breaks, spread] = [num(values, 'size'), num(values, 'breaks'), num(values, 'spread')];
    // The last join, from face to top, is never seen.
    const joins = Array.from({ length: size }, (_, index) => index < breaks);
    return (rng) =>
      shuffled(joins, rng)
        .slice(0, spread - 1)
        .includes(true);
  },
  over: { field: 'spread', range: (values) => [1, num(values, 'size')] },
};
