import { Type } from '@angular/core';
import { Route, Routes } from '@angular/router';
import { DealSource } from './busy/deal-source';
import { ChosenSource } from './drill/chosen-source';
import { GlimpseSource } from './drill/glimpse-source';
import { ItemSource } from './drill/item-source';
import { Practice } from './drill/practice';
import { Source } from './drill/source';
import { ImagesStore } from './images.store';
import { LearnRoom } from './learn-room';
import { LearnStore } from './learn.store';
import { Orphans } from './orphans';
import { SampleLearning } from './sample/sample-learning';
import { SumSource } from './sums/sum-source';
import { SumsStore } from './sums/sums.store';
import { Today } from './today/today';

const drill = (path: string, source: Type<Source>): Route => ({
  path,
  providers: [Practice, { provide: Source, useClass: source }],
  loadComponent: () => import('./drill/drill').then((module) => module.Drill),
});

export const LEARN_ROUTES: Routes = [
  {
    path: '',
    component: LearnRoom,
    providers: [LearnStore, ImagesStore, SumsStore, SampleLearning, Orphans],
    children: [
      { path: '', pathMatch: 'full', component: Today },
      drill('practise', ItemSource),
      { path: 'sums', loadComponent: () => import('./sums/sums').then((module) => module.Sums) },
      drill('sums/practise', SumSource),
      { path: 'run', loadComponent: () => import('./run/run').then((module) => module.Run) },
      {
        path: 'run/practise',
        loadComponent: () => import('./run/running').then((module) => module.Running),
      },
      { path: 'busy', loadComponent: () => import('./busy/busy').then((module) => module.Busy) },
      {
        path: 'busy/spoken/practise',
        loadComponent: () => import('./busy/spoken').then((module) => module.Spoken),
      },
      {
        path: 'busy/deal/practise',
        providers: [Practice, { provide: Source, useClass: DealSource }],
        loadComponent: () => import('./busy/deal-along').then((module) => module.DealAlong),
      },
      drill('busy/glimpse/practise', GlimpseSource),
      {
        path: 'standing',
        loadComponent: () => import('./standing/standing').then((module) => module.Standing),
      },
      { path: 'images', loadComponent: () => import('./images/images').then((module) => module.Images) },
      {
        path: 'settings',
        loadComponent: () => import('./settings/settings').then((module) => module.LearnSettings),
      },
      drill('standing/practise', ChosenSource),
    ],
  },
];
