import { fileName } from '@enumeron/core/file/formats/name';
import { makeOrderJson } from '@enumeron/core/file/formats/orderJson';
import { formatOrder } from '@enumeron/core/file/deck/orderText';
import { OrdersStore } from '../nouns/orders/orders.store';
import { OpenWishes } from './open-wishes';
import { PackStore } from '../nouns/pack/pack.store';
import { pathIn, Sharing } from '../platform/sharing';

/** Where an order that was shared is looked at before it is kept. */
export const SHARED = 'shared';

/** An order as it is shared: as in a file. */
export const ARRANGE_SHARING: Sharing = {
  of: (injector, url) => {
    const wishes = injector.get(OpenWishes).list();
    if (wishes && url.split(/[?#]/)[0].endsWith('/wishes'))
      return {
        what: wishes.name ?? 'Wishes for an order',
        path: '/arrange/new/wishes',
        packed: JSON.stringify(wishes),
        fileName: fileName(wishes.name ?? 'wishes', 'enumeron.json'),
      };
    const [orders, pack] = [injector.get(OrdersStore), injector.get(PackStore)];
    // The list shows the order in hand where none is open.
    const row = orders.find(pathIn(url, 1) || pack.pack().orderId);
    if (!row) return undefined;
    return {
      what: row.name,
      path: `/arrange/${SHARED}`,
      packed: makeOrderJson({ name: row.name, order: row.cards }),
      fileName: fileName(row.name, 'enumeron.json'),
      text: formatOrder(row.cards),
    };
  },
};
