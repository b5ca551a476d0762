import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { Card } from '@enumeron/core/deck';
import { PackStore } from '../pack/pack.store';
import { CardPad } from '../shared/card-pad';

/** The pad of a wide screen, and which field a press on it fills. */
@Component({
  selector: 'en-lit-pad',
  imports: [CardPad],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<p>
      A press here is <strong>{{ fills() }}</strong>
    </p>
    <en-card-pad
      [label]="label()"
      [pack]="pack.now()"
      [selected]="selected()"
      (picked)="picked.emit($event)"
    />`,
  styles: `
    p {
      margin: 0 0 0.5rem;
      color: var(--muted);
      font-size: 0.9rem;
    }
    strong {
      color: var(--gold-line);
    }
  `,
})
export class LitPad {
  /** What it fills, as it goes on in a sentence: `the card wanted`. */
  readonly fills = input.required<string>();
  readonly selected = input<Card>();
  readonly picked = output<Card>();

  protected readonly pack = inject(PackStore);
  protected readonly label = computed(() =>
    this.fills()
      .replace(/^the /, '')
      .replace(/^./, (letter) => letter.toUpperCase()),
  );
}
