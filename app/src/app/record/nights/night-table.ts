import {
  CdkFixedSizeVirtualScroll,
  CdkVirtualForOf,
  CdkVirtualScrollableWindow,
  CdkVirtualScrollViewport,
} from '@angular/cdk/scrolling';
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { RouterLink } from '@angular/router';
import { NIGHT_COLUMNS, type NightColumn } from '@enumeron/core/file/record/findNights';
import { type Night, sortOf } from '@enumeron/core/file/record/night';
import { sayHits, sayMinutes, troublesOf } from '@enumeron/core/file/record/sayNight';
import { Clock } from '../../platform/clock';
import { remSignal } from '../../platform/rem';
import { Viewport } from '../../platform/viewport';
import { sayShortDate } from '../say-day';
import { NightsLookedFor } from './looked-for';

const HEADS: Readonly<Record<NightColumn, string>> = {
  ...{ date: 'Date', place: 'Place', name: 'Set', audience: 'Audience', hits: 'Hit', time: 'Time' },
};

/** How high a row is, in rem: as the styles say. */
const [ROW, PHONE_ROW] = [3.5, 5.5];

/** Nights in a table: thousands of them are no effort, since only those in sight are drawn. The page scrolls. */
@Component({
  selector: 'en-night-table',
  imports: [
    CdkFixedSizeVirtualScroll,
    CdkVirtualForOf,
    CdkVirtualScrollableWindow,
    CdkVirtualScrollViewport,
    MatMenu,
    MatMenuContent,
    MatMenuItem,
    MatMenuTrigger,
    RouterLink,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './night-table.html',
  styleUrl: './night-table.scss',
})
export class NightTable {
  readonly nights = input.required<readonly Night[]>();
  readonly duplicated = output<Night>();
  readonly removed = output<Night>();

  protected readonly looked = inject(NightsLookedFor);
  private readonly clock = inject(Clock);
  private readonly rem = remSignal();
  private readonly phone = inject(Viewport).phone;
  protected readonly height = computed(() => (this.phone() ? PHONE_ROW : ROW) * this.rem());
  protected readonly columns = NIGHT_COLUMNS;
  protected readonly heads = HEADS;
  protected readonly hits = sayHits;

  protected day({ at }: Night): string {
    return sayShortDate(at, this.clock.now());
  }

  protected time({ seconds }: Night): string {
    return seconds === undefined ? '' : sayMinutes(seconds);
  }

  /** What did not go as it should, or what the night is. */
  protected says(night: Night): string {
    const sort = sortOf(night);
    const what =
      sort === 'practice' ? ['practice with helpers'] : sort === 'run-through' ? ['run-through'] : [];
    const isToCome = night.done.length === 0 && night.at > this.clock.now();
    return [...what, ...(isToCome ? ['a date to come'] : troublesOf(night))].join(' · ');
  }

  protected sorted(column: NightColumn): string {
    if (this.looked.column() !== column) return 'none';
    return this.looked.down() ? 'descending' : 'ascending';
  }

  protected readonly track = (_: number, { id }: Night): string => id;
}
