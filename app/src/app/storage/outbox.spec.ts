import { TestBed } from '@angular/core/testing';
import { cut } from '@enumeron/core/moves';
import { freshApp, newDatabase, until } from '../../testing/fresh';
import { PackStore } from '../nouns/pack/pack.store';
import { DRAFTS, DraftRow } from './kinds/drafts';
import { PACK } from '../nouns/pack/pack.kind';
import { Journal, REST } from './journal';
import { Outbox } from './outbox';
import { TIDEMARK } from '../nouns/orders/tidemark';

const rowsOf = (db: ReturnType<typeof newDatabase>): Promise<DraftRow[]> =>
  db.rows(DRAFTS).where('subject').equals('in flight').toArray();

test('what is on its way lies in the database until it is stored', async () => {
  // What is told tap by tap waits for the hand to rest.
  const db = await freshApp([{ provide: REST, useValue: [300, 600] }]);
  await TestBed.inject(Outbox).begin();
  let rows: readonly DraftRow[] = [];
  const come = async (count: number): Promise<void> => {
    await until(() => {
      void rowsOf(db).then((found) => (rows = found));
      return rows.length === count;
    });
  };
  const done = TestBed.inject(PackStore).apply({ kind: 'cut', count: 4 });
  await come(1);
  expect(rows[0].fields).toMatchObject({
    actions: [{ label: 'cut 4 cards from the top to the bottom', writes: [{ kind: 'pack' }] }],
  });
  expect(await done).toBe('stored');
  await come(0);
  expect((await db.rows(PACK).get('pack'))?.now).toEqual(cut(TIDEMARK.cards, 4));
});

test('what a tab that is gone had not stored is done by the next, each action once, and its row goes', async () => {
  const db = newDatabase();
  await freshApp([], db);
  const row = await db.rows(PACK).get('pack');
  const packs = [row, ...[3, 5].map((count) => ({ ...row, now: cut(TIDEMARK.cards, count) }))];
  const action = (index: number): object => ({
    label: 'cut',
    writes: [{ kind: 'pack', key: 'pack', before: packs[index], after: packs[index + 1] }],
  });
  // The first was stored before the browser was killed, the second was not; something odd lies beside them.
  await db.rows(PACK).put(packs[1] as never);
  const actions = [action(0), { label: 7 }, action(1)];
  await db
    .rows(DRAFTS)
    .put({ id: 'gone in flight', tab: 'gone', subject: 'in flight', at: 1, fields: { actions } });
  await TestBed.inject(Outbox).begin();
  await until(() => TestBed.inject(PackStore).offset() === 5);
  expect(await rowsOf(db)).toEqual([]);
  await TestBed.inject(Journal).undo('table');
  await until(() => TestBed.inject(PackStore).offset() === 3);
});
