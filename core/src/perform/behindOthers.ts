import { afterRoutine } from './afterRoutine';
import { MEND_COSTS, MendCosts } from './costs';
import { compare, FREE, Price } from './junction';
import { mend } from './mend';
import { laidFor } from './need';
import { OrderWish } from './orderWish';

/** What a routine would cost right behind another that began as it needs. */
export interface BehindOther {
  /** The other routine; undefined for the beginning of the set. */
  readonly behind: string | undefined;
  readonly price: Price;
}

/** What a routine costs at the beginning, and right behind each other one, the cheapest first. */
export const behindOthers = (
  wish: OrderWish,
  id: string,
  costs: MendCosts = MEND_COSTS,
): readonly BehindOther[] => {
  const routine = wish.routines.find((each) => each.id === id);
  const parts = Object.entries(routine?.packs ?? {});
  const others = wish.routines
    .filter((each) => each.id !== id)
    .map((other): BehindOther => {
      let price: Price = FREE;
      for (const [pack, { needs }] of parts) {
        if (!Object.hasOwn(other.packs, pack)) continue;
        const { home } = wish.packs[pack];
        const part = other.packs[pack];
        let dearest: Price = FREE;
        for (const state of afterRoutine([laidFor(part.needs, home)], part.leaves, home.length)) {
          const found = mend(state, needs, home, { costs });
          const each: Price = found ? [0, found.outOfSight, found.seconds] : [1, 0, 0];
          if (compare(each, dearest) > 0) dearest = each;
        }
        price = [price[0] + dearest[0], price[1] + dearest[1], price[2] + dearest[2]];
      }
      return { behind: other.id, price };
    });
  return [{ behind: undefined, price: FREE }, ...others].sort((a, b) => compare(a.price, b.price));
};
