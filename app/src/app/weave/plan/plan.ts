import { countOf } from '@enumeron/core/file/deck/countOf';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { Move } from '@enumeron/core/moves';
import { moveName, PlacesWish, weavePaths } from '@enumeron/core/weave';
import { dequal } from 'dequal/lite';
import { CUT_PRICES, CutPrice } from '../../nouns/weaves/weaving.kind';
import { answerOf, jobView } from '../../platform/workers/job-view';
import { tookSince } from '../took';
import { WeavingStore } from '../../nouns/weaves/weaving.store';
import { HeadRow } from './head-row';
import { noRow, planWords, searchWords } from './plan-words';
import { WantedCards } from './wanted-cards';
import { Choice } from '../../ui/choice';

/** What the choices about cuts are called. */
const CUT_WORDS: Readonly<Record<CutPrice, string>> = {
  none: 'not allowed',
  0: 'free',
  1: '1 move',
  2: '2',
};

/** So many rows are listed. */
const MOST_ROWS = 8;

/** Which row brings the followed cards to the places where they are wanted: the shortest, with its proof. */
@Component({
  selector: 'en-plan',
  imports: [Choice, HeadRow, MatButton, MatProgressBar, WantedCards],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './plan.html',
  styleUrls: ['../../ui/page.scss', './plan.scss'],
})
export class Plan {
  protected readonly store = inject(WeavingStore);

  protected readonly prices = CUT_PRICES;
  protected readonly priceWords = (price: CutPrice): string => CUT_WORDS[price];
  protected readonly noRow = computed(() => noRow(this.store.size(), this.store.wishes().cuts));

  /** What is wanted, as far as the pack has it. */
  protected readonly wanted = computed(() =>
    this.store
      .followed()
      .flatMap(({ path, to }) =>
        path && to !== undefined && to <= this.store.size() ? [{ from: path[0], to }] : [],
      ),
  );
  /** Two cards that are wanted at one place. */
  protected readonly clash = computed(() => {
    const places = this.wanted().map(({ to }) => to);
    const twice = places.find((place, index) => places.indexOf(place) < index);
    return twice === undefined
      ? undefined
      : `Two cards are wanted at ${twice.toString()}. One place takes one card.`;
  });
  /** What is searched for: the same one as long as nothing of it changes. */
  private readonly wish = computed<PlacesWish | undefined>(
    () => {
      const { cuts, anyOrder } = this.store.wishes();
      if (this.wanted().length === 0 || this.clash() !== undefined) return undefined;
      return {
        ...{ size: this.store.size(), wanted: this.wanted(), cuts: cuts !== 'none' },
        ...(cuts === 'none' ? {} : { cutPrice: cuts }),
        ...(anyOrder && this.wanted().length > 1 ? { anyOrder } : {}),
      };
    },
    { equal: dequal },
  );

  /** The wish that was stopped; another one is searched for. */
  private readonly stoppedWish = signal<PlacesWish | undefined>(undefined);
  protected readonly stopped = computed(
    () => this.stoppedWish() !== undefined && this.stoppedWish() === this.wish(),
  );
  private readonly search = jobView('places', () => (this.stopped() ? undefined : this.wish()));
  protected readonly looked = computed(() => {
    const search = this.search();
    return search?.kind === 'running' ? countOf(search.progress, 'state') : undefined;
  });
  protected readonly found = computed(() => answerOf(this.search()));
  private readonly took = tookSince(this.wish, this.found);
  protected readonly failed = computed(() => this.search()?.kind === 'failed');
  protected readonly answer = computed(() => {
    const row = this.found()?.rows.at(0);
    return row && { row, words: planWords(row, this.store.wishes().cuts) };
  });
  protected readonly size = computed(() => {
    const found = this.found();
    return found && found.looked > 0 ? searchWords(found, this.wanted().length, this.took()) : '';
  });

  /** Every row as short, where one card goes by weaves alone; otherwise those that the search has met. */
  protected readonly rows = computed(() => {
    const [answer, [only, ...others]] = [this.answer(), this.wanted()];
    if (!answer || answer.row.length === 0) return [];
    const alone = others.length === 0 && this.store.wishes().cuts === 'none';
    const rows: readonly (readonly Move[])[] = alone
      ? weavePaths(this.store.size(), only.from, only.to).map((row) =>
          row.map((weave): Move => ({ kind: 'weave', weave })),
        )
      : (this.found()?.rows ?? []);
    return rows.map((row) => ({ row, names: row.map(moveName).join(', ') }));
  });
  protected readonly listed = computed(() => this.rows().slice(0, MOST_ROWS));
  private readonly shownNames = computed(() => this.store.names().join(', '));

  protected isShown(names: string): boolean {
    return this.shownNames() === names;
  }

  protected use(row: readonly Move[]): void {
    this.store.use(row, 'take the planned row');
  }

  protected stop(): void {
    this.stoppedWish.set(this.wish());
  }

  protected goOn(): void {
    this.stoppedWish.set(undefined);
  }
}
