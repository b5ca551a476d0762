import { Routes } from '@angular/router';
import { ProceduresStore } from '../nouns/procedures/procedures.store';
import { pageRoutes } from '../room';
import { ProcedureList } from './list/procedure-list';
import { RehearseRoom } from './rehearse-room';
import { REHEARSE } from './room';

export const REHEARSE_ROUTES: Routes = [
  {
    path: '',
    component: RehearseRoom,
    providers: [ProceduresStore],
    children: pageRoutes(REHEARSE, { '': { component: ProcedureList } }),
  },
];
