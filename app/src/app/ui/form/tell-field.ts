import { Field, FieldValue } from '@enumeron/core/form';
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
import {
  Order,
  Rank,
  readEntries,
  showCard,
  showRank,
  showSuit,
  speakSuit,
  suitOf,
  SUITS,
} from '@enumeron/core/deck';
import { EntryField } from './entry-field';
import { cardCompleter, cardReader, numberReader, rankReader, Reading } from './reading';
import { Viewport } from '../../platform/viewport';

/** One field that is told: a card, a number, a rank, suits or a row of numbers. */
@Component({
  selector: 'en-tell-field',
  imports: [EntryField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@switch (field().kind) {
    @case ('suits') {
      <div class="suits" role="group" [attr.aria-label]="field().label">
        <span>{{ field().label }}</span>
        @for (suit of suits; track suit) {
          <button
            type="button"
            class="suit-{{ suit }}"
            [attr.aria-label]="speakSuit(suit)"
            [attr.aria-pressed]="list().includes(suit)"
            (click)="toggle(suit)"
          >
            {{ showSuit(suit) }}
          </button>
        }
      </div>
    }
    @case ('choice') {
      <div class="suits choices" role="group" [attr.aria-label]="field().label">
        <span>{{ field().label }}</span>
        @for (option of field().options ?? []; track option) {
          <button
            type="button"
            [attr.aria-pressed]="single() === $index"
            (click)="focused.emit(); told.emit($index)"
          >
            {{ option }}
          </button>
        }
      </div>
    }
    @case ('cards') {
      <div class="numbers">
        <label [for]="field().name">{{ field().label }}</label>
        <input
          #row
          [id]="field().name"
          autocomplete="off"
          placeholder="7D 8D"
          maxlength="160"
          [class.active]="active()"
          [value]="list().map(showCard).join(' ')"
          (focus)="focused.emit()"
          (change)="tellCards(row.value)"
        />
      </div>
      @if (unread(); as word) {
        <p class="problem" role="alert">“{{ word }}” is not a card.</p>
      }
    }
    @case ('numbers') {
      <div class="numbers">
        <label [for]="field().name">{{ field().label }}</label>
        <input
          #numbers
          [id]="field().name"
          autocomplete="off"
          placeholder="9 14"
          maxlength="40"
          [class.active]="active()"
          [value]="list().join(' ')"
          (focus)="focused.emit()"
          (input)="tellNumbers(numbers.value)"
        />
      </div>
    }
    @default {
      <en-entry-field
        class="row"
        [label]="field().label"
        [value]="single()"
        [suit]="suit()"
        [show]="show()"
        [read]="read()"
        [complete]="complete()"
        [active]="active()"
        [pad]="phone()"
        (focused)="focused.emit()"
        (picked)="told.emit($event)"
      />
    }
  }`,
  styleUrl: './tell-field.scss',
})
export class TellField {
  readonly field = input.required<Field>();
  readonly pack = input.required<Order>();
  readonly value = input<FieldValue>();
  readonly active = input(false);
  readonly focused = output();
  readonly told = output<FieldValue | undefined>();

  private readonly host: HTMLElement = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  protected readonly phone = inject(Viewport).phone;
  protected readonly suits = SUITS;
  protected readonly showCard = showCard;
  protected readonly showSuit = showSuit;
  /** What could not be read as a card in a row of cards. */
  protected readonly unread = signal<string | undefined>(undefined);
  protected readonly speakSuit = speakSuit;

  protected readonly single = computed(() => {
    const value = this.value();
    return typeof value === 'number' ? value : undefined;
  });
  protected readonly list = computed<readonly number[]>(() => {
    const value = this.value();
    return Array.isArray(value) ? (value as readonly number[]) : [];
  });
  protected readonly suit = computed(() => {
    const value = this.single();
    return this.field().kind === 'card' && value !== undefined ? suitOf(value) : undefined;
  });
  protected readonly show = computed<(value: number) => string>(() => {
    const { kind } = this.field();
    if (kind === 'card') return showCard;
    return kind === 'rank' ? (value: number) => showRank(value as Rank) : (value: number) => value.toString();
  });
  protected readonly read = computed<(text: string) => Reading>(() => {
    const { kind, least, most } = this.field();
    if (kind === 'card') return cardReader(this.pack());
    return kind === 'rank' ? rankReader : numberReader(most ?? this.pack().length, least);
  });

  protected readonly complete = computed(() =>
    this.field().kind === 'card' ? cardCompleter(this.pack()) : undefined,
  );

  /** Goes into the field. Gives false when one is in it already. */
  focus(): boolean {
    if (this.host.contains(document.activeElement)) return false;
    this.host.querySelector<HTMLElement>('input, button')?.focus();
    return true;
  }

  protected toggle(suit: number): void {
    this.focused.emit();
    const list = this.list();
    this.told.emit(list.includes(suit) ? list.filter((each) => each !== suit) : [...list, suit]);
  }

  protected tellCards(text: string): void {
    const entries = readEntries(text);
    this.unread.set(entries.find(({ card }) => card === undefined)?.text.slice(0, 20));
    const cards = entries.flatMap(({ card }) => card ?? []);
    this.told.emit(cards.length === 0 ? undefined : cards);
  }

  /** A number that is not whole or far too large is left for core to refuse. */
  protected tellNumbers(text: string): void {
    const numbers = (text.match(/\d{1,3}/g) ?? []).slice(0, 12).map(Number);
    this.told.emit(numbers.length === 0 ? undefined : numbers);
  }
}
