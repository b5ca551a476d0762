import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { MatProgressBar } from '@angular/material/progress-bar';
import { adjacentMatesChance } from '@enumeron/core/odds';
import { measureSpread, Property, SpreadMeasure, spreadPercentile } from '@enumeron/core/arrange';
import { Card, FULL_PACK } from '@enumeron/core/deck';
import { RouterLink } from '@angular/router';
import { CardText } from '../../ui/card-text';
import { answerOf, jobView } from '../../platform/workers/job-view';
import { PACKS, propertiesAsked, spreadsAsked } from './asked';

const MEASURE_WORDS: Readonly<Record<SpreadMeasure, string>> = {
  colourRun: 'longest run of a colour',
  suitRun: 'longest run of a suit',
  likeRanks: 'neighbours of the same rank',
  sequences: 'neighbours in sequence',
};

/** How common the coincidence is that is often taken for a rare one, of 100 full packs. */
const MATES_CHANCE = (adjacentMatesChance(FULL_PACK / 2) * 100).toFixed(1);

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

  private readonly found = jobView('properties', () => propertiesAsked(this.order()));
  protected readonly properties = computed(() => answerOf(this.found()) ?? []);
  protected readonly failed = computed(() => this.found()?.kind === 'failed');
  protected readonly opened = signal<string | undefined>(undefined);

  protected readonly matesChance = MATES_CHANCE;

  private readonly shuffles = jobView('spreads', () => spreadsAsked(this.order()));
  protected readonly simulation = computed(() => {
    const job = this.shuffles();
    if (job?.kind === 'ended') return { done: 1, counts: job.result };
    return { done: job?.kind === 'running' ? job.progress / PACKS : 0, failed: job?.kind === 'failed' };
  });

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
