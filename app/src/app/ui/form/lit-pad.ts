import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { Card } from '@enumeron/core/deck';
import { PackStore } from '../../nouns/pack/pack.store';
import { CardPad } from './card-pad';

/** The pad of a wide screen, under the question that it answers. */
@Component({
  selector: 'en-lit-pad',
  imports: [CardPad],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<p>{{ asks() }}</p>
    <en-card-pad
      [label]="asks()"
      [pack]="pack.now()"
      [selected]="selected()"
      (picked)="picked.emit($event)"
    />`,
  styles: `
    p {
      margin: 0 0 0.5rem;
      color: var(--gold-line);
      font-weight: 650;
      font-size: 0.95rem;
    }
  `,
})
export class LitPad {
  /** What is asked for: `Which card was at the first cut?` or `Tap the card you saw at the face`. */
  readonly asks = input.required<string>();
  readonly selected = input<Card>();
  readonly picked = output<Card>();

  protected readonly pack = inject(PackStore);
}
