import { Card, numberOrder } from '@enumeron/core/deck';
import { ArgsOf } from '../../platform/workers/jobs';

/** How many shuffled packs an order is held against. */
export const PACKS = 20_000;
const SEED = 52;

/** What is asked to learn what an order can do. */
export const propertiesAsked = (order: readonly Card[]): ArgsOf<'properties'> => ({ order });

/** What is asked to learn how orderly shuffled packs look: which cards are in the pack decides that, and nothing else. */
export const spreadsAsked = (order: readonly Card[]): ArgsOf<'spreads'> => ({
  pack: order.length === 0 ? numberOrder() : [...order].sort((a, b) => a - b),
  packs: PACKS,
  seed: SEED,
});
