import { Routes } from '@angular/router';
import { PerformancesStore } from '../nouns/performances/performances.store';
import { RoutinesStore } from '../nouns/sets/routines.store';
import { SetsStore } from '../nouns/sets/sets.store';
import { pageRoutes } from '../room';
import { Ticks } from './before/ticks';
import { Facts } from './facts';
import { PerformRoom } from './perform-room';
import { PERFORM } from './room';
import { SetsPage } from './sets/sets-page';

export const PERFORM_ROUTES: Routes = [
  {
    path: '',
    component: PerformRoom,
    providers: [RoutinesStore, SetsStore, PerformancesStore, Facts, Ticks],
    children: pageRoutes(PERFORM, { '': { component: SetsPage } }),
  },
];
