import { Routes } from '@angular/router';
import { ProcedureList } from './list/procedure-list';
import { ProceduresStore } from './procedures.store';
import { RehearseRoom } from './rehearse-room';

export const REHEARSE_ROUTES: Routes = [
  {
    path: '',
    component: RehearseRoom,
    providers: [ProceduresStore],
    children: [
      { path: '', pathMatch: 'full', component: ProcedureList },
      { path: ':id', loadComponent: () => import('./desk/desk-page').then((module) => module.DeskPage) },
    ],
  },
];
