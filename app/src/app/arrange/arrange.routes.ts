import { Routes } from '@angular/router';
import { ArrangeRoom } from './arrange-room';
import { OrderEditor } from './order-editor';
import { OrderView } from './order-view';

export const ARRANGE_ROUTES: Routes = [
  {
    path: '',
    component: ArrangeRoom,
    children: [
      { path: '', pathMatch: 'full', component: OrderView },
      { path: 'new', component: OrderEditor, data: { id: 'new' } },
      { path: ':id', component: OrderView },
      { path: ':id/edit', component: OrderEditor },
    ],
  },
];
