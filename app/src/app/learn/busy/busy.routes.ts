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

export const BUSY_ROUTES: Routes = [
  { path: '', pathMatch: 'full', component: Busy },
  { path: 'spoken/practise', component: Spoken },
  { path: 'heaps/practise', component: Track },
  {
    path: 'deal/practise',
    providers: [Practice, { provide: Source, useClass: DealSource }],
    component: DealAlong,
  },
  drillRoute('glimpse/practise', GlimpseSource),
];
