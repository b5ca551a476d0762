import { Order } from '../deck/order';
import { distinct, keyOf } from './afterRoutine';
import { MendCosts } from './costs';
import { mend } from './mend';
import { laidFor, PackNeed } from './need';
import { outOf, PackState } from './state';

/** Junctions that cannot be mended, acts out of sight, seconds: the smaller the better, one after the other. */
export type Price = readonly [impossible: number, outOfSight: number, seconds: number];

export const FREE: Price = [0, 0, 0];

export const plus = (a: Price, b: Price): Price => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];

export const compare = (a: Price, b: Price): number => a[0] - b[0] || a[1] - b[1] || a[2] - b[2];

/** What is done to a pack before a routine. */
export interface JunctionMend {
  readonly pack: string;
  readonly how: 'mend' | 'change' | 'right' | 'lay anew';
  readonly inInterval: boolean;
  readonly price: Price;
}

/** A state and how likely it is. */
export interface Weighed {
  readonly state: PackState;
  readonly weight: number;
}

/** Alike states once, their weights added up. */
export const weigh = (all: readonly Weighed[]): readonly Weighed[] => {
  const found = new Map<string, Weighed>();
  for (const { state, weight } of all) {
    const key = keyOf(state);
    found.set(key, { state, weight: (found.get(key)?.weight ?? 0) + weight });
  }
  return [...found.values()];
};

/** A way to bring a pack, which may be in any of some states, to a need. */
export interface Reached {
  readonly how: JunctionMend['how'];
  readonly price: Price;
  /** The states that it may be in then. */
  readonly states: readonly PackState[];
  /** What a state becomes, and the seconds that takes; none where it is impossible. */
  of(state: PackState): { readonly after: PackState; readonly seconds: number };
}

/** Known at any turn: what a pack is righted to. */
export const RIGHTED: PackNeed = { kind: 'home', turns: 'any', known: true };

const flat = (how: JunctionMend['how'], price: Price, states: readonly PackState[]): Reached => ({
  how,
  price,
  states,
  of: () => ({ after: states[0], seconds: price[2] }),
});

/** Each state mended by itself: the dearest price counts, and all go on. */
const mended = (
  how: 'mend' | 'right',
  states: readonly PackState[],
  need: PackNeed,
  home: Order,
  costs: MendCosts,
  interval: boolean,
): Reached | undefined => {
  const each = states.map((state) => ({ state, found: mend(state, need, home, { costs, interval }) }));
  if (each.some(({ found }) => !found)) return undefined;
  const prices = each.map(({ found }): Price => [0, found?.outOfSight ?? 0, found?.seconds ?? 0]);
  const becomes = new Map(
    each.map(({ state, found }) => [
      keyOf(state),
      {
        after: state.lies === 'ready' ? laidFor(need, home) : (found?.after ?? state),
        seconds: found?.seconds ?? 0,
      },
    ]),
  );
  return {
    how,
    price: prices.reduce((dearest, price) => (compare(price, dearest) > 0 ? price : dearest), FREE),
    states: distinct([...becomes.values()].map(({ after }) => after)),
    of: (state) => becomes.get(keyOf(state)) ?? { after: state, seconds: 0 },
  };
};

/** The price of an act that is flat and out of sight, but in the interval. */
const priceOf = (seconds: number, interval: boolean): Price => [0, interval ? 0 : 1, seconds];

/**
 * The ways to bring a pack to what the next routine needs: mended, or if that has a price changed for a spare one.
 *
 * @param spares how many there are left. @param interval whether it is done in the interval.
 */
export const waysTo = (
  states: readonly PackState[],
  need: PackNeed,
  home: Order,
  spares: number,
  costs: MendCosts,
  interval: boolean,
): readonly Reached[] => {
  const laid = [laidFor(need, home)];
  const first = mended('mend', states, need, home, costs, interval) ?? flat('mend', [1, 0, 0], laid);
  if (spares === 0 || compare(first.price, FREE) === 0) return [first];
  return [first, flat('change', priceOf(costs.change.seconds, interval), laid)];
};

/** What may be done to a pack in the interval by itself: nothing, to right it, or to lay it anew. */
export const waysInInterval = (
  states: readonly PackState[],
  home: Order,
  costs: MendCosts,
): readonly (Reached | undefined)[] => {
  if (states.every(({ lies }) => lies === 'ready')) return [undefined];
  const right = mended('right', states, RIGHTED, home, costs, true);
  const isGone = states.some((state) => outOf(state).some(({ where }) => where === 'gone'));
  return [
    undefined,
    ...(right && compare(right.price, FREE) > 0 ? [right] : []),
    ...(isGone
      ? []
      : [flat('lay anew', priceOf(costs['lay anew'].seconds, true), [{ lies: 'ready' } as const])]),
  ];
};
