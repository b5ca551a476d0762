import { NgTemplateOutlet } from '@angular/common';
import { booleanAttribute, ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { BusyMove, heapsAfter } from '@enumeron/core/file/rehearse/busyRow';

/** Heaps side by side, their cards from the top down; those that are wanted are gold, with how deep they lie. */
@Component({
  selector: 'en-heap-piles',
  imports: [NgTemplateOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './heap-piles.html',
  styleUrl: './heap-piles.scss',
})
export class HeapPiles {
  /** By heap, from its top card down. */
  readonly lying = input.required<ReturnType<typeof heapsAfter>>();
  /** The move that is shown, or the heap that one is taken from. */
  readonly move = input<Partial<BusyMove>>();
  /** Whether the wanted cards say how deep they lie. */
  readonly depths = input(false, { transform: booleanAttribute });
  /** Whether a heap is chosen by a press on it. */
  readonly pressed = input(false, { transform: booleanAttribute });
  readonly chosen = output<number>();

  protected readonly piles = computed(() =>
    this.lying().map((cards, index) => {
      const deep = cards.flatMap(({ wanted }, at) => (wanted ? [at + 1] : []));
      const wanted = deep.length === 0 ? 'none wanted' : `wanted at ${deep.join(' and ')}`;
      return {
        ...{ number: index + 1, cards, isUp: deep.at(0) === 1 },
        says: `Heap ${(index + 1).toString()}: ${countOf(cards.length, 'card')}, ${wanted}`,
      };
    }),
  );
}
