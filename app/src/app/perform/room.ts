import { Room } from '../room';

export const PERFORM: Room = {
  key: '6',
  name: 'Perform',
  also: ['set', 'set list', 'show', 'running order', 'act', 'programme'],
  path: 'perform',
  words: 'What comes next, and is the pack in the order it needs?',
  help: () => import('./help').then((module) => module.PERFORM_HELP),
  line: 'table',
  pages: [
    { path: '', name: 'Sets', tab: 'Sets', words: 'sets' },
    {
      ...{ path: 'routines', name: 'Routines of mine', tab: 'Routines', words: 'my routines' },
      also: ['effects', 'repertoire'],
      load: () => import('./routines/routine-list').then((module) => module.RoutineList),
    },
    {
      ...{ path: 'reset', name: 'Reset', tab: 'Reset' },
      also: ['put back in order', 'back to order', 'back in order', 'reset the pack'],
      load: () => import('./reset/reset-page').then((module) => module.ResetPage),
    },
    {
      ...{ path: 'tonight', name: 'Tonight', tab: 'Tonight' },
      also: ['before you go on', 'go on stage', 'live cue', 'run-through'],
      load: () => import('./tonight/tonight-page').then((module) => module.TonightPage),
    },
    {
      ...{ path: 'from-here', name: 'From here', tab: 'From here' },
      also: ['what now', 'one more', 'encore', 'something went wrong'],
      load: () => import('./from-here/from-here').then((module) => module.FromHere),
    },
    { path: 'live', load: () => import('./live/live-page').then((module) => module.LivePage) },
    {
      path: 'shared',
      load: () => import('./sets/shared-set').then((module) => module.SharedSet),
    },
    {
      path: 'routines/:id',
      load: () => import('./routines/routine-page').then((module) => module.RoutinePage),
    },
    { path: ':id/before', load: () => import('./before/before-page').then((module) => module.BeforePage) },
    { path: ':id/rehearsal', load: () => import('./dress/dress-page').then((module) => module.DressPage) },
    { path: ':id', load: () => import('./sets/set-page').then((module) => module.SetPage) },
  ],
  load: () => import('./perform.routes').then((module) => module.PERFORM_ROUTES),
  opens: [{ format: 'enumeron set', page: 'shared', inAddress: true }],
  sharing: () => import('./share').then((module) => module.PERFORM_SHARING),
};
