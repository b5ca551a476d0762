import { numberOrder } from '../src/deck/order';
import { Rng, seededRng, shuffled } from '../src/deck/rng';
import { blocksOf } from '../src/learn/blocks';
import { confusable } from '../src/learn/confusable';
import { DAY, dayStart } from '../src/learn/day';
import { Item, itemId, itemsOf } from '../src/learn/item';
import { nextItem, Plan, Standing } from '../src/learn/plan';
import { Memory, SCHEDULE, scheduleBy } from '../src/learn/schedule';

/**
 * A simulated learner. The truth forgets by FSRS's curve with its usual parameters; each answer moves an item's
 * stability by a chance of its own (a factor of e^±0.2), and each item that is easily confused with it and not yet held
 * for two days (a neighbour, a like rank of its colour, exchanged digits) lowers the chance of being right by a tenth,
 * three at most. What the plan believes and what is true are two memories.
 */

const [ANSWERS_A_DAY, ANSWER, NEW_CARDS, MOST_DAYS] = [120, 6000, 5, 365];
const START = Date.UTC(2026, 0, 5, 16);

const order = shuffled(numberOrder(), seededRng(21));
const items = itemsOf(order);
const ids = items.map(itemId);
const rivals = new Map(
  items.map((item) => [
    itemId(item),
    items
      .filter((other) => other.direction === item.direction && confusable(item.card, other.card, order))
      .map(itemId),
  ]),
);
const truth = scheduleBy();

class Learner {
  readonly memories = new Map<string, Memory>();
  constructor(private readonly rng: Rng) {}

  private fragile(id: string): boolean {
    const memory = this.memories.get(id);
    return memory !== undefined && memory.stability < 2;
  }

  /** How likely it is to be right at a moment. */
  recall(id: string, at: number): number {
    const memory = this.memories.get(id);
    if (!memory) return 0;
    const confused = (rivals.get(id) ?? []).filter((other) => this.fragile(other)).length;
    return truth.recall(memory, Math.max(at, memory.last ?? 0)) * 0.9 ** Math.min(3, confused);
  }

  /** Answers, and remembers the better for it. A first answer comes a moment after the card was shown. */
  answer(id: string, at: number): boolean {
    const right = this.rng() < (this.memories.has(id) ? this.recall(id, at) : 0.9);
    const next = truth.next(this.memories.get(id) ?? truth.fresh(at), right ? 3 : 1, at);
    const noise = Math.exp(0.4 * (this.rng() + this.rng() - 1));
    this.memories.set(id, { ...next, stability: Math.max(0.05, next.stability * noise) });
    return right;
  }

  /** The share of items whose recall, averaged over the next seven days, is at least nine in ten. */
  held(at: number): number {
    const good = ids.filter((id) => {
      let sum = 0;
      for (let day = 1; day <= 7; day++) sum += this.recall(id, at + day * DAY);
      return sum / 7 >= 0.9;
    });
    return good.length / ids.length;
  }
}

/** What asks: the next item at a moment, and what came of it. */
interface Asker {
  next(now: number, dayEnds: number): Item | undefined;
  answered(item: Item, right: boolean, at: number): void;
}

const planned = (blocks: Plan['blocks'], retention: number): Asker => {
  const schedule = scheduleBy({ ...SCHEDULE, retention });
  const plan: Plan = { order, items, blocks, schedule, newCards: NEW_CARDS };
  const memories = new Map<string, Memory>();
  const begun = new Map<number, number>();
  let asked: Standing['asked'] = [];
  return {
    next(now, dayEnds) {
      const today = new Set([...begun].filter(([, at]) => at >= dayEnds - DAY).map(([card]) => card));
      const next = nextItem(plan, memories, { now, dayEnds, begunToday: today, asked });
      if (next) asked = [{ item: next.item, at: now, isNew: next.why === 'new' }, ...asked].slice(0, 60);
      return next?.item;
    },
    answered(item, right, at) {
      const id = itemId(item);
      if (!begun.has(item.card)) begun.set(item.card, at);
      memories.set(id, schedule.next(memories.get(id) ?? schedule.fresh(at), right ? 3 : 1, at));
    },
  };
};

/** A fixed schedule: one day, two, four …; wrong is one day again. */
const doubling = (): Asker => {
  const next = new Map<string, { due: number; interval: number }>();
  const begun = new Map<number, number>();
  return {
    next(_, dayEnds) {
      const due = items
        .filter((item) => (next.get(itemId(item))?.due ?? Infinity) < dayEnds)
        .sort((a, b) => (next.get(itemId(a))?.due ?? 0) - (next.get(itemId(b))?.due ?? 0));
      if (due.length > 0) return due[0];
      const today = new Set([...begun].filter(([, at]) => at >= dayEnds - DAY).map(([card]) => card));
      return items.find(
        (item) => !next.has(itemId(item)) && (begun.has(item.card) || today.size < NEW_CARDS),
      );
    },
    answered(item, right, at) {
      const id = itemId(item);
      if (!begun.has(item.card)) begun.set(item.card, at);
      const interval = right ? Math.max(1, 2 * (next.get(id)?.interval ?? 0.5)) : 1;
      next.set(id, { interval, due: at + interval * DAY });
    },
  };
};

/** Answers and days until 95 in 100 items are held. */
const untilHeld = (asker: Asker, seed: number): { answers: number; days: number } => {
  const learner = new Learner(seededRng(seed));
  let answers = 0;
  for (let day = 0; day < MOST_DAYS; day++) {
    let now = START + day * DAY;
    const dayEnds = dayStart(now, 0) + DAY;
    for (let count = 0; count < ANSWERS_A_DAY; count++, now += ANSWER) {
      const item = asker.next(now, dayEnds);
      if (!item) break;
      asker.answered(item, learner.answer(itemId(item), now), now);
      answers++;
    }
    if (learner.held(now) >= 0.95) return { answers, days: day + 1 };
  }
  return { answers: Infinity, days: Infinity };
};

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

/** Prints the answers that each plan takes, as the median over several learners, and their ratio to ours. */
export const benchLearner = (seeds: readonly number[] = [1, 2, 3, 4, 5]): void => {
  const own = blocksOf(order, { kind: 'own' });
  const plans: readonly (readonly [string, () => Asker])[] = [
    [`our plan: no blocks, retention ${SCHEDULE.retention}`, () => planned([order], SCHEDULE.retention)],
    ['the same in blocks of 13', () => planned(own, SCHEDULE.retention)],
    ['no blocks, retention 0.9', () => planned([order], 0.9)],
    ['blocks of 13, retention 0.9', () => planned(own, 0.9)],
    ['a fixed doubling schedule', doubling],
  ];
  const found = plans.map(([name, asker]) => ({ name, runs: seeds.map((seed) => untilHeld(asker(), seed)) }));
  const first = median(found[0].runs.map(({ answers }) => answers));
  console.log(`simulated learners, ${seeds.length} seeds: answers until 95 in 100 of 208 items are held`);
  for (const { name, runs } of found) {
    const answers = median(runs.map((run) => run.answers));
    const days = median(runs.map((run) => run.days));
    console.log(
      `  ${name}: ${answers} answers, ${days} days; × ${(answers / first).toFixed(2)} ` +
        `(${runs.map((run) => run.answers).join(', ')})`,
    );
  }
};
