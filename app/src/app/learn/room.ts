import { plainWay as way, Room } from '../room';

export const LEARN: Room = {
  key: '2',
  name: 'Learn',
  path: 'learn',
  words: 'Do I know it cold?',
  line: 'table',
  ways: [
    way('practise', 'Practise what is due', 'practise'),
    way('sums', 'Sums', 'sums'),
    way('run', 'Run the order', 'run the order'),
    way('busy', 'Hands busy', 'hands busy'),
    way('standing', 'How it stands', 'how it stands'),
    way('images', 'Memory images', 'images'),
  ],
  load: () => import('./learn.routes').then((module) => module.LEARN_ROUTES),
};
