import { JobRule } from '../job/job';
import { checkWish, WishCheck } from './checkWish';
import { Wish } from './wish';

/** Judges an order by some wishes, as a job: some hold a proof, or many shuffled packs, that takes a while. */
export const WISH_CHECKS: JobRule<
  { readonly order: readonly string[]; readonly wishes: readonly Wish[] },
  number,
  readonly WishCheck[]
> = {
  *start({ order, wishes }) {
    const checks: WishCheck[] = [];
    for (const wish of wishes) {
      checks.push(checkWish(order, wish));
      yield checks.length;
    }
    return checks;
  },
};
