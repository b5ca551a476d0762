import { computed, inject, Injectable } from '@angular/core';
import { Card, placeOf, showCard } from '@enumeron/core/deck';
import { applyMove, describeMove, Move } from '@enumeron/core/moves';
import { breaksIn, cutBetween, offsetOf, seamOf } from '@enumeron/core/reckon';
import { Journal } from '../data/journal';
import { BesideRow, Glimpse, OrderRow, PackRow } from '../data/rows';
import { StateRows } from '../data/state-row';
import { TIDEMARK } from '../data/tidemark';

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
  private readonly row = inject(StateRows).live<PackRow>(laid(TIDEMARK));

  private readonly besideRow = inject(StateRows).live<BesideRow>({ id: 'beside' });

  readonly pack = this.row.value;
  /** The other pack of the set, or undefined while there is only one. */
  readonly beside = computed(() => this.besideRow.value().pack);
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

  /** Does a row of moves as one action; cards that leave the pack leave its home order, others come to its end. */
  applyAll(moves: readonly Move[], label: string): Promise<void> {
    return this.become(moves.reduce(applyMove, this.now()), label);
  }

  /** Takes note of how the pack lies now, with whichever cards. */
  become(now: readonly Card[], label: string): Promise<void> {
    const pack = this.pack();
    const home = [
      ...pack.home.filter((card) => now.includes(card)),
      ...now.filter((card) => !pack.home.includes(card)),
    ];
    return this.put(label, { ...pack, home, now, seen: undefined });
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

  /** Keeps a second pack, laid in an order, beside the one in use: the two are a set. */
  keepBeside(order: OrderRow): Promise<void> {
    const { orderId, name, home, now } = laid(order);
    return this.putBeside(`keep ${order.name} beside the pack`, { orderId, name, home, now });
  }

  /** Puts the second pack away. */
  putAway(): Promise<void> {
    return this.putBeside(`put ${this.beside()?.name ?? 'the second pack'} away`, undefined);
  }

  /** Takes the other pack of the set in hand; each stays as it lies. Gives false when there is none. */
  async swap(): Promise<boolean> {
    const [{ id, ...pack }, beside] = [this.pack(), this.beside()];
    if (!beside) return false;
    const [taken, left]: [PackRow, BesideRow] = [
      { id, ...beside },
      { id: 'beside', pack },
    ];
    const stored = this.journal.commit(`take ${beside.name} in hand`, [
      { table: 'state', key: 'pack', after: taken },
      { table: 'state', key: 'beside', after: left },
    ]);
    await Promise.all([this.row.set(taken, () => stored), this.besideRow.set(left, () => stored)]);
    return true;
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

  private putBeside(label: string, pack: BesideRow['pack']): Promise<void> {
    const row: BesideRow = pack ? { id: 'beside', pack } : { id: 'beside' };
    return this.besideRow.set(row, () =>
      this.journal.commit(label, [{ table: 'state', key: 'beside', after: row }]),
    );
  }

  private put(label: string, row: PackRow): Promise<void> {
    return this.row.set(row, () => this.journal.commit(label, [{ table: 'state', key: 'pack', after: row }]));
  }
}
