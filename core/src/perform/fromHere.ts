import { Order } from '../deck/order';
import { MEND_COSTS, MendCosts, MendPart } from './costs';
import { compare, FREE, Price } from './junction';
import { mend } from './mend';
import { PackNeed } from './need';
import { OrderedRoutine } from './orderWish';
import { PackState } from './state';

/** A pack as it lies now: in one of these states. A pack that is not named was not used yet. */
export interface PackNow {
  readonly home: Order;
  readonly states: readonly PackState[];
}

/** What one pack lacks before a routine can be done. */
export interface PackLack {
  readonly pack: string;
  readonly need: PackNeed;
  /** The state that costs most to mend. */
  readonly state: PackState;
  /** The acts; none where it fits. Undefined where nothing brings it there. */
  readonly parts: readonly MendPart[] | undefined;
}

/** A routine as it could be done now. */
export interface DoneFromHere {
  readonly id: string;
  /** [0, 0, 0]: at once. */
  readonly price: Price;
  /** Its packs that do not fit. */
  readonly lacks: readonly PackLack[];
}

const lackOf = (
  pack: string,
  need: PackNeed,
  { home, states }: PackNow,
  costs: MendCosts,
): { readonly price: Price; readonly lack: PackLack | undefined } => {
  let dearest: { readonly price: Price; readonly lack: PackLack | undefined } = {
    price: FREE,
    lack: undefined,
  };
  for (const state of states) {
    const found = mend(state, need, home, { costs });
    const price: Price = found ? [0, found.outOfSight, found.seconds] : [1, 0, 0];
    if (compare(price, dearest.price) > 0)
      dearest = { price, lack: { pack, need, state, parts: found?.parts } };
  }
  return dearest;
};

/**
 * Which routines can be done with the packs as they lie: at once, after a mend, or not at all; the cheapest first, of alike ones
 * as they stand.
 *
 * @param now the packs that were used, by name.
 */
export const fromHere = (
  routines: readonly Pick<OrderedRoutine, 'id' | 'packs'>[],
  now: Readonly<Record<string, PackNow>>,
  costs: MendCosts = MEND_COSTS,
): readonly DoneFromHere[] =>
  routines
    .map(({ id, packs }): DoneFromHere => {
      const found = Object.entries(packs).map(([pack, { needs }]) =>
        Object.hasOwn(now, pack) ? lackOf(pack, needs, now[pack], costs) : { price: FREE, lack: undefined },
      );
      return {
        id,
        price: found.reduce<Price>(
          (sum, { price }) => [sum[0] + price[0], sum[1] + price[1], sum[2] + price[2]],
          FREE,
        ),
        lacks: found.flatMap(({ lack }) => lack ?? []),
      };
    })
    .sort((a, b) => compare(a.price, b.price));
