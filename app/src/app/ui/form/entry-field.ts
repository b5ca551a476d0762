import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  Injector,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { Reading } from './reading';

let count = 0;

/**
 * A field for one card or one number: what is typed is taken as soon as it can be read, and what cannot be
 * read stays, with what is wrong.
 */
@Component({
  selector: 'en-entry-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<label [attr.for]="id">{{ label() }}</label>
    <input
      #field
      [id]="id"
      class="{{ 'suit-' + suit() }}"
      [class.active]="active()"
      autocomplete="off"
      spellcheck="false"
      placeholder="–"
      [attr.maxlength]="longest()"
      [attr.list]="completions().length > 0 ? id + '-completions' : null"
      [attr.inputmode]="pad() ? 'none' : null"
      [attr.aria-invalid]="problem() !== undefined"
      [attr.aria-describedby]="problem() ? id + '-problem' : null"
      [value]="shown()"
      (focus)="field.select(); focused.emit()"
      (input)="type(field.value)"
      (blur)="leave()"
      (keydown.enter)="enter()"
    />
    @if (completions().length > 0) {
      <datalist [id]="id + '-completions'">
        @for (each of completions(); track each) {
          <option [value]="each"></option>
        }
      </datalist>
    }
    @if (problem(); as sentence) {
      <p class="problem" role="alert" [id]="id + '-problem'">{{ sentence }}</p>
    }`,
  styleUrl: './entry-field.scss',
})
export class EntryField {
  readonly label = input.required<string>();
  readonly value = input<number>();
  readonly show = input.required<(value: number) => string>();
  readonly read = input.required<(text: string) => Reading>();
  /** How many characters may be typed: a card may be written in words. */
  readonly longest = input(24);
  /** The suit whose colour the text takes. */
  readonly suit = input<number>();
  /** Whether the pad on the screen fills this field now. */
  readonly active = input(false);
  /** Whether a pad stands on the screen, so that a phone's own keyboard is not wanted. */
  readonly pad = input(false);
  /** Whether the field is emptied by each value, to take the next. */
  readonly once = input(false);
  /** What a text may go on to be. */
  readonly complete = input<(text: string) => readonly string[]>();
  readonly picked = output<number | undefined>();
  readonly focused = output();
  readonly entered = output();

  protected readonly id = `entry-${(count++).toString()}`;
  private readonly injector = inject(Injector);
  private readonly typed = signal<string | undefined>(undefined);
  private readonly field = viewChild.required<ElementRef<HTMLInputElement>>('field');

  protected readonly shown = computed(() => {
    const value = this.value();
    return this.typed() ?? (value === undefined ? '' : this.show()(value));
  });
  /** What the browser offers while a rank stands alone. */
  protected readonly completions = computed(() => {
    const text = this.typed()?.trim();
    return text ? (this.complete()?.(text) ?? []) : [];
  });
  protected readonly problem = computed(() => {
    const text = this.typed()?.trim();
    return text ? this.read()(text).problem : undefined;
  });

  focus(): void {
    this.field().nativeElement.focus();
  }

  protected type(text: string): void {
    this.typed.set(text);
    const { value } = this.read()(text.trim());
    if (value !== undefined && this.once()) {
      this.typed.set(undefined);
      this.field().nativeElement.value = '';
    }
    if (value !== undefined || text.trim() === '') this.picked.emit(value);
  }

  /** What was read and entered gives way to the value, which may be gone by then: the next is typed over it. */
  protected enter(): void {
    this.entered.emit();
    const text = this.typed()?.trim();
    if (!text || this.read()(text).value === undefined) return;
    this.typed.set(undefined);
    afterNextRender(
      () => {
        const field = this.field().nativeElement;
        field.value = this.shown();
        if (document.activeElement === field) field.select();
      },
      { injector: this.injector },
    );
  }

  protected leave(): void {
    if (this.problem() === undefined) this.typed.set(undefined);
  }
}
