import { Room } from '../shared/room';

export const LEARN: Room = {
  key: '2',
  name: 'Learn',
  path: 'learn',
  words: 'Do I know it cold?',
  line: 'table',
  load: () => import('./learn.routes').then((module) => module.LEARN_ROUTES),
};
