import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { parseCard, speakCard, suitOf } from '@enumeron/core/deck';

const CARD = /((?:10|[2-9AJQK])[♣♦♥♠]²?)/u;

/** A sentence in which every card is set in the card type and its suit's colour, and is spoken by its name. */
@Component({
  selector: 'en-card-text',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@for (part of parts(); track $index) {
    @if (part.name) {
      <span class="card suit-{{ part.suit }}" aria-hidden="true">{{ part.text }}</span><span class="spoken">{{
        part.name
      }}</span>
    } @else {
      <span>{{ part.text }}</span>
    }
  }`,
  styles: `
    .card {
      white-space: nowrap;
    }
  `,
})
export class CardText {
  readonly text = input.required<string>();
  protected readonly parts = computed(() =>
    this.text()
      .split(CARD)
      .filter((text) => text !== '')
      .map((text) => {
        const card = parseCard(text);
        return card === undefined ? { text } : { text, name: speakCard(card), suit: suitOf(card) };
      }),
  );
}
