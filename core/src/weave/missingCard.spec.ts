import { mateOf } from '../deck/card';
import { numberOrder, Order } from '../deck/order';
import { seededRng, shuffled } from '../deck/rng';
import { Move } from '../moves/move';
import { parseMovesText } from '../moves/moveText';
import { weave } from '../moves/weave';
import { invariants } from './invariants';
import { distancesAfter, namedByBreak, withExtraCard, withoutCard, withStandIn } from './missingCard';
import { wayPoints } from './wayPoints';

const home = shuffled(numberOrder(), seededRng(8));
const weaves = (text: string): readonly Move[] => parseMovesText(text, home).moves;

describe.each(['', 'out', 'in, out', 'in, in, cut 9, out'])('after “%s”', (text) => {
  const row = weaves(text);

  test('whichever card is missing, the break names it, at the distance that all neighbours have', () => {
    const apart = distancesAfter(51, row);
    // Weaves of an odd pack double every distance.
    const count = row.filter(({ kind }) => kind === 'weave').length;
    expect(new Set(apart)).toEqual(new Set([2 ** count % 51]));
    for (const card of home) {
      const found = withoutCard(home, card, row);
      if (!found) throw new Error('the card is in the pack');
      expect(found.order).toHaveLength(51);
      expect(namedByBreak(home, found.break.before, found.break.after)).toBe(card);
      expect((found.break.afterAt - found.break.beforeAt + 51) % 51).toBe(apart[0]);
      expect(found.order[found.break.beforeAt - 1]).toBe(found.break.before);
    }
  });

  test('a joker in its place leaves every other card where it would lie', () => {
    for (const card of home.slice(0, 9)) {
      const found = withStandIn(home, card, 52, row);
      expect([found?.elsewhere, found?.order.length, found?.order.includes(52)]).toEqual([0, 52, true]);
    }
  });

  test('a card too many breaks the sequence where it was put', () => {
    for (const behind of [0, 1, 26, 51, 52]) {
      const found = withExtraCard(home, 52, behind, row);
      expect(found?.order).toHaveLength(53);
      const { before, after } = found?.break ?? { before: -1, after: -1 };
      expect(home[(home.indexOf(before) + 1) % 52]).toBe(after);
    }
  });
});

test('what is no break, no card of the pack, or a pack too small', () => {
  expect(namedByBreak(home, home[3], home[4])).toBeUndefined();
  expect(namedByBreak(home, 60, home[4])).toBeUndefined();
  expect(withoutCard(home, 60, [])).toBeUndefined();
  expect(withoutCard(home.slice(0, 2), home[0], [])).toBeUndefined();
  expect(withStandIn(home, home[0], home[1], [])).toBeUndefined();
  expect(withExtraCard(home, home[0], 3, [])).toBeUndefined();
});

test('what a narrator can point at', () => {
  const sorted = numberOrder();
  const mated: Order = Array.from({ length: 26 }, (_, index) => [index, mateOf(index)]).flat();
  expect(wayPoints(sorted, sorted)).toEqual(['in sequence', 'suits apart', 'colours apart']);
  expect(wayPoints([...sorted.slice(5), ...sorted.slice(0, 5)], sorted)).toEqual([
    'in sequence, cut at 5',
    'suits apart',
    'colours apart',
  ]);
  // Clubs, diamonds, spades, hearts: red and black in turn.
  const striped = [...sorted.slice(0, 26), ...sorted.slice(39), ...sorted.slice(26, 39)];
  expect(wayPoints(striped, sorted)).toEqual(['suits apart']);
  // Clubs, hearts, diamonds … : red beside red.
  const apart = [...sorted.slice(0, 13), ...sorted.slice(39), ...sorted.slice(13, 39)];
  expect(wayPoints(apart, sorted)).toEqual(['suits apart', 'colours apart']);
  expect(wayPoints(weave(apart, 'out'), sorted)).toContain('colours in turn');
  expect(wayPoints(mated, sorted)).toContain('mates side by side');
  expect(wayPoints([...mated.slice(1), mated[0]], sorted)).toContain('mates side by side');
  expect(wayPoints(home, sorted)).toEqual([]);
});

test('properties that live through a weave are those that the woven order has', () => {
  const halves = [
    ...home.filter((card) => card < 26),
    ...home
      .filter((card) => card < 26)
      .map(mateOf)
      .reverse(),
  ];
  const living = invariants(halves);
  expect(living).toMatchObject([{ property: { id: 'palindrome' }, through: { in: true, out: true } }]);
  // A sequence does not.
  const [first] = invariants(numberOrder()).filter(({ through }) => !through.in);
  expect(first.property.holds).toBe(true);
});
