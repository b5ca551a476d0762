import { Routes } from '@angular/router';
import { LearnRoom } from './learn-room';
import { LearnStore } from './learn.store';
import { Answers } from './drill/answers';
import { Practice } from './drill/practice';
import { Today } from './today/today';

export const LEARN_ROUTES: Routes = [
  {
    path: '',
    component: LearnRoom,
    providers: [LearnStore, Answers, Practice],
    children: [
      { path: '', pathMatch: 'full', component: Today },
      { path: 'practise', loadComponent: () => import('./drill/drill').then((module) => module.Drill) },
    ],
  },
];
