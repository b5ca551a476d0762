import { Route, Routes } from '@angular/router';
import { Place } from './room';
import { FIRST_ROOM, placeAt, PLACES } from './rooms';
import { titleOf } from './ui/title-of';

const noSuchPage: Route = {
  path: '**',
  title: titleOf('No such page'),
  loadComponent: () => import('./frame/no-such-page').then((module) => module.NoSuchPage),
};

const routeOf = ({ path, load }: Place): Route =>
  path === FIRST_ROOM.path ? { path, children: load() as Routes } : { path, loadChildren: load };

/** Fetches the room that an address opens while the frame is being set up. */
export const fetchAhead = (url: string): void => void placeAt(url)?.load();

export const ROUTES: Routes = [
  { path: '', pathMatch: 'full', redirectTo: FIRST_ROOM.path },
  ...PLACES.map(routeOf),
  noSuchPage,
];
