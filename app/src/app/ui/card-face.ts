import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { Card, speakCard } from '@enumeron/core/deck';
import { faceOf } from './face';

/** One card's rank and suit in the card type, side by side or one above the other. */
@Component({
  selector: 'en-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<span class="card suit-{{ face().suit }}" [class.stacked]="stacked()" aria-hidden="true"
      >{{ face().rank }}<br />{{ face().symbol }}</span
    ><span class="spoken">{{ name() }}</span>`,
  styles: `
    .stacked {
      display: inline-block;
      line-height: 1.15;
      text-align: center;
    }
    :not(.stacked) > br {
      display: none;
    }
  `,
})
export class CardFace {
  readonly card = input.required<Card>();
  readonly stacked = input(false);
  protected readonly face = computed(() => faceOf(this.card()));
  protected readonly name = computed(() => speakCard(this.card()));
}
