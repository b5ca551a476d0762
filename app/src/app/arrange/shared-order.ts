import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Router } from '@angular/router';
import { parsePart } from '@enumeron/core/deck';
import { readOrderFile } from '../nouns/orders/order-files';
import { OrdersStore } from '../nouns/orders/orders.store';
import { once } from '../platform/once';
import { brought } from '../ui/brought';
import { OrderSheet } from '../ui/order-sheet';
import { SharedPage } from '../ui/shared-page';
import { titled } from '../ui/titled';

/** An order out of an address: looked at, and kept by a press. */
@Component({
  selector: 'en-shared-order',
  imports: [OrderSheet, SharedPage],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<en-shared-page
    what="order"
    [name]="order()?.name"
    [problem]="brought.problem()"
    (kept)="keep()"
    (left)="leave()"
  >
    @if (order(); as it) {
      <en-order-sheet label="The shared order" [order]="it.order" />
    }
  </en-shared-page>`,
})
export class SharedOrder {
  private readonly orders = inject(OrdersStore);
  private readonly router = inject(Router);
  protected readonly brought = brought('order', async (text) => {
    const read = await readOrderFile(text);
    if (!read.ok) return read;
    const outcome = parsePart(read.text);
    return outcome.ok
      ? { ok: true, value: { name: read.name ?? 'Shared order', order: outcome.order } }
      : outcome;
  });
  protected readonly order = this.brought.value;

  constructor() {
    titled('Arrange', () => this.order()?.name ?? 'Shared order');
  }

  protected readonly keep = once('keep a shared order', async () => {
    const order = this.order();
    if (!order) return;
    const id = await this.orders.add(order.name, order.order);
    await this.router.navigate(['/arrange', id], { replaceUrl: true });
  });

  protected leave(): void {
    void this.router.navigate(['/arrange'], { replaceUrl: true });
  }
}
