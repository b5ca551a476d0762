import { Card } from '../deck/card';
import { mod } from '../deck/mod';
import { Order } from '../deck/order';
import { Outcome } from '../deck/problem';
import { randomInt, Rng, seededRng, shuffled } from '../deck/rng';
import { oneStep } from '../job/job';
import { Conditions, faultsAt } from './conditions';
import { searchOrder, whyNoOrder } from './searchOrder';

/** How many exchanges are tried before a search with backtracking takes over. */
const TRIES = 60_000;

/** The runs that an exchange of two cards may make or mend: those that begin at one of them or up to `reach` before it. */
const runsNear = (one: number, other: number, reach: number, size: number): ReadonlySet<number> => {
  const near = new Set<number>();
  for (let back = 0; back <= reach; back++) near.add(mod(one - back, size)).add(mod(other - back, size));
  return near;
};

/** A shuffle, then exchanges of a card at fault with any other wherever that breaks no more than before. */
const byExchanges = (pack: readonly Card[], conditions: Conditions, rng: Rng): Order | undefined => {
  const order = shuffled(pack, rng);
  const size = order.length;
  const reach = (conditions.colourRun ?? 1) + 1;
  const broken = order.map((_, index) => faultsAt(order, index, conditions));
  for (let round = 0; round < TRIES; round++) {
    const at = broken.findIndex((count) => count > 0);
    if (at < 0) return order;
    const one = mod(at + randomInt(rng, 2), size);
    const other = randomInt(rng, size);
    [order[one], order[other]] = [order[other], order[one]];
    const after = [...runsNear(one, other, reach, size)].map((index) => ({
      index,
      count: faultsAt(order, index, conditions),
    }));
    const change = after.reduce((sum, { index, count }) => sum + count - broken[index], 0);
    if (change > 0) [order[one], order[other]] = [order[other], order[one]];
    else for (const { index, count } of after) broken[index] = count;
  }
  return undefined;
};

const none = (what: string, remedy: string): Outcome<{ order: Order }> => ({
  ok: false,
  problems: [{ what, remedy }],
});

/**
 * A pack at random that keeps the conditions: by exchanges, and where those come to no end, by a search with
 * backtracking. The same source of randomness gives the same order.
 *
 * @returns the order, or why there is none, or that none was found.
 */
export const randomOrder = (
  pack: readonly Card[],
  conditions: Conditions,
  rng: Rng,
): Outcome<{ order: Order }> => {
  const impossible = whyNoOrder(pack, conditions);
  if (impossible) return { ok: false, problems: [impossible] };
  // Exchanges would go on for long where no order exists; a search often proves that at once.
  if (searchOrder(pack, conditions, seededRng(1)) === 'none')
    return none('No order of these cards keeps all of this.', 'Ask for less.');
  const order = byExchanges(pack, conditions, rng) ?? searchOrder(pack, conditions, rng);
  return typeof order === 'string'
    ? none('No order was found that keeps all of this.', 'Ask for less, or for another seed.')
    : { ok: true, order };
};

/** The same as a job, from a seed: the strictest conditions take a while. */
export const RANDOM_ORDER = oneStep(
  ({
    pack,
    conditions,
    seed,
  }: {
    readonly pack: readonly Card[];
    readonly conditions: Conditions;
    readonly seed: number;
  }) => randomOrder(pack, conditions, seededRng(seed)),
);
