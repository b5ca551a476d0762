import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';

let count = 0;

/**
 * A labelled field for a short text, such as a number. What is wrong with it stands beside it and is tied to it, and what
 * was typed stays until it is right.
 */
@Component({
  selector: 'en-text-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<label [attr.for]="id">{{ label() }}</label>
    <input
      #field
      [id]="id"
      [class.wide]="wide()"
      autocomplete="off"
      [attr.inputmode]="inputmode()"
      [attr.maxlength]="longest()"
      [attr.aria-invalid]="problem() !== undefined"
      [attr.aria-describedby]="problem() ? id + '-problem' : null"
      [value]="typed() ?? value()"
      (input)="typed.set(field.value)"
      (change)="leave(field.value)"
    />
    @if (unit()) {
      <span>{{ unit() }}</span>
    }
    @if (problem(); as sentence) {
      <p role="alert" [id]="id + '-problem'">{{ sentence }}</p>
    }`,
  styleUrl: './text-field.scss',
})
export class TextField {
  readonly label = input.required<string>();
  /** What the field holds while nothing is typed. */
  readonly value = input.required<string>();
  /** What is wrong with a text; undefined where it is right. */
  readonly check = input.required<(text: string) => string | undefined>();
  readonly unit = input('');
  readonly wide = input(false);
  readonly inputmode = input('numeric');
  readonly longest = input(5);
  /** A text that is right, once it was typed and left. */
  readonly taken = output<string>();

  protected readonly id = `text-field-${(count++).toString()}`;
  protected readonly typed = signal<string | undefined>(undefined);
  /** Whether what is typed was left once: only then is it called wrong. */
  private readonly wasLeft = signal(false);
  protected readonly problem = computed(() => {
    const text = this.typed();
    return text === undefined || !this.wasLeft() ? undefined : this.check()(text);
  });

  protected leave(text: string): void {
    this.typed.set(text);
    this.wasLeft.set(true);
    if (this.problem() !== undefined) return;
    this.typed.set(undefined);
    this.wasLeft.set(false);
    this.taken.emit(text);
  }
}
