import { Routes } from '@angular/router';
import { CardAtNumber } from './card-at-number';
import { ReckonRoom } from './reckon-room';

export const RECKON_ROUTES: Routes = [
  {
    path: '',
    component: ReckonRoom,
    children: [
      { path: '', pathMatch: 'full', component: CardAtNumber },
      { path: 'seen', loadComponent: () => import('./facts-view').then((module) => module.FactsView) },
      { path: 'shuffled', loadComponent: () => import('./moved-view').then((module) => module.MovedView) },
      { path: 'map', loadComponent: () => import('./handling-map').then((module) => module.HandlingMap) },
      { path: ':path', loadComponent: () => import('./pattern-view').then((module) => module.PatternView) },
    ],
  },
];
