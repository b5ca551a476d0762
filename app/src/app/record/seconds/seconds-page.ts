import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { actSeconds } from '@enumeron/core/file/record/actSeconds';
import { sortOf } from '@enumeron/core/file/record/night';
import { scaleLinear } from 'd3-scale';
import { NightsStore } from '../../nouns/performances/nights.store';
import { AsTable, TableRow } from '../../ui/charts/as-table';

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

const told = (seconds: number): string =>
  seconds < 10 ? seconds.toFixed(1) : Math.round(seconds).toString();

/** How long each act of a mend takes, by what was timed: what set lists use. */
@Component({
  selector: 'en-seconds-page',
  imports: [AsTable, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './seconds-page.html',
  styleUrls: ['../../ui/page.scss', '../answer.scss', './seconds-page.scss'],
})
export class SecondsPage {
  private readonly store = inject(NightsStore);
  protected readonly isRead = computed(() => this.store.all() !== undefined);
  private readonly nights = computed(
    () => this.store.all()?.filter((night) => sortOf(night) !== 'practice') ?? [],
  );
  private readonly acts = computed(() =>
    [...actSeconds(this.nights())].sort((a, b) => b.n - a.n || b.stated - a.stated),
  );
  protected readonly timed = computed(() => this.acts().reduce((sum, { n }) => sum + n, 0));
  private readonly scale = computed(() => {
    const shown = this.acts().filter(({ stated }) => stated < 60);
    const most = Math.max(10, ...shown.flatMap(({ high, stated }) => [high, stated]));
    return scaleLinear().domain([0, most]).range([0, 100]).clamp(true);
  });
  protected readonly rows = computed(() => {
    const at = this.scale();
    return this.acts().map(({ act, seconds, low, high, stated, n }) => ({
      ...{ act, n, name: capital(act), count: n === 0 ? 'as the table says' : countOf(n, 'time') },
      ...{ seconds: told(seconds), stated: told(stated) },
      ...{ at: at(seconds), low: at(low), wide: at(high) - at(low), table: at(stated) },
    }));
  });
  protected readonly headline = computed(() => {
    const most = this.acts().find(({ n }) => n > 0);
    if (!most) return 'No mend was timed yet';
    return `${capital(most.act)}: ${told(most.seconds)} s, not ${told(most.stated)}`;
  });
  protected readonly tableRows = (): readonly TableRow[] =>
    this.acts().map(({ act, seconds, low, high, stated, n }) => ({
      ...{ head: capital(act), cells: [told(seconds), `${told(low)} to ${told(high)}`, told(stated), n] },
    }));
}
