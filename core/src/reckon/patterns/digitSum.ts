import { Rank, rankOf } from '../../deck/card';
import { showCard, showRank } from '../../deck/notation';
import { cardAt, Order } from '../../deck/order';
import { countOfCards } from '../../moves/wording';
import { add, result, start, SumLine } from '../handSum';
import { Reckoned, reckoned, unreckoned } from '../reckoning';
import { num, setupField } from '../../form/fields';
import { Pattern } from './pattern';

export const digitSum = (count: number): number =>
  [...String(count)].reduce((sum, digit) => sum + Number(digit), 0);

/**
 * So many cards are counted singly, which reverses them, and then the count's digit sum is counted down from
 * the top of them: the place in the pack on which that ends. 10 for every count from 10 to 19, 19 for 20 to 29.
 *
 * @param count 1 to N.
 */
export const digitSumPlace = (count: number): number => count + 1 - digitSum(count);

/** The most cards that can be cut so that the ranks of the next two are seen. */
export const mostCut = (now: Order): number => now.length - 2;

/** The counts, without a gap, that end on the same place as this one. */
const sameDecade = (count: number): string => {
  const tens = Math.floor(count / 10) * 10;
  return tens === 0 ? '1 to 9' : `${tens} to ${tens + 9}`;
};

/** How many cards were cut where these ranks come next, as a sum. */
export const ranksSum = (first: Rank, second: Rank): readonly SumLine[] => [
  start(first, `the next, ${showRank(first)}`),
  add(second, `and ${showRank(second)}`),
  result(first + second, 'cards cut'),
];

/** How the prepared card is still reached from a packet that its digit sum does not lead to it. */
const outsFor = (
  count: number,
  prepared: number,
): { readonly does: string; readonly notes: readonly string[] } =>
  prepared > count
    ? {
        does: `count ${prepared - count} of the rest and turn the last`,
        notes: [`The card prepared at ${prepared} is not among their ${countOfCards(count)}.`],
      }
    : {
        does: `have them count ${prepared} only and turn the last`,
        notes: [
          `If they have counted all ${count}, it lies at ${count + 1 - prepared} from the top of what they counted.`,
        ],
      };

/**
 * The next two cards' ranks at a cut add up to the number cut; counting those cards out and then the number's
 * digit sum ends on one place for the whole decade.
 *
 * @param prepared the place (from 1) at which a card has been prepared for it.
 */
export const reckonNextRanks = (now: Order, first: Rank, second: Rank, prepared: number): Reckoned => {
  const count = first + second;
  if (count > mostCut(now))
    return unreckoned(
      `${showRank(first)} and ${showRank(second)} add up to ${count}, more than can be cut from ${now.length}.`,
      'Look at the ranks again.',
    );
  if (prepared < 1 || prepared > now.length)
    return unreckoned(`No card lies at ${prepared}.`, `Prepare a place from 1 to ${now.length}.`);
  const place = digitSumPlace(count);
  const holds = rankOf(now[count]) === first && rankOf(now[count + 1]) === second;
  const card = cardAt(now, place);
  const right = place === prepared;
  const out = outsFor(count, prepared);
  return reckoned({
    answer: right
      ? `They hold ${count}: counting ${[...String(count)].join(' + ')} ends on ${card === undefined ? 'it' : showCard(card)}`
      : `They hold ${count}, which ends at ${place}, not at ${prepared}: ${out.does}`,
    notes: [
      holds
        ? `In this pack ${showRank(first)} and ${showRank(second)} do come next after ${count}.`
        : `In this pack as it lies they do not come next after ${count}: check the bank.`,
      `Every count from ${sameDecade(count)} ends at ${place}.`,
      ...(right ? [] : out.notes),
    ],
    known: [
      { words: 'Packet', value: count },
      { words: 'Digit sum', value: digitSum(count) },
      { words: 'Ends at', value: place },
      ...(card === undefined ? [] : [{ words: 'There lies', card }]),
    ],
    sum: [
      ...ranksSum(first, second),
      add(1, 'counted back'),
      add(-digitSum(count), 'its digit sum'),
      result(place, 'where it ends'),
    ],
    marks: [
      { place, mark: 'wanted' },
      { place: count + 1, mark: 'seen' },
      { place: count + 2, mark: 'seen' },
    ],
  });
};

/** How it is asked. */
export const NEXT_RANKS: Pattern = {
  path: 'next-ranks',
  lead: 'The ranks of the next two cards at a cut add up to the cards in the packet.',
  fields: [
    { name: 'first', label: 'The next rank', asks: 'What is the next rank?', kind: 'rank' },
    { name: 'second', label: 'And the one after', asks: 'What is the rank after it?', kind: 'rank' },
    setupField('prepared', 'Prepared place', 10),
  ],
  example: () => ({ first: 4, second: 9 }),
  reckon: (values, { now }) =>
    reckonNextRanks(
      now,
      num(values, 'first') as Rank,
      num(values, 'second') as Rank,
      num(values, 'prepared'),
    ),
};
