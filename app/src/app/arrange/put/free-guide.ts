import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Freedom, gatherHeaps, heapNames, layAll, layCard } from '@enumeron/core/arrange';
import { Card } from '@enumeron/core/deck';
import { NextCard } from '../../ui/next-card';
import { OrderSheet } from '../../ui/order-sheet';
import { HeapView } from './heap-view';

/** Puts a shuffled pack into an order that leaves freedom: the cards as they come, each handled once. */
@Component({
  selector: 'en-free-guide',
  imports: [HeapView, MatButton, NextCard, OrderSheet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<p class="lead">
      {{ lead() }} Each card is handled once. Look at the top card, tap it here, and put it face down where it
      says.
    </p>
    @if (left().length > 0) {
      <en-next-card
        label="The card turned"
        [pack]="left()"
        [progress]="shown().length + ' of ' + order().length"
        [backable]="shown().length > 0"
        (picked)="show($event)"
        (back)="back()"
      >
        <en-heap-view [card]="shown().at(-1)" [named]="true" [heap]="heap()" [under]="laid()?.under ?? 0">
          Turn the top card over and tap it here, or type it.
        </en-heap-view>
      </en-next-card>
    } @else {
      <en-heap-view [card]="shown().at(-1)" [named]="true" [heap]="heap()" [under]="laid()?.under ?? 0" />
      <p class="gather">{{ gathered().says }}</p>
      <button mat-flat-button (click)="gatheredAs.emit(gathered().order)">The pack is gathered so</button>
      <button mat-button (click)="back()">Back one card</button>
      <h3>The pack is then</h3>
      <en-order-sheet label="The pack as gathered" [order]="gathered().order" />
    }`,
  styles: `
    .gather {
      font: 700 1.4rem/1.3 var(--heading);
    }
    h3 {
      margin: 0.8rem 0 0.4rem;
    }
  `,
})
export class FreeGuide {
  readonly order = input.required<readonly Card[]>();
  readonly freedom = input.required<Freedom>();
  /** The pack as it lies at the end, once the user says that it does. */
  readonly gatheredAs = output<readonly Card[]>();

  protected readonly shown = linkedSignal<readonly Card[], readonly Card[]>({
    source: this.order,
    computation: () => [],
  });
  protected readonly left = computed(() => this.order().filter((card) => !this.shown().includes(card)));
  protected readonly lead = computed(() => {
    const freedom = this.freedom();
    if (freedom.kind !== 'bank')
      return `Any card may come first as long as its mate ${freedom.kind === 'palindrome' ? 'mirrors it' : 'lies opposite'}.`;
    return freedom.bank.loose
      ? 'The cards of a group may lie in any order, and the rest where they fall.'
      : 'Only the bank has an order; the rest lie where they fall.';
  });
  /** Where the card turned last goes, among the heaps before it. */
  protected readonly laid = computed(() => {
    const shown = this.shown();
    return shown.length === 0
      ? undefined
      : layCard(this.freedom(), layAll(this.freedom(), shown.slice(0, -1)), shown[shown.length - 1]);
  });
  protected readonly heap = computed(() => heapNames(this.freedom())[this.laid()?.heap ?? 0]);
  protected readonly gathered = computed(() =>
    gatherHeaps(this.freedom(), layAll(this.freedom(), this.shown())),
  );

  protected show(card: Card): void {
    this.shown.update((shown) => [...shown, card]);
  }

  protected back(): void {
    this.shown.update((turned) => turned.slice(0, -1));
  }
}
