import { Type } from '@angular/core';
import { Room } from '../room';

const oddsPage = (): Promise<Type<unknown>> => import('./odds/odds-page').then((module) => module.OddsPage);

const ordersPage = (): Promise<Type<unknown>> =>
  import('./my-orders/my-orders').then((module) => module.MyOrders);

export const REHEARSE: Room = {
  key: '5',
  name: 'Rehearse',
  also: ['routine', 'routines', 'trick', 'tricks', 'effect', 'prove', 'script'],
  path: 'rehearse',
  words: 'Does this routine work for everything a helper can do?',
  help: () => import('./help').then((module) => module.REHEARSE_HELP),
  line: 'table',
  pages: [
    { path: '', name: 'Procedures', tab: 'Procedures' },
    {
      path: 'odds',
      name: 'Odds',
      tab: 'Odds',
      also: ['chance', 'chances', 'probability', 'probabilities', 'likelihood', 'how likely'],
      load: oddsPage,
    },
    { path: 'odds/:path', load: oddsPage },
    {
      ...{ path: 'busy', name: 'Busy row', tab: 'Busy row', also: ['busy', 'single cards', 'elimination'] },
      load: () => import('./busy/busy-page').then((module) => module.BusyPage),
    },
    {
      ...{
        path: 'gather',
        name: 'Cut and gather',
        tab: 'Cut and gather',
        also: ['false shuffle', 'mix', 'mixing'],
      },
      load: () => import('./gather/gather-page').then((module) => module.GatherPage),
    },
    {
      ...{ path: 'orders', name: 'Orders and procedures', tab: 'My orders', words: 'which orders' },
      also: ['my orders', 'which of my orders', 'orders and procedures'],
      load: ordersPage,
    },
    {
      ...{ path: 'shared' },
      load: () => import('./shared-procedure').then((module) => module.SharedProcedure),
    },
    { path: ':id/orders', load: ordersPage },
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
