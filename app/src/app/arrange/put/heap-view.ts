import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { Card } from '@enumeron/core/deck';
import { CardFace } from '../../ui/card-face';

/** The card that was turned and where it goes, to be read at arm's length. */
@Component({
  selector: 'en-heap-view',
  imports: [CardFace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<section aria-live="polite" aria-label="The card turned and where it goes">
    @if (card() !== undefined) {
      <en-card [card]="card()!" /><span class="arrow" aria-hidden="true">→</span>
      <span class="heap">
        @if (!named()) {
          <span class="word">heap </span>
        }
        {{ heap() }}
        @if (under()) {
          <span class="word"> under {{ under() }}</span>
        }
      </span>
    } @else {
      <p><ng-content /></p>
    }
  </section>`,
  styles: `
    section {
      display: flex;
      flex-wrap: wrap;
      gap: 0 1.4rem;
      align-items: baseline;
      min-height: 7rem;
      margin: 0.8rem 0;
      padding: 0.4rem 1.2rem;
      border-radius: 4px;
      background: var(--gold-wash);
      font-size: 3rem;
    }
    p {
      align-self: center;
      margin: 0;
      font-size: 1rem;
    }
    .arrow,
    .word {
      color: var(--muted);
    }
    .heap {
      font: 700 5rem/1.2 var(--heading);
    }
    .word {
      font-size: 1.4rem;
      font-weight: 400;
    }
    @media (max-width: 43.749em) {
      section {
        min-height: 4.4rem;
        margin: 6px 0;
        padding: 0 1rem;
        font-size: 2.2rem;
      }
      .heap {
        font-size: 3.4rem;
      }
    }
  `,
})
export class HeapView {
  readonly card = input<Card>();
  readonly heap = input<number | string>();
  /** Whether the heap has a name that says what it is, such as “bank”. */
  readonly named = input(false);
  /** Under how many cards of the heap it goes; on top when none. */
  readonly under = input(0);
}
