import { Room } from '../room';

export const LEARN: Room = {
  key: '2',
  name: 'Learn',
  path: 'learn',
  words: 'Do I know it cold?',
  line: 'table',
  pages: [
    { path: '', name: 'Today', tab: 'Today', words: 'due today' },
    { path: 'practise', name: 'Practise what is due', words: 'practise' },
    {
      ...{ path: 'sums', name: 'Sums', tab: 'Sums' },
      children: () => import('./sums/sums.routes').then((module) => module.SUMS_ROUTES),
    },
    {
      ...{ path: 'run', name: 'Run the order', tab: 'Run' },
      children: () => import('./run/run.routes').then((module) => module.RUN_ROUTES),
    },
    {
      ...{ path: 'busy', name: 'Hands busy', tab: 'Hands busy' },
      children: () => import('./busy/busy.routes').then((module) => module.BUSY_ROUTES),
    },
    {
      ...{ path: 'standing', name: 'How it stands', tab: 'How it stands' },
      children: () => import('./standing/standing.routes').then((module) => module.STANDING_ROUTES),
    },
    {
      ...{ path: 'images', name: 'Memory images', tab: 'Images', words: 'images' },
      load: () => import('./images/images').then((module) => module.Images),
    },
    {
      ...{ path: 'settings', name: 'How you learn', tab: 'How you learn' },
      load: () => import('./settings/settings').then((module) => module.LearnSettings),
    },
  ],
  load: () => import('./learn.routes').then((module) => module.LEARN_ROUTES),
  ahead: (injector) => import('./ahead').then((module) => module.learnAhead(injector)),
};
