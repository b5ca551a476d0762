import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import type { Night } from '@enumeron/core/file/record/night';
import { formatDate } from '@angular/common';
import { Clock } from '../../platform/clock';
import { sayFullDay } from '../say-day';
import { weeksOf } from './weeks';

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** A day as a text that no other day has. */
const dayKey = (year: number, month: number, day: number): string => [year, month, day].join('-');
const keyOf = (at: number): string => {
  const date = new Date(at);
  return dayKey(date.getFullYear(), date.getMonth(), date.getDate());
};

/** A month’s sheet: the nights that were, and the dates to come. */
@Component({
  selector: 'en-month',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="head">
      <button type="button" aria-label="The month before" (click)="go(-1)">‹</button>
      <h3 aria-live="polite">{{ name() }}</h3>
      <button type="button" aria-label="The month after" (click)="go(1)">›</button>
    </div>
    <table>
      <thead>
        <tr>
          @for (weekday of weekdays; track weekday) {
            <th scope="col">{{ weekday }}</th>
          }
        </tr>
      </thead>
      <tbody>
        @for (week of weeks(); track $index) {
          <tr>
            @for (day of week; track day.key) {
              <td [class.outside]="!day.isInside" [class.today]="day.isToday">
                @if (day.nights.length > 1) {
                  <button
                    type="button"
                    [class.to-come]="day.isToCome"
                    [attr.aria-label]="day.says"
                    (click)="several.emit(day.nights)"
                  >
                    {{ day.day }}
                  </button>
                } @else if (day.nights.length > 0) {
                  <a
                    [routerLink]="['/record', day.nights[0].id]"
                    [class.to-come]="day.isToCome"
                    [attr.aria-label]="day.says"
                    >{{ day.day }}</a
                  >
                } @else {
                  {{ day.day }}
                }
              </td>
            }
          </tr>
        }
      </tbody>
    </table>`,
  styleUrl: './month.scss',
})
export class Month {
  readonly nights = input.required<readonly Night[]>();
  /** A day with several nights was pressed. */
  readonly several = output<readonly Night[]>();

  private readonly clock = inject(Clock);
  protected readonly weekdays = WEEKDAYS;
  private readonly byDay = computed(() => {
    const days = new Map<string, Night[]>();
    for (const night of this.nights())
      days.set(keyOf(night.at), [...(days.get(keyOf(night.at)) ?? []), night]);
    return days;
  });
  /** The month that is shown, counted in months from year 0: this one at first. */
  private readonly shown = linkedSignal(() => {
    const now = new Date(this.clock.now());
    return 12 * now.getFullYear() + now.getMonth();
  });
  private readonly year = computed(() => Math.floor(this.shown() / 12));
  private readonly month = computed(() => this.shown() % 12);
  protected readonly name = computed(() =>
    formatDate(new Date(this.year(), this.month(), 1), 'MMMM y', 'en-GB'),
  );
  protected readonly weeks = computed(() => {
    const now = this.clock.now();
    const today = keyOf(now);
    return weeksOf(this.year(), this.month()).map((week) =>
      week.map(({ year, month, day, isInside }) => {
        const key = dayKey(year, month, day);
        const nights = this.byDay().get(key) ?? [];
        const names = nights.map(({ name }) => name || 'a night').join(', ');
        return {
          ...{ key, day, isInside, nights, isToday: key === today },
          isToCome: nights.length > 0 && nights.every(({ at, done }) => at > now && done.length === 0),
          says: nights.length > 0 ? `${sayFullDay(nights[0].at)}: ${names}` : '',
        };
      }),
    );
  });

  protected go(by: number): void {
    this.shown.update((month) => month + by);
  }
}
