import { Room } from '../room';

export const LEARN: Room = {
  key: '2',
  name: 'Learn',
  also: ['memorise', 'memorize', 'memory', 'study', 'quiz', 'teach me'],
  path: 'learn',
  words: 'Do I know it cold?',
  help: () => import('./help').then((module) => module.LEARN_HELP),
  line: 'table',
  pages: [
    { path: '', name: 'Today', tab: 'Today', words: 'up today' },
    {
      path: 'practise',
      name: 'Practise what is up',
      words: 'practise',
      also: ['practice', 'drill', 'drills', 'train', 'training', 'test me', 'flash cards'],
    },
    {
      ...{
        path: 'sums',
        name: 'Sums',
        tab: 'Sums',
        also: ['arithmetic', 'mental arithmetic', 'calculation', 'calculations', 'maths'],
      },
      children: () => import('./sums/sums.routes').then((module) => module.SUMS_ROUTES),
    },
    {
      ...{
        path: 'run',
        name: 'Run the order',
        tab: 'Run',
        also: ['recite', 'time trial', 'stopwatch', 'timer', 'whole order'],
      },
      children: () => import('./run/run.routes').then((module) => module.RUN_ROUTES),
    },
    {
      ...{ path: 'busy', name: 'Hands busy', tab: 'Hands busy' },
      children: () => import('./busy/busy.routes').then((module) => module.BUSY_ROUTES),
    },
    {
      ...{
        path: 'standing',
        name: 'How it stands',
        tab: 'How it stands',
        also: ['progress', 'statistics', 'stats', 'results', 'weak spots', 'charts'],
      },
      children: () => import('./standing/standing.routes').then((module) => module.STANDING_ROUTES),
    },
    {
      ...{
        path: 'images',
        name: 'Memory images',
        tab: 'Images',
        words: 'images',
        also: ['image', 'mnemonics', 'pictures', 'hints'],
      },
      load: () => import('./images/images').then((module) => module.Images),
    },
    {
      ...{
        path: 'settings',
        name: 'How you learn',
        tab: 'How you learn',
        also: ['schedule', 'pace', 'fine tuning', 'goal'],
      },
      load: () => import('./settings/settings').then((module) => module.LearnSettings),
    },
  ],
  load: () => import('./learn.routes').then((module) => module.LEARN_ROUTES),
  ahead: (injector) => import('./ahead').then((module) => module.learnAhead(injector)),
};
