import { computed, Injectable, signal } from '@angular/core';
import {
  findNights,
  NIGHT_COLUMNS,
  type NightColumn,
  type NightWish,
  sortNights,
} from '@enumeron/core/file/record/findNights';
import type { Night } from '@enumeron/core/file/record/night';
import { fieldsOf, overReload } from '../../platform/over-reload';

/** What is looked for among the nights, and how they are sorted: it stays while other pages are looked at. */
@Injectable()
export class NightsLookedFor {
  private readonly kept = fieldsOf(
    overReload('nights', (): unknown => ({ wish: this.wish(), column: this.column(), down: this.down() })),
  );
  readonly wish = signal<NightWish>(wishIn(this.kept['wish']));
  readonly column = signal<NightColumn>(NIGHT_COLUMNS.find((each) => each === this.kept['column']) ?? 'date');
  readonly down = signal(this.kept['down'] !== false);

  /** Whether anything is looked for. */
  readonly isAny = computed(() =>
    Object.values(this.wish()).some((part) => part !== undefined && part !== ''),
  );

  /** Looks for something else in one way. */
  set(part: Partial<NightWish>): void {
    this.wish.update((wish) => ({ ...wish, ...part }));
  }

  clear(): void {
    this.wish.set({});
  }

  /** Sorts by a column; once more by the same turns it round. */
  sortBy(column: NightColumn): void {
    if (this.column() === column) this.down.update((down) => !down);
    else {
      this.column.set(column);
      this.down.set(column === 'date' || column === 'time');
    }
  }

  /** The nights that fit, sorted. */
  of(nights: readonly Night[]): readonly Night[] {
    return sortNights(findNights(nights, this.wish()), this.column(), this.down());
  }
}

const TEXTS = ['words', 'routine', 'place', 'audience', 'ending', 'sort'] as const;

/** What was looked for before a reload, as far as it is of the right shape. */
const wishIn = (kept: unknown): NightWish =>
  Object.fromEntries(
    TEXTS.flatMap((name) => {
      const value = fieldsOf(kept)[name];
      return typeof value === 'string' ? [[name, value] as const] : [];
    }),
  );
