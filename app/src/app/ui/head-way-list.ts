import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { exampleCard, HeadWay } from '@enumeron/core/arrange';
import { Order, showCard } from '@enumeron/core/deck';
import { CardText } from './card-text';
import { HandSum } from './hand-sum';

/** Ways to work an order out in the head, the easiest first: one is chosen, and worked out for a card. */
@Component({
  selector: 'en-head-way-list',
  imports: [CardText, HandSum],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="ways" role="radiogroup" aria-label="How it is worked out">
      @for (way of ways(); track way.name) {
        <label>
          <input
            type="radio"
            name="head-way"
            [checked]="way.name === shown()?.name"
            (change)="picked.emit(way.name)"
          />
          <span>
            <en-card-text [text]="way.name" />
            <small
              >{{ way.facts }} to know by heart, {{ way.additions.toFixed(1) }} additions a card, none above
              {{ way.largest }}</small
            >
          </span>
        </label>
      }
    </div>
    @if (shown(); as way) {
      <p><en-card-text [text]="way.says" /></p>
      <h3>By heart</h3>
      @for (fact of way.remember; track fact) {
        <p class="fact"><en-card-text [text]="fact" /></p>
      }
      <h3><en-card-text [text]="example().name" /> worked out</h3>
      <en-hand-sum [lines]="example().lines" />
    }`,
  styles: `
    .ways {
      margin: 0 0 0.6rem;
    }
    label {
      display: grid;
      grid-template-columns: auto 1fr;
      gap: 10px;
      align-items: center;
      min-height: 48px;
      border-bottom: 1px solid var(--line);
      cursor: pointer;
    }
    input {
      width: 20px;
      height: 20px;
      accent-color: var(--petrol);
    }
    small {
      display: block;
      color: var(--muted);
      font-size: 0.9rem;
    }
    h3 {
      margin: 0.8rem 0 0.3rem;
    }
    p {
      margin: 0.2rem 0;
    }
    .fact {
      font-family: var(--mono);
    }
  `,
})
export class HeadWayList {
  readonly order = input.required<Order>();
  readonly ways = input.required<readonly HeadWay[]>();
  /** The name of the one that was chosen; the easiest stands in. */
  readonly chosen = input<string>();
  readonly picked = output<string>();

  protected readonly shown = computed(
    () => this.ways().find(({ name }) => name === this.chosen()) ?? this.ways().at(0),
  );
  protected readonly example = computed(() => {
    const card = exampleCard(this.order());
    return { name: showCard(card), lines: this.shown()?.work(card) ?? [] };
  });
}
