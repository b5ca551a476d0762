import { Routes } from '@angular/router';

const reckon = (): Promise<Routes> => import('./reckon/reckon.routes').then((module) => module.RECKON_ROUTES);
const arrange = (): Promise<Routes> =>
  import('./arrange/arrange.routes').then((module) => module.ARRANGE_ROUTES);

/** Fetches the room that an address opens while the frame is being set up. */
export const fetchAhead = (path: string): void => {
  void (path.startsWith('/arrange') ? arrange() : reckon());
};

/** Each room is loaded when it is opened for the first time. */
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
    loadChildren: reckon,
  },
  {
    path: 'settings',
    title: 'Settings and data · Enumeron',
    loadComponent: () => import('./settings/settings-room').then((module) => module.SettingsRoom),
  },
  { path: '**', redirectTo: 'reckon' },
];
