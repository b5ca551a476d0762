import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { ActivatedRoute, Router } from '@angular/router';
import { Order, parsePart, sayProblem } from '@enumeron/core/deck';
import { switchMap } from 'rxjs';
import { readOrderFile } from '../nouns/orders/order-files';
import { OrdersStore } from '../nouns/orders/orders.store';
import { once } from '../platform/once';
import { unpackText } from '../platform/packed-text';
import { OrderSheet } from '../ui/order-sheet';
import { titled } from '../ui/titled';

/** What an address brought: an order, or why it is none. */
type Brought = { readonly name: string; readonly order: Order } | { readonly problem: string };

const CUT_OFF = 'This address holds no order. It may have been cut off on its way: ask for it again.';

/** Reads it as a file is read. */
const bring = async (fragment: string | null): Promise<Brought> => {
  const text = fragment === null ? undefined : await unpackText(fragment);
  if (text === undefined) return { problem: CUT_OFF };
  const read = await readOrderFile(text);
  if (!read.ok) return { problem: sayProblem(read.problems[0]) };
  const outcome = parsePart(read.text);
  return outcome.ok
    ? { name: read.name ?? 'Shared order', order: outcome.order }
    : { problem: sayProblem(outcome.problems[0]) };
};

/** An order out of an address: looked at, and kept by a press. */
@Component({
  selector: 'en-shared-order',
  imports: [MatButton, OrderSheet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<section aria-labelledby="shared-title">
    @if (order(); as it) {
      <h2 id="shared-title">{{ it.name }}</h2>
      <p class="lead">This order was shared with you. It isn’t saved here until you say so.</p>
      <p class="ways">
        <button mat-flat-button type="button" (click)="keep()">Save it</button>
        <button mat-button type="button" (click)="leave()">Discard</button>
      </p>
      <en-order-sheet label="The shared order" [order]="it.order" />
    } @else if (problem(); as sentence) {
      <h2 id="shared-title">Shared order</h2>
      <p class="problem" role="alert">{{ sentence }}</p>
    } @else {
      <h2 id="shared-title">Shared order</h2>
      <p class="lead">Reading it …</p>
    }
  </section>`,
  styleUrl: '../ui/page.scss',
  styles: `
    .ways {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin: 14px 0;
    }
    .problem {
      color: var(--red);
    }
  `,
})
export class SharedOrder {
  private readonly orders = inject(OrdersStore);
  private readonly router = inject(Router);
  private readonly brought = toSignal(inject(ActivatedRoute).fragment.pipe(switchMap(bring)));
  protected readonly order = computed(() => {
    const brought = this.brought();
    return brought && 'order' in brought ? brought : undefined;
  });
  protected readonly problem = computed(() => {
    const brought = this.brought();
    return brought && 'problem' in brought ? brought.problem : undefined;
  });

  constructor() {
    titled('Arrange', () => this.order()?.name ?? 'Shared order');
  }

  protected readonly keep = once('keep a shared order', async () => {
    const brought = this.order();
    if (!brought) return;
    const id = await this.orders.add(brought.name, brought.order);
    await this.router.navigate(['/arrange', id], { replaceUrl: true });
  });

  protected leave(): void {
    void this.router.navigate(['/arrange'], { replaceUrl: true });
  }
}
