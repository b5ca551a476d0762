import { Card } from '../deck/card';
import { numberOrder } from '../deck/order';
import { seededRng, shuffled } from '../deck/rng';
import { blocksOf, parseEnds } from './blocks';
import { confusable } from './confusable';
import { DAY, dayStart } from './day';
import { Grade } from './grade';
import { itemId, itemsOf } from './item';
import { dueItems, freshItems, Memories, newItems, nextItem, openBlocks, Plan, Standing } from './plan';
import { Memory, SCHEDULE, scheduleBy } from './schedule';

const order = shuffled(numberOrder(), seededRng(21));
const schedule = scheduleBy({ ...SCHEDULE, retention: 0.9 });
const plan: Plan = {
  order,
  items: itemsOf(order),
  blocks: blocksOf(order, { kind: 'own' }),
  schedule,
  newCards: 5,
};
const START = Date.UTC(2026, 5, 1, 9);

/** A learner who answers by chance: what was asked, day by day, at six seconds an answer. */
const practise = (
  days: number,
  minutes: number,
  right: number,
  from: { memories?: Map<string, Memory>; start?: number } = {},
): { memories: Map<string, Memory>; asked: Standing['asked']; perDay: number[]; begun: Set<Card>[] } => {
  const rng = seededRng(3);
  const memories = from.memories ?? new Map<string, Memory>();
  const all: Standing['asked'][number][] = [];
  const perDay: number[] = [];
  const begun: Set<Card>[] = [];
  for (let day = 0; day < days; day++) {
    let now = (from.start ?? START) + day * DAY;
    const [dayEnds, stop] = [dayStart(now, 0) + DAY, now + minutes * 60_000];
    const begunToday = new Set<Card>();
    let count = 0;
    for (; now < stop; now += 6000) {
      const asked = [...all].reverse().slice(0, 20);
      const next = nextItem(plan, memories, { now, dayEnds, begunToday, asked });
      if (!next) break;
      const id = itemId(next.item);
      const isNew = !memories.has(id);
      if (isNew && !plan.items.some((item) => item.card === next.item.card && memories.has(itemId(item))))
        begunToday.add(next.item.card);
      all.push({ item: next.item, at: now, isNew });
      const grade: Grade = rng() < right ? 3 : 1;
      memories.set(id, schedule.next(memories.get(id) ?? schedule.fresh(now), grade, now));
      count++;
    }
    perDay.push(count);
    begun.push(begunToday);
  }
  return { memories, asked: all, perDay, begun };
};

test('blocks are the whole order, each card once, by size or as the order was made', () => {
  for (const size of [1, 10, 13, 26, 60])
    expect(blocksOf(order, { kind: 'size', size }).flat()).toEqual(order);
  expect(blocksOf(order, { kind: 'size', size: 10 }).map(({ length }) => length)).toEqual([
    10, 10, 10, 10, 10, 2,
  ]);
  expect(blocksOf(order, { kind: 'own' })).toHaveLength(4);
  for (const [ends, sizes] of [
    [
      [10, 20, 35],
      [10, 10, 15, 17],
    ],
    [[52], [52]],
    [
      [5, 90],
      [5, 47],
    ],
  ]) {
    const own = blocksOf(order, { kind: 'ends', ends });
    expect(own.flat()).toEqual(order);
    expect(own.map(({ length }) => length)).toEqual(sizes);
  }
  expect(parseEnds(' 10, 20;35 ')).toEqual([10, 20, 35]);
  for (const wrong of ['', '0 5', '5 5', '9 3', 'a', '1.5', '-3']) expect(parseEnds(wrong)).toBeUndefined();
  const half = blocksOf(order, { kind: 'own' }, { kind: 'rule', rule: { kind: 'palindrome', half: [] } });
  expect(half.map(({ length }) => length)).toEqual([26, 26]);
  const bank = { cards: order.slice(20, 30), places: [] };
  const banked = blocksOf(order, { kind: 'own' }, { kind: 'bank', bank });
  expect(banked[0]).toEqual(bank.cards);
  expect([...banked.flat()].sort((a, b) => a - b)).toEqual(numberOrder());
});

test('a day begins no more new cards than it may, and never two at once that are easily confused', () => {
  const { asked, begun } = practise(4, 10, 0.95);
  for (const cards of begun) expect(cards.size).toBeLessThanOrEqual(5);
  const fresh = asked.filter(({ isNew }) => isNew);
  expect(fresh.length).toBeGreaterThan(40);
  for (const [index, { item, at }] of fresh.entries())
    for (const later of fresh.slice(index + 1))
      if (later.at - at < 60_000) expect(confusable(item.card, later.item.card, order)).toBe(false);
});

test('the next block is begun when four fifths of the one before are held, and not before', () => {
  const held: Memory = { ...schedule.fresh(START), state: 2 };
  const first = plan.items.filter(({ card }) => plan.blocks[0].includes(card)).map(itemId);
  const upTo = (count: number): Memories => new Map(first.slice(0, count).map((id) => [id, held]));
  for (let count = 0; count <= first.length; count++)
    expect(openBlocks(plan, upTo(count))).toBe(count >= 0.8 * first.length ? 2 : 1);
  const standing: Standing = { now: START, dayEnds: START + DAY, begunToday: new Set(), asked: [] };
  for (const { card } of newItems(plan, upTo(10), standing)) expect(plan.blocks[0]).toContain(card);
  expect(openBlocks(plan, new Map(plan.items.map((item) => [itemId(item), held])))).toBe(4);
});

test('a day begins what begun cards lack, and whole cards as far as it has them left', () => {
  const held = schedule.next(schedule.fresh(START), 4, START);
  expect(held.state).toBe(2);
  const [first, second] = plan.blocks[0];
  const begun = plan.items.filter(({ card }) => card === first).slice(0, 3);
  const memories: Memories = new Map(begun.map((item) => [itemId(item), held]));
  const cardsOf = (left: number): number[] => freshItems(plan, memories, left).map(({ card }) => card);
  // What the begun card lacks is there although the day has no card left.
  expect(cardsOf(0)).toEqual([first]);
  expect(cardsOf(1)).toEqual([first, second, second, second, second]);
  expect(cardsOf(99)).toHaveLength(1 + 4 * 12);
  const standing: Standing = {
    ...{ now: START, dayEnds: START + DAY, asked: [] },
    begunToday: new Set(plan.blocks[0].slice(0, 5)),
  };
  expect(newItems(plan, memories, standing).map(({ card }) => card)).toEqual([first]);
  expect(nextItem(plan, memories, standing)).toMatchObject({ why: 'new', item: { card: first } });
});

test('a card does not come again among two others while there are others, and a wrong answer comes back the same day', () => {
  const { asked } = practise(3, 10, 0.7);
  const again = asked.filter(({ item }, index) =>
    asked.slice(Math.max(0, index - 2), index).some((each) => each.item.card === item.card),
  );
  expect(again.length / asked.length).toBeLessThan(0.05);
  expect(asked.length).toBeGreaterThan(200);
});

test('after weeks away the weakest come first, and a day asks for no more than its minutes', () => {
  const { memories } = practise(20, 20, 0.9);
  const back = START + 50 * DAY;
  const due = dueItems(plan, memories, back, dayStart(back, 0) + DAY - 1);
  expect(due.length).toBeGreaterThan(100);
  const recalls = due.map((item) => schedule.recall(memories.get(itemId(item)) as Memory, back));
  expect(recalls).toEqual([...recalls].sort((a, b) => a - b));
  const { perDay, asked } = practise(1, 5, 0.9, { memories, start: back });
  expect(perDay[0]).toBeLessThanOrEqual(50);
  expect(due.slice(0, 5)).toContainEqual(asked[0].item);
});

test('nothing is asked where nothing is to be learnt', () => {
  const standing: Standing = { now: START, dayEnds: START + DAY, begunToday: new Set(), asked: [] };
  expect(nextItem({ ...plan, items: [] }, new Map(), standing)).toBeUndefined();
  expect(nextItem({ ...plan, newCards: 0 }, new Map(), standing)).toBeUndefined();
  // The only card comes again: there is no other.
  const alone: Plan = { ...plan, order: [5], items: itemsOf([5]), blocks: [[5]] };
  const first = nextItem(alone, new Map(), standing);
  expect(first?.item.card).toBe(5);
  const asked = first ? [{ item: first.item, at: START, isNew: true }] : [];
  expect(nextItem(alone, new Map(), { ...standing, asked })?.item.card).toBe(5);
});
