import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { headRecipe, headWays } from '@enumeron/core/arrange';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { OrderRow } from '../../nouns/orders/orders.kind';
import { OrderChanges } from '../../nouns/pack/order-changes';
import { PackStore } from '../../nouns/pack/pack.store';
import { OrderSheet } from '../../ui/order-sheet';
import { HeadRecipeView } from './head-recipe';
import { NameForm } from './name-form';
import { OrderActions } from './order-actions';
import { OrderProperties } from './order-properties';
import { PackCheck } from '../put/pack-check';
import { CompareView } from './compare-view';
import { OrderQuestion } from './order-question';
import { PutInOrder } from '../put/put-in-order';
import { HeadWayStore } from '../../nouns/learning/head-way.store';
import { HeadWayList } from '../../ui/head-way-list';
import { MissingPart } from '../../ui/missing-part';
import { titled } from '../../ui/titled';

/** What each sheet beside the cards is called in the title. */
const SHEETS = {
  ...{
    cards: '',
    rule: 'Rule',
    sort: 'Sorting guide',
    check: 'Check the pack',
    compare: 'Compare',
    ask: 'Ask',
  },
};

/** One order: its cards, how it was made, how to put a pack into it and whether a pack is in it. */
@Component({
  selector: 'en-order-view',
  imports: [
    MissingPart,
    DatePipe,
    HeadRecipeView,
    HeadWayList,
    NameForm,
    OrderActions,
    OrderProperties,
    OrderSheet,
    PackCheck,
    RouterLink,
    CompareView,
    OrderQuestion,
    PutInOrder,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './order-view.html',
  styleUrl: './order-view.scss',
})
export class OrderView {
  private readonly store = inject(OrdersStore);
  private readonly changes = inject(OrderChanges);
  private readonly pack = inject(PackStore);
  private readonly ways = inject(HeadWayStore);

  /** From the address; without one, the order that the pack is in. */
  readonly id = input<string>();
  /** Which of its sheets is open; from the route. */
  readonly view = input<'cards' | 'rule' | 'sort' | 'check' | 'compare' | 'ask'>('cards');

  private readonly wanted = computed(() => this.id() ?? this.pack.pack().orderId);
  protected readonly loaded = computed(() => this.store.isRead(this.wanted()));
  protected readonly order = computed(() => this.store.find(this.wanted()));
  protected readonly inUse = computed(() => this.order()?.id === this.pack.pack().orderId);
  protected readonly headRecipe = computed(() => {
    const origin = this.order()?.origin;
    return origin?.kind === 'rule' ? headRecipe(origin.rule) : undefined;
  });
  /** Ways to work it out, for an order that was made by rule; looked for where they are shown. */
  protected readonly headWays = computed(() => {
    const order = this.order();
    return this.view() === 'rule' && order?.origin?.kind === 'rule' ? headWays(order.cards) : [];
  });
  protected readonly chosenWay = computed(() => this.ways.chosen(this.wanted()));
  protected readonly renaming = signal(false);

  constructor() {
    titled('Arrange', () => [SHEETS[this.view()], this.order()?.name].filter(Boolean).join(' · '));
  }

  protected chooseWay(name: string): void {
    this.ways.choose(this.wanted(), name, this.headRecipe() !== undefined);
  }

  protected async rename(order: OrderRow, name: string): Promise<void> {
    this.renaming.set(false);
    if (name !== order.name) await this.changes.rename(order, name);
  }
}
