import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { Router, RouterLink } from '@angular/router';
import { Journal } from '../data/journal';
import { OrderRow } from '../data/rows';
import { OrdersStore } from '../data/orders.store';
import { PackStore } from '../pack/pack.store';
import { Notices } from '../shared/notices';
import { OrderSheet } from '../shared/order-sheet';
import { HeadRecipeView } from './head-recipe';
import { NameForm } from './name-form';
import { OrderProperties } from './order-properties';
import { PackCheck } from './pack-check';
import { recipeFor } from './recipe-for';
import { SortingGuide } from './sorting-guide';

/** One order, and what can be done with it as a whole. */
@Component({
  selector: 'en-order-view',
  imports: [
    DatePipe,
    HeadRecipeView,
    MatButton,
    MatIcon,
    NameForm,
    OrderProperties,
    OrderSheet,
    PackCheck,
    RouterLink,
    SortingGuide,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './order-view.html',
  styleUrl: './order-view.scss',
})
export class OrderView {
  private readonly router = inject(Router);
  private readonly store = inject(OrdersStore);
  private readonly pack = inject(PackStore);
  private readonly journal = inject(Journal);
  private readonly notices = inject(Notices);

  /** From the address; without one, the order that the pack is in. */
  readonly id = input<string>();
  /** Which of its sheets is open; from the route. */
  readonly view = input<'cards' | 'rule' | 'sort' | 'check'>('cards');

  protected readonly loaded = computed(() => this.store.orders() !== undefined);
  protected readonly order = computed(() => this.store.find(this.id() ?? this.pack.pack().orderId));
  protected readonly inUse = computed(() => this.order()?.id === this.pack.pack().orderId);
  protected readonly headRecipe = computed(() => {
    const origin = this.order()?.origin;
    return origin?.kind === 'rule' ? recipeFor(origin.rule) : undefined;
  });
  protected readonly renaming = signal(false);

  protected async use(order: OrderRow): Promise<void> {
    await this.pack.use(order);
    void this.notices.offerUndo(`The pack is in ${order.name} now.`, () => this.journal.undo());
  }

  protected async rename(order: OrderRow, name: string): Promise<void> {
    this.renaming.set(false);
    if (name !== order.name) await this.store.rename(order, name);
  }

  protected async duplicate(order: OrderRow): Promise<void> {
    const id = await this.store.duplicate(order);
    await this.router.navigate(['/arrange', id]);
  }

  protected async remove(order: OrderRow): Promise<void> {
    await this.store.remove(order);
    await this.router.navigate(['/arrange']);
    void this.notices.offerUndo(`${order.name} is deleted.`, () => this.journal.undo());
  }
}
