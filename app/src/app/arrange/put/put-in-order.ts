import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { freedomFor } from '@enumeron/core/arrange';
import { Card } from '@enumeron/core/deck';
import { Undoing } from '../../storage/undoing';
import { OrderRow } from '../../nouns/orders/orders.kind';
import { PackStore } from '../../nouns/pack/pack.store';
import { Notices } from '../../platform/notices';
import { FactoryGuide } from './factory-guide';
import { FreeGuide } from './free-guide';
import { SortingGuide } from './sorting-guide';
import { Choice } from '../../ui/choice';

const BEGINNINGS = {
  'as the cards come': 'Shuffled, as the cards come',
  shuffled: 'Shuffled, into heaps',
  new: 'New, or sorted by suit',
} as const;
type From = keyof typeof BEGINNINGS;

/** How to put a real pack into an order, from whatever it is in now. */
@Component({
  selector: 'en-put-in-order',
  imports: [Choice, FactoryGuide, FreeGuide, MatButton, SortingGuide],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<en-choice
      name="The pack as it is now"
      [options]="beginnings()"
      [says]="beginningWords"
      [(value)]="from"
    />
    @switch (from()) {
      @case ('shuffled') {
        <en-sorting-guide [order]="order().cards" />
      }
      @case ('new') {
        <en-factory-guide [order]="order().cards" />
      }
      @default {
        @if (freedom(); as freedom) {
          <en-free-guide [order]="order().cards" [freedom]="freedom" (gatheredAs)="lay($event)" />
        }
      }
    }
    @if (from() !== 'as the cards come') {
      <p class="lead last">
        Done?
        <button mat-stroked-button (click)="lay(order().cards)">The pack is in this order now</button>
      </p>
    }`,
  styles: `
    en-choice {
      margin-bottom: 0.9rem;
    }
    .last {
      margin-top: 1.2rem;
    }
  `,
})
export class PutInOrder {
  private readonly pack = inject(PackStore);
  private readonly undoing = inject(Undoing);
  private readonly notices = inject(Notices);
  readonly order = input.required<OrderRow>();

  protected readonly freedom = computed(() => freedomFor(this.order().origin, this.order().cards));
  protected readonly beginnings = computed(() =>
    (Object.keys(BEGINNINGS) as From[]).filter(
      (each) => each !== 'as the cards come' || this.freedom() !== undefined,
    ),
  );
  protected readonly beginningWords = (from: From): string => BEGINNINGS[from];
  protected readonly from = linkedSignal<From>(() => (this.freedom() ? 'as the cards come' : 'shuffled'));

  /** Tells the screen that the pack in the hand lies so. */
  protected async lay(cards: readonly Card[]): Promise<void> {
    await this.pack.use({ ...this.order(), cards });
    void this.notices.offerUndo(`The pack is in ${this.order().name} now.`, () => this.undoing.undo('table'));
  }
}
