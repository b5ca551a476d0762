import fc from 'fast-check';
import { Card, cardOf, RANKS, secondOf, SUITS } from '../../deck/card';
import { numberOrder, Order } from '../../deck/order';
import { seededRng, shuffled } from '../../deck/rng';
import { DAY } from '../day';
import { DIRECTIONS, itemId, itemsOf, truthOf } from '../item';
import { showSaid } from '../said';
import { Memory, scheduleBy } from '../schedule';
import { calibration } from './calibration';
import { confusions } from './confusions';
import { Attempt, ItemPace, itemPaces } from './attempt';
import { daySpeeds, speedBins } from './speed';
import { saySlow, stageVerdict } from './verdict';
import { weakest } from './weakest';

const order = shuffled(numberOrder(), seededRng(21));
const heard = (part: Partial<Attempt>): Attempt => ({
  ...{ item: 'number 7D', at: 0, right: true, answered: '20', ms: 1000 },
  ...part,
});

test('an item’s pace is of its last five right answers; hints, interruptions and long pauses tell no time', () => {
  const paceOf = (...parts: Partial<Attempt>[]): ItemPace | undefined =>
    itemPaces(parts.map(heard)).get('number 7D');
  expect(paceOf({ ms: 900 })).toEqual({ answers: 1, median: 900, wrong: 0, fluent: true });
  expect(paceOf({ ms: 1501 })?.fluent).toBe(false);
  expect(paceOf({ right: false })).toEqual({ answers: 1, median: undefined, wrong: 1, fluent: false });
  expect(paceOf({ ms: 900 }, { right: false })?.fluent).toBe(false);
  expect(paceOf({ ms: 5000 }, ...[1, 2, 3, 4, 5].map((ms) => ({ ms: ms * 100 })))?.median).toBe(300);
  for (const part of [{ hinted: true }, { interrupted: true }, { ms: 25_000 }])
    expect(paceOf(part)?.median).toBeUndefined();
  expect(paceOf(...Array.from({ length: 30 }, (_, index) => ({ right: index > 18 })))?.wrong).toBe(0);
});

test('every right answer is in one bin, the slowest in the last; each day has its median', () => {
  fc.assert(
    fc.property(fc.array(fc.record({ ms: fc.nat(19_000), day: fc.nat(40), right: fc.boolean() })), (all) => {
      const answers = all.map(({ ms, day, right }) => heard({ ms, right, at: day * DAY + DAY / 2 }));
      const right = all.filter((each) => each.right);
      const bins = speedBins(answers);
      for (const { from, to, count } of bins)
        expect(count).toBe(right.filter(({ ms }) => ms >= from && ms < to).length);
      const days = daySpeeds(answers, 0);
      expect(days.reduce((sum, { answers: count }) => sum + count, 0)).toBe(right.length);
      for (const { day, median } of days) {
        const own = right.filter((each) => each.day === day).map(({ ms }) => ms);
        expect(own.filter((ms) => ms < median).length).toBeLessThanOrEqual(own.length / 2);
        expect(own.filter((ms) => ms > median).length).toBeLessThanOrEqual(own.length / 2);
        expect(own).toContain(median);
      }
    }),
  );
});

test('what was expected is met by what was right, within its interval, where the expectation is true', () => {
  const rng = seededRng(8);
  const answers = Array.from({ length: 5000 }, () => {
    const expected = rng();
    return heard({ expected, right: rng() < expected });
  });
  const bins = calibration([...answers, heard({ right: false })]);
  expect(bins.reduce((sum, { right }) => sum + right.tries, 0)).toBe(5000);
  expect(
    bins.filter(({ expected, right }) => right.low <= expected && expected <= right.high).length,
  ).toBeGreaterThanOrEqual(8);
  for (const { from, to, expected } of bins) {
    expect(expected).toBeGreaterThanOrEqual(from);
    expect(expected).toBeLessThanOrEqual(to);
  }
  expect(calibration([])).toHaveLength(10);
  expect(calibration([heard({ expected: 1 })])[9].right.tries).toBe(1);
});

test('a pair that is mixed up is one pair, whichever of the two was asked; copies look the same', () => {
  const full = [...order.slice(0, 20), secondOf(order[3])];
  for (const direction of DIRECTIONS) {
    const items = itemsOf(full, [direction]);
    const [a, b] = [items[5], items[9]];
    const wrong = (item: typeof a, other: typeof a): Attempt =>
      heard({ item: itemId(item), right: false, answered: showSaid(truthOf(other, full)) });
    const [first, ...more] = confusions(
      [wrong(a, b), wrong(b, a), wrong(a, b), wrong(a, items[1]), heard({ right: false, answered: '99' })],
      full,
    );
    expect([first.item, first.other, first.count]).toEqual([a, b, 3]);
    expect(more).toHaveLength(1);
  }
  // The order was edited since: what it has no longer is left out.
  expect(confusions([heard({ item: 'number KS', right: false, answered: '3' })], full.slice(0, 3))).toEqual(
    [],
  );
});

const pacesBut = (slow: readonly Card[], of: Order = order): Map<string, ItemPace> =>
  new Map(
    itemsOf(of).map((item) => [
      itemId(item),
      {
        ...{ answers: 9, wrong: 0, median: 900 },
        fluent: !(item.direction === 'number' && slow.includes(item.card)),
      },
    ]),
  );

test.each<[string, readonly Card[], 'ready' | 'nearly' | 'not yet', string]>([
  ['none', [], 'ready', '52 of 52 within 1.5 s, card to number.'],
  ['two', [order[0], order[9]], 'ready', '50 of 52'],
  ['sevens', SUITS.map((suit) => cardOf(7, suit)), 'nearly', 'sevens are slow.'],
  ['a run', order.slice(30, 36), 'nearly', 'the run 31 to 36 is slow.'],
  ['sixes', SUITS.slice(1).map((suit) => cardOf(6, suit)), 'nearly', 'sixes are slow.'],
  ['many', order.slice(0, 30), 'not yet', '22 of 52 within 1.5 s, card to number; '],
])('the verdict for %s slow', (_, slow, verdict, reason) => {
  const found = stageVerdict(order, DIRECTIONS, pacesBut(slow));
  expect(found).toMatchObject({ verdict, direction: 'number', of: 52, fluent: 52 - slow.length });
  expect(found?.reason).toContain(reason);
});

test('nothing is ready that was never asked; nothing is said where nothing is learnt', () => {
  expect(stageVerdict(order, DIRECTIONS, new Map())).toMatchObject({ verdict: 'not yet', fluent: 0 });
  expect(stageVerdict(order, [], new Map())).toBeUndefined();
  expect(stageVerdict([], DIRECTIONS, new Map())).toBeUndefined();
});

test('a card that was not asked is not called slow', () => {
  const paces = pacesBut(order.slice(30, 36));
  for (const card of order.slice(0, 20)) paces.delete(itemId({ card, direction: 'number' }));
  expect(stageVerdict(order, DIRECTIONS, paces)?.reason).toBe(
    '26 of 52 within 1.5 s, card to number; the run 31 to 36 is slow, 20 not asked lately.',
  );
  for (const card of order.slice(30, 36)) paces.delete(itemId({ card, direction: 'number' }));
  expect(stageVerdict(order, DIRECTIONS, paces)?.reason).toBe(
    '26 of 52 within 1.5 s, card to number; 26 not asked lately.',
  );
});

test('every slow card is told once: by its rank, its row, or itself', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.constantFrom(...order), { maxLength: 20 }), (slow) => {
      const sorted = order.filter((card) => slow.includes(card));
      const said = saySlow(order, sorted);
      expect(said === '').toBe(slow.length === 0);
      if (said === `${slow.length} cards`) return;
      const told = new Set<Card>();
      for (const [, from, to] of said.matchAll(/run (\d+) to (\d+)/g))
        for (const card of order.slice(Number(from) - 1, Number(to))) told.add(card);
      for (const card of told) expect(slow).toContain(card);
      for (const rank of RANKS) {
        const own = slow.filter((card) => (card % 13) + 1 === rank);
        if (own.length >= 3) own.forEach((card) => told.add(card));
      }
      const rest = sorted.filter((card) => !told.has(card));
      if (rest.length > 3) expect(said).toContain(`${rest.length} single cards`);
    }),
  );
});

test('the weakest are the slow, the wrong and the faded, of those that were begun', () => {
  const schedule = scheduleBy();
  const now = 100 * DAY;
  const fresh = schedule.next(schedule.fresh(now - DAY), 4, now - DAY);
  const faded: Memory = { ...fresh, last: now - 90 * DAY, stability: 3 };
  const items = itemsOf(order, ['number']);
  const memories = new Map(
    items.slice(0, 40).map((item, index) => [itemId(item), index === 7 ? faded : fresh]),
  );
  const paces = new Map<string, ItemPace>(
    items.map((item, index) => [
      itemId(item),
      {
        ...{ answers: 9, fluent: true, median: index === 3 ? 5900 : 900 },
        wrong: index === 5 ? 8 : 0,
      },
    ]),
  );
  const found = weakest(items, paces, { memories, schedule, now }, 3);
  expect(new Set(found)).toEqual(new Set([items[3], items[5], items[7]]));
  expect(weakest(items, paces, { memories, schedule, now })).toHaveLength(10);
  expect(weakest(items, paces, { memories: new Map(), schedule, now })).toEqual([]);
});
