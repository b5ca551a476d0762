import { Routes } from '@angular/router';
import { KeptRows } from '../nouns/weaves/kept.store';
import { WeaveLogStore } from '../nouns/weaves/weave-log.store';
import { RowPage } from './row/row-page';
import { WeaveRoom } from './weave-room';
import { WeavingStore } from '../nouns/weaves/weaving.store';

export const WEAVE_ROUTES: Routes = [
  {
    path: '',
    component: WeaveRoom,
    providers: [WeavingStore, KeptRows, WeaveLogStore],
    children: [
      { path: '', pathMatch: 'full', component: RowPage },
      {
        path: 'orders',
        loadComponent: () => import('./orders/orders-page').then((module) => module.OrdersPage),
      },
      {
        path: 'cycles',
        loadComponent: () => import('./cycles/cycles-page').then((module) => module.CyclesPage),
      },
      {
        path: 'missing',
        loadComponent: () => import('./missing/missing-page').then((module) => module.MissingPage),
      },
      { path: 'wrong', loadComponent: () => import('./wrong/wrong-page').then((module) => module.WrongPage) },
    ],
  },
];
