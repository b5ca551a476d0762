import { Card, cardAt, mateOf, placeOf, Rng, seededRng } from '@enumeron/core/deck';
import {
  DAY,
  dayStart,
  drawSum,
  gradeOf,
  Item,
  itemId,
  itemsOf,
  kindsFor,
  Level,
  Memory,
  scheduleBy,
  showSaid,
  truthOf,
} from '@enumeron/core/learn';
import { imageOf, ImageRow } from './images.kind';
import { itemKey, ItemRow } from './items.kind';
import { ReviewRow } from './reviews.kind';
import { RunRow } from './runs.kind';
import { SumRow } from './sums.kind';
import { TIDEMARK } from '../orders/tidemark';

/** Three weeks at the Salt Room: Tidemark learnt five cards a day, of evenings before the late set. */
const [WEEKS_DAYS, CARDS, CARDS_A_DAY] = [21, 39, 3];
const [EVENING, MINUTE] = [16 * 3_600_000, 60_000];
const SUMS_DONE = 160;

const order = TIDEMARK.cards;
const schedule = scheduleBy();

export interface SampleRows {
  readonly items: readonly ItemRow[];
  readonly reviews: readonly ReviewRow[];
  readonly sums: readonly SumRow[];
  readonly runs: readonly RunRow[];
  readonly images: readonly ImageRow[];
}

/** Sevens stay slow, and so do a few cards in a row. */
const isSlow = (card: Card): boolean =>
  card % 13 === 6 || [30, 31, 32, 33, 34, 35].includes(placeOf(order, card) ?? 0);

/** What is answered by mistake: the mate's, or the neighbour's. */
const mistake = (item: Item, rng: Rng): string => {
  const place = placeOf(order, item.card) ?? 1;
  const other = rng() < 0.5 ? mateOf(item.card) : (cardAt(order, place + 1) ?? order[0]);
  return showSaid(truthOf({ ...item, card: other }, order));
};

/** All answers to one item, evening by evening, up to yesterday. */
const practised = (
  item: Item,
  day: number,
  today: number,
  rng: Rng,
): { item: ItemRow; reviews: ReviewRow[] } => {
  const id = itemId(item);
  const reviews: ReviewRow[] = [];
  let memory: Memory | undefined;
  let at = today - (WEEKS_DAYS - day) * DAY + EVENING + Math.floor(rng() * 9) * MINUTE;
  const begun = at;
  while (at < today) {
    const right = rng() < (memory?.state === 2 ? schedule.recall(memory, at) + 0.03 : 0.82);
    const reps = memory?.reps ?? 0;
    const pace = (650 + 2600 * Math.exp(-reps / 3)) * (isSlow(item.card) ? 2.1 : 1);
    const ms = Math.round(pace * (item.direction === 'before' ? 1.25 : 1) * (0.7 + 0.7 * rng()));
    const grade = gradeOf({ right, ms, first: reps === 0 });
    reviews.push({
      ...{
        id: `sample-${id.replace(' ', '-')}-${reviews.length}`,
        order: TIDEMARK.id,
        item: id,
        at,
        right,
        ms,
      },
      answered: right ? showSaid(truthOf(item, order)) : mistake(item, rng),
      ...(memory ? { grade, before: memory } : { grade }),
      sample: true,
    });
    memory = schedule.next(memory ?? schedule.fresh(at), grade, at);
    const evening = dayStart(memory.due, 0) + EVENING + Math.floor(rng() * 9) * MINUTE;
    at = memory.state === 2 ? Math.max(evening, memory.due) : Math.max(at + 4 * MINUTE, memory.due);
  }
  const row: ItemRow = {
    ...{ id: itemKey(TIDEMARK.id, id), order: TIDEMARK.id, item: id, begun, sample: true },
    memory: memory ?? schedule.fresh(at),
    truth: showSaid(truthOf(item, order)),
  };
  return { item: row, reviews };
};

const sumsDone = (today: number, rng: Rng): SumRow[] => {
  const pack = { home: order };
  const kinds = kindsFor(pack).slice(0, 9);
  return Array.from({ length: SUMS_DONE }, (_, index): SumRow[] => {
    const level = Math.min(2, Math.floor(rng() * (1 + index / 60))) as Level;
    const drawn = drawSum(kinds[index % kinds.length], pack, level, rng);
    if (!drawn) return [];
    const { kind, inputs, sum } = drawn;
    const right = rng() < 0.93 - 0.06 * drawn.level;
    const ms = Math.round((1700 + 900 * drawn.level + 160 * (index % 9)) * (0.7 + 0.6 * rng()));
    const at = today - Math.ceil((SUMS_DONE - index) / 16) * DAY + EVENING + (index % 16) * 6000;
    return [
      {
        ...{ id: `sample-sum-${index}`, order: TIDEMARK.id, kind: kind.name, inputs, level: drawn.level, at },
        ...{ asked: sum.shown, truth: showSaid(sum.truth), answered: right ? showSaid(sum.truth) : '1' },
        ...{ right, ms, sample: true as const },
      },
    ];
  }).flat();
};

const runsDone = (today: number): RunRow[] =>
  [9, 5, 2].map((days, index) => ({
    ...{ id: `sample-run-${index}`, order: TIDEMARK.id, at: today - days * DAY + EVENING + 12 * MINUTE },
    ...{ way: 'forwards', from: 1, wrong: [[20, 31, 33], [31], []][index], sample: true },
    splits: order.map((_, card) =>
      Math.round([2600, 2100, 1750][index] * (card + 1 + 0.4 * Math.sin(2.1 * card) + (card > 30 ? 2 : 0))),
    ),
  }));

const IMAGES_MADE: readonly (readonly ['card' | 'number', string, string])[] = [
  ['card', '7D', 'a lifebuoy'],
  ['card', 'KH', 'the harbour master'],
  ['card', '9D', 'a tin of sardines'],
  ['card', '2S', 'two crossed oars'],
  ['number', '20', 'a swan on the quay'],
  ['number', '33', 'the ferry bell'],
  ['number', '3', 'a gull'],
];

/**
 * The rows of the sample, made item by item: between two the page may see to something else.
 *
 * @param now milliseconds since 1970. @param offset minutes ahead of UTC.
 */
export function* sampleRows(now: number, offset: number): Generator<undefined, SampleRows> {
  const rng = seededRng(19);
  const today = dayStart(now, offset);
  const items = itemsOf(order.slice(0, CARDS)).map((item) => ({
    ...item,
    day: Math.min(WEEKS_DAYS - 2, Math.floor(((placeOf(order, item.card) ?? 1) - 1) / CARDS_A_DAY)),
  }));
  const all: ReturnType<typeof practised>[] = [];
  for (const { direction, card, day } of items) {
    all.push(practised({ direction, card }, day, today, rng));
    yield;
  }
  const begun = all.filter(({ reviews }) => reviews.length > 0);
  return {
    items: begun.map(({ item }) => item),
    reviews: begun.flatMap(({ reviews }) => reviews),
    sums: sumsDone(today, rng),
    runs: runsDone(today),
    images: IMAGES_MADE.map(([of, name, words]) => ({ id: imageOf(of, name), words, sample: true })),
  };
}
