import { Type } from '@angular/core';
import { Room } from '../room';

const orderEditor = (): Promise<Type<unknown>> =>
  import('./make/order-editor').then((module) => module.OrderEditor);

const wishMaker = (): Promise<Type<unknown>> =>
  import('./wish/wish-maker').then((module) => module.WishMaker);

export const ARRANGE: Room = {
  key: '1',
  name: 'Arrange',
  also: ['order', 'orders', 'stack', 'stacks', 'sort', 'sorting', 'sorting guide', 'print', 'crib'],
  path: 'arrange',
  words: 'What order do I use, and how do I put a real pack into it?',
  help: () => import('./help').then((module) => module.ARRANGE_HELP),
  line: 'table',
  pages: [
    { path: '' },
    { path: 'new', name: 'New order', load: orderEditor },
    {
      path: 'new/rule',
      name: 'An order by rule',
      words: 'by rule',
      load: () => import('./make/rule-maker').then((module) => module.RuleMaker),
    },
    {
      path: 'new/recipe',
      name: 'An order by recipe',
      words: 'by recipe',
      load: () => import('./make/recipe-maker').then((module) => module.RecipeMaker),
    },
    {
      path: 'new/bank',
      name: 'A bank',
      words: 'new bank',
      load: () => import('./make/bank-maker').then((module) => module.BankMaker),
    },
    {
      path: 'new/random',
      name: 'An order at random',
      words: 'at random',
      load: () => import('./make/random-maker').then((module) => module.RandomMaker),
    },
    {
      path: 'new/wishes',
      name: 'An order by wishes',
      words: 'by wishes',
      load: wishMaker,
    },
    {
      ...{ path: 'shared' },
      load: () => import('./shared-order').then((module) => module.SharedOrder),
    },
    { path: ':id' },
    { path: ':id/rule' },
    { path: ':id/sort' },
    { path: ':id/check' },
    { path: ':id/compare' },
    { path: ':id/ask' },
    { path: ':id/wishes', load: wishMaker },
    { path: ':id/crib', load: () => import('./order/crib').then((module) => module.Crib) },
    { path: ':id/edit', load: orderEditor },
  ],
  load: () => import('./arrange.routes').then((module) => module.ARRANGE_ROUTES),
  opens: [
    { format: 'enumeron-order', page: 'shared', inAddress: true },
    { format: '', page: 'shared', inAddress: true },
    { format: 'enumeron wishes', page: 'new/wishes', inAddress: true },
  ],
  sharing: () => import('./share').then((module) => module.ARRANGE_SHARING),
  ahead: (injector) => import('./ahead').then((module) => module.arrangeAhead(injector)),
  samples: () => import('../nouns/orders/sample').then(({ orderSamples }) => orderSamples()),
};
