import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { MOST_ORDERED } from '@enumeron/core/file/perform/orderWish';
import { PerformancesStore } from '../../nouns/performances/performances.store';
import { junctionWords, sayCost } from './junction-words';
import { SetDesk } from './set-desk';
import { SetOdds } from './set-odds';

/** What a set costs, and the way to its best order. */
@Component({
  selector: 'en-set-answer',
  imports: [MatButton, RouterLink, SetOdds],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './set-answer.html',
  styleUrl: './set-aside.scss',
})
export class SetAnswer {
  /** More routines take too long. */
  protected readonly most = MOST_ORDERED;
  protected readonly desk = inject(SetDesk);
  private readonly performances = inject(PerformancesStore);
  private readonly router = inject(Router);

  private readonly words = computed(() => junctionWords(this.desk.junctions(), this.desk.homeOf));
  protected readonly cost = computed(() => {
    const running = this.desk.running();
    return running && sayCost(running, this.words());
  });
  protected readonly broken = computed(() => this.desk.points().filter(({ kept }) => !kept).length);
  /** The minutes of the routines, of the mends in view and of the interval. */
  protected readonly time = computed(() => {
    const set = this.desk.set();
    const mends = Math.round((this.desk.running()?.seconds ?? 0) / 60);
    const interval = this.desk.interval() === undefined ? 0 : (set?.intervalMinutes ?? 0);
    const parts = [
      `${countOf(this.desk.minutes(), 'minute')} of routines`,
      ...(mends > 0 ? [`${countOf(mends, 'minute')} of mends`] : []),
      ...(interval > 0 ? [`${countOf(interval, 'minute')} of interval`] : []),
    ];
    return parts.join(', ');
  });

  /** Makes it the set of tonight. */
  protected tonight(): void {
    this.performances.choose(this.desk.id());
    void this.router.navigate(['/perform', 'tonight']);
  }
}
