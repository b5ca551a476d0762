import { Room } from '../room';
import { RECKON_ROUTES } from './reckon.routes';
import { WAYS } from './ways/ways';

export const RECKON: Room = {
  key: '3',
  name: 'Reckon',
  path: 'reckon',
  words: 'I saw this. They named that. What do I do?',
  line: 'table',
  ways: WAYS,
  shows: { wanted: '', facts: 'seen', riffles: 'key-card' },
  load: () => RECKON_ROUTES,
};
