import { Room } from '../room';

export const REHEARSE: Room = {
  key: '5',
  name: 'Rehearse',
  path: 'rehearse',
  words: 'Does this routine work for everything a helper can do?',
  line: 'table',
  load: () => import('./rehearse.routes').then((module) => module.REHEARSE_ROUTES),
};
