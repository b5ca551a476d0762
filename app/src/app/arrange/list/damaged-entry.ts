import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { RouterLink } from '@angular/router';

/** A stored row among the orders that cannot be read. It is left as it is. */
@Component({
  selector: 'en-damaged-entry',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<p>
    A stored order, “{{ name() }}”, cannot be read and is left as it is. {{ problem() }}
    <a routerLink="/settings">Settings and data</a> can download or remove it.
  </p>`,
  styles: `
    p {
      margin: 0;
      padding: 10px 14px;
      border-bottom: 1px solid var(--line);
      color: var(--red);
      overflow-wrap: anywhere;
    }
  `,
})
export class DamagedEntry {
  readonly name = input.required<string>();
  readonly problem = input.required<string>();
}
