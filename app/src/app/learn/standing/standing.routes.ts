import { Routes } from '@angular/router';
import { ChosenSource } from '../drill/chosen-source';
import { drillRoute } from '../drill/drill-route';
import { SumsStore } from '../../nouns/learning/sums.store';
import { Standing } from './standing';

export const STANDING_ROUTES: Routes = [
  {
    path: '',
    providers: [SumsStore],
    children: [
      { path: '', pathMatch: 'full', component: Standing },
      drillRoute('practise', ChosenSource, 'The weakest'),
    ],
  },
];
