import { Routes } from '@angular/router';
import { Run } from './run';
import { Running } from './running';
import { titleOf } from '../../ui/title-of';

export const RUN_ROUTES: Routes = [
  { path: '', pathMatch: 'full', component: Run },
  { path: 'practise', title: titleOf('The run', 'Learn'), component: Running },
];
