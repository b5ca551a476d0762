import { Routes } from '@angular/router';
import { ArrangeRoom } from './arrange-room';
import { OrderView } from './order/order-view';

export const ARRANGE_ROUTES: Routes = [
  {
    path: '',
    component: ArrangeRoom,
    children: [
      { path: '', pathMatch: 'full', component: OrderView, data: { view: 'cards' } },
      {
        path: 'new',
        data: { id: 'new' },
        loadComponent: () => import('./make/order-editor').then((module) => module.OrderEditor),
      },
      {
        path: 'new/rule',
        loadComponent: () => import('./make/rule-maker').then((module) => module.RuleMaker),
      },
      {
        path: 'new/recipe',
        loadComponent: () => import('./make/recipe-maker').then((module) => module.RecipeMaker),
      },
      {
        path: 'new/bank',
        loadComponent: () => import('./make/bank-maker').then((module) => module.BankMaker),
      },
      {
        path: 'new/random',
        loadComponent: () => import('./make/random-maker').then((module) => module.RandomMaker),
      },
      { path: ':id', component: OrderView, data: { view: 'cards' } },
      { path: ':id/rule', component: OrderView, data: { view: 'rule' } },
      { path: ':id/sort', component: OrderView, data: { view: 'sort' } },
      { path: ':id/check', component: OrderView, data: { view: 'check' } },
      { path: ':id/compare', component: OrderView, data: { view: 'compare' } },
      { path: ':id/ask', component: OrderView, data: { view: 'ask' } },
      { path: ':id/crib', loadComponent: () => import('./order/crib').then((module) => module.Crib) },
      {
        path: ':id/edit',
        loadComponent: () => import('./make/order-editor').then((module) => module.OrderEditor),
      },
    ],
  },
];
