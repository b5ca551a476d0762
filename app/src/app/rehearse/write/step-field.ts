import {
  ChangeDetectionStrategy,
  ChangeDetectorRef,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import {
  MatAutocomplete,
  MatAutocompleteOrigin,
  MatAutocompleteTrigger,
  MatOption,
} from '@angular/material/autocomplete';
import { Slot } from '@enumeron/core/file/procedure/form';
import { StepSlot } from '@enumeron/core/file/procedure/steps';
import { sayExpression } from '@enumeron/core/file/rehearse/sentence';
import { completions, notRead, readWords } from '@enumeron/core/file/rehearse/words';
import { Acting } from '../act/acting.store';
import { sayHeld } from '../act/say-held';
import { keepShut, openNow } from './keep-shut';
import { Desk } from '../desk/desk.store';

/** What a field is called where its name alone says too little. */
const LABELS: Readonly<Record<string, string>> = {
  name: 'Its name',
  count: 'How many',
  from: 'From',
  to: 'To',
  onto: 'Onto',
  packet: 'Packet',
  other: 'Other packet',
  into: 'Into',
  place: 'Place',
  what: 'What',
  that: 'Condition',
  while: 'Condition',
  times: 'Times',
  words: 'Words',
};

const EXPRESSIONS: ReadonlySet<string> = new Set(['number', 'card', 'value', 'condition']);

/** More characters than this may not show in a field. */
const LONG = 38;

/** One part of a step, written where it stands in the sentence: it is taken at each key, and completed. */
@Component({
  selector: 'en-step-field',
  imports: [MatAutocomplete, MatAutocompleteTrigger, MatOption],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<input
      #box
      type="text"
      spellcheck="false"
      autocapitalize="off"
      autocomplete="off"
      class="slot-{{ slot() }}"
      [attr.data-field]="field()"
      [attr.aria-label]="label()"
      [size]="size()"
      [matAutocomplete]="panel"
      [matAutocompleteConnectedTo]="below()"
      [value]="shown()"
      (focus)="enter()"
      (input)="type(box.value)"
      (keydown)="key($event)"
      (blur)="leave()"
    />
    @if (isLong()) {
      <span class="whole" aria-hidden="true">{{ shown() }}</span>
    }
    <mat-autocomplete
      #panel="matAutocomplete"
      class="completions"
      (optionSelected)="complete($event.option.value)"
    >
      @for (each of offers(); track each.text) {
        <mat-option [value]="each.text"
          >{{ each.text }}<span class="holds">{{ each.holds }}</span></mat-option
        >
      }
    </mat-autocomplete>`,
  styles: `
    :host {
      display: inline-flex;
      flex-wrap: wrap;
      max-width: 100%;
    }

    .holds {
      margin-left: 1rem;
      color: var(--muted);
      font: 0.85rem var(--mono);
    }

    .whole {
      flex-basis: 100%;
      color: var(--muted);
      font-size: 0.9rem;
    }

    input {
      min-width: 3ch;
      max-width: 100%;
      min-height: 34px;
      padding: 5px 6px 3px;
      border: 0;
      border-bottom: 2px solid var(--petrol);
      background: var(--paper);
      color: var(--ink);
      font: inherit;
      line-height: 1.35;
      field-sizing: content;
    }

    .slot-name {
      color: var(--petrol);
      font: 600 0.92em var(--mono);
    }

    @media (max-width: 43.749em) {
      input {
        min-width: 44px;
        height: 44px;
      }
    }
  `,
})
export class StepField {
  /** Below what completions are listed. */
  readonly below = input.required<MatAutocompleteOrigin>();
  readonly field = input.required<string>();
  readonly slot = input.required<StepSlot>();
  readonly value = input.required<unknown>();
  readonly written = output<unknown>();
  readonly entered = output();

  private readonly desk = inject(Desk);
  private readonly acting = inject(Acting);
  private readonly changes = inject(ChangeDetectorRef);
  private readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box');
  private readonly trigger = viewChild.required(MatAutocompleteTrigger);
  private readonly typed = signal<string | undefined>(undefined);
  /** Completions come when one types, or asks for them by the arrow key. */
  protected readonly asked = signal(false);

  protected readonly label = computed(() => LABELS[this.field()] ?? this.field());
  protected readonly isExpression = computed(() => EXPRESSIONS.has(this.slot()));
  protected readonly shown = computed(() => this.typed() ?? this.say(this.value()));
  protected readonly size = computed(() => Math.max(3, this.shown().length));
  /** Whether it may be longer than the field: the whole of it stands below then. */
  protected readonly isLong = computed(() => this.shown().length > LONG);
  /** How it may go on, with what the name at its end holds in the case that is acted out. */
  protected readonly offers = computed(() => {
    const names = this.acting.scene()?.names ?? [];
    return this.texts().map((text) => {
      const held = names.find(({ name }) => text.trimEnd().endsWith(name));
      return { text, holds: held ? sayHeld(held) : '' };
    });
  });
  private readonly texts = computed<readonly string[]>(() => {
    if (!this.asked()) return [];
    const text = this.typed() ?? this.shown();
    if (this.isExpression()) return completions(text, this.slot() as Slot, this.desk.names());
    if (this.slot() !== 'packet') return [];
    return this.desk.names().packets.filter((name) => name !== text && name.startsWith(text));
  });

  private say(value: unknown): string {
    if (this.isExpression()) return value === undefined ? '' : sayExpression(value);
    return Array.isArray(value) ? value.join(', ') : typeof value === 'string' ? value : '';
  }

  protected type(text: string): void {
    openNow(this.trigger());
    this.asked.set(true);
    this.take(text);
  }

  private take(text: string): void {
    this.typed.set(text);
    // Another name is given to everything that uses it: when it is whole.
    if (this.slot() !== 'name') this.write(text);
  }

  private write(text: string): void {
    if (this.isExpression()) {
      const read = readWords(text, this.slot() as Slot, this.desk.names());
      this.written.emit(read.ok ? read.value : notRead(text));
    } else if (this.slot() === 'packets')
      this.written.emit(
        text
          .split(',')
          .map((name) => name.trim())
          .filter((name) => name !== ''),
      );
    else this.written.emit(this.slot() === 'text' ? text : text.trim());
  }

  /** The focus alone opens no list, which would have nothing to show: it is laid out when one types. */
  protected enter(): void {
    keepShut(this.trigger(), this.changes);
    this.box().nativeElement.select();
  }

  protected complete(text: string): void {
    this.take(text);
    this.box().nativeElement.value = text;
    // What was completed may go on.
    queueMicrotask(() => this.trigger().openPanel());
  }

  protected key(event: KeyboardEvent): void {
    if (event.key === 'ArrowDown' && !this.asked()) {
      this.asked.set(true);
      queueMicrotask(() => this.trigger().openPanel());
    }
    // The option that is active has been taken by the list.
    if (event.key !== 'Enter' || event.isComposing || event.defaultPrevented) return;
    event.preventDefault();
    this.trigger().closePanel();
    this.leave();
    this.entered.emit();
  }

  protected leave(): void {
    const text = this.typed();
    if (text !== undefined && this.slot() === 'name') this.write(text);
    this.typed.set(undefined);
    this.asked.set(false);
  }
}
