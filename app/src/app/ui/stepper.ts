import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** Goes through steps one by one, back and on; what else leads through them stands between the two. */
@Component({
  selector: 'en-stepper',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<button
      type="button"
      [attr.aria-label]="'A ' + what() + ' back'"
      [disabled]="step() === 0"
      (click)="goTo.emit(step() - 1)"
    >
      ◀
    </button>
    <ng-content />
    <button
      type="button"
      [attr.aria-label]="'A ' + what() + ' on'"
      [disabled]="step() === last()"
      (click)="goTo.emit(step() + 1)"
    >
      ▶
    </button>`,
  styleUrl: './stepper.scss',
})
export class Stepper {
  /** What is gone through: `step`, `move`. */
  readonly what = input.required<string>();
  /** How many are done: 0 to `last`. */
  readonly step = input.required<number>();
  readonly last = input.required<number>();
  readonly goTo = output<number>();
}
