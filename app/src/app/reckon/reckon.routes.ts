import { Routes } from '@angular/router';
import { CardAtNumber } from './at-number/card-at-number';
import { ReckonRoom } from './reckon-room';

export const RECKON_ROUTES: Routes = [
  {
    path: '',
    component: ReckonRoom,
    children: [
      { path: '', pathMatch: 'full', component: CardAtNumber },
      { path: 'seen', loadComponent: () => import('./facts/facts-view').then((module) => module.FactsView) },
      {
        path: 'shuffled',
        loadComponent: () => import('./patterns/moved-view').then((module) => module.MovedView),
      },
      {
        path: 'map',
        loadComponent: () => import('./at-number/handling-map').then((module) => module.HandlingMap),
      },
      {
        path: ':path',
        loadComponent: () => import('./patterns/pattern-view').then((module) => module.PatternView),
      },
    ],
  },
];
