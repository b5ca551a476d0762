import { Room } from '../room';

export const WEAVE: Room = {
  key: '4',
  name: 'Weave',
  also: [
    'faro',
    'faros',
    'faro shuffle',
    'perfect shuffle',
    'perfect shuffles',
    'shuffle',
    'shuffles',
    'interleave',
  ],
  path: 'weave',
  words: 'What does this row of perfect shuffles do? Which row does what I need?',
  help: () => import('./help').then((module) => module.WEAVE_HELP),
  line: 'table',
  pages: [
    { path: '', name: 'Cards to places', tab: 'Cards to places' },
    {
      ...{ path: 'orders', name: 'From order to order', tab: 'Order to order', words: 'order to order' },
      load: () => import('./orders/orders-page').then((module) => module.OrdersPage),
    },
    {
      ...{ path: 'cycles', name: 'Cycles of weaves', tab: 'Cycles', words: 'cycles', also: ['cycle'] },
      load: () => import('./cycles/cycles-page').then((module) => module.CyclesPage),
    },
    {
      ...{ path: 'missing', name: 'A card missing', tab: 'A card missing', words: 'card missing' },
      load: () => import('./missing/missing-page').then((module) => module.MissingPage),
    },
    {
      ...{
        path: 'wrong',
        name: 'A weave that went wrong',
        tab: 'What went wrong',
        words: 'went wrong',
        also: ['mistake', 'imperfect weave', 'imperfect faro', 'off by one'],
      },
      load: () => import('./wrong/wrong-page').then((module) => module.WrongPage),
    },
  ],
  sharing: () => import('./share').then((module) => module.WEAVE_SHARING),
  load: () => import('./weave.routes').then((module) => module.WEAVE_ROUTES),
};
