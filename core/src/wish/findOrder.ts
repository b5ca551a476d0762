import { formatCard } from '../deck/notation';
import { seededRng } from '../deck/rng';
import { finish, Job, JobRule, telling } from '../job/job';
import { INDIFFERENT } from '../procedure/packets';
import { checkWish, WishCheck } from './checkWish';
import { Conflict, countedAtOnce, smallest } from './find/conflict';
import { fewestChanges } from './find/fewest';
import { changesIn, Compiled, compileList, termsOf } from './find/lists';
import { lightestFirst } from './find/lightestFirst';
import { Answer, solve } from './find/solve';
import { whyNone } from './find/why';
import { WishList } from './wish';

/** An order that does what is wished: cards as they are written, the top card first. */
export interface FoundOrder {
  readonly end: 'found';
  readonly order: readonly string[];
  /** By wish: its cases. */
  readonly checks: readonly WishCheck[];
  /** The wishes that one would rather have and that do not hold, by their indices; and what they weigh together. */
  readonly left: readonly number[];
  readonly lost: number;
  /** With a start: how many places look different, and whether fewer were proved impossible. */
  readonly changes?: number;
  readonly fewest?: boolean;
}

/** Wishes that cannot live together. */
export interface FoundConflict {
  readonly end: 'conflict';
  readonly conflict: readonly number[];
  /** Whether it is proved that none of them can be left out. */
  readonly smallest: boolean;
  readonly how: 'counted' | 'searched through';
  readonly why?: string;
  /** By wish of the conflict: an order in which the others hold. */
  readonly without: readonly (readonly string[] | undefined)[];
}

/** Neither an order nor a proof that there is none: the nearest that was found. */
export interface NotFound {
  readonly end: 'not found';
  readonly order: readonly string[];
  readonly checks: readonly WishCheck[];
}

export type Found = FoundOrder | FoundConflict | NotFound;

export interface FindArgs {
  readonly list: WishList;
  /** What chance begins with: the same seed finds the same, everywhere. */
  readonly seed?: number;
  /** How many looks at parts of wishes may be taken. */
  readonly budget?: number;
}

export interface FindProgress {
  /** How much of what may be done is done, from 0 to 1. */
  readonly share: number;
  /** The best order so far, and how many wishes it breaks. */
  readonly best: { readonly order: readonly string[]; readonly broken: number };
  /** How many wishes there are. */
  readonly asked: number;
}

/** How many looks are taken unless it is told: some ten seconds. */
export const FIND_BUDGET = 60_000_000;
/** What is asked first: most lists are done by then. */
const FIRST = 1_500_000;
/** What each question behind the end of the budget may still take: most conflicts are seen to be smallest by it. */
const LITTLE = 150_000;

const write = (card: number): string => (card === INDIFFERENT ? '-' : formatCard(card));

type Search<Result> = Generator<FindProgress, Result, undefined>;

/** One search, with what was found and spent so far. */
class Finding {
  private readonly compiled: Compiled;
  private readonly all: readonly number[];
  private readonly musts: readonly number[];
  private readonly rathers: readonly number[];
  private readonly rng;
  private spent = 0;
  private best: { at: Uint8Array; broken: number } | undefined;
  private judged: Uint8Array | undefined;

  constructor(
    private readonly list: WishList,
    private readonly seed: number,
    private readonly budget: number,
  ) {
    this.compiled = compileList(list);
    this.rng = seededRng(seed);
    this.all = list.wishes.map((_, index) => index);
    this.musts = this.all.filter((index) => this.weightOf(index) === undefined);
    this.rathers = this.all.filter((index) => this.weightOf(index) !== undefined);
  }

  private weightOf(index: number): number | undefined {
    return this.list.wishes[index].weight;
  }

  private orderOf(at: ArrayLike<number>): readonly string[] {
    return this.compiled.cardsOf(at).map(write);
  }

  private brokenIn(at: Uint8Array): number {
    const where = new Uint8Array(this.compiled.faces.looks.length);
    at.forEach((face, place) => (where[face] = place));
    return this.compiled.terms.filter((terms) => terms.some((term) => term.broken({ at, where }) > 0)).length;
  }

  private note(at: Uint8Array): void {
    if (this.judged === at) return;
    this.judged = at;
    const broken = this.brokenIn(at);
    if (!this.best || broken < this.best.broken) this.best = { at, broken };
  }

  private *seek(wishes: readonly number[], budget: number): Search<Answer> {
    const { compiled, rng } = this;
    const search = solve(
      {
        ...{ faces: compiled.faces, terms: termsOf(compiled, wishes), rng, wanted: compiled.start },
        // Another seed is asked for another order than the one at hand.
        ...(this.seed === 1 && { first: compiled.written }),
      },
      budget,
    );
    const answer = yield* telling(search, ({ steps, at }) => {
      this.note(at);
      return this.told(steps);
    });
    this.spent += answer.steps;
    if (answer.end !== 'none') this.note(answer.at);
    return answer;
  }

  private told(more: number): FindProgress {
    const { at, broken } = this.best ?? { at: new Uint8Array(), broken: this.all.length };
    return {
      share: Math.min(1, (this.spent + more) / this.budget),
      best: { order: this.orderOf(at), broken },
      asked: this.all.length,
    };
  }

  /** So much of the budget, or of what is left of it; a little even then, so that what is seen soon is seen. */
  private shareOf(share: number): number {
    return Math.max(LITTLE, Math.min(this.budget * share, this.budget - this.spent));
  }

  *run(): Search<Found> {
    const first = yield* this.seek(this.all, Math.min(FIRST, this.budget));
    if (first.end === 'laid') return yield* this.found(this.all, first.at);
    if (this.rathers.length > 0) return yield* this.withRathers();
    return yield* this.mustsOnly(first);
  }

  /** All are musts, and they were not met at once. */
  private *mustsOnly(first: Answer): Search<Found> {
    const answer = yield* this.decide(this.musts, first);
    if (answer.end === 'laid') return yield* this.found(this.musts, answer.at);
    return answer.end === 'none' ? yield* this.conflict(answer.wishes) : this.notFound();
  }

  /** Whether wishes can be met; where they cannot, fewer of which it is known. */
  private *decide(
    wishes: readonly number[],
    first: Answer,
  ): Search<
    Exclude<Answer, { readonly end: 'none' }> | { readonly end: 'none'; readonly wishes: readonly number[] }
  > {
    if (first.end === 'none') return { end: 'none', wishes };
    if (first.end === 'laid') return first;
    const atOnce = countedAtOnce(this.compiled, wishes);
    if (atOnce) return { end: 'none', wishes: atOnce };
    const again = yield* this.seek(wishes, this.shareOf(0.7));
    if (again.end === 'none') return { end: 'none', wishes };
    if (again.end === 'laid') return again;
    // Without a wish that does not matter to it, a conflict may be seen sooner.
    for (const wish of wishes.length > 2 ? wishes : []) {
      if (this.spent >= this.budget) break;
      const fewer = wishes.filter((each) => each !== wish);
      const answer = yield* this.seek(fewer, this.shareOf(0.25 / wishes.length));
      if (answer.end === 'none') return { end: 'none', wishes: fewer };
    }
    return again;
  }

  /** The musts, and of what one would rather have as much as can be: what is lightest is left out first. */
  private *withRathers(): Search<Found> {
    const first = yield* this.seek(this.musts, Math.min(FIRST, this.budget));
    const musts = yield* this.decide(this.musts, first);
    if (musts.end === 'none') return yield* this.conflict(musts.wishes);
    if (musts.end === 'open') return this.notFound();
    const conflicts: (readonly number[])[] = [];
    const weights = this.rathers.map((wish) => this.weightOf(wish) ?? 0);
    for (const out of lightestFirst(weights)) {
      const left = new Set(out.map((index) => this.rathers[index]));
      const kept = this.all.filter((wish) => !left.has(wish));
      if (left.size === this.rathers.length) break;
      if (conflicts.some((wishes) => wishes.every((wish) => !left.has(wish)))) continue;
      const answer = yield* this.seek(kept, this.shareOf(0.1));
      if (answer.end === 'laid') return yield* this.found(kept, answer.at);
      if (answer.end === 'none') {
        const { wishes } = yield* this.smallestOf(kept);
        conflicts.push(wishes);
      } else if (this.spent >= this.budget) break;
    }
    return yield* this.found(this.musts, musts.at);
  }

  private *smallestOf(wishes: readonly number[]): Search<Conflict> {
    const seek = (some: readonly number[]): Search<Answer> => this.seek(some, this.shareOf(0.2));
    return yield* smallest(this.compiled, wishes, seek);
  }

  private *conflict(wishes: readonly number[]): Search<FoundConflict> {
    const { how, wishes: conflict, without } = yield* this.smallestOf(wishes);
    const orders: (readonly string[] | undefined)[] = [];
    for (const [index, wish] of conflict.entries()) {
      const at = without[index];
      // With all other wishes of the list, too, where that is found soon.
      const others = this.musts.filter((each) => each !== wish);
      const whole =
        others.length > conflict.length - 1
          ? yield* this.seek(others, Math.min(FIRST, this.shareOf(1)))
          : undefined;
      const best = whole?.end === 'laid' ? whole.at : at;
      const order = best && this.orderOf(best);
      const holds =
        order && conflict.every((each) => each === wish || checkWish(order, this.list.wishes[each]).holds);
      orders.push(holds ? order : undefined);
    }
    const why = how === 'counted' ? whyNone(this.compiled, conflict) : undefined;
    return {
      end: 'conflict',
      conflict,
      smallest: orders.every((order) => order !== undefined),
      how,
      ...(why !== undefined && { why }),
      without: orders,
    };
  }

  /** What was laid, with as few changes as can be where there is a start, judged by the words of the wishes. */
  private *found(wishes: readonly number[], laid: Uint8Array): Search<Found> {
    const { compiled, list } = this;
    let [at, fewest] = [laid, false];
    if (compiled.start) {
      const search = fewestChanges(compiled, wishes, laid, this.rng, this.shareOf(0.3));
      const answer = yield* telling(search, ({ steps, at: so }) => {
        this.best = { at: so, broken: this.all.length - wishes.length };
        return this.told(steps);
      });
      ({ at, fewest } = answer);
      this.spent += answer.steps;
    }
    const order = this.orderOf(at);
    const checks = list.wishes.map((wish) => checkWish(order, wish));
    if (this.musts.some((wish) => !checks[wish].holds)) return { end: 'not found', order, checks };
    const left = this.rathers.filter((wish) => !checks[wish].holds);
    const lost = left.reduce((sum, wish) => sum + (this.weightOf(wish) ?? 0), 0);
    return {
      ...{ end: 'found', order, checks, left, lost },
      ...(compiled.start && { changes: changesIn(compiled, at), fewest }),
    };
  }

  private notFound(): NotFound {
    const order = this.orderOf(this.best?.at ?? new Uint8Array());
    return { end: 'not found', order, checks: this.list.wishes.map((wish) => checkWish(order, wish)) };
  }
}

/** Looks for an order that does what a list wishes, as a job: the best so far is told on the way. */
export const FIND_ORDER: JobRule<FindArgs, FindProgress, Found> = {
  start: ({ list, seed = 1, budget = FIND_BUDGET }): Job<FindProgress, Found> =>
    new Finding(list, seed, budget).run(),
};

/**
 * Looks for an order that does what a list wishes.
 *
 * @param list one that `readWishes` found right.
 */
export const findOrder = (list: WishList, options: Omit<FindArgs, 'list'> = {}): Found =>
  finish(FIND_ORDER.start({ list, ...options }));
