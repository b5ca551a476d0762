import { computed, inject, Injectable, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { Card } from '@enumeron/core/deck';
import {
  Answered,
  blocksOf,
  DAY,
  dayStart,
  dueItems,
  ForecastArgs,
  gradeOf,
  HOUR,
  Item,
  itemId,
  itemsOf,
  judge,
  Memories,
  newItems,
  openBlocks,
  parseItem,
  Plan,
  Said,
  SCHEDULE,
  scheduleBy,
  showSaid,
  Standing,
  Verdict,
} from '@enumeron/core/learn';
import { from, map, switchMap } from 'rxjs';
import { Committed, Journal } from '../data/journal';
import { onlyPlace, Place, placeOf } from '../data/kind';
import { itemKey, ItemRow, ITEMS } from '../data/kinds/items';
import { LEARNING, LearningRow, usualLearning } from '../data/kinds/learning';
import { PRACTICE, PracticeRow } from '../data/kinds/practice';
import { ReviewRow, REVIEWS } from '../data/kinds/reviews';
import { OrdersStore } from '../data/orders.store';
import { Reader } from '../data/reader';
import { Rows } from '../data/rows';
import { Storage } from '../data/storage';
import { PackStore } from '../pack/pack.store';
import { Clock } from '../shared/clock';

const PRACTICE_PLACE = onlyPlace(PRACTICE);

/** Of so many answers the user's own speed is taken. */
const LATELY = 50;

/** So many answers are taken to have been as expected before anything is known of the user. */
const AS_EXPECTED = 20;

/** What an answer takes where nothing is known of the user yet, in milliseconds: with reading and going on. */
const USUAL = 5000;

const newId = (at: number): string =>
  `${at.toString(36)}-${Array.from(crypto.getRandomValues(new Uint8Array(8)), (byte) => byte.toString(16).padStart(2, '0')).join('')}`;

/** An answer as it was given: enough to take it back. */
export interface Given {
  readonly review: string;
  readonly item: Item;
  readonly verdict: Verdict;
  readonly said: Said;
  readonly ms: number;
  readonly at: number;
  readonly stored: Promise<Committed>;
}

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

  readonly orderId = computed(() => this.pack.pack().orderId);
  readonly name = computed(() => this.orders.find(this.orderId())?.name ?? this.pack.pack().name);
  /** The order that is learnt: as it is stored, or as the pack has it where it was deleted. */
  readonly order = computed(() => this.orders.find(this.orderId())?.cards ?? this.pack.home());
  private readonly origin = computed(() => this.orders.find(this.orderId())?.origin);

  readonly settings = computed(
    () => this.rows.at(placeOf(LEARNING, this.orderId()))() ?? usualLearning(this.orderId()),
  );
  readonly practice = this.rows.only(PRACTICE_PLACE);
  private readonly schedule = scheduleBy();

  /** The moment by which everything is counted; it moves on with every answer and every look. */
  readonly now = signal(this.clock.now());
  readonly dayBegan = computed(() => dayStart(this.now(), this.clock.offset()));

  private readonly stored = toSignal(
    toObservable(this.orderId).pipe(
      switchMap((id) =>
        this.storage
          .live((db) => db.rows(ITEMS).where('order').equals(id).toArray())
          .pipe(
            switchMap((rows) => from(this.reader.ready()).pipe(map(() => rows))),
            map((rows) => ({ id, rows: rows.flatMap((row) => this.read(row)) })),
          ),
      ),
    ),
  );
  /** Whether storage has been asked for the order's items, and for the practice that was left. */
  readonly isRead = computed(
    () => this.stored()?.id === this.orderId() && this.rows.isRead(PRACTICE_PLACE as Place),
  );
  /** The items that this tab has answered, by their keys. */
  private readonly touched = signal<readonly string[]>([]);
  private readonly itemRows = computed<ReadonlyMap<string, ItemRow>>(() => {
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
      schedule: this.schedule,
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
      switchMap((rows) => from(this.reader.ready()).pipe(map(() => rows))),
      map((rows) => rows.filter((row) => !row.withdrawn && this.reader.read(REVIEWS, row).ok)),
    ),
    { initialValue: [] as ReviewRow[] },
  );
  /**
   * How often the user was right of late where the schedule expected it, over what it expected; some answers as
   * expected are counted in, so that a few do not say much.
   */
  readonly rightness = computed(() => {
    const held = this.lately().flatMap(({ before, at, right }) =>
      before?.state === 2 ? [{ right, expected: this.schedule.recall(before, at) }] : [],
    );
    const expected = held.reduce((sum, each) => sum + each.expected, AS_EXPECTED);
    return (held.filter(({ right }) => right).length + AS_EXPECTED) / expected;
  });
  /** What an answer of this user takes, in milliseconds, with reading and going on. */
  readonly usualTime = computed(() => {
    const times = this.lately()
      .filter(({ interrupted }) => !interrupted)
      .map(({ ms }) => ms)
      .sort((a, b) => a - b);
    return times.length === 0 ? USUAL : times[Math.floor(times.length / 2)] + 1500;
  });

  readonly due = computed(() =>
    dueItems(this.plan(), this.memories(), this.now(), this.dayBegan() + DAY - 1),
  );
  /** Cards that may be begun today, as far as the open blocks have them. */
  readonly newCards = computed(() => {
    const cards = new Set(newItems(this.plan(), this.memories(), this.standing([])).map(({ card }) => card));
    return Math.min(cards.size, Math.max(0, this.plan().newCards - this.begunToday().size));
  });
  readonly openBlocks = computed(() => openBlocks(this.plan(), this.memories()));
  /** How many items of each card are held: state 2 of the schedule. */
  readonly heldOf = computed<ReadonlyMap<Card, number>>(() => {
    const held = new Map<Card, number>();
    for (const [id, { state }] of this.memories()) {
      const card = parseItem(id)?.card;
      if (card !== undefined && state === 2) held.set(card, (held.get(card) ?? 0) + 1);
    }
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
      ...{ order, directions, blocks, newCards, minutes, schedule: SCHEDULE, days, runs, seed },
      memories: [...this.memories()],
      now: Math.floor(this.now() / HOUR) * HOUR,
      offset: this.clock.offset(),
      answerTime: this.usualTime(),
      rightness: this.rightness(),
    };
  }

  /** Where a practice stands that has asked these. */
  standing(asked: Standing['asked']): Standing {
    const now = this.now();
    return { now, dayEnds: this.dayBegan() + DAY, begunToday: this.begunToday(), asked };
  }

  look(): void {
    this.now.set(this.clock.now());
  }

  /** Notes an answer: it shows at once, and is stored with the practice. */
  answer(item: Item, said: Said, how: Omit<Answered, 'right'>, spent: number): Given {
    const [at, order, orderId] = [this.clock.now(), this.order(), this.orderId()];
    const verdict = judge(item, order, said);
    const [id, review] = [itemId(item), newId(at)];
    const key = itemKey(orderId, id);
    if (!this.touched().includes(key)) this.touched.update((keys) => [...keys, key]);
    const stored = this.journal.commit(
      `answer ${id}`,
      [placeOf(ITEMS, key), placeOf(REVIEWS, review), PRACTICE_PLACE],
      ([row, , practice]) => {
        const before = row?.memory;
        const grade = gradeOf({ ...how, right: verdict.right, first: !before });
        const memory = this.schedule.next(before ?? this.schedule.fresh(at), grade, at);
        const truth = showSaid(verdict.truth);
        return [
          { id: key, order: orderId, item: id, memory, truth, begun: row?.begun ?? at },
          {
            ...{ id: review, order: orderId, item: id, at, answered: showSaid(said) },
            ...{ right: verdict.right, ms: Math.round(how.ms), grade },
            ...(how.interrupted ? { interrupted: true as const } : {}),
            ...(before ? { before } : {}),
          },
          counted(practice, spent, verdict.right, 1),
        ];
      },
    );
    this.look();
    return { review, item, verdict, said, ms: how.ms, at, stored };
  }

  /**
   * Takes an answer back: the item is as it was before, and the answer stays in the history as withdrawn. Gives false
   * where that cannot be: the item was answered again since, in another tab.
   */
  async takeBack({ review, item, verdict, at, stored }: Given): Promise<boolean> {
    await stored;
    const key = itemKey(this.orderId(), itemId(item));
    const done = await this.journal.commit(
      `take back ${itemId(item)}`,
      [placeOf(ITEMS, key), placeOf(REVIEWS, review), PRACTICE_PLACE],
      ([row, answer, practice]) => {
        if (!row || !answer || answer.withdrawn || row.memory.last !== at) return undefined;
        return [
          answer.before && { ...row, memory: answer.before },
          { ...answer, withdrawn: true as const },
          counted(practice, 0, verdict.right, -1),
        ];
      },
    );
    this.look();
    return done === 'stored';
  }

  /** Begins a practice of so many minutes, or goes on with one that was left. */
  begin(minutes: number): void {
    const [began, order] = [this.clock.now(), this.orderId()];
    void this.changePractice(() => ({
      ...{ id: 'practice' as const, order, began, length: minutes * 60_000 },
      ...{ spent: 0, asked: 0, right: 0, ended: false },
    }));
    this.look();
  }

  end(): void {
    void this.changePractice((practice) => ({ ...practice, ended: true }));
  }

  /** Changes how the order in hand is learnt. */
  set(part: Partial<Omit<LearningRow, 'id'>>): void {
    const id = this.orderId();
    void this.journal.commit('change how the order is learnt', [placeOf(LEARNING, id)], ([row]) => [
      { ...(row ?? usualLearning(id)), ...part },
    ]);
  }

  private changePractice(make: (row: PracticeRow) => PracticeRow): Promise<Committed> {
    return this.journal.commit('practise', [PRACTICE_PLACE], ([row]) => [make(row)]);
  }

  private read(row: unknown): ItemRow[] {
    const outcome = this.reader.read(ITEMS, row);
    return outcome.ok ? [outcome.row] : [];
  }
}

const counted = (practice: PracticeRow, spent: number, right: boolean, by: 1 | -1): PracticeRow => ({
  ...practice,
  spent: practice.spent + Math.max(0, Math.round(spent)),
  asked: Math.max(0, practice.asked + by),
  right: Math.max(0, practice.right + (right ? by : 0)),
});
