import { computed, inject, Injectable, signal } from '@angular/core';
import { Attempt, itemPaces, Schedule } from '@enumeron/core/learn';
import { ReviewRow } from '../../nouns/learning/reviews.kind';
import { History } from '../../nouns/learning/history';
import { LearnStore } from '../../nouns/learning/learn.store';

/** The last answers of an order are shown, so many at most. */
export const SHOWN = 2000;
const heard = (
  { item, at, right, answered, ms, hinted, interrupted, before }: ReviewRow,
  schedule: Schedule,
): Attempt => ({
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
  private readonly history = inject(History);
  private asked = 0;

  /** Oldest first; undefined while they are read. */
  readonly answers = signal<readonly Attempt[] | undefined>(undefined);
  readonly paces = computed(() => itemPaces(this.answers() ?? [], this.store.pace()));

  /** Reads the answers of an order; nothing comes of it where another one is asked for meanwhile. */
  async load(orderId: string): Promise<void> {
    this.answers.set(undefined);
    const asked = ++this.asked;
    const rows = await this.history.read(orderId, SHOWN, () => this.asked === asked);
    if (this.asked !== asked) return;
    const schedule = this.store.schedule();
    this.answers.set(rows.flatMap((row) => (row.reset ? [] : [heard(row, schedule)])).reverse());
  }
}
