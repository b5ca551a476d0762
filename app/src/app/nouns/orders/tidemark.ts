import { parseOrder } from '@enumeron/core/deck';

const TEXT =
  'AC 3H KH 9D QC 4C JH AS 6D QS TC 5H KS 7S 3C TH 7H JS 5S 7D 3S 6C 2C 8H JD 8S 6S 2D 8C TD QD 6H 9S 3D TS AD 5D 2H 4S 8D AH 5C 9H 2S 4H KC 7C QH 4D 9C JC KD';

const outcome = parseOrder(TEXT);
if (!outcome.ok) throw new Error('the demo order is not an order');

/** The demo order, which the pack on a first visit is in. */
export const TIDEMARK = {
  id: 'sample-tidemark',
  name: 'Tidemark',
  cards: outcome.order,
  sample: true,
  made: 0,
  changed: 0,
} as const;
