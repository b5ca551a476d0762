import { Routes } from '@angular/router';
import { drillRoute } from '../drill/drill-route';
import { SumSource } from './sum-source';
import { Sums } from './sums';
import { SumsStore } from '../../nouns/learning/sums.store';

export const SUMS_ROUTES: Routes = [
  {
    path: '',
    providers: [SumsStore],
    children: [
      { path: '', pathMatch: 'full', component: Sums },
      drillRoute('practise', SumSource, 'A practice of sums'),
    ],
  },
];
