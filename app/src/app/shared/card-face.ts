import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { Card, speakCard } from '@enumeron/core/deck';
import { faceOf } from './face';

/** One card's rank and suit in the card type, side by side or one above the other. */
@Component({
  selector: 'en-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<span class="card suit-{{ face().suit }}" [class.stacked]="stacked()" aria-hidden="true"
      ><span>{{ face().rank }}</span
      ><span>{{ face().symbol }}</span></span
    ><span class="spoken">{{ name() }}</span>`,
  styles: `
    .stacked {
      display: inline-flex;
      flex-direction: column;
      align-items: center;
      line-height: 1.15;
    }
  `,
})
export class CardFace {
  readonly card = input.required<Card>();
  readonly stacked = input(false);
  protected readonly face = computed(() => faceOf(this.card()));
  protected readonly name = computed(() => speakCard(this.card()));
}
