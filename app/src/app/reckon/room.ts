import { Type } from '@angular/core';
import { Page, Room } from '../room';
import { reckonRoutes } from './reckon.routes';
import { WAYS } from './ways/ways';

/** The views of ways that are no pattern; the first comes with the room. */
const VIEWS: Readonly<Record<string, (() => Promise<Type<unknown>>) | undefined>> = {
  '': undefined,
  seen: () => import('./facts/facts-view').then((module) => module.FactsView),
  shuffled: () => import('./patterns/moved-view').then((module) => module.MovedView),
  map: () => import('./at-number/handling-map').then((module) => module.HandlingMap),
};

const pages: readonly Page[] = [
  ...WAYS.filter(({ path }) => path in VIEWS).map((way) => ({ ...way, load: VIEWS[way.path] })),
  { path: ':path', load: () => import('./patterns/pattern-view').then((module) => module.PatternView) },
];

export const RECKON: Room = {
  key: '3',
  name: 'Reckon',
  also: ['calculate', 'calculator', 'compute', 'work it out'],
  path: 'reckon',
  words: 'I saw this. They named that. What do I do?',
  help: () => import('./help').then((module) => module.RECKON_HELP),
  line: 'table',
  pages,
  ways: WAYS,
  shows: { wanted: '', facts: 'seen', riffles: 'key-card' },
  load: () => reckonRoutes(RECKON),
  sharing: () => import('./share').then((module) => module.RECKON_SHARING),
};
