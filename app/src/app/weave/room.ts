import { plainWay as way, Room } from '../room';

export const WEAVE: Room = {
  key: '4',
  name: 'Weave',
  path: 'weave',
  words: 'What does this row of perfect shuffles do? Which row does what I need?',
  line: 'table',
  ways: [
    way('', 'Cards to places', 'cards to places'),
    way('orders', 'From order to order', 'order to order'),
    way('cycles', 'Cycles of weaves', 'cycles'),
    way('missing', 'A card missing', 'card missing'),
    way('wrong', 'A weave that went wrong', 'went wrong'),
  ],
  load: () => import('./weave.routes').then((module) => module.WEAVE_ROUTES),
};
