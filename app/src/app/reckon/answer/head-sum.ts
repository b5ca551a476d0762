import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { headWay } from '@enumeron/core/file/arrange/headWay';
import { HeadWayStore } from '../../nouns/learning/head-way.store';
import { PackStore } from '../../nouns/pack/pack.store';
import { HandSum } from '../../ui/hand-sum';

/** How a card's stack number is worked out, in the way that was chosen for the order; nothing where none was. */
@Component({
  selector: 'en-head-sum',
  imports: [HandSum],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (lines().length > 1) {
    <h3>Its stack number</h3>
    <en-hand-sum [lines]="lines()" />
  }`,
  styles: `
    h3 {
      margin-bottom: 0.3rem;
    }
  `,
})
export class HeadSum {
  readonly card = input.required<number>();
  private readonly pack = inject(PackStore);
  private readonly store = inject(HeadWayStore);

  protected readonly lines = computed(() => {
    const { orderId, home } = this.pack.pack();
    const chosen = this.store.chosen(orderId);
    const way = chosen === undefined ? undefined : headWay(home, chosen);
    return way && home.includes(this.card()) ? way.work(this.card()) : [];
  });
}
