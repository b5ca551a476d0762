import { computed, inject, Injectable, signal, WritableSignal } from '@angular/core';
import { Card, formatCard, numberOrder } from '@enumeron/core/deck';
import { alike } from '@enumeron/core/file/wish/changes';
import { laidOf, WishCheck } from '@enumeron/core/file/wish/checkWish';
import { picked, withoutWeight, withPart, WishPath } from '@enumeron/core/file/wish/editWish';
import type { Found } from '@enumeron/core/file/wish/findOrder';
import { FORMAT, readWishes, wishProblem } from '@enumeron/core/file/wish/readWishes';
import { ListedWish, Wish, WishList } from '@enumeron/core/file/wish/wish';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { PackStore } from '../../nouns/pack/pack.store';
import { Notices } from '../../platform/notices';
import { isSame, Judged, judging } from './judging';
import { jobView } from '../../platform/workers/job-view';

/** A field that the rail is picked for. */
export interface Picking {
  readonly wish: number;
  readonly path: WishPath;
  readonly kind: string;
}

/** Whether an order has just these cards. */
const hasCards = (order: readonly string[], cards: readonly string[]): boolean =>
  isSame([...order].sort(), [...cards].sort());

/** The wishes that are being written, how the order at hand meets them, and what is found for them. */
@Injectable()
export class Wishing {
  private readonly orders = inject(OrdersStore);
  private readonly pack = inject(PackStore);
  private readonly notices = inject(Notices);

  /** The order whose cards they are, and with which one begins; the pack's own until another is chosen. */
  readonly baseId = signal<string | undefined>(undefined);
  readonly wishes = signal<readonly ListedWish[]>([]);
  /** Whether as few places as possible are to change. */
  readonly nearest = signal(false);
  readonly seed = signal(1);
  /** An order that was had before, of a list that was opened, or given up a wish for. */
  readonly kept = signal<readonly string[] | undefined>(undefined);
  /** The wish whose fields one is in. */
  readonly chosen = signal<number | undefined>(undefined);
  readonly picking = signal<Picking | undefined>(undefined);
  /** The cards where no order that is kept has them: of a file that was opened. */
  readonly ownPack = signal<readonly string[] | undefined>(undefined);
  /** A start that a list brought: some places of it may hold any card. */
  readonly ownStart = signal<readonly (string | null)[] | undefined>(undefined);

  readonly base = computed<readonly string[]>(() => {
    const own = this.ownPack();
    if (own) return own;
    const id = this.baseId();
    const cards = (id === undefined ? undefined : this.orders.find(id)?.cards) ?? this.pack.home();
    return (cards.length >= 4 ? cards : numberOrder()).map(formatCard);
  });
  readonly size = computed(() => this.base().length);

  readonly list = computed<WishList>(() => ({
    ...{ format: FORMAT, version: 1, pack: this.base() },
    ...(this.nearest() && { start: this.ownStart() ?? this.base() }),
    wishes: this.wishes(),
  }));
  /** By wish: what is wrong with it, undefined where nothing is. */
  readonly problems = computed(() =>
    this.wishes().map((wish) => wishProblem(withoutWeight(wish), this.size())),
  );
  readonly isRight = computed(() => this.problems().every((problem) => problem === undefined));

  /** What is looked for, as it was when that began. */
  private readonly asked = signal<{ readonly list: WishList; readonly seed: number } | undefined>(undefined);
  /** The list as it was written then; one like it is asked for with another start. */
  private readonly written = signal<WishList | undefined>(undefined);
  readonly held = signal(false);
  private readonly view = jobView('wish', () => this.asked(), this.held);
  readonly isFinding = computed(
    () => this.asked() !== undefined && this.view()?.kind !== 'ended' && this.view()?.kind !== 'failed',
  );
  readonly progress = computed(() => {
    const view = this.view();
    return view?.kind === 'running' ? view.progress : undefined;
  });
  readonly found = computed<Found | undefined>(() => {
    const view = this.view();
    return view?.kind === 'ended' ? view.result : undefined;
  });
  /** Whether the wishes have changed since they were looked for. */
  readonly isStale = computed(() => {
    const written = this.written();
    return (
      this.asked() !== undefined &&
      written !== undefined &&
      JSON.stringify(written) !== JSON.stringify(this.list())
    );
  });

  /** Without which wish of a conflict the order is shown, by its index in it. */
  readonly without = signal<number | undefined>(undefined);

  /** The best that was found so far; undefined while there is none. */
  private readonly best = computed<readonly string[] | undefined>(() => {
    const found = this.found();
    if (found?.end === 'conflict') {
      const at = this.without();
      return at === undefined ? undefined : found.without[at];
    }
    return found?.order ?? this.progress()?.best.order;
  });
  /** What was found, as long as it has the cards at hand: they may be others by now, also by another tab. */
  private readonly own = computed(() =>
    [this.best(), this.kept()].find((order) => order !== undefined && hasCards(order, this.base())),
  );

  /** The order that is judged and shown: the best so far, or the one that one began with. */
  readonly order = computed<readonly string[]>(() => this.own() ?? this.base());
  readonly cards = computed<readonly Card[]>(() => laidOf(this.order()));
  /** Whether every card of the order is one that orders keep: none is indifferent. */
  readonly isKeepable = computed(() => this.order().every((card) => card !== '-'));
  readonly isOwn = computed(() => this.own() !== undefined);

  private readonly right = computed(() =>
    this.wishes()
      .filter((_, index) => !this.problems()[index])
      .map(withoutWeight),
  );
  private readonly foundSo = computed<Judged | undefined>(() => {
    const [view, found] = [this.view(), this.found()];
    return view && found && found.end !== 'conflict'
      ? { order: found.order, wishes: view.asked.list.wishes.map(withoutWeight), checks: found.checks }
      : undefined;
  });
  private readonly judging = judging(this.order, this.isFinding, this.right, this.foundSo);
  /** By wish: how the order meets it; undefined until that is known, and where the wish is wrong. */
  readonly checks = computed<readonly (WishCheck | undefined)[]>(() => {
    const check = this.judging.check();
    return this.wishes().map((wish, index) =>
      this.problems()[index] ? undefined : check(withoutWeight(wish)),
    );
  });
  /** Whether a script could not be had that judges or looks for orders. */
  readonly failed = computed(() => this.view()?.kind === 'failed' || this.judging.failed());

  /** Takes a list that was kept or brought, with the order that was found for it; what it replaces can be had back. */
  private open(list: WishList, order?: readonly string[]): void {
    const fields = [
      this.wishes,
      this.ownPack,
      this.ownStart,
      this.nearest,
      this.kept,
    ] as WritableSignal<unknown>[];
    const before = fields.map((field) => field());
    const had = this.wishes().length;
    this.wishes.set(list.wishes);
    this.ownPack.set(list.start?.every((card) => card !== null) ? list.start : list.pack);
    this.ownStart.set(list.start);
    this.nearest.set(list.start !== undefined);
    this.kept.set(order);
    this.forget();
    if (had > 0)
      void this.notices.offerUndo('These wishes took the place of yours.', () =>
        fields.forEach((field, index) => field.set(before[index])),
      );
  }

  /** What is looked for, chosen or pressed is of other wishes or cards. */
  private forget(): void {
    this.asked.set(undefined);
    this.without.set(undefined);
    this.chosen.set(undefined);
    this.picking.set(undefined);
  }

  /** Begins with the cards of another order; what was found for others goes. */
  beginWith(id: string): void {
    this.beginWithCards(undefined);
    this.baseId.set(id);
  }

  /** Begins with cards that no order has that is kept. */
  beginWithCards(cards: readonly string[] | undefined): void {
    this.ownPack.set(cards);
    this.ownStart.set(undefined);
    this.kept.set(undefined);
    this.forget();
  }

  /** What is wrong with a value that should be a list; it is opened where nothing is. */
  take(value: unknown, order?: readonly string[]): string | undefined {
    const read = readWishes(value);
    if (read.ok) {
      this.open(read.list, order);
      return undefined;
    }
    const [{ where, what, remedy }] = read.problems;
    return `${where ?? 'File'}: ${what} ${remedy}`;
  }

  add(wish: Wish): void {
    this.wishes.update((wishes) => [...wishes, wish]);
    this.chosen.set(this.wishes().length - 1);
  }

  change(index: number, wish: ListedWish): void {
    this.wishes.update((wishes) => wishes.map((each, at) => (at === index ? wish : each)));
  }

  write(index: number, path: WishPath, value: unknown): void {
    this.change(index, withPart(this.wishes()[index], path, value));
  }

  /** Takes a wish out: it can be put back where it stood. */
  remove(index: number): void {
    const removed = this.wishes()[index];
    this.wishes.update((wishes) => wishes.filter((_, at) => at !== index));
    this.chosen.set(undefined);
    this.picking.set(undefined);
    void this.notices.offerUndo('The wish is removed.', () =>
      this.wishes.update((wishes) => [...wishes.slice(0, index), removed, ...wishes.slice(index)]),
    );
  }

  shift(index: number, by: number): void {
    const to = index + by;
    const wishes = [...this.wishes()];
    if (to < 0 || to >= wishes.length) return;
    [wishes[index], wishes[to]] = [wishes[to], wishes[index]];
    this.wishes.set(wishes);
    this.chosen.set(to);
  }

  /** Cards are pressed on the rail that stay where they lie, or no longer. */
  pickPairs(wish: number): void {
    const now = this.picking();
    const isOn = now?.kind === 'pairs' && now.wish === wish;
    this.picking.set(isOn ? undefined : { wish, path: [], kind: 'pairs' });
  }

  /** What lies at a place of the rail goes into the field that one was in last. */
  pick(place: number): void {
    const picking = this.picking();
    if (!picking) return;
    const wish = this.wishes().at(picking.wish);
    if (!wish) return;
    const { weight } = wish;
    const next = picked(withoutWeight(wish), picking.path, picking.kind, {
      place,
      card: this.order()[place - 1],
    });
    this.change(picking.wish, weight === undefined ? next : { ...next, weight });
  }

  /** Looks for an order, with what chance begins with. */
  find(seed = this.seed()): void {
    this.begin(this.list(), seed);
  }

  /** Looks for an order a little different from the one that is shown. */
  findAlike(): void {
    const seed = this.seed() + 1;
    this.begin({ ...this.list(), start: alike(this.order(), seed) }, seed);
  }

  /** What is shown stays until there is something better. */
  private begin(list: WishList, seed: number): void {
    this.kept.set(this.isOwn() ? this.order() : undefined);
    this.without.set(undefined);
    this.held.set(false);
    this.seed.set(seed);
    this.written.set(this.list());
    this.asked.set({ list, seed });
  }

  /** Stays with what was found so far. */
  end(): void {
    const best = this.progress()?.best.order;
    this.asked.set(undefined);
    this.kept.set(best);
  }

  /** Leaves out a wish of a conflict, and has the order that holds the others. */
  giveUp(at: number): void {
    const found = this.found();
    if (found?.end !== 'conflict') return;
    const order = found.without[at];
    this.remove(found.conflict[at]);
    this.asked.set(undefined);
    this.without.set(undefined);
    this.kept.set(order);
  }
}
