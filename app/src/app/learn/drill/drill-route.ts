import { Type } from '@angular/core';
import { Route } from '@angular/router';
import { Practice } from './practice';
import { Source } from './source';
import { titleOf } from '../../ui/title-of';

/** A practice with questions from a source, at an address that ends so. */
export const drillRoute = (path: string, source: Type<Source>, title: string): Route => ({
  path,
  title: titleOf(title, 'Learn'),
  providers: [Practice, { provide: Source, useClass: source }],
  loadComponent: () => import('./drill').then((module) => module.Drill),
});
