import offsets from '../../test/vectors/offsets.json';
import stacks from '../../test/vectors/stacks.json';
import { Card } from '../deck/card';
import { parseCard } from '../deck/notation';
import { Order, placeOf } from '../deck/order';
import { cut } from '../moves/cut';
import { deal } from '../moves/deal';
import { applyMove } from '../moves/move';
import {
  describeCost,
  describeHandling,
  describeResult,
  describeSame,
  Handling,
  handlings,
} from './handling';
import { handSum, placeSum } from './handSum';

const card = (name: string): Card => parseCard(name) as Card;
const tidemark: Order = stacks.tidemark.map(card);
const turnedBy3 = cut(tidemark, 3);

/** Counts out as a person would, card by card, and gives the card that is turned over. */
const countOut = (pack: Order, { counting, number }: Handling): Card | undefined => {
  const rest = counting === 'from the face' ? [...pack].reverse() : [...pack];
  let turned: Card | undefined;
  for (let count = 1; count <= number; count++) turned = rest.shift();
  return counting === 'turn the next' ? rest.shift() : turned;
};

const everyCase = (size: number, check: (now: Order, wanted: Card, number: number) => void): void => {
  const now = Array.from({ length: size }, (_, index) => index);
  for (const wanted of now) for (let number = 1; number <= size; number++) check(now, wanted, number);
};

test.each([2, 13, 51, 52])('every handling of a pack of %i really turns the card up', (size) => {
  everyCase(size, (now, wanted, number) => {
    for (const handling of handlings(now, wanted, number)) {
      const after = handling.move ? applyMove(now, handling.move) : now;
      if (countOut(after, handling) !== wanted || after[size - 1] !== handling.face)
        throw new Error(`${describeHandling(handling)}, for ${wanted} at ${number}`);
    }
  });
});

test('handlings are ranked, and none but holding the number changes it', () => {
  everyCase(52, (now, wanted, number) => {
    const found = handlings(now, wanted, number);
    const costs = found.map(({ cost }) => cost);
    if (costs.some((cost, index) => index > 0 && cost < costs[index - 1])) throw new Error('not ranked');
    if (found.some((handling) => handling.way !== 'hold' && handling.number !== number))
      throw new Error(`the number changed, for ${wanted} at ${number}`);
  });
});

test('the fewest cards change ends: the count of the worked examples or its complement', () => {
  for (const row of offsets.rows) {
    const plain = handlings(cut(tidemark, row.offset), card(row.card), row.number).find(
      ({ way, counting }) => way === 'shift' && counting === 'turn the last',
    );
    expect(plain?.displaced).toBe(Math.min(row.cut, 52 - row.cut));
    expect(plain?.move?.count ?? 0).toBe(row.cut);
  }
});

test('the demonstration: K♥ at the face, 7♦ at 15', () => {
  const found = handlings(turnedBy3, card('7D'), 15);
  expect(found.map((handling) => [describeHandling(handling), describeCost(handling)])).toEqual([
    ['Move 2 cards from top to bottom', '2 cards'],
    ['Move 1 card from top to bottom, deal 15, turn the next', '1 card, other count'],
    ['Cut so that Q♣ comes to the face', 'one cut, seen'],
    ['Let them arrive at 17: count, turn the last', 'no cut'],
    ['Let them arrive at 16: deal, turn the next', 'no cut'],
    ['Let them arrive at 36: count from the face, turn the last', 'no cut'],
  ]);
  expect(describeResult(card('7D'), found[0])).toBe(
    'Then count 15, turn the last: it is 7♦. Q♣ is at the face.',
  );
});

test('a card that is there already needs nothing', () => {
  const [best] = handlings(turnedBy3, card('7D'), 17);
  expect(best).toMatchObject({ way: 'shift', displaced: 0, move: undefined });
  expect(describeHandling(best)).toBe('Leave the pack as it is');
});

test('a far card is brought by one cut before it is brought card by card', () => {
  expect(handlings(turnedBy3, card('7D'), 40)[0].way).toBe('cut');
});

test('no handling for a card or a number that the pack has not', () => {
  expect(handlings(tidemark, 53, 5)).toEqual([]);
  expect(handlings(tidemark, 5, 0)).toEqual([]);
  expect(handlings(tidemark, 5, 53)).toEqual([]);
  expect(handlings(tidemark, 5, 1.5)).toEqual([]);
});

test('the sum in the head, line by line', () => {
  expect(
    handSum(tidemark, turnedBy3, card('7D'), 15).map(({ amount, words }) => `${amount} ${words}`),
  ).toEqual([
    '20 7♦’s stack number',
    '-3 K♥ at the face',
    '17 where 7♦ lies',
    '-15 the number named',
    '2 too deep',
  ]);
});

test('every sum adds up, to the true place and to the fewest cards', () => {
  for (let offset = 0; offset < 52; offset++) {
    const now = cut(tidemark, offset);
    for (const wanted of tidemark) {
      const place = placeOf(now, wanted) as number;
      expect(placeSum(tidemark, now, wanted).at(-1)?.amount).toBe(place);
      const ends = [1, 15, 26, 40, 52].map((number) => {
        let total = 0;
        const lines = handSum(tidemark, now, wanted, number);
        for (const { amount, role } of lines) {
          if (role !== 'result') total += amount;
          else if (amount !== total) return lines;
        }
        return Math.abs(total);
      });
      expect(ends).toEqual(
        [1, 15, 26, 40, 52].map((number) => Math.min((place - number + 52) % 52, (number - place + 52) % 52)),
      );
    }
  }
});

test('a pack out of step has no sum but the place', () => {
  const now = deal(tidemark, 10);
  expect(placeSum(tidemark, now, tidemark[0])).toEqual([
    { amount: 10, role: 'start', words: 'where A♣ lies' },
  ]);
  expect(handSum(tidemark, now, 53, 4)).toEqual([]);
});

test('another way to do the same is told for a few cards from either end, and for nothing else', () => {
  const same = (card: string, number: number): string | undefined =>
    describeSame(handlings(tidemark, parseCard(card) as Card, number)[0]);
  expect(same('7D', 18)).toBe('Or put the top 2 cards on the table and drop the rest on top.');
  expect(same('7D', 21)).toBe(
    'Or leave the last 1 card on the table, put the rest down and pick those up on top.',
  );
  expect(same('7D', 20)).toBeUndefined();
  expect(same('7D', 40)).toBeUndefined();
});
