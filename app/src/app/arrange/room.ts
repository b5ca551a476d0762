import { Room } from '../shared/room';

export const ARRANGE: Room = {
  key: '1',
  name: 'Arrange',
  path: 'arrange',
  words: 'What order do I use, and how do I put a real pack into it?',
  line: 'table',
  load: () => import('./arrange.routes').then((module) => module.ARRANGE_ROUTES),
  ahead: (injector) => import('./ahead').then((module) => module.arrangeAhead(injector)),
  samples: () => import('../data/sample').then(({ orderSamples }) => orderSamples()),
};
