import { Order } from '@enumeron/core/deck';
import {
  Item,
  itemId,
  Memory,
  parseItem,
  promptOf,
  scheduleBy,
  ScheduleSettings,
  showSaid,
  truthOf,
} from '@enumeron/core/learn';
import { ItemRow } from '../../nouns/learning/items.kind';
import { makeCsv } from '../../platform/csv';
import { ReviewRow } from '../../nouns/learning/reviews.kind';

/** An order with what is needed to write its learning down. */
export interface Learnt {
  readonly name: string;
  readonly order: Order;
  readonly schedule: ScheduleSettings;
}

const iso = (at: number): string => new Date(at).toISOString();

/** What is asked by an item; nothing where the order has not got it any more. */
const askedBy = (item: Item | undefined, order: Order): string =>
  item && order.includes(item.card) ? showSaid(promptOf(item, order)) : '';

const FIELDS = [
  ...['row', 'order', 'item', 'at', 'asked', 'answered', 'right', 'ms', 'grade'],
  ...['stability', 'difficulty', 'due', 'value'],
] as const;
type Row = Partial<Record<(typeof FIELDS)[number], string | number | boolean>>;

/**
 * Answers as CSV, oldest first: with the schedule's retention and parameters, and each time that an item was begun anew,
 * in rows of their own, it is all that anyone needs to replay them with `ts-fsrs`.
 *
 * @param rows answers and resets that stand, oldest first.
 */
export const reviewsCsv = ({ name, order, schedule }: Learnt, rows: readonly ReviewRow[]): string => {
  const by = scheduleBy(schedule);
  const memories = new Map<string, Memory>();
  const given = rows.map((row): Row => {
    const base = { order: name, item: row.item, at: iso(row.at) };
    if (row.reset) {
      memories.delete(row.item);
      return { row: 'reset', ...base };
    }
    const memory = by.next(memories.get(row.item) ?? by.fresh(row.at), row.grade, row.at);
    memories.set(row.item, memory);
    return {
      ...{ row: 'answer', ...base, asked: askedBy(parseItem(row.item), order) },
      ...{ answered: row.answered, right: row.right, ms: row.ms, grade: row.grade },
      ...{ stability: memory.stability, difficulty: memory.difficulty, due: iso(memory.due) },
    };
  });
  return makeCsv(FIELDS, [
    { row: 'retention', order: name, value: schedule.retention },
    { row: 'parameters', order: name, value: schedule.weights.join(' ') },
    ...given,
  ]);
};

const ITEM_FIELDS = [
  ...['order', 'item', 'asked', 'answer', 'begun', 'due', 'stability', 'difficulty'],
  ...['state', 'answers', 'lapses'],
] as const;
const STATES = ['new', 'learning', 'held', 'learning again'] as const;

/** Items as CSV: how well each is held. */
export const itemsCsv = ({ name, order }: Learnt, rows: readonly ItemRow[]): string =>
  makeCsv(
    ITEM_FIELDS,
    rows.flatMap(({ item: id, memory, begun }) => {
      const item = parseItem(id);
      if (!item || !order.includes(item.card)) return [];
      return [
        {
          ...{ order: name, item: itemId(item), asked: askedBy(item, order) },
          ...{ answer: showSaid(truthOf(item, order)), begun: iso(begun), due: iso(memory.due) },
          ...{ stability: memory.stability, difficulty: memory.difficulty, state: STATES[memory.state] },
          ...{ answers: memory.reps, lapses: memory.lapses },
        },
      ];
    }),
  );
