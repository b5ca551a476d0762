import { inject, Injectable } from '@angular/core';
import { Card } from '@enumeron/core/deck';
import { makeName } from '@enumeron/core/file/formats/name';
import { sameRow } from '../../storage/action';
import { Committed, Journal } from '../../storage/journal';
import { onlyPlace, placeOf } from '../../storage/kind';
import { OrderRow, ORDERS } from '../orders/orders.kind';
import { BESIDE } from './beside.kind';
import { NamedPack, PACK } from './pack.kind';

const PACKS = [onlyPlace(PACK), onlyPlace(BESIDE)] as const;

/** Changes of an order that the packs that are in it follow. */
@Injectable({ providedIn: 'root' })
export class OrderChanges {
  private readonly journal = inject(Journal);

  /** Renames an order, and the packs that are in it. */
  rename({ id, name: old }: OrderRow, name: string): Promise<Committed> {
    const [clean, changed] = [makeName(name), Date.now()];
    const named = <Pack extends NamedPack>(pack: Pack): Pack =>
      pack.orderId === id ? { ...pack, name: clean } : pack;
    return this.journal.commit(
      `rename ${old}`,
      [placeOf(ORDERS, id), ...PACKS],
      ([order, pack, beside]) =>
        order && [
          { ...order, name: clean, changed },
          named(pack),
          beside.pack ? { ...beside, pack: named(beside.pack) } : beside,
        ],
    );
  }

  /**
   * Changes an order's name and cards. A pack that came from it is laid in the new order.
   *
   * @param base the order as it was when the change was begun: another one is not overwritten.
   * @returns `nothing` when the order was changed or deleted since.
   */
  change(base: OrderRow, name: string, cards: readonly Card[]): Promise<Committed> {
    const { id } = base;
    const [clean, changed] = [makeName(name), Date.now()];
    const laid: NamedPack = { orderId: id, name: clean, home: cards, now: cards };
    return this.journal.commit(
      `change ${base.name}`,
      [placeOf(ORDERS, id), ...PACKS],
      ([order, pack, beside]) =>
        order && sameRow(order, base)
          ? [
              { id, name: clean, cards, sample: order.sample, made: order.made, changed },
              pack.orderId === id ? { id: pack.id, ...laid } : pack,
              beside.pack?.orderId === id ? { ...beside, pack: laid } : beside,
            ]
          : undefined,
    );
  }
}
