import { ChangeDetectionStrategy, Component, computed, inject, Injector, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { Router, RouterLink } from '@angular/router';
import { Undoing } from '../../storage/undoing';
import { fileNameFor, ORDER_FILES, OrderFileKind } from '../../nouns/orders/order-files';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { OrderRow } from '../../nouns/orders/orders.kind';
import { sayUsedIn } from '../../nouns/sets/used-in';
import { PackStore } from '../../nouns/pack/pack.store';
import { download } from '../../platform/download';
import { Notices } from '../../platform/notices';
import { once } from '../../platform/once';

/** What can be done with one order as a whole. */
@Component({
  selector: 'en-order-actions',
  imports: [MatButton, MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './order-actions.html',
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 10px;
      margin: 0 0 10px;
    }
    @media (max-width: 43.749em) {
      :host > * {
        min-height: 44px;
        padding-inline: 14px;
      }
    }
  `,
})
export class OrderActions {
  private readonly router = inject(Router);
  private readonly store = inject(OrdersStore);
  protected readonly pack = inject(PackStore);
  private readonly undoing = inject(Undoing);
  private readonly notices = inject(Notices);
  private readonly injector = inject(Injector);

  readonly order = input.required<OrderRow>();
  readonly renamed = output();
  protected readonly inUse = computed(() => this.order().id === this.pack.pack().orderId);
  protected readonly besideIs = computed(() => this.order().id === this.pack.beside()?.orderId);
  protected readonly fileKinds = ORDER_FILES;

  protected async use(): Promise<void> {
    await this.pack.use(this.order());
    this.offerUndo(`The pack is in ${this.order().name} now.`);
  }

  /** Learn asks for the order in hand: it is used first. */
  protected readonly learn = once('learn an order', async () => {
    if (!this.inUse()) await this.use();
    await this.router.navigate(['/learn']);
  });

  protected async keepBeside(): Promise<void> {
    await this.pack.keepBeside(this.order());
    this.offerUndo(`${this.order().name} lies beside the pack. x takes the other one in hand.`);
  }

  protected readonly duplicate = once('duplicate an order', async () => {
    const id = await this.store.duplicate(this.order());
    await this.router.navigate(['/arrange', id]);
  });

  protected readonly remove = once('delete an order', async () => {
    const { name, cards } = this.order();
    await this.store.remove(this.order());
    const used = await sayUsedIn(this.injector, ({ routine }) =>
      Object.values(routine.packs).some(({ order }) => order?.cards.join() === cards.join()),
    );
    this.offerUndo(`${name} is removed.${used}`);
    await this.router.navigate(['/arrange']);
  });

  protected async saveAs(kind: OrderFileKind): Promise<void> {
    const { name, cards } = this.order();
    download(await kind.make(name, cards), fileNameFor(name, kind), kind.type);
  }

  private offerUndo(sentence: string): void {
    void this.notices.offerUndo(sentence, () => this.undoing.undo('table'));
  }
}
