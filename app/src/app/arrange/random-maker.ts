import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { Conditions, Origin, randomOrder } from '@enumeron/core/arrange';
import { numberOrder, sayProblem, seededRng } from '@enumeron/core/deck';
import { keepDraft } from '../data/draft-fields';
import { previewOnRail } from '../pack/rail-preview';
import { OrderSheet } from '../shared/order-sheet';
import { LeftDrafts } from '../shared/left-drafts';
import { NewTabs } from './new-tabs';
import { SaveOrder } from './save-order';

/** An order at random that keeps what is asked of it; the same seed gives the same order. */
@Component({
  selector: 'en-random-maker',
  imports: [MatButton, MatFormField, MatInput, LeftDrafts, MatLabel, NewTabs, OrderSheet, SaveOrder],
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
  private readonly outcome = computed(() =>
    /^\d{1,9}$/.test(this.seed())
      ? randomOrder(numberOrder(), this.conditions(), seededRng(Number(this.seed())))
      : ({
          ok: false,
          problems: [{ what: 'The seed must be a whole number.', remedy: 'Write up to nine digits.' }],
        } as const),
  );
  protected readonly order = computed(() => {
    const outcome = this.outcome();
    return outcome.ok ? outcome.order : undefined;
  });
  protected readonly problem = computed(() => {
    const outcome = this.outcome();
    return outcome.ok ? undefined : sayProblem(outcome.problems[0]);
  });
  protected readonly origin = computed<Origin>(() => ({
    kind: 'random',
    seed: Number(this.seed()),
    conditions: this.conditions(),
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
