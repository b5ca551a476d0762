import { Room } from '../room';

export const ARRANGE: Room = {
  key: '1',
  name: 'Arrange',
  path: 'arrange',
  words: 'What order do I use, and how do I put a real pack into it?',
  line: 'table',
  load: () => import('./arrange.routes').then((module) => module.ARRANGE_ROUTES),
  ahead: (injector) => import('./ahead').then((module) => module.arrangeAhead(injector)),
  samples: () => import('../nouns/orders/sample').then(({ orderSamples }) => orderSamples()),
};
