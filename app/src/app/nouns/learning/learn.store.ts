import { computed, inject, Injectable, signal, untracked } from '@angular/core';
import { takeUntilDestroyed, toObservable, toSignal } from '@angular/core/rxjs-interop';
import { HeadWay, headWays, ORDER_RULES } from '@enumeron/core/arrange';
import { Card } from '@enumeron/core/deck';
import {
  blocksOf,
  DAY,
  dayStart,
  dueItems,
  ForecastArgs,
  freshItems,
  HOUR,
  isHeld,
  itemId,
  itemsOf,
  Memories,
  openBlocks,
  parseItem,
  PACE,
  Plan,
  recallRate,
  SCHEDULE,
  scheduleBy,
  ScheduleSettings,
  Standing,
  usualTime,
} from '@enumeron/core/learn';
import { filter, fromEvent, interval, map, merge, switchMap } from 'rxjs';
import { Journal } from '../../storage/journal';
import { onlyPlace, Place, placeOf } from '../../storage/kind';
import { ItemRow, ITEMS } from './items.kind';
import { LEARNING, LearningRow, usualLearning } from './learning.kind';
import { PRACTICE } from './practice.kind';
import { ReviewRow, REVIEWS } from './reviews.kind';
import { OrdersStore } from '../orders/orders.store';
import { Reader } from '../../storage/reader';
import { Rows } from '../../storage/rows';
import { SCHEDULES } from './schedules.kind';
import { Storage } from '../../storage/storage';
import { PackStore } from '../pack/pack.store';
import { Clock } from '../../platform/clock';

const PRACTICE_PLACE = onlyPlace(PRACTICE);

/** How often the time is looked at. */
const MINUTE = 60_000;

/** Of so many answers the user's own rates are taken. */
const LATELY = 50;

/** What is learnt of the order in hand: its items, live, and what is due. */
@Injectable()
export class LearnStore {
  private readonly journal = inject(Journal);
  private readonly storage = inject(Storage);
  private readonly reader = inject(Reader);
  private readonly rows = inject(Rows);
  private readonly orders = inject(OrdersStore);
  private readonly pack = inject(PackStore);
  private readonly clock = inject(Clock);

  /** The order that was chosen to be practised, where it is not the one in hand. */
  private readonly chosen = signal<string | undefined>(undefined);
  readonly orderId = computed(() => this.chosen() ?? this.pack.pack().orderId);
  readonly name = computed(() => this.orders.find(this.orderId())?.name ?? this.pack.pack().name);
  /** Whether it is the order of the pack in hand. */
  readonly inHand = computed(() => this.orderId() === this.pack.pack().orderId);
  /** The order that is learnt: as it is stored, or as the pack has it where it was deleted. */
  readonly order = computed(() => this.orders.find(this.orderId())?.cards ?? this.pack.home());
  private readonly origin = computed(() => this.orders.find(this.orderId())?.origin);

  /** Ways to work out the order in the head, where it was made by rule. */
  readonly headWays = computed<readonly HeadWay[]>(() =>
    this.origin()?.kind === 'rule' ? headWays(this.order()) : [],
  );
  /** The way that was chosen, or the easiest. */
  readonly headWay = computed(() => {
    const chosen = this.settings().way;
    return this.headWays().find(({ name }) => name === chosen) ?? this.headWays().at(0);
  });
  /** Whether it is computed and not memorised: a sum tells every card. */
  readonly isComputed = computed(() => {
    const origin = this.origin();
    return origin?.kind === 'rule' && ORDER_RULES[origin.rule.kind].head !== undefined;
  });
  readonly settings = computed<LearningRow>(() => {
    const id = this.orderId();
    const row = this.rows.at(placeOf(LEARNING, id))();
    return row ?? { ...usualLearning(id), ...(this.isComputed() ? { directions: [] } : {}) };
  });
  readonly practice = this.rows.only(PRACTICE_PLACE);
  readonly scheduleRow = computed(() => this.rows.at(placeOf(SCHEDULES, this.orderId()))());
  readonly scheduleSettings = computed<ScheduleSettings>(() => {
    const row = this.scheduleRow();
    return row ? { retention: row.retention, weights: row.weights } : SCHEDULE;
  });
  readonly schedule = computed(() => scheduleBy(this.scheduleSettings()));
  /** How fast is fast. */
  readonly pace = computed(() => this.settings().pace ?? PACE);
  /** What is practised in the practice of this order that was left before its end; undefined where none was. */
  readonly left = computed(() => {
    const { order, ended, length, spent, what } = this.practice();
    return !ended && order === this.orderId() && spent < length ? (what ?? 'items') : undefined;
  });

  /** The moment by which everything is counted; it moves on with every answer and every look. */
  readonly now = signal(this.clock.now());
  readonly dayBegan = computed(() => dayStart(this.now(), this.clock.offset()));

  private readonly stored = toSignal(
    toObservable(this.orderId).pipe(
      switchMap((id) =>
        this.storage
          .live((db) => db.rows(ITEMS).where('order').equals(id).toArray())
          .pipe(
            this.reader.sound(ITEMS),
            map((rows) => ({ id, rows })),
          ),
      ),
    ),
  );
  /**
   * Whether storage has been asked for all that a practice goes by: the order and how it is learnt, its schedule and
   * items, and the practice that was left.
   */
  readonly isRead = computed(() => {
    const id = this.orderId();
    const places = [PRACTICE_PLACE, placeOf(LEARNING, id), placeOf(SCHEDULES, id)] as readonly Place[];
    return (
      this.stored()?.id === id && this.orders.isRead(id) && places.every((place) => this.rows.isRead(place))
    );
  });
  constructor() {
    // Also where nobody does anything: at midnight, and when the page is looked at again in the morning.
    merge(
      interval(MINUTE),
      fromEvent(document, 'visibilitychange').pipe(filter(() => document.visibilityState === 'visible')),
    )
      .pipe(takeUntilDestroyed())
      .subscribe(() => this.now.set(this.clock.now()));
  }

  /** The items that this tab has answered, by their keys. */
  private readonly touched = signal<ReadonlySet<string>>(new Set());
  readonly itemRows = computed<ReadonlyMap<string, ItemRow>>(() => {
    const [id, stored] = [this.orderId(), this.stored()];
    const rows = new Map((stored?.id === id ? stored.rows : []).map((row) => [row.id, row]));
    // What was answered here shows at once, and is not what it was while the items are read again.
    for (const key of this.touched()) {
      const row = this.rows.at(placeOf(ITEMS, key))();
      if (row?.order === id) rows.set(key, row);
      else if (!row) rows.delete(key);
    }
    return new Map([...rows.values()].map((row) => [row.item, row]));
  });
  /** Whether some of it is the sample practice. */
  readonly hasSample = computed(() => [...this.itemRows().values()].some(({ sample }) => sample === true));
  readonly memories = computed<Memories>(
    () => new Map([...this.itemRows()].map(([item, { memory }]) => [item, memory])),
  );

  readonly plan = computed<Plan>(() => {
    const { blocks, directions, newCards } = this.settings();
    const order = this.order();
    return {
      order,
      items: itemsOf(order, directions),
      blocks: blocksOf(order, blocks, this.origin()),
      schedule: this.schedule(),
      newCards,
    };
  });
  /** Cards whose first item was begun on this day. */
  private readonly begunToday = computed<ReadonlySet<Card>>(() => {
    const first = new Map<Card, number>();
    for (const { item, begun } of this.itemRows().values()) {
      const card = parseItem(item)?.card;
      if (card !== undefined) first.set(card, Math.min(first.get(card) ?? Infinity, begun));
    }
    return new Set([...first].filter(([, begun]) => begun >= this.dayBegan()).map(([card]) => card));
  });

  /** The last answers to the order's items, the newest first. */
  private readonly lately = toSignal(
    toObservable(this.orderId).pipe(
      switchMap((id) =>
        this.storage.live((db) =>
          db
            .rows(REVIEWS)
            .where('[order+at]')
            .between([id, 0], [id, Infinity])
            .reverse()
            .limit(LATELY)
            .toArray(),
        ),
      ),
      this.reader.sound(REVIEWS),
      map((rows) => rows.filter(({ withdrawn, reset }) => !withdrawn && !reset)),
    ),
    { initialValue: [] as ReviewRow[] },
  );
  readonly recallRate = computed(() => recallRate(this.schedule(), this.lately()));
  readonly usualTime = computed(() => usualTime(this.lately()));

  readonly due = computed(() =>
    dueItems(this.plan(), this.memories(), this.now(), this.dayBegan() + DAY - 1),
  );
  /** Items that may be begun today, as far as the open blocks have them. */
  readonly fresh = computed(() => {
    const left = Math.max(0, this.plan().newCards - this.begunToday().size);
    return freshItems(this.plan(), this.memories(), left);
  });
  /** How many cards of them are new altogether. */
  readonly newCards = computed(() => {
    const begun = this.begun();
    return new Set(this.fresh().flatMap(({ card }) => (begun.has(card) ? [] : [card]))).size;
  });
  readonly openBlocks = computed(() => openBlocks(this.plan(), this.memories()));
  /** Cards of which an item was begun. */
  readonly begun = computed<ReadonlySet<Card>>(
    () => new Set([...this.memories().keys()].flatMap((id) => parseItem(id)?.card ?? [])),
  );
  /** How many of the items that are asked are held, by card. */
  readonly heldOf = computed<ReadonlyMap<Card, number>>(() => {
    const held = new Map<Card, number>();
    for (const item of this.plan().items)
      if (isHeld(this.memories().get(itemId(item)))) held.set(item.card, (held.get(item.card) ?? 0) + 1);
    return held;
  });

  /**
   * What a forecast of this order is made from; undefined until the items are read. The moment is that of the last
   * look, by the hour: a forecast does not change with every answer's second.
   */
  forecastArgs(days: number, runs: number, seed: number): ForecastArgs | undefined {
    if (!this.isRead()) return undefined;
    const { directions, minutes, newCards } = this.settings();
    const { blocks, order } = this.plan();
    return {
      ...{
        order,
        directions,
        blocks,
        newCards,
        minutes,
        schedule: this.scheduleSettings(),
        days,
        runs,
        seed,
      },
      memories: [...this.memories()],
      now: Math.floor(this.now() / HOUR) * HOUR,
      offset: this.clock.offset(),
      answerTime: this.usualTime(),
      recallRate: this.recallRate(),
    };
  }

  /** Where a practice stands that has asked these. */
  standing(asked: Standing['asked']): Standing {
    const now = this.now();
    return { now, dayEnds: this.dayBegan() + DAY, begunToday: this.begunToday(), asked };
  }

  /** An item that this tab answers, by its key: from now on it shows as it was answered. */
  touch(key: string): void {
    if (!this.touched().has(key)) this.touched.update((keys) => new Set([...keys, key]));
  }

  /** Practises another order than the one in hand; undefined goes back to that. */
  choose(orderId: string | undefined): void {
    this.chosen.set(orderId === this.pack.pack().orderId ? undefined : orderId);
  }

  look(): void {
    this.now.set(this.clock.now());
  }

  /** Changes how the order in hand is learnt. */
  set(part: Partial<Omit<LearningRow, 'id'>>): void {
    const [id, base] = [this.orderId(), untracked(this.settings)];
    void this.journal.commit('change how the order is learnt', [placeOf(LEARNING, id)], ([row]) => [
      { ...(row ?? base), ...part },
    ]);
  }
}
