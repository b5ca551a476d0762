import { Routes } from '@angular/router';
import { KeptRows } from '../nouns/weaves/kept.store';
import { WeaveLogStore } from '../nouns/weaves/weave-log.store';
import { WeavingStore } from '../nouns/weaves/weaving.store';
import { pageRoutes } from '../room';
import { WEAVE } from './room';
import { RowPage } from './row/row-page';
import { WeaveRoom } from './weave-room';

export const WEAVE_ROUTES: Routes = [
  {
    path: '',
    component: WeaveRoom,
    providers: [WeavingStore, KeptRows, WeaveLogStore],
    children: pageRoutes(WEAVE, { '': { component: RowPage } }),
  },
];
