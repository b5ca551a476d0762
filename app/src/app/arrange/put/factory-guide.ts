import { ChangeDetectionStrategy, Component, computed, effect, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MatProgressBar } from '@angular/material/progress-bar';
import { orderByRule, suitLayout } from '@enumeron/core/arrange';
import { Card } from '@enumeron/core/deck';
import { describeMove } from '@enumeron/core/moves';
import { ALL_KINDS, LONGEST_ROW_SEARCHED, RowWish } from '@enumeron/core/weave';
import { CardText } from '../../ui/card-text';
import { answerOf, jobView } from '../../platform/workers/job-view';
import { FACTORIES } from '../../nouns/orders/factories';

/** From a new pack to the order: suit by suit, or by a short row of weaves, cuts and reversals. */
@Component({
  selector: 'en-factory-guide',
  imports: [CardText, MatButton, MatFormField, MatInput, MatLabel, MatProgressBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './factory-guide.html',
  styleUrl: './factory-guide.scss',
})
export class FactoryGuide {
  readonly order = input.required<readonly Card[]>();

  protected readonly factories = FACTORIES;
  protected readonly factory = signal(FACTORIES[0]);
  protected readonly layout = computed(() => suitLayout(this.order()));

  /** Whether a row of moves is searched for, and whether that search was stopped for a while. */
  protected readonly searching = signal(false);
  protected readonly held = signal(false);
  private readonly wish = computed<RowWish | undefined>(() => {
    const outcome = orderByRule(this.factory().rule);
    if (!this.searching() || !outcome.ok) return undefined;
    const goal = { kind: 'order', to: this.order() } as const;
    return {
      from: outcome.order,
      goal,
      kinds: ALL_KINDS,
      cuts: 'free',
      longest: LONGEST_ROW_SEARCHED,
    };
  });
  protected readonly search = jobView('row', this.wish, this.held);
  protected readonly progress = computed(() => {
    const search = this.search();
    return search?.kind === 'running' ? search.progress : undefined;
  });
  protected readonly route = computed(() => {
    const found = answerOf(this.search());
    return found && { moves: found.row?.map((move) => describeMove(move)) };
  });

  constructor() {
    // It can be begun again.
    effect(() => {
      if (this.search()?.kind === 'failed') this.searching.set(false);
    });
  }

  protected begin(): void {
    this.held.set(false);
    this.searching.set(true);
  }

  protected choose(name: string): void {
    this.searching.set(false);
    this.factory.set(FACTORIES.find((each) => each.name === name) ?? FACTORIES[0]);
  }
}
