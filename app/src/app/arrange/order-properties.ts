import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatProgressBar } from '@angular/material/progress-bar';
import { adjacentMatesChance } from '@enumeron/core/odds';
import { measureSpread, properties, Property, SpreadMeasure, spreadPercentile } from '@enumeron/core/arrange';
import { Card, FULL_PACK, numberOrder } from '@enumeron/core/deck';
import { RouterLink } from '@angular/router';
import { distinctUntilChanged, map, switchMap } from 'rxjs';
import { CardText } from '../shared/card-text';
import { Scripts } from '../shared/scripts';
import { COUNT_SPREADS, SpreadProgress } from '../workers/spread';

/** How many shuffled packs an order is held against. */
const PACKS = 20_000;
const SEED = 52;

const MEASURE_WORDS: Readonly<Record<SpreadMeasure, string>> = {
  colourRun: 'longest run of a colour',
  suitRun: 'longest run of a suit',
  likeRanks: 'neighbours of like rank',
  sequences: 'neighbours in sequence',
};

/** What an order can do, each with its proof, and how shuffled it looks when it is spread face up. */
@Component({
  selector: 'en-order-properties',
  imports: [CardText, MatProgressBar, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './order-properties.html',
  styleUrl: './order-properties.scss',
})
export class OrderProperties {
  readonly order = input.required<readonly Card[]>();
  readonly orderId = input.required<string>();
  private readonly countSpreads = inject(COUNT_SPREADS);
  private readonly scripts = inject(Scripts);

  protected readonly properties = computed(() => properties(this.order()));
  protected readonly opened = signal<string | undefined>(undefined);

  /** How common the coincidence is that is often taken for a rare one; for a full pack. */
  protected readonly matesChance = (adjacentMatesChance(FULL_PACK / 2) * 100).toFixed(1);

  /** Which cards are in the pack; only that decides what shuffled packs show. */
  private readonly cards = computed(() => [...this.order()].sort((a, b) => a - b).join());
  protected readonly simulation = toSignal<SpreadProgress, SpreadProgress>(
    toObservable(this.cards).pipe(
      distinctUntilChanged(),
      map((cards) => (cards === '' ? numberOrder() : cards.split(',').map(Number))),
      switchMap((cards) =>
        this.countSpreads(cards, PACKS, SEED).pipe(
          this.scripts.orElse<SpreadProgress, SpreadProgress>({ done: 0, failed: true }),
        ),
      ),
    ),
    { initialValue: { done: 0 } },
  );

  /** Each measure, its value in this order, and of 100 shuffled packs how many look at least as orderly. */
  protected readonly looks = computed(() => {
    const { counts } = this.simulation();
    const spread = measureSpread(this.order());
    return (Object.keys(MEASURE_WORDS) as SpreadMeasure[]).map((measure) => ({
      words: MEASURE_WORDS[measure],
      value: spread[measure],
      percentile: counts && Math.round(spreadPercentile(counts, measure, spread[measure])),
    }));
  });

  protected toggle({ id }: Property): void {
    this.opened.set(this.opened() === id ? undefined : id);
  }
}
