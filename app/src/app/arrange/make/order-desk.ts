import { CdkDrag, CdkDragDrop, CdkDropList, moveItemInArray } from '@angular/cdk/drag-drop';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Card, Entry, formatCard, JOKERS, missingCards } from '@enumeron/core/deck';
import { CardFace } from '../../ui/card-face';
import { NextCard } from '../../ui/next-card';
import { RovingGrid } from '../../ui/roving-grid';

/** How many cards stand in a row of the sheet, and in a line of the text that it makes. */
const COLUMNS = 13;

const textOf = (words: readonly string[]): string =>
  words
    .map(
      (word, index) =>
        word + (index === words.length - 1 ? '' : index % COLUMNS === COLUMNS - 1 ? '\n' : ' '),
    )
    .join('');

/** The order laid out on the desk: cards are put in from the pad, dragged about, or moved by keys. */
@Component({
  selector: 'en-order-desk',
  imports: [CardFace, CdkDrag, CdkDropList, MatButton, NextCard, RovingGrid],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './order-desk.html',
  styleUrl: './order-desk.scss',
})
export class OrderDesk {
  private readonly host: HTMLElement = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;

  readonly entries = input.required<readonly Entry[]>();
  /** The order as text, after each change. What could not be read is kept as it was written. */
  readonly written = output<string>();

  protected readonly columns = COLUMNS;
  private readonly words = computed(() => this.entries().map(({ text }) => text));
  /** The card behind which the next one goes; the last one while there is none. */
  private readonly at = signal<number | undefined>(undefined);
  protected readonly chosen = computed(() => {
    const at = this.at();
    return at === undefined || at >= this.entries().length ? undefined : at;
  });
  protected readonly nextPlace = computed(() => (this.chosen() ?? this.entries().length - 1) + 2);

  protected readonly cells = computed(() => {
    const seen = new Set<Card>();
    return this.entries().map(({ card, text }) => {
      const odd = card === undefined || seen.has(card);
      if (card !== undefined) seen.add(card);
      return { card, text, odd };
    });
  });
  protected readonly left = computed(() => {
    const present = this.entries().flatMap(({ card }) => card ?? []);
    return [...missingCards(present), ...JOKERS.filter((card) => !present.includes(card))];
  });

  protected choose(index: number): void {
    this.at.set(this.chosen() === index ? undefined : index);
  }

  protected putIn(card: Card): void {
    const chosen = this.chosen();
    const at = chosen === undefined ? this.words().length : chosen + 1;
    this.write([...this.words().slice(0, at), formatCard(card), ...this.words().slice(at)]);
    if (chosen !== undefined) this.at.set(at);
  }

  protected takeOut(index: number): void {
    this.write(this.words().filter((_, at) => at !== index));
    this.at.set(index > 0 ? index - 1 : undefined);
  }

  protected drop({ previousIndex, currentIndex }: CdkDragDrop<unknown>): void {
    this.shift(previousIndex, currentIndex);
  }

  protected shift(from: number, to: number): void {
    if (to < 0 || to >= this.words().length || from === to) return;
    const words = [...this.words()];
    moveItemInArray(words, from, to);
    this.write(words);
    this.at.set(to);
  }

  /** Alt and an arrow move the card, delete takes it out; the arrows alone are the grid's. */
  protected key(event: KeyboardEvent, index: number): void {
    const steps: Readonly<Partial<Record<string, number>>> = {
      ArrowLeft: -1,
      ArrowRight: 1,
      ArrowUp: -COLUMNS,
      ArrowDown: COLUMNS,
    };
    const step = event.altKey ? steps[event.key] : undefined;
    if (step !== undefined) {
      this.shift(index, index + step);
      this.focusSoon(index + step);
    } else if (event.key === 'Delete' || event.key === 'Backspace') {
      this.takeOut(index);
      this.focusSoon(Math.max(0, index - 1));
    } else return;
    event.preventDefault();
  }

  private focusSoon(index: number): void {
    setTimeout(() => this.host.querySelectorAll<HTMLElement>('[data-cell]').item(index).focus());
  }

  private write(words: readonly string[]): void {
    this.written.emit(textOf(words));
  }
}
