import { TestBed } from '@angular/core/testing';
import { headWay, headWays } from '@enumeron/core/arrange';
import { freshApp, until } from '../../../testing/fresh';
import { render } from '../../../testing/render';
import { LEARNING } from '../../nouns/learning/learning.kind';
import { sampleOrders } from '../../nouns/orders/sample';
import { HeadWayStore } from '../../nouns/learning/head-way.store';
import { PackStore } from '../../nouns/pack/pack.store';
import { HeadSum } from './head-sum';
import { pass } from '../../../testing/pass';

test('a stack number is worked out in the way that was chosen for the order, and not at all before', async () => {
  const db = await freshApp();
  const [wheel] = sampleOrders().filter(({ name }) => name === 'Nine-five wheel');
  await TestBed.inject(PackStore).use(wheel);
  const view = await render(HeadSum, { card: 19 });
  expect(view.all('li')).toHaveLength(0);
  const [, , way] = headWays(wheel.cards);
  TestBed.inject(HeadWayStore).choose(wheel.id, way.name, true);
  await until(() => view.all('li').length > 0);
  expect(view.all('li')).toHaveLength(headWay(wheel.cards, way.name)?.work(19).length ?? 0);
  // Nothing of it is asked by heart only because a way was chosen.
  for (let turn = 0; turn < 100 && !(await db.rows(LEARNING).get(wheel.id)); turn++) await pass(5);
  expect(await db.rows(LEARNING).get(wheel.id)).toMatchObject({ directions: [], way: way.name });
});
