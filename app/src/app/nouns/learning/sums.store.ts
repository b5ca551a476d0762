import { computed, inject, Injectable, signal } from '@angular/core';
import {
  Fluency,
  fluencyOf,
  kindsFor,
  LEVELS,
  needOf,
  SumKind,
  SumPack,
  WANTED_TIME,
} from '@enumeron/core/learn';
import { firstValueFrom } from 'rxjs';
import { SumRow, SUMS } from './sums.kind';
import { OrdersStore } from '../orders/orders.store';
import { Reader } from '../../storage/reader';
import { Storage } from '../../storage/storage';
import { SentStore } from '../procedures/sent.store';
import { LearnStore } from './learn.store';

/** Of so many answers the estimates are made. */
const LATELY = 600;

/** How fluent the user is in one kind of sum. */
export interface KindStanding {
  readonly kind: SumKind;
  /** How many answers it is told by. */
  readonly answers: number;
  /** The median time of right answers, in milliseconds; undefined where there is none. */
  readonly median: number | undefined;
  readonly fluency: Fluency;
  /** How many answers there are at each level. */
  readonly counts: readonly number[];
  readonly need: number;
}

/** What is known of the user's sums: read once, and then kept up with what is answered here. */
@Injectable()
export class SumsStore {
  private readonly store = inject(LearnStore);
  private readonly orders = inject(OrdersStore);
  private readonly storage = inject(Storage);
  private readonly sent = inject(SentStore);
  private readonly reader = inject(Reader);

  private readonly answers = signal<readonly SumRow[] | undefined>(undefined);
  readonly isRead = computed(() => this.answers() !== undefined && this.sent.isReady());

  readonly pack = computed<SumPack>(() => {
    const origin = this.orders.find(this.store.orderId())?.origin;
    const way = this.store.headWay();
    return {
      home: this.store.order(),
      ...(origin?.kind === 'bank' ? { bank: origin.bank } : {}),
      ...(way ? { way } : {}),
    };
  });
  /** Every kind that can be asked of the order, and procedures that were sent to Reckon. */
  readonly kinds = computed(() => [
    ...kindsFor(this.pack()),
    ...this.sent.sums().filter((kind) => kind.ranges(this.pack()) !== undefined),
  ]);
  /** The kinds that are practised: those that were chosen, as far as the order has them. */
  readonly chosen = computed(() => {
    const names = this.store.settings().sums?.kinds;
    const chosen = this.kinds().filter(({ name }) => names?.includes(name) ?? true);
    return chosen.length > 0 ? chosen : this.kinds();
  });
  readonly wanted = computed(() => this.store.settings().sums?.wanted ?? WANTED_TIME);
  /** Whether an order of the pack's own must still be read: it says whether there is a bank. */
  readonly orderRead = computed(() => this.orders.isRead(this.store.orderId()));

  /** Every kind that the order has, with how fluent the user is in it. */
  readonly standings = computed<readonly KindStanding[]>(() => {
    const byKind = new Map<string, SumRow[]>();
    for (const row of this.answers() ?? []) {
      if (row.withdrawn) continue;
      byKind.set(row.kind, [...(byKind.get(row.kind) ?? []), row]);
    }
    return this.kinds().map((kind) => {
      const rows = byKind.get(kind.name) ?? [];
      const fluency = fluencyOf(rows, this.wanted());
      const times = rows.flatMap(({ right, interrupted, ms }) => (right && !interrupted ? [ms] : []));
      times.sort((a, b) => a - b);
      return {
        ...{ kind, answers: rows.length, fluency, need: needOf(fluency) },
        counts: LEVELS.map((level) => rows.filter((row) => row.level === level).length),
        median: times.length === 0 ? undefined : times[Math.floor(times.length / 2)],
      };
    });
  });

  /** Reads the last answers; what was read before stays until then. */
  async load(): Promise<void> {
    const rows = await firstValueFrom(
      this.storage
        .live((db) => db.rows(SUMS).orderBy('at').reverse().limit(LATELY).toArray())
        .pipe(this.reader.sound(SUMS)),
      { defaultValue: [] },
    );
    const known = new Set(rows.map(({ id }) => id));
    // What was answered meanwhile, and what storage has not taken.
    const own = (this.answers() ?? []).filter(({ id }) => this.own.has(id) && !known.has(id));
    this.answers.set([...rows.reverse(), ...own]);
  }

  private readonly own = new Set<string>();

  /** An answer that was given here. */
  add(row: SumRow): void {
    this.own.add(row.id);
    this.answers.update((rows) => [...(rows ?? []), row]);
  }

  /** An answer that was taken back counts no more. */
  remove(id: string): void {
    this.answers.update((rows) => rows?.filter((row) => row.id !== id));
  }

  standingOf(kind: SumKind): KindStanding | undefined {
    return this.standings().find((each) => each.kind === kind);
  }
}
