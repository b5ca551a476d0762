import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { ActivatedRoute, Router, RouterLink } from '@angular/router';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { nightsCounted } from '@enumeron/core/file/record/counted';
import {
  byAudience,
  mendedJunctions,
  overTime,
  routineRates,
  slipsOf,
} from '@enumeron/core/file/record/routines';
import { inHundred } from '@enumeron/core/file/record/sayChoices';
import { sayMinutes, sayTrouble } from '@enumeron/core/file/record/sayNight';
import { LearnStore } from '../../nouns/learning/learn.store';
import { SumsStore } from '../../nouns/learning/sums.store';
import { NightsStore } from '../../nouns/performances/nights.store';
import { AsTable, TableRow } from '../../ui/charts/as-table';
import { sayDate, sayDay } from '../say-day';
import { RateBar } from './rate-bar';

/** So many nights make one point of what is shown over time. */
const TOGETHER = 5;
/** So many troubles of a routine are listed. */
const LISTED = 8;

/** How often each routine hits, before whom, and why it did not; one’s own slips beside what Learn says. */
@Component({
  selector: 'en-rates-page',
  imports: [AsTable, RateBar, RouterLink],
  providers: [LearnStore, SumsStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './rates-page.html',
  styleUrls: ['../../ui/page.scss', '../answer.scss', './rates-page.scss'],
})
export class RatesPage {
  private readonly store = inject(NightsStore);
  private readonly sums = inject(SumsStore);
  private readonly router = inject(Router);
  private readonly query = toSignal(inject(ActivatedRoute).queryParamMap);

  protected readonly isRead = computed(() => this.store.all() !== undefined);
  protected readonly practice = signal(false);
  protected readonly hasPractice = computed(
    () => this.store.all()?.some(({ practice }) => practice) === true,
  );
  private readonly nights = computed(() =>
    nightsCounted(this.store.all() ?? [], { practice: this.practice() }),
  );
  private readonly rates = computed(() => routineRates(this.nights()));
  protected readonly rows = computed(() =>
    this.rates().map(({ id, name, hits, tries, outs, rate }) => ({
      ...{ id, name, hits, tries, outs, rate },
      says: `${hits.toString()} of ${tries.toString()}`,
      between: `${inHundred(rate.low)} to ${inHundred(rate.high)}`,
    })),
  );
  /** The one that hits least often, as far as the numbers carry that. */
  protected readonly headline = computed(() => {
    const least = this.rates().at(0);
    if (!least) return undefined;
    const all = this.rates().filter(({ hits, tries }) => hits === tries).length;
    if (least.hits === least.tries) return 'Every routine hit, every time';
    return `${least.name} hit ${least.hits.toString()} of ${countOf(least.tries, 'time')}${
      all > 0 ? `; ${countOf(all, 'routine')} never missed` : ''
    }`;
  });

  protected readonly chosenId = computed(() => {
    const asked = this.query()?.get('routine');
    return this.rates().some(({ id }) => id === asked) ? (asked ?? undefined) : this.rates().at(0)?.id;
  });
  protected readonly chosen = computed(() => {
    const rate = this.rates().find(({ id }) => id === this.chosenId());
    if (!rate) return undefined;
    const audiences = byAudience(rate);
    return {
      name: rate.name,
      audiences:
        audiences.length < 2
          ? []
          : audiences.map(({ audience, hits, tries, rate: share }) => ({
              ...{ name: audience === '' ? 'none noted' : audience, rate: share },
              says: `${hits.toString()} of ${tries.toString()}`,
            })),
      time:
        rate.nights.length < 2 * TOGETHER
          ? []
          : overTime(rate, TOGETHER).map(({ nights, hits, tries, rate: share }) => ({
              ...{ name: sayDate(nights[nights.length - 1].night.at), rate: share },
              says: `${hits.toString()} of ${tries.toString()}`,
            })),
      troubles: rate.nights
        .filter(({ done }) => done.how !== 'hit')
        .slice(0, LISTED)
        .map(({ night, done }) => ({
          ...{ id: night.id, day: sayDay(night.at), says: sayTrouble({ ...done, name: done.how }) },
        })),
    };
  });

  protected readonly slips = computed(() =>
    slipsOf(this.nights()).map(({ sum, count, of }) => {
      const standing = this.sums.standings().find(({ kind }) => kind.name === sum);
      const median = standing?.median;
      const isFast = median !== undefined && median <= this.sums.wanted();
      return {
        ...{ sum, says: `${countOf(count, 'slip')} in ${countOf(of, 'routine')}` },
        home:
          median === undefined
            ? 'not practised yet'
            : `${(median / 1000).toFixed(1)} s at home${isFast ? ': fast there, wrong on stage' : ''}`,
      };
    }),
  );
  protected readonly junctions = computed(() =>
    mendedJunctions(this.nights()).map(({ before, routine, times, of, seconds }) => ({
      ...{ name: `${before} → ${routine}` },
      says: `mended ${times.toString()} of ${countOf(of, 'time')}, ${sayMinutes(seconds)} in the middle`,
    })),
  );

  protected readonly tableRows = (): readonly TableRow[] =>
    this.rows().map(({ name, hits, outs, tries, between }) => ({
      ...{ head: name, cells: [hits, outs, tries, between] },
    }));

  constructor() {
    void this.sums.load();
  }

  protected choose(routine: string): void {
    void this.router.navigate([], { queryParams: { routine }, replaceUrl: true });
  }
}
