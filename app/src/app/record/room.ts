import { Room } from '../room';

export const RECORD: Room = {
  key: '7',
  name: 'Record',
  also: ['log', 'log book', 'diary', 'history', 'what happened'],
  path: 'record',
  words: 'How did it go?',
  help: () => import('./help').then((module) => module.RECORD_HELP),
  line: 'record',
  pages: [
    { path: '', name: 'Nights', tab: 'Nights', also: ['performances', 'shows', 'calendar', 'dates'] },
    {
      ...{ path: 'choices', name: 'What they choose', tab: 'What they choose' },
      also: ['choices', 'how deep they cut', 'likelihoods'],
      load: () => import('./choices/choices-page').then((module) => module.ChoicesPage),
    },
    {
      ...{ path: 'named', name: 'What they name', tab: 'What they name' },
      also: ['numbers named', 'cards named', 'numbers they like'],
      load: () => import('./named/named-page').then((module) => module.NamedPage),
    },
    {
      ...{ path: 'routines', name: 'How routines go', tab: 'Routines' },
      also: ['hit rates', 'misses', 'slips'],
      load: () => import('./routines/rates-page').then((module) => module.RatesPage),
    },
    {
      ...{ path: 'seconds', name: 'What mends take', tab: 'Seconds' },
      also: ['seconds of acts', 'how long mends take'],
      load: () => import('./seconds/seconds-page').then((module) => module.SecondsPage),
    },
    {
      ...{ path: 'files', name: 'Nights as files', tab: 'Files' },
      also: ['import nights', 'export nights', 'merge', 'spreadsheet'],
      load: () => import('./files/files-page').then((module) => module.FilesPage),
    },
    { path: ':id/write', load: () => import('./write/write-page').then((module) => module.WritePage) },
    { path: ':id', load: () => import('./night/night-page').then((module) => module.NightPage) },
  ],
  opens: [{ format: 'enumeron record', page: 'files' }],
  load: () => import('./record.routes').then((module) => module.RECORD_ROUTES),
};
