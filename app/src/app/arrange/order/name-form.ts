import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  input,
  linkedSignal,
  output,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { makeName, nameProblem } from '@enumeron/core/formats';

/** Another name for an order, in its place on the sheet. */
@Component({
  selector: 'en-name-form',
  imports: [MatButton, MatFormField, MatInput, MatLabel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<form (submit)="give($event)" (keydown.escape)="left.emit()">
    <mat-form-field subscriptSizing="dynamic">
      <mat-label>Name</mat-label>
      <input
        #field
        matInput
        autocomplete="off"
        [value]="text()"
        [attr.aria-invalid]="problem() !== undefined"
        (input)="text.set(field.value)"
      />
    </mat-form-field>
    <button mat-flat-button type="submit">Rename</button>
    <button mat-button type="button" (click)="left.emit()">Cancel</button>
    @if (problem(); as sentence) {
      <p role="alert">{{ sentence }}</p>
    }
  </form>`,
  styles: `
    form {
      display: flex;
      flex-wrap: wrap;
      gap: 10px;
      align-items: center;
    }
    p {
      flex-basis: 100%;
      margin: 0;
      color: var(--red);
    }
  `,
})
export class NameForm {
  readonly name = input.required<string>();
  readonly given = output<string>();
  readonly left = output();

  protected readonly text = linkedSignal(() => this.name());
  protected readonly problem = computed(() => nameProblem(this.text()));
  private readonly field = viewChild.required<ElementRef<HTMLInputElement>>('field');

  constructor() {
    afterNextRender(() => this.field().nativeElement.select());
  }

  protected give(event: Event): void {
    event.preventDefault();
    if (this.problem() === undefined) this.given.emit(makeName(this.text()));
  }
}
