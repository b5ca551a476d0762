import { computed, inject, Injectable, signal } from '@angular/core';
import { Heard, itemPaces, Schedule } from '@enumeron/core/learn';
import { Database } from '../../data/database';
import { ReviewRow, REVIEWS } from '../../data/kinds/reviews';
import { Storage } from '../../data/storage';
import { LearnStore } from '../learn.store';

/** The last answers of an order are shown, so many at most; they are read in parts, between which the page goes on. */
export const SHOWN = 5000;
const PART = 400;

/** Rows that are what they should be as far as the pictures need it: reading 5,000 through Joi takes too long. */
const isSound = (row: Partial<ReviewRow>): row is ReviewRow =>
  typeof row.item === 'string' &&
  typeof row.at === 'number' &&
  typeof row.ms === 'number' &&
  typeof row.right === 'boolean' &&
  typeof row.answered === 'string' &&
  (row.before === undefined || typeof row.before.stability === 'number');

const heard = (
  { item, at, right, answered, ms, hinted, interrupted, before }: ReviewRow,
  schedule: Schedule,
): Heard => ({
  ...{ item, at, right, answered, ms },
  ...(hinted ? { hinted } : {}),
  ...(interrupted ? { interrupted } : {}),
  ...(before?.state === 2 && before.last !== undefined && before.last <= at
    ? { expected: schedule.recall(before, at) }
    : {}),
});

/** The last answers to the items of the order in hand. */
@Injectable()
export class StandingStore {
  private readonly store = inject(LearnStore);
  private readonly storage = inject(Storage);

  /** Oldest first; undefined while they are read. */
  readonly answers = signal<readonly Heard[] | undefined>(undefined);
  readonly paces = computed(() => itemPaces(this.answers() ?? [], this.store.pace()));

  /** Reads the answers of an order. @returns whether another order was asked for meanwhile. */
  async load(orderId: string): Promise<void> {
    this.answers.set(undefined);
    const db = await this.storage.db();
    const schedule = this.store.schedule();
    const found: Heard[] = [];
    const seen = new Set<string>();
    let before = Infinity;
    while (found.length < SHOWN) {
      const rows = await this.part(db, orderId, before);
      if (this.store.orderId() !== orderId) return;
      const fresh = rows.filter(({ id }) => !seen.has(id));
      for (const row of fresh) {
        seen.add(row.id);
        if (!row.withdrawn && !row.reset && isSound(row)) found.push(heard(row, schedule));
      }
      if (rows.length < PART || fresh.length === 0) break;
      before = rows[rows.length - 1].at;
    }
    this.answers.set(found.slice(0, SHOWN).reverse());
  }

  /** Answers up to a moment, the newest first. */
  private part(db: Database, orderId: string, before: number): Promise<ReviewRow[]> {
    return db
      .rows(REVIEWS)
      .where('[order+at]')
      .between([orderId, 0], [orderId, before], true, true)
      .reverse()
      .limit(PART)
      .toArray();
  }
}
