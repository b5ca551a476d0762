import { Routes } from '@angular/router';
import { drillRoute } from '../drill/drill-route';
import { GlimpseSource } from '../drill/glimpse-source';
import { Practice } from '../drill/practice';
import { Source } from '../drill/source';
import { Busy } from './busy';
import { DealAlong } from './deal-along';
import { DealSource } from './deal-source';
import { Spoken } from './spoken';
import { Track } from './track';
import { titleOf } from '../../ui/title-of';

export const BUSY_ROUTES: Routes = [
  { path: '', pathMatch: 'full', component: Busy },
  { path: 'spoken/practise', title: titleOf('Spoken', 'Learn'), component: Spoken },
  { path: 'heaps/practise', title: titleOf('Track the heaps', 'Learn'), component: Track },
  {
    path: 'deal/practise',
    title: titleOf('Deal along', 'Learn'),
    providers: [Practice, { provide: Source, useClass: DealSource }],
    component: DealAlong,
  },
  drillRoute('glimpse/practise', GlimpseSource, 'Glimpses'),
];
