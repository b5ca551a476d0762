import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  model,
  output,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { Router } from '@angular/router';
import { Card, sayProblem } from '@enumeron/core/deck';
import { nameProblem } from '@enumeron/core/file/formats/name';
import { OrdersStore } from './orders.store';
import { once } from '../../platform/once';
import { Origin, parseOrigin } from '@enumeron/core/file/arrange/origin';

/** Names an order that has been made and keeps it. */
@Component({
  selector: 'en-save-order',
  imports: [MatButton, MatFormField, MatInput, MatLabel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<form (submit)="$event.preventDefault(); save()">
    <mat-form-field subscriptSizing="dynamic">
      <mat-label>Name</mat-label>
      <input #field matInput autocomplete="off" [value]="name()" (input)="name.set(field.value)" />
    </mat-form-field>
    <button mat-flat-button type="submit" [disabled]="!order()">Save the order</button>
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
      margin: 16px 0;
    }
    p {
      flex-basis: 100%;
      margin: 0;
      color: var(--red);
    }
  `,
})
export class SaveOrder {
  private readonly store = inject(OrdersStore);
  private readonly router = inject(Router);

  readonly order = input<readonly Card[]>();
  /** How it was made; undefined while there is no order. */
  readonly origin = input.required<Origin | undefined>();
  readonly name = model('');
  readonly saved = output();

  private readonly tried = signal(false);
  protected readonly problem = computed(() => {
    if (!this.tried()) return undefined;
    const origin = this.origin();
    const read = origin && parseOrigin(origin);
    return nameProblem(this.name()) ?? (!read || read.ok ? undefined : sayProblem(read.problems[0]));
  });

  protected readonly save = once('save an order', async () => {
    this.tried.set(true);
    const [order, origin] = [this.order(), this.origin()];
    if (this.problem() !== undefined || !order || !origin) return;
    const id = await this.store.add(this.name(), order, origin);
    this.saved.emit();
    await this.router.navigate(['/arrange', id]);
  });
}
