import { applyMove } from '../moves/move';
import { numberOrder } from '../deck/order';
import { checking, sayChecking } from './checking';

/** Each pack that a fault makes of one, handled card by card. */
const faulty = (now: readonly number[]): Readonly<Record<string, readonly (readonly number[])[]>> => {
  const size = now.length;
  const places = [...now.keys()];
  const both = places.flatMap((from) => places.flatMap((to) => (to > from ? [[from, to]] : [])));
  const moved = places.flatMap((from) =>
    places.flatMap((to) => {
      const others = now.filter((_, at) => at !== from);
      return to === from ? [] : [[...others.slice(0, to), now[from], ...others.slice(to)]];
    }),
  );
  return {
    cut: places.slice(1).map((count) => applyMove([...now], { kind: 'cut', count })),
    'card moved': [...new Map(moved.map((each) => [each.join(), each])).values()],
    'two exchanged': both.map(([one, other]) =>
      now.map((card, at) => (at === one ? now[other] : at === other ? now[one] : card)),
    ),
    'packet reversed': both.map(([from, to]) => [
      ...now.slice(0, from),
      ...now.slice(from, to + 1).reverse(),
      ...now.slice(to + 1, size),
    ]),
  };
};

test.each([2, 5, 8, 13])(
  'what a few glimpses do not show, in a pack of %s, counted over every fault',
  (size) => {
    const now = numberOrder().slice(0, size);
    for (const count of [1, 2, 3]) {
      const found = checking(now, count);
      expect(found.checks).toHaveLength(Math.min(count, size));
      for (const { place, card } of found.checks) expect(now[place - 1]).toBe(card);
      for (const [fault, packs] of Object.entries(faulty(now))) {
        const unseen = packs.filter((pack) =>
          found.checks.every(({ place, card }) => pack[place - 1] === card),
        );
        expect([size, count, fault, found.open[fault as 'cut']]).toEqual([
          ...[size, count, fault],
          { ways: packs.length, unseen: unseen.length },
        ]);
      }
    }
  },
);

test('says what is ruled out, and how often the rest would pass', () => {
  const found = checking(numberOrder(), 3);
  expect(sayChecking(found)).toMatch(
    /^They rule out a cut\. They do not rule out a card that was moved \(\d+ in 100 pass\), two cards exchanged \(\d+ in 100 pass\), a packet reversed \(\d+ in 100 pass\)\.$/,
  );
  expect(sayChecking(checking(numberOrder().slice(0, 2), 2))).toBe(
    'They rule out a cut, a card that was moved, two cards exchanged, a packet reversed.',
  );
});
