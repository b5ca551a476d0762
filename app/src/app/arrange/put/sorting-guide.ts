import { CountPipe } from '../../ui/count-pipe';
import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { sortingHeap, sortingPlan, sortingRows, sortingStart } from '@enumeron/core/arrange';
import { Card } from '@enumeron/core/deck';
import { countOfCards } from '@enumeron/core/moves';
import { CardFace } from '../../ui/card-face';
import { NextCard } from '../../ui/next-card';
import { HeapView } from './heap-view';
import { countOf } from '@enumeron/core/deck';
import { Choice } from '../../ui/choice';

const HEAPS = [4, 7, 8, 13] as const;

/** How to put a shuffled pack into an order by dealing it into heaps, card by card. */
@Component({
  selector: 'en-sorting-guide',
  imports: [Choice, CountPipe, CardFace, HeapView, MatButton, NextCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sorting-guide.html',
  styleUrl: './sorting-guide.scss',
  host: { '(document:keydown)': 'key($event)' },
})
export class SortingGuide {
  readonly order = input.required<readonly Card[]>();

  protected readonly heapCounts: readonly number[] = HEAPS;
  protected readonly heapWords = (heaps: number): string => {
    const { passes, handled } = sortingPlan(this.order().length, heaps);
    return `${heaps.toString()} · ${countOf(passes, 'time')}, ${handled.toString()}`;
  };
  protected readonly heaps = signal<number>(8);
  protected readonly plan = computed(() => sortingPlan(this.order().length, this.heaps()));
  protected readonly pass = linkedSignal({ source: this.heaps, computation: () => 1 });

  /** The cards turned in the first pass, in the order in which they came. */
  protected readonly shown = linkedSignal<number, readonly Card[]>({
    source: this.heaps,
    computation: () => [],
  });
  /** How many cards of a later pass have been laid: they come in an order that is known by then. */
  private readonly laid = linkedSignal({ source: this.pass, computation: () => 0 });

  /** The pack as a later pass begins. */
  private readonly before = computed(() =>
    sortingStart(this.order(), this.shown(), this.heaps(), this.pass()),
  );
  protected readonly current = computed(() =>
    this.pass() === 1 ? this.shown().at(-1) : this.before().at(this.laid()),
  );
  protected readonly heap = computed(() => {
    const card = this.current();
    return card === undefined ? undefined : sortingHeap(this.order(), card, this.heaps(), this.pass());
  });
  protected readonly done = computed(() => (this.pass() === 1 ? this.shown().length : this.laid()));
  protected readonly complete = computed(() => this.shown().length === this.order().length);
  /** The cards that have not been turned yet in the first pass. */
  protected readonly left = computed(() => this.order().filter((card) => !this.shown().includes(card)));

  protected readonly rows = computed(() => sortingRows(this.order()));
  protected readonly cards = countOfCards;

  protected heapFor(card: Card): number | undefined {
    return sortingHeap(this.order(), card, this.heaps(), this.pass());
  }

  protected back(): void {
    if (this.pass() === 1) this.shown.set(this.shown().slice(0, -1));
    else this.laid.update((count) => Math.max(0, count - 1));
  }

  protected next(): void {
    this.laid.update((count) => Math.min(this.order().length, count + 1));
  }

  /** In a later pass one key is enough. */
  protected key(event: KeyboardEvent): void {
    if (this.pass() === 1 || event.target instanceof HTMLButtonElement) return;
    if (event.key === ' ') this.next();
    else if (event.key === 'Backspace') this.back();
    else return;
    event.preventDefault();
  }

  protected print(): void {
    window.print();
  }
}
