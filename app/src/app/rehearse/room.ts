import { Type } from '@angular/core';
import { Room } from '../room';

const oddsPage = (): Promise<Type<unknown>> => import('./odds/odds-page').then((module) => module.OddsPage);

export const REHEARSE: Room = {
  key: '5',
  name: 'Rehearse',
  path: 'rehearse',
  words: 'Does this routine work for everything a helper can do?',
  line: 'table',
  pages: [
    { path: '', name: 'Procedures', tab: 'Procedures' },
    { path: 'odds', name: 'Odds', tab: 'Odds', load: oddsPage },
    { path: 'odds/:path', load: oddsPage },
    {
      ...{ path: 'busy', name: 'Busy row', tab: 'Busy row' },
      load: () => import('./busy/busy-page').then((module) => module.BusyPage),
    },
    {
      ...{ path: 'gather', name: 'Cut and gather', tab: 'Cut and gather' },
      load: () => import('./gather/gather-page').then((module) => module.GatherPage),
    },
    {
      ...{ path: 'shared' },
      load: () => import('./shared-procedure').then((module) => module.SharedProcedure),
    },
    { path: ':id/script', load: () => import('./script/script-page').then((module) => module.ScriptPage) },
    { path: ':id', load: () => import('./desk/desk-page').then((module) => module.DeskPage) },
  ],
  load: () => import('./rehearse.routes').then((module) => module.REHEARSE_ROUTES),
  opens: [
    { format: 'enumeron procedure', page: 'shared', inAddress: true },
    { format: 'enumeron procedures', page: '' },
  ],
  sharing: () => import('./share').then((module) => module.REHEARSE_SHARING),
};
