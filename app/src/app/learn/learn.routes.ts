import { Routes } from '@angular/router';
import { ImagesStore } from '../nouns/learning/images.store';
import { LearnStore } from '../nouns/learning/learn.store';
import { Orphans } from '../nouns/learning/orphans';
import { SampleLearning } from '../nouns/learning/sample-learning';
import { pageRoutes } from '../room';
import { drillRoute } from './drill/drill-route';
import { ItemSource } from './drill/item-source';
import { LearnRoom } from './learn-room';
import { LEARN } from './room';
import { Today } from './today/today';

export const LEARN_ROUTES: Routes = [
  {
    path: '',
    component: LearnRoom,
    providers: [LearnStore, ImagesStore, SampleLearning, Orphans],
    children: pageRoutes(LEARN, {
      '': { component: Today },
      practise: drillRoute('practise', ItemSource, 'Practise what is up'),
    }),
  },
];
