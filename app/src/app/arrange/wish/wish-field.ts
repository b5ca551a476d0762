import { ChangeDetectionStrategy, Component, computed, effect, input, output, signal } from '@angular/core';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { Slot } from '@enumeron/core/file/wish/slots';

/** What a field is called. */
const LABELS: Readonly<Record<string, string>> = {
  cards: 'Cards',
  card: 'Card',
  other: 'Other card',
  places: 'Places',
  of: 'Which cards',
  least: 'At least',
  most: 'At most',
  exactly: 'Exactly',
  distance: 'How far',
  relation: 'How they are related',
  step: 'Step',
  makes: 'What they add up to',
  more: 'How many more',
  rankFrom: 'Place of the rank',
  suitFrom: 'Place of the suit',
  at: 'Place',
  is: 'Card',
  by: 'By what',
  size: 'How many cards',
  all: 'Alike or different',
  players: 'How many players',
  player: 'Which player',
  target: 'Card it ends on',
  parts: 'How many packets',
  within: 'Within',
  next: 'How many cards',
  rule: 'Rule',
  cuts: 'Cuts',
  moves: 'Moves',
  suits: 'Suits in turn',
  from: 'First place',
  to: 'Last place',
};

/** What may be written into a field, where what stands there cannot be read. */
const HINTS: Readonly<Record<string, string>> = {
  number: 'Write a number.',
  card: 'Write a card such as 7D.',
  cards: 'Write cards such as 7D, QH.',
  places: 'Write places such as 3, 20 or 1 to 10.',
  class: 'Write which cards: aces, red cards, hearts, 7D, QH.',
  suits: 'Write the four suits in turn, such as C H S D.',
  cuts: 'Write every cut, 10 to 18, or cuts such as 4, 9.',
  moves: 'Write moves such as out, in, cut 12.',
};

/** One part of a wish, written where it stands in the sentence, or chosen of a few. */
@Component({
  selector: 'en-wish-field',
  imports: [MatMenu, MatMenuItem, MatMenuTrigger],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (slot().options; as options) {
      <button
        type="button"
        class="field"
        [attr.data-field]="field()"
        [matMenuTriggerFor]="menu"
        [attr.aria-label]="label() + ': ' + text()"
        (focus)="entered.emit()"
      >
        {{ text() }}
      </button>
      <mat-menu #menu="matMenu">
        @for (option of options; track option[0]) {
          <button mat-menu-item type="button" (click)="written.emit(option[0])">{{ option[1] }}</button>
        }
      </mat-menu>
    } @else if (slot().read) {
      <input
        #box
        type="text"
        class="field"
        spellcheck="false"
        autocapitalize="off"
        autocomplete="off"
        [attr.data-field]="field()"
        [attr.aria-label]="label()"
        [attr.aria-invalid]="isWrong()"
        [size]="size()"
        [value]="shown()"
        (focus)="enter(box)"
        (input)="type(box.value)"
        (blur)="leave()"
      />
      @if (isWrong()) {
        <span class="problem" role="alert">{{ hint() }}</span>
      }
    } @else {
      <strong>{{ text() }}</strong>
    }`,
  styles: `
    :host {
      display: inline-flex;
      flex-wrap: wrap;
      align-items: baseline;
      max-width: 100%;
    }

    .field {
      min-width: 1.6ch;
      max-width: 100%;
      min-height: 30px;
      padding: 2px 3px 1px;
      border: 0;
      border-bottom: 2px solid var(--petrol);
      border-radius: 0;
      background: none;
      color: var(--petrol);
      font: 600 0.95em var(--mono);
      line-height: 1.3;
      text-align: left;
      field-sizing: content;
    }

    button.field {
      cursor: pointer;
    }

    .field:hover,
    .field:focus {
      background: var(--paper);
    }

    [aria-invalid='true'] {
      border-color: var(--red);
    }

    .problem {
      margin-left: 6px;
      color: var(--red);
      font-size: 0.9rem;
    }

    @media (max-width: 43.749em) {
      .field {
        min-width: 44px;
        min-height: 44px;
      }
    }
  `,
})
export class WishField {
  readonly field = input.required<string>();
  readonly slot = input.required<Slot>();
  /** What stands there, as it is said. */
  readonly text = input.required<string>();
  /** What was written, once it can be read. */
  readonly written = output<unknown>();
  readonly entered = output();

  /** Whether one is writing in it. */
  private isIn = false;
  private readonly typed = signal<string | undefined>(undefined);
  private readonly value = computed(() => {
    const typed = this.typed();
    return typed === undefined ? undefined : this.slot().read?.(typed);
  });
  protected readonly isWrong = computed(() => this.typed() !== undefined && this.value() === undefined);
  protected readonly label = computed(() => LABELS[this.field()] ?? this.field());
  protected readonly hint = computed(() => HINTS[this.slot().kind] ?? 'This cannot be read.');
  protected readonly shown = computed(() => this.typed() ?? this.text());
  protected readonly size = computed(() => Math.max(1, this.shown().length));

  constructor() {
    // What is pressed on the rail meanwhile takes the place of what could not be read.
    effect(() => {
      this.text();
      if (!this.isIn) this.typed.set(undefined);
    });
  }

  protected enter(box: HTMLInputElement): void {
    this.isIn = true;
    this.entered.emit();
    box.select();
  }

  protected type(text: string): void {
    this.typed.set(text);
    const value = this.value();
    if (value !== undefined) this.written.emit(value);
  }

  /** What can be read stands there as it is said; what cannot stays as it was written. */
  protected leave(): void {
    this.isIn = false;
    if (!this.isWrong()) this.typed.set(undefined);
  }
}
