import { Routes } from '@angular/router';
import { KeptRows } from './kept.store';
import { RowPage } from './row/row-page';
import { WeaveRoom } from './weave-room';
import { WeavingStore } from './weaving.store';

export const WEAVE_ROUTES: Routes = [
  {
    path: '',
    component: WeaveRoom,
    providers: [WeavingStore, KeptRows],
    children: [{ path: '', pathMatch: 'full', component: RowPage }],
  },
];
