import { Injector } from '@angular/core';
import { Router } from '@angular/router';
import { ORDERS } from '../nouns/orders/orders.kind';
import { PackStore } from '../nouns/pack/pack.store';
import { RoomHelp } from '../room';
import { Storage } from '../storage/storage';

/** Opens a page of the order in hand, or of any that is kept; where there is none, a new one. */
const openOrder =
  (...page: readonly string[]) =>
  async (injector: Injector): Promise<unknown> => {
    const rows = (await injector.get(Storage).db()).rows(ORDERS);
    const inHand = injector.get(PackStore).pack().orderId;
    const [any] = (await rows.get(inHand)) ? [inHand] : await rows.toCollection().limit(1).primaryKeys();
    const path = (any as string | undefined) === undefined ? ['new'] : [any, ...page];
    return injector.get(Router).navigate(['arrange', ...path]);
  };

export const ARRANGE_HELP: RoomHelp = {
  is: 'Arrange keeps the orders that you use and shows what each can do. It also takes a shuffled pack into one of them, card by card.',
  tries: () => [
    {
      label: 'What my order can do',
      says: 'Its neighbours, mates and runs, each with its proof.',
      go: openOrder(),
    },
    {
      label: 'Sort a pack into it',
      says: 'Which heap each card goes to, deal by deal.',
      go: openOrder('sort'),
    },
    {
      label: 'An order by rule',
      says: 'A few numbers make an order that you can work out in your head.',
      go: (injector) => injector.get(Router).navigate(['arrange', 'new', 'rule']),
    },
  ],
  keys: [
    ['Alt ↑ ↓', 'at a wish: move it; Delete at its line takes it out'],
    ['arrows', 'on the desk, where an order is laid: from card to card'],
    ['Enter', 'put the next card there'],
    ['Alt and an arrow', 'move a card'],
    ['Delete', 'take a card out'],
  ],
};
