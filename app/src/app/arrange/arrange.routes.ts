import { Route, Routes } from '@angular/router';
import { pageRoutes } from '../room';
import { ArrangeRoom } from './arrange-room';
import { OrderView } from './order/order-view';
import { ARRANGE } from './room';

const sheet = (view: string): Partial<Route> => ({ component: OrderView, data: { view } });

export const ARRANGE_ROUTES: Routes = [
  {
    path: '',
    component: ArrangeRoom,
    children: pageRoutes(ARRANGE, {
      '': sheet('cards'),
      new: { data: { id: 'new' } },
      ':id': sheet('cards'),
      ':id/rule': sheet('rule'),
      ':id/sort': sheet('sort'),
      ':id/check': sheet('check'),
      ':id/compare': sheet('compare'),
      ':id/ask': sheet('ask'),
    }),
  },
];
