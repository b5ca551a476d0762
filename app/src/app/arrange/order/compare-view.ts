import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { compareOrders, properties } from '@enumeron/core/arrange';
import { Card, placeOf, showCard } from '@enumeron/core/deck';
import { countOfCards } from '@enumeron/core/moves';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { OrderRow } from '../../nouns/orders/orders.kind';
import { CardFace } from '../../ui/card-face';
import { CardText } from '../../ui/card-text';
import { Strip } from '../../ui/strip';

const names = (cards: readonly Card[]): string => cards.map(showCard).join(' ');

/** Two orders side by side: what they share, what each can do, and where each card lies in both. */
@Component({
  selector: 'en-compare-view',
  imports: [CardFace, CardText, MatFormField, MatInput, MatLabel, Strip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './compare-view.html',
  styleUrl: './compare-view.scss',
})
export class CompareView {
  private readonly store = inject(OrdersStore);
  readonly order = input.required<OrderRow>();

  private readonly names = this.store.names();
  protected readonly others = computed(() => this.names()?.filter(({ id }) => id !== this.order().id) ?? []);
  private readonly chosen = signal<string | undefined>(undefined);
  protected readonly otherId = computed(() => this.chosen() ?? this.others().at(0)?.id);
  private readonly found = computed(() => {
    const id = this.otherId();
    return id === undefined ? undefined : this.store.find(id);
  });
  /** The order beside it; the one before stays until another has been read. */
  protected readonly other = linkedSignal<OrderRow | undefined, OrderRow | undefined>({
    source: this.found,
    computation: (found, before) => found ?? before?.value,
  });

  protected readonly shared = computed(() => {
    const other = this.other();
    if (!other) return [];
    const found = compareOrders(this.order().cards, other.cards);
    return [
      found.offset === undefined
        ? 'Neither is a cut of the other.'
        : found.offset === 0
          ? 'They are the same order.'
          : `The second is the first, cut at ${found.offset.toString()}.`,
      found.samePlaces.length === 0
        ? 'No card lies at the same place in both.'
        : `${countOfCards(found.samePlaces.length)} at the same place in both: ${found.samePlaces.join(', ')}.`,
      found.sameNeighbours.length === 0
        ? 'No card is followed by the same card in both.'
        : `${countOfCards(found.sameNeighbours.length)} followed by the same card in both; the longest row: ${names(found.longestRun)}.`,
      ...(found.onlyInFirst.length > 0 ? [`Only in the first: ${names(found.onlyInFirst)}.`] : []),
      ...(found.onlyInSecond.length > 0 ? [`Only in the second: ${names(found.onlyInSecond)}.`] : []),
    ];
  });

  /** Every property that holds for either, and for which. */
  protected readonly abilities = computed(() => {
    const other = this.other();
    if (!other) return [];
    const [first, second] = [this.order().cards, other.cards].map((order) =>
      properties(order).filter(({ holds }) => holds),
    );
    const all = [...first, ...second.filter(({ says }) => !first.some((each) => each.says === says))];
    const has = (list: typeof first, says: string): boolean => list.some((each) => each.says === says);
    return all.map(({ says }) => ({ says, first: has(first, says), second: has(second, says) }));
  });

  /** Each card of the first, by its place, with its place in the second. */
  protected readonly places = computed(() => {
    const other = this.other();
    return this.order().cards.map((card, index) => ({
      card,
      first: index + 1,
      second: other && placeOf(other.cards, card),
    }));
  });

  protected choose(id: string): void {
    this.chosen.set(id);
  }
}
