import { Routes } from '@angular/router';
import { DEDUCE_LONG } from '../workers/deduce';
import { deduceInWorker } from '../workers/deduce.in-worker';
import { TRY_KEY_CARD } from '../workers/key-card';
import { tryKeyCardInWorker } from '../workers/key-card.in-worker';
import { CardAtNumber } from './card-at-number';
import { ReckonRoom } from './reckon-room';

export const RECKON_ROUTES: Routes = [
  {
    path: '',
    component: ReckonRoom,
    providers: [
      { provide: DEDUCE_LONG, useValue: deduceInWorker },
      { provide: TRY_KEY_CARD, useValue: tryKeyCardInWorker },
    ],
    children: [
      { path: '', pathMatch: 'full', component: CardAtNumber },
      { path: 'seen', loadComponent: () => import('./facts-view').then((module) => module.FactsView) },
      { path: 'shuffled', loadComponent: () => import('./moved-view').then((module) => module.MovedView) },
      { path: 'map', loadComponent: () => import('./handling-map').then((module) => module.HandlingMap) },
      { path: ':path', loadComponent: () => import('./pattern-view').then((module) => module.PatternView) },
    ],
  },
];
