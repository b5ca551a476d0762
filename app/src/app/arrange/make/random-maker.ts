import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatHint, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { Conditions, Origin } from '@enumeron/core/arrange';
import { numberOrder, sayProblem } from '@enumeron/core/deck';
import { keepDraft } from '../../storage/draft-fields';
import { previewOnRail } from '../../nouns/pack/rail-preview';
import { OrderSheet } from '../../ui/order-sheet';
import { LeftDrafts } from '../../ui/left-drafts';
import { jobView } from '../../platform/workers/job-view';
import { NewTabs } from './new-tabs';
import { SaveOrder } from '../../nouns/orders/save-order';

/** An order at random that keeps what is asked of it; the same seed gives the same order. */
@Component({
  selector: 'en-random-maker',
  imports: [MatButton, MatFormField, MatHint, MatInput, LeftDrafts, MatLabel, NewTabs, OrderSheet, SaveOrder],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './random-maker.html',
  styleUrl: './rule-maker.scss',
})
export class RandomMaker {
  protected readonly seed = signal('1');
  protected readonly ranksApart = signal(true);
  protected readonly suitsApart = signal(true);
  protected readonly runs = signal(true);
  protected readonly name = signal('');

  private readonly conditions = computed<Conditions>(() => ({
    ranksApart: this.ranksApart(),
    suitsApart: this.suitsApart(),
    colourRun: this.runs() ? 3 : undefined,
  }));
  protected readonly isSeed = computed(() => /^\d{1,9}$/.test(this.seed()));
  private readonly search = jobView('random order', () =>
    this.isSeed()
      ? { pack: numberOrder(), conditions: this.conditions(), seed: Number(this.seed()) }
      : undefined,
  );
  protected readonly order = computed(() => {
    const search = this.search();
    return search?.kind === 'ended' && search.result.ok ? search.result.order : undefined;
  });
  protected readonly problem = computed(() => {
    const search = this.search();
    if (search?.kind === 'failed') return 'Part of Enumeron didn’t load. Reload the page.';
    return search?.kind === 'ended' && !search.result.ok ? sayProblem(search.result.problems[0]) : undefined;
  });
  protected readonly origin = computed<Origin>(() => ({
    kind: 'random',
    // Of the order that is shown: what is typed may be a moment ahead of it.
    seed: this.search()?.asked.seed ?? Number(this.seed()),
    conditions: this.search()?.asked.conditions ?? this.conditions(),
  }));

  protected readonly draft = keepDraft('random', {
    seed: this.seed,
    ranksApart: this.ranksApart,
    suitsApart: this.suitsApart,
    runs: this.runs,
    name: this.name,
  });

  constructor() {
    previewOnRail(() => {
      const order = this.order();
      return order && { home: order, now: order, label: 'An order at random' };
    });
  }

  protected another(): void {
    this.seed.update((seed) => ((Number(seed) || 0) + 1).toString());
  }
}
