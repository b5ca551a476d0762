import { Routes } from '@angular/router';
import { pageRoutes, Place } from '../room';
import { CardAtNumber } from './at-number/card-at-number';
import { ReckonRoom } from './reckon-room';

export const reckonRoutes = (reckon: Place): Routes => [
  { path: '', component: ReckonRoom, children: pageRoutes(reckon, { '': { component: CardAtNumber } }) },
];
