import { computed, inject, Injectable } from '@angular/core';
import {
  applyMove,
  breaksIn,
  Card,
  cutBetween,
  describeMove,
  Move,
  offsetOf,
  placeOf,
  seamOf,
  showCard,
} from '@enumeron/core';
import { Journal } from '../data/journal';
import { Glimpse, OrderRow, PackRow } from '../data/rows';
import { sampleOrders } from '../data/sample';
import { StateRows } from '../data/state-row';

const laid = ({ id, name, cards }: Pick<OrderRow, 'id' | 'name' | 'cards'>): PackRow => ({
  id: 'pack',
  orderId: id,
  name,
  home: cards,
  now: cards,
});

/** The live pack: the pack on the screen is the pack in the performer's hands. */
@Injectable({ providedIn: 'root' })
export class PackStore {
  private readonly journal = inject(Journal);
  private readonly row = inject(StateRows).live<PackRow>(laid(sampleOrders()[0]));

  readonly pack = this.row.value;
  readonly home = computed(() => this.pack().home);
  readonly now = computed(() => this.pack().now);
  readonly size = computed(() => this.now().length);
  readonly seen = computed(() => this.pack().seen);
  /** How far the pack is turned, or undefined when it is no turn of its home order. */
  readonly offset = computed(() => offsetOf(this.home(), this.now()));
  /** The place after which the home order begins again, or undefined. */
  readonly seam = computed(() => seamOf(this.home(), this.now()));
  /** Places after which the home order does not go on. */
  readonly breaks = computed(() => breaksIn(this.home(), this.now()));

  /** Does a move to the pack. */
  apply(move: Move): Promise<void> {
    const pack = this.pack();
    const label = describeMove(move).replace(/\.$/, '');
    return this.put(label.charAt(0).toLowerCase() + label.slice(1), {
      ...pack,
      now: applyMove(pack.now, move),
      seen: undefined,
    });
  }

  /** Takes note of a card seen at the face or on top: the pack must be cut so. */
  async see({ at, card }: Glimpse): Promise<void> {
    const pack = this.pack();
    const place = placeOf(pack.now, card);
    if (place === undefined) return;
    const count = cutBetween(place, at === 'face' ? pack.now.length : 1, pack.now.length);
    const where = at === 'face' ? 'at the face' : 'on top';
    await this.put(`${showCard(card)} seen ${where}`, {
      ...pack,
      now: applyMove(pack.now, { kind: 'cut', count }),
      seen: { at, card },
    });
  }

  /** Lays the pack in an order. */
  use(order: OrderRow): Promise<void> {
    return this.put(`use ${order.name}`, laid(order));
  }

  /** Brings the pack back to its home order. */
  inOrder(): Promise<void> {
    const { home, ...pack } = this.pack();
    return this.put('put the pack in order', laid({ id: pack.orderId, name: pack.name, cards: home }));
  }

  /** What a move would make of the pack, without doing it. */
  preview(move: Move): readonly Card[] {
    return applyMove(this.now(), move);
  }

  private put(label: string, row: PackRow): Promise<void> {
    return this.row.set(row, () => this.journal.commit(label, [{ table: 'state', key: 'pack', after: row }]));
  }
}
