import { Card } from '../deck/card';
import { Order } from '../deck/order';
import { confusable } from './confusable';
import { HOUR } from './day';
import { Item, itemId } from './item';
import { Memory, Schedule } from './schedule';

/** What is known of an order's items, by `itemId`; one that is not there was never answered. */
export type Memories = ReadonlyMap<string, Memory>;

/** What a practice is planned by. */
export interface Plan {
  readonly order: Order;
  /** Every item that is to be learnt. */
  readonly items: readonly Item[];
  readonly blocks: readonly (readonly Card[])[];
  readonly schedule: Schedule;
  /** How many cards may be begun on one day. */
  readonly newCards: number;
}

/** Where a practice stands. */
export interface Standing {
  readonly now: number;
  readonly dayEnds: number;
  /** Cards that were begun on this day. */
  readonly begunToday: ReadonlySet<Card>;
  /** What was asked last, the newest first. */
  readonly asked: readonly { readonly item: Item; readonly at: number; readonly isNew: boolean }[];
}

/** So much of a block must be held before the next one is begun. */
const HELD_BEFORE_NEXT = 0.8;

/** Two cards that are easily confused are not begun within this time, in milliseconds. */
const APART = 60_000;

/** An item that is being learnt may come this much early when nothing else is to be asked. */
const EARLY = HOUR / 3;

/** A card does not come again among so many others, where there are others. */
const GAP = 2;

/** Whether an item is held: its next question is counted in days. */
export const isHeld = (memory: Memory | undefined): boolean => memory?.state === 2;

/** How many blocks are begun: the first, and each whose blocks before are held as far as they must be. */
export const openBlocks = ({ blocks, items }: Pick<Plan, 'blocks' | 'items'>, memories: Memories): number => {
  for (const [index, block] of blocks.entries()) {
    const cards = new Set(block);
    const own = items.filter(({ card }) => cards.has(card));
    const held = own.filter((item) => isHeld(memories.get(itemId(item)))).length;
    if (held < HELD_BEFORE_NEXT * own.length) return index + 1;
  }
  return blocks.length;
};

/** Items that were begun and are due by a moment, the weakest first: those that are least likely to be recalled. */
export const dueItems = (
  { items, schedule }: Pick<Plan, 'items' | 'schedule'>,
  memories: Memories,
  now: number,
  until: number,
): readonly Item[] =>
  items
    .flatMap((item) => {
      const memory = memories.get(itemId(item));
      return memory && memory.state !== 0 && memory.due <= until
        ? [{ item, recall: schedule.recall(memory, now) }]
        : [];
    })
    .sort((a, b) => a.recall - b.recall)
    .map(({ item }) => item);

/** Items of open blocks that were not begun, and the cards of which some were. */
const notBegun = (plan: Plan, memories: Memories): { items: readonly Item[]; known: ReadonlySet<Card> } => {
  const open = new Set(plan.blocks.slice(0, openBlocks(plan, memories)).flat());
  return {
    items: plan.items.filter((item) => open.has(item.card) && !memories.has(itemId(item))),
    known: new Set(plan.items.filter((item) => memories.has(itemId(item))).map(({ card }) => card)),
  };
};

/** What may be begun on a day that has so many new cards left: what begun cards lack, and all items of those. */
export const freshItems = (plan: Plan, memories: Memories, cardsLeft: number): readonly Item[] => {
  const { items, known } = notBegun(plan, memories);
  const cards = new Set<Card>();
  return items.filter(({ card }) => {
    if (known.has(card)) return true;
    if (cards.size < cardsLeft) cards.add(card);
    return cards.has(card);
  });
};

/** Items that can be begun now: of open blocks, as many cards as the day has left, direction by direction. */
export const newItems = (plan: Plan, memories: Memories, standing: Standing): readonly Item[] => {
  const { asked, begunToday, now } = standing;
  const { items, known } = notBegun(plan, memories);
  const lately = asked.filter(({ isNew, at }) => isNew && now - at < APART).map(({ item }) => item.card);
  return items.filter(
    ({ card }) =>
      (known.has(card) || begunToday.size < plan.newCards) &&
      !lately.some((other) => confusable(other, card, plan.order)),
  );
};

/** What is asked next. */
export interface Next {
  readonly item: Item;
  readonly why: 'learning' | 'due' | 'new' | 'early';
}

/**
 * The item that a practice asks next: one that is being learnt and is due, then the weakest that is due today, then a
 * new one, then one that is being learnt and comes a little early.
 *
 * @returns undefined when there is nothing to ask for now.
 */
export const nextItem = (plan: Plan, memories: Memories, standing: Standing): Next | undefined => {
  const { now, dayEnds } = standing;
  const learning = plan.items
    .flatMap((item) => {
      const memory = memories.get(itemId(item));
      return memory && (memory.state === 1 || memory.state === 3) ? [{ item, due: memory.due }] : [];
    })
    .sort((a, b) => a.due - b.due);
  const until = (moment: number): readonly Item[] =>
    learning.filter(({ due }) => due <= moment).map(({ item }) => item);
  const held = (): readonly Item[] =>
    dueItems(plan, memories, now, dayEnds - 1).filter((item) => isHeld(memories.get(itemId(item))));
  const sources: readonly (readonly [Next['why'], () => readonly Item[]])[] = [
    ['learning', () => until(now)],
    ['due', held],
    ['new', () => newItems(plan, memories, standing)],
    ['early', () => until(now + EARLY)],
  ];
  const offered = sources.map(([why, items]) => ({ why, items: items() }));
  const lately = new Set(standing.asked.slice(0, GAP).map(({ item }) => item.card));
  // A card that was asked a moment ago waits, unless there is nothing else at all.
  for (const waits of [lately, new Set<Card>()])
    for (const { why, items } of offered) {
      const item = items.find(({ card }) => !waits.has(card));
      if (item) return { item, why };
    }
  return undefined;
};
