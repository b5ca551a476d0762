import { Routes } from '@angular/router';
import { Run } from './run';
import { Running } from './running';

export const RUN_ROUTES: Routes = [
  { path: '', pathMatch: 'full', component: Run },
  { path: 'practise', component: Running },
];
