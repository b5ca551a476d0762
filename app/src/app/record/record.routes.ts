import { Routes } from '@angular/router';
import { RoutinesStore } from '../nouns/sets/routines.store';
import { SetsStore } from '../nouns/sets/sets.store';
import { pageRoutes } from '../room';
import { NightsPage } from './nights/nights-page';
import { NightsLookedFor } from './nights/looked-for';
import { RecordRoom } from './record-room';
import { RECORD } from './room';

export const RECORD_ROUTES: Routes = [
  {
    path: '',
    component: RecordRoom,
    providers: [RoutinesStore, SetsStore, NightsLookedFor],
    children: pageRoutes(RECORD, { '': { component: NightsPage } }),
  },
];
