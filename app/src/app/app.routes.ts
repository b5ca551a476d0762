import { Routes } from '@angular/router';
import { RECKON_ROUTES } from './reckon/reckon.routes';

const arrange = (): Promise<Routes> =>
  import('./arrange/arrange.routes').then((module) => module.ARRANGE_ROUTES);

/** Fetches the room that an address opens while the frame is being set up. */
export const fetchAhead = (path: string): void => {
  if (path.startsWith('/arrange')) void arrange();
};

/**
 * Reckon, which opens when no other room is asked for, comes with the frame: as a part of its own it would be a
 * dozen scripts more, and the first answer would wait for them. Each other room is loaded when it is opened.
 */
export const ROUTES: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'reckon' },
  {
    path: 'arrange',
    title: 'Arrange · Enumeron',
    loadChildren: arrange,
  },
  {
    path: 'reckon',
    title: 'Reckon · Enumeron',
    children: RECKON_ROUTES,
  },
  {
    path: 'settings',
    title: 'Settings and data · Enumeron',
    loadComponent: () => import('./settings/settings-room').then((module) => module.SettingsRoom),
  },
  { path: '**', redirectTo: 'reckon' },
];
