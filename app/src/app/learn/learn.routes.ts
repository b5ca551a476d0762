import { Routes } from '@angular/router';
import { drillRoute } from './drill/drill-route';
import { ItemSource } from './drill/item-source';
import { ImagesStore } from '../nouns/learning/images.store';
import { LearnRoom } from './learn-room';
import { LearnStore } from '../nouns/learning/learn.store';
import { Orphans } from '../nouns/learning/orphans';
import { SampleLearning } from '../nouns/learning/sample-learning';
import { Today } from './today/today';

export const LEARN_ROUTES: Routes = [
  {
    path: '',
    component: LearnRoom,
    providers: [LearnStore, ImagesStore, SampleLearning, Orphans],
    children: [
      { path: '', pathMatch: 'full', component: Today },
      drillRoute('practise', ItemSource),
      { path: 'sums', loadChildren: () => import('./sums/sums.routes').then((module) => module.SUMS_ROUTES) },
      { path: 'run', loadChildren: () => import('./run/run.routes').then((module) => module.RUN_ROUTES) },
      { path: 'busy', loadChildren: () => import('./busy/busy.routes').then((module) => module.BUSY_ROUTES) },
      {
        path: 'standing',
        loadChildren: () => import('./standing/standing.routes').then((module) => module.STANDING_ROUTES),
      },
      { path: 'images', loadComponent: () => import('./images/images').then((module) => module.Images) },
      {
        path: 'settings',
        loadComponent: () => import('./settings/settings').then((module) => module.LearnSettings),
      },
    ],
  },
];
