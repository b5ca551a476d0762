import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { Order } from '@enumeron/core/deck';
import { arrangementBefore, inverseMoves, recipeSteps } from '@enumeron/core/file/arrange/recipe';
import { Move } from '@enumeron/core/moves';
import { moveName, wayPoints } from '@enumeron/core/weave';
import { SaveOrder } from '../../nouns/orders/save-order';
import { Strip } from '../../ui/strip';

/** The inverse recipe: which arrangement ends in an order by these moves, and what can be pointed at on the way. */
@Component({
  selector: 'en-inverse',
  imports: [SaveOrder, Strip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h3>Which arrangement ends in this order</h3>
    @if (row().length === 0) {
      <p class="note">
        Write a row under Cards to places: the arrangement from which it ends in this order comes by itself.
      </p>
    } @else if (before(); as first) {
      <p>{{ names() }} end in this order when the pack begins like this:</p>
      <en-strip [cards]="first" />
      <ol class="steps">
        @for (step of steps(); track $index) {
          <li>
            <p>{{ step.name }}</p>
            <en-strip [cards]="step.order" />
            @if (step.points) {
              <p class="points">{{ step.points }}</p>
            }
          </li>
        }
      </ol>
      <en-save-order [order]="first" [origin]="origin()" [(name)]="name" />
    } @else {
      <p class="note">A shuffle by chance cannot be taken back.</p>
    }`,
  styleUrls: ['../../ui/page.scss', './orders-page.scss'],
})
export class Inverse {
  readonly row = input.required<readonly Move[]>();
  /** The order that is to be ended in. */
  readonly target = input.required<Order>();

  protected readonly name = signal('');
  protected readonly names = computed(() => this.row().map(moveName).join(', '));
  protected readonly before = computed(() => arrangementBefore(this.row(), this.target()));
  protected readonly steps = computed(() => {
    const orders = recipeSteps({ base: this.before() ?? [], moves: this.row() });
    return this.row().map((move, index) => ({
      ...{ name: moveName(move), order: orders[index + 1] },
      points: wayPoints(orders[index + 1], this.target()).join(', '),
    }));
  });
  protected readonly origin = computed(() => ({
    ...{ kind: 'recipe' as const, base: this.target() },
    moves: inverseMoves(this.row(), this.target().length) ?? [],
  }));
}
