import { Route, Routes } from '@angular/router';
import { FIRST_ROOM, ROOMS, roomAt } from './rooms';
import { Room } from './room';

const routeOf = ({ name, path, load }: Room): Route => {
  const title = `${name} · Enumeron`;
  return path === FIRST_ROOM.path
    ? { path, title, children: load() as Routes }
    : { path, title, loadChildren: load };
};

/** Fetches the room that an address opens while the frame is being set up. */
export const fetchAhead = (url: string): void => void roomAt(url)?.load();

export const ROUTES: Routes = [
  { path: '', pathMatch: 'full', redirectTo: FIRST_ROOM.path },
  ...ROOMS.map(routeOf),
  {
    path: 'settings',
    title: 'Settings and data · Enumeron',
    loadComponent: () => import('./settings/settings-room').then((module) => module.SettingsRoom),
  },
  { path: '**', redirectTo: FIRST_ROOM.path },
];
