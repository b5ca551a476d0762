import { ChangeDetectionStrategy, Component, ElementRef, inject, input, output } from '@angular/core';

/** What the arrow keys add to the index of what is chosen. */
const STEPS: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 };

/** One of a few: a press chooses it, and so do the arrow keys, round and round. The group is one tab stop. */
@Component({
  selector: 'en-choice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'radiogroup', '[attr.aria-label]': 'name()', '(keydown)': 'step($event)' },
  template: `@if (lead()) {
      <span class="before" aria-hidden="true">{{ lead() }}</span>
    }
    @for (option of options(); track option) {
      <button
        type="button"
        role="radio"
        [attr.aria-checked]="option === value()"
        [tabIndex]="option === value() || (!isAnyChosen() && $first) ? 0 : -1"
        (click)="valueChange.emit(option)"
      >
        {{ says()(option) }}
      </button>
    }`,
  styleUrl: './choice.scss',
})
export class Choice<Value> {
  /** What is chosen, for a screen reader. */
  readonly name = input.required<string>();
  /** The same as it stands before the options; nothing where they say it. */
  readonly lead = input('');
  readonly options = input.required<readonly Value[]>();
  /** What is chosen, as whoever keeps it has it: where they refuse another, this stays. */
  readonly value = input.required<Value>();
  readonly valueChange = output<Value>();
  /** How an option is written. */
  readonly says = input<(option: Value) => string>(String);

  private readonly host: HTMLElement = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;

  protected isAnyChosen(): boolean {
    return this.options().some((option) => option === this.value());
  }

  protected step(event: KeyboardEvent): void {
    if (!Object.hasOwn(STEPS, event.key) || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    const options = this.options();
    const next = options.findIndex((option) => option === this.value()) + STEPS[event.key];
    const index = (next + options.length) % options.length;
    this.valueChange.emit(options[index]);
    this.host.querySelectorAll('button')[index].focus();
  }
}
