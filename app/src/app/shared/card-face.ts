import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import {
  Card,
  isJoker,
  Rank,
  rankOf,
  showCard,
  showRank,
  showSuit,
  speakCard,
  Suit,
  suitOf,
} from '@enumeron/core';

/** One card's rank and suit in the card type, side by side or one above the other. */
@Component({
  selector: 'en-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<span class="card suit-{{ suit() }}" [class.stacked]="stacked()" aria-hidden="true"
      ><span>{{ rank() }}</span
      ><span>{{ symbol() }}</span></span
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
  protected readonly suit = computed(() => suitOf(this.card()) ?? 'joker');
  protected readonly rank = computed(() =>
    isJoker(this.card()) ? showCard(this.card()).charAt(0) : showRank(rankOf(this.card()) as Rank),
  );
  protected readonly symbol = computed(() =>
    isJoker(this.card()) ? showCard(this.card()).charAt(1) : showSuit(suitOf(this.card()) as Suit),
  );
  protected readonly name = computed(() => speakCard(this.card()));
}
