import { TestBed } from '@angular/core/testing';
import { numberOrder, showCard } from '@enumeron/core/deck';
import type { Plan, PlannedRoutine, Tap } from '@enumeron/core/file/perform/cue/plan';
import { beginLive, tapped } from '@enumeron/core/file/perform/cue/perform';
import type { Procedure } from '@enumeron/core/file/procedure/procedure';
import { PERFORMANCES } from '../../nouns/performances/performances.kind';
import { PerformancesStore } from '../../nouns/performances/performances.store';
import type { Database } from '../../storage/database';
import { freshApp, until } from '../../../testing/fresh';
import { render } from '../../../testing/render';
import { cueOf, railPack } from './cue';
import { CuePad } from './cue-pad';
import { Stage } from './stage';

const HOME = numberOrder();

/** They cut in secret; the face card tells where, and they may name a number. */
const PROCEDURE: Procedure = {
  name: 'Cut and seen',
  version: 2,
  packets: { pack: HOME.map((card) => `${'A23456789TJQK'[card % 13]}${'CDHS'[Math.floor(card / 13)]}`) },
  orders: {},
  steps: [
    { do: 'choose', name: 'cut', from: 1, to: 51, says: { lay: 'Cut, please.', performers: 'Cut.' } },
    { do: 'cut', packet: 'pack', count: 'cut', by: 'helper' },
    { do: 'see', what: { 'face of': 'pack' }, name: 'key', caution: 'Do not stare.' },
    { do: 'choose', name: 'number', from: 0, to: 9, told: true },
    { do: 'if', that: { equal: ['number', 0] }, then: [{ do: 'out', words: 'Have another named.' }] },
    { do: 'claim', that: { equal: [{ 'size of': 'pack' }, 52] }, words: 'All are there.' },
  ],
};

const routine = (id: string, more: Partial<PlannedRoutine> = {}): PlannedRoutine => ({
  ...{
    id,
    name: `Routine ${id}`,
    minutes: 4,
    says: [],
    outs: '',
    notes: '',
    clearUp: '',
    procedure: PROCEDURE,
  },
  packs: { blue: { packet: 'pack', needs: { kind: 'home', turns: [0] }, leaves: 'same', isSaid: false } },
  ...more,
});

const planOf = (more: Partial<Plan> = {}): Plan => ({
  ...{ name: 'Late', order: ['a', 'b'], start: {}, audience: 'lay' },
  routines: [routine('a'), routine('b', { packs: {}, procedure: undefined, notes: 'A story.\nIts end.' })],
  packs: { blue: { home: { name: 'Numbers', cards: HOME }, hasHome: true, spares: 1 } },
  ...more,
});

const walk = (plan: Plan, taps: readonly Tap[]) =>
  taps.reduce((live, tap, index) => tapped(live, { tap, at: 1000 * (index + 1) }), beginLive(plan));

test('each page says what to do in words, what is asked, and which ends can be noted', () => {
  const plan = planOf();
  const first = cueOf(walk(plan, []));
  expect(first).toMatchObject({
    ...{ title: '1 · Routine a', where: 'step 2 of 6', says: ['Cut, please.'], next: 'next' },
    ...{ does: 'They cut some cards of pack to its bottom', ends: ['out', 'missed'], pad: undefined },
  });
  const seen = cueOf(walk(plan, [{ do: 'next' }]));
  expect(seen).toMatchObject({ pad: { kind: 'card' }, notes: ['Do not stare.'], next: undefined });
  const named = walk(plan, [{ do: 'next' }, { do: 'answer', value: HOME[16] }]);
  expect(cueOf(named)).toMatchObject({
    does: 'They choose: number, 0 to 9',
    pad: { kind: 'number', from: 0, to: 9 },
  });
  expect(railPack(named)).toMatchObject({
    says: `cut at 17, ${showCard(HOME[16])} at the face, ${showCard(HOME[17])} on top`,
  });
  const out = tapped(named, { tap: { do: 'answer', value: 0 }, at: 5000 });
  expect(cueOf(out)).toMatchObject({
    does: 'Out: Have another named.',
    next: 'the out is done, next',
    ends: ['hit', 'missed'],
  });
  // Notes are one page; their other lines stand below.
  const hit = tapped(tapped(named, { tap: { do: 'answer', value: 4 }, at: 5000 }), {
    tap: { do: 'next' },
    at: 6000,
  });
  expect(cueOf(hit)).toMatchObject({ does: 'A story.', acts: ['Its end.'], next: 'it hit, next' });
  const over = tapped(hit, { tap: { do: 'end', how: 'missed' }, at: 7000 });
  expect(cueOf(over).acts).toEqual(['1 hit, 1 missed']);
  expect(over.phase.kind).toBe('over');
});

test('a cut pack is brought back before a routine that needs it from the top, or changed for a spare one', () => {
  const plan = planOf({ order: ['a', 'c'], routines: [routine('a'), routine('c')] });
  const cut = walk(plan, [
    { do: 'next' },
    { do: 'answer', value: HOME[16] },
    { do: 'answer', value: 4 },
    { do: 'next' },
  ]);
  expect(cueOf(cut)).toMatchObject({
    ...{
      title: 'Before 2 · Routine c',
      does: `Cut ${showCard(HOME[51])} to the face`,
      next: 'done',
      canChange: true,
    },
    notes: ['4 seconds, in view'],
  });
  const changed = tapped(cut, { tap: { do: 'spare' }, at: 9000 });
  expect([changed.phase.kind, changed.spares['blue'], railPack(changed)?.says]).toEqual([
    ...['run', 0],
    `from the top, ${showCard(HOME[0])} on top`,
  ]);
});

describe('the pad', () => {
  test('tells a number as soon as no digit can follow, or by its button; nonsense is no number', async () => {
    await freshApp();
    const pad = await render(CuePad, { pad: { kind: 'number', from: 1, to: 52 } });
    const told: number[] = [];
    pad.component.picked.subscribe((value) => told.push(value));
    await pad.click('7');
    expect(told).toEqual([7]);
    await pad.click('5');
    await pad.click('3');
    // 53 are not there: the last digit begins another number.
    expect(told).toEqual([7]);
    expect(pad.text()).toContain('3, next');
    await pad.click('3, next');
    expect(told).toEqual([7, 3]);
    await pad.click('0');
    expect(pad.button('0, next').disabled).toBe(true);
    expect(['x', 'Tab', '4'].map((key) => pad.component.key(key))).toEqual([false, false, true]);
  });

  test('takes a card by rank and suit, and a joker by its own key', async () => {
    await freshApp();
    const pad = await render(CuePad, { pad: { kind: 'card' }, cards: [...HOME, 52, 53] });
    const told: number[] = [];
    pad.component.picked.subscribe((value) => told.push(value));
    await pad.click('seven');
    await pad.click('seven of diamonds');
    expect(told.map(showCard)).toEqual(['7♦']);
    for (const key of ['t', 'h']) expect(pad.component.key(key)).toBe(true);
    expect(told.map(showCard)).toEqual(['7♦', '10♥']);
    await pad.fixture.whenStable();
    expect(pad.all('.ranks button')).toHaveLength(15);
  });
});

const onStage = async (): Promise<{ db: Database; stage: Stage; store: PerformancesStore }> => {
  const db = await freshApp([PerformancesStore, Stage]);
  const [store, stage] = [TestBed.inject(PerformancesStore), TestBed.inject(Stage)];
  await store.begin(planOf(), { real: true, set: 'set' });
  await until(() => stage.live() !== undefined);
  return { db, stage, store };
};

test('each tap is kept with what was done by then; what is taken back is gone; the end leaves one row', async () => {
  const { db, stage } = await onStage();
  stage.tap({ do: 'next' });
  stage.tap({ do: 'answer', value: HOME[2] });
  expect(stage.count()).toBe(2);
  stage.takeBack();
  stage.tap({ do: 'answer', value: HOME[30] });
  // What means nothing there is not noted.
  stage.tap({ do: 'spare' });
  stage.tap({ do: 'answer', value: 6 });
  stage.tap({ do: 'next' });
  await until(() => stage.row()?.done.length === 1);
  expect(stage.row()?.done[0]).toMatchObject({
    ...{ id: 'a', how: 'hit' },
    choices: [
      { name: 'key', value: HOME[30], path: '3' },
      { name: 'number', value: 6, path: '4' },
      { name: 'cut', value: 31, path: '1', inSecret: true },
    ],
  });
  await stage.finish();
  expect(stage.onStage()).toBeUndefined();
  const [row, ...others] = await db.rows(PERFORMANCES).toArray();
  expect(others).toEqual([]);
  expect(row).toMatchObject({ real: true, set: 'set', name: 'Late', audience: 'lay' });
  expect(row.done).toMatchObject([
    { id: 'a', how: 'hit' },
    { id: 'b', how: 'left out' },
  ]);
  expect(row.seconds).toBeGreaterThanOrEqual(0);
});

test('a tap that was made behind others than are noted by now counts not at all', async () => {
  const { stage, store } = await onStage();
  const id = stage.onStage()?.id ?? '';
  // Another tab was quicker.
  await store.tap(id, { tap: { do: 'next' }, at: 10 }, 0, []);
  expect(await store.tap(id, { tap: { do: 'end', how: 'missed' }, at: 11 }, 0, [])).toBe('nothing');
  expect(stage.count()).toBe(1);
  expect(await store.takeBack(id, 0, [])).toBe('nothing');
  // A performance that ended is not gone on with.
  await stage.finish();
  stage.tap({ do: 'next' });
  expect(stage.onStage()).toBeUndefined();
});
