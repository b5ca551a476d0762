import { Routes } from '@angular/router';
import { ProcedureList } from './list/procedure-list';
import { ProceduresStore } from '../nouns/procedures/procedures.store';
import { RehearseRoom } from './rehearse-room';

const oddsPage = (): Promise<typeof import('./odds/odds-page').OddsPage> =>
  import('./odds/odds-page').then((module) => module.OddsPage);

export const REHEARSE_ROUTES: Routes = [
  {
    path: '',
    component: RehearseRoom,
    providers: [ProceduresStore],
    children: [
      { path: '', pathMatch: 'full', component: ProcedureList },
      { path: 'odds', loadComponent: oddsPage },
      { path: 'odds/:path', loadComponent: oddsPage },
      { path: 'busy', loadComponent: () => import('./busy/busy-page').then((module) => module.BusyPage) },
      {
        path: 'gather',
        loadComponent: () => import('./gather/gather-page').then((module) => module.GatherPage),
      },
      {
        path: ':id/script',
        loadComponent: () => import('./script/script-page').then((module) => module.ScriptPage),
      },
      { path: ':id', loadComponent: () => import('./desk/desk-page').then((module) => module.DeskPage) },
    ],
  },
];
