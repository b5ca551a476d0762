import fc from 'fast-check';
import { MEND_COSTS } from '@enumeron/core/file/perform/costs';
import { ROUTINE_ENDINGS, SORTS } from '@enumeron/core/file/perform/cue/done';
import { anyCards, anyId, anyName, anyTime } from './any';

const anyNeed = fc.constantFrom<unknown>(
  { kind: 'home', turns: 'any', known: true },
  { kind: 'home', turns: [0, 7], fewer: 2 },
  { kind: 'bank', cards: [4, 9], at: 'top', loose: true },
  { kind: 'cards' },
);
const anyState = fc.constantFrom<unknown>(
  {
    ...{ lies: 'home', turn: { plus: { seen: ['first'] } }, out: [], extra: 0 },
    packets: [
      {
        ...{ place: 1, count: { seen: [] }, most: 9, behind: 'unseen' },
        ...{ reversed: true, faceUp: true, stays: false },
      },
    ],
  },
  {
    ...{ lies: 'bank', bank: { cards: [4], at: 'face', loose: false }, extra: 1 },
    out: [{ where: 'pocket', count: 1, most: 1, cards: [9] }],
  },
  { lies: 'lost', faceUp: true, out: [], extra: 0 },
);
const anyWords = fc.string({ maxLength: 80 });
const anyRoutine = fc.record({
  name: anyName,
  minutes: fc.nat(180),
  value: fc.integer({ min: 1, max: 9 }),
  packs: fc.dictionary(
    anyName.filter((name) => name !== '__proto__'),
    fc.record(
      {
        packet: fc.constantFrom('pack', 'numbers'),
        order: fc.record({ name: anyWords, cards: anyCards }),
        loose: fc.constant(true),
        needs: anyNeed,
        leaves: fc.oneof(fc.constant('same'), fc.array(anyState, { minLength: 1, maxLength: 3 })),
      },
      { requiredKeys: [] },
    ),
    { maxKeys: 3 },
  ),
  ...{ props: anyWords, outs: anyWords, clearUp: anyWords, notes: anyWords },
  says: fc.array(fc.record({ to: anyWords, words: anyWords }), { maxLength: 3 }),
  setUp: fc.constantFrom('none', 'before', 'during', 'borrowed'),
  ...{ clean: fc.boolean(), repeats: fc.boolean() },
  cautions: fc.subarray(['can hurt', 'borrowed', 'touches a helper', 'fire', 'blades']),
});
const anyPairs = fc.array(fc.constantFrom(['a', 'b'], ['b', 'c']), { maxLength: 3 });

const anyTook = fc.array(
  fc.record(
    {
      what: fc.constantFrom('', '3', '4.1.2', 'change'),
      seconds: fc.nat(4000).map((tenths) => tenths / 10),
      acts: fc.constantFrom<unknown>([], [{ act: 'cut' }, { act: 'put back', cards: 3 }]),
    },
    { requiredKeys: ['what', 'seconds'] },
  ),
  { maxLength: 4 },
);
const anyDone = fc.record(
  {
    ...{ id: anyId, name: anyWords, how: fc.constantFrom(...ROUTINE_ENDINGS) },
    ...{ out: anyWords, why: anyWords, wrong: anyWords, slips: fc.array(anyWords, { maxLength: 2 }) },
    choices: fc.array(
      fc.record(
        {
          path: fc.constantFrom('1', '4.1.2'),
          name: anyWords,
          value: fc.integer({ min: -9, max: 900 }),
          sort: fc.constantFrom(...SORTS),
          ...{ words: anyWords, said: anyWords, from: fc.nat(9), to: fc.nat(60) },
          ...{ named: fc.constant(true), seen: fc.constant(true), inSecret: fc.constant(true) },
        },
        { requiredKeys: ['path', 'name', 'value'] },
      ),
      { maxLength: 4 },
    ),
    ...{ steps: anyTook, mends: anyTook },
  },
  { requiredKeys: ['id', 'name', 'how', 'choices', 'steps', 'mends'] },
);
const anyTap = fc.constantFrom<unknown>(
  { do: 'next' },
  { do: 'spare' },
  { do: 'answer', value: 17 },
  { do: 'at', at: '4.2.1' },
  { do: 'at', at: 'end' },
  { do: 'end', how: 'missed' },
  { do: 'left', lies: 'cut' },
  { do: 'jump', to: 'sample-routine-number' },
);
const anyPlanned = fc.record(
  {
    ...{ id: anyId, name: anyName, minutes: fc.nat(180) },
    procedure: fc.constant({ name: 'A', steps: [{ do: 'see', what: { 'top of': 'pack' }, name: 'top' }] }),
    packs: fc.dictionary(
      fc.constantFrom('blue', 'red'),
      fc.record(
        {
          ...{ packet: fc.constant('pack'), order: anyCards, needs: anyNeed, isSaid: fc.boolean() },
          leaves: fc.oneof(fc.constant('same'), fc.array(anyState, { maxLength: 3 })),
        },
        { requiredKeys: ['needs', 'leaves', 'isSaid'] },
      ),
    ),
    says: fc.array(fc.record({ to: anyWords, words: anyWords }), { maxLength: 2 }),
    ...{ outs: anyWords, notes: anyWords, clearUp: anyWords },
  },
  { requiredKeys: ['id', 'name', 'minutes', 'packs', 'says', 'outs', 'notes', 'clearUp'] },
);
const anyPlan = fc.record(
  {
    ...{ name: anyName, order: fc.array(anyId, { maxLength: 4 }), audience: anyWords },
    routines: fc.array(anyPlanned, { maxLength: 3 }),
    packs: fc.dictionary(
      fc.constantFrom('blue', 'red'),
      fc.record({
        home: fc.record({ name: anyName, cards: anyCards }),
        ...{ hasHome: fc.boolean(), spares: fc.nat(3) },
      }),
    ),
    start: fc.dictionary(fc.constantFrom('blue'), fc.array(anyState, { minLength: 1, maxLength: 2 })),
    ...{ interval: fc.integer({ min: 1, max: 9 }), intervalMinutes: fc.nat(60) },
    costs: fc.constant({ ...MEND_COSTS, cut: { seconds: 6.5, perCard: 0 } }),
  },
  { requiredKeys: ['name', 'order', 'audience', 'routines', 'packs', 'start'] },
);

/** Rows of routines, sets and what was found of them, as their makers make them. */
export const SET_ROWS: Readonly<Record<string, fc.Arbitrary<unknown>>> = {
  routines: fc.record(
    {
      id: anyId,
      routine: anyRoutine,
      procedure: anyId,
      at: anyTime,
      sample: fc.constant(true),
      changed: anyTime,
    },
    { requiredKeys: ['id', 'routine', 'at'] },
  ),
  sets: fc.record(
    {
      id: anyId,
      ...{ at: anyTime, changed: anyTime },
      sample: fc.constant(true),
      set: fc.record(
        {
          name: anyName,
          order: fc.uniqueArray(anyId, { maxLength: 7 }),
          spares: fc.dictionary(
            anyName.filter((name) => name !== '__proto__'),
            fc.nat(20),
            { maxKeys: 3 },
          ),
          ...{ opener: anyId, closer: anyId, before: anyPairs, directly: anyPairs, apart: anyPairs },
          ...{ must: fc.uniqueArray(anyId, { maxLength: 3 }), choose: fc.boolean() },
          minutes: fc.integer({ min: 1, max: 600 }),
          interval: fc.integer({ min: 1, max: 16 }),
          intervalMinutes: fc.nat(180),
        },
        { requiredKeys: ['name', 'order', 'spares', 'before', 'directly', 'apart', 'must', 'choose'] },
      ),
    },
    { requiredKeys: ['id', 'set', 'at'] },
  ),
  'worked out': fc.record({
    id: fc.constant('worked-out'),
    packs: fc.dictionary(
      anyId.filter((id) => id !== '__proto__'),
      fc.record(
        {
          stamp: fc.stringMatching(/^[a-z0-9-]{1,30}$/),
          found: fc.record(
            {
              needs: anyNeed,
              home: anyCards,
              endings: fc.array(fc.record({ state: anyState, cases: fc.nat(), outs: fc.nat() }), {
                maxLength: 3,
              }),
              ...{ failed: fc.nat(), complete: fc.boolean(), why: fc.array(anyWords, { maxLength: 3 }) },
            },
            { requiredKeys: ['needs', 'endings', 'failed', 'complete', 'why'] },
          ),
        },
        { requiredKeys: ['stamp'] },
      ),
      { maxKeys: 3 },
    ),
  }),
  performances: fc.record(
    {
      ...{ id: anyId, at: anyTime, real: fc.boolean(), name: anyName, set: anyId, audience: anyWords },
      ...{ changed: anyTime, practice: fc.constant(true), place: anyWords, size: fc.nat(900) },
      done: fc.array(anyDone, { maxLength: 3 }),
      ...{ seconds: fc.nat(9000), note: anyWords, uid: anyWords, removed: fc.constant(true) },
      sample: fc.constant(true),
    },
    { requiredKeys: ['id', 'at', 'real', 'name', 'audience', 'done'] },
  ),
  'by record': fc.record(
    {
      id: anyId,
      choices: fc.dictionary(
        anyName.filter((name) => name !== '__proto__'),
        fc.record(
          {
            key: anyWords.filter((words) => words !== ''),
            ...{ said: anyWords, audience: anyWords, practice: fc.constant(true) },
          },
          { requiredKeys: ['key', 'said'] },
        ),
        { maxKeys: 3 },
      ),
      sample: fc.constant(true),
    },
    { requiredKeys: ['id', 'choices'] },
  ),
  fitted: fc.record({
    id: fc.constant('fitted'),
    choices: fc.array(
      fc.record(
        {
          ...{
            procedure: anyId,
            name: anyName,
            n: fc.nat(),
            before: fc.nat(),
            from: fc.integer({ min: -5, max: 9 }),
          },
          chances: fc.array(
            fc.integer({ min: 0, max: 1e6 }).map((part) => part / 1e6),
            { minLength: 1, maxLength: 9 },
          ),
        },
        { requiredKeys: ['procedure', 'name', 'n', 'from', 'chances'] },
      ),
      { maxLength: 3 },
    ),
    seconds: fc.array(
      fc.record({
        act: fc.constantFrom('cut', 'put back'),
        ratio: fc.nat(900).map((part) => part / 100),
        n: fc.nat(),
      }),
      { maxLength: 3 },
    ),
  }),
  'on stage': fc.record(
    { id: fc.constant('on stage'), performance: anyId, plan: anyPlan, tonight: anyId },
    { requiredKeys: ['id', 'performance'] },
  ),
  taps: fc.record({
    ...{ id: fc.constant('taps'), performance: anyId },
    taps: fc.array(fc.record({ tap: anyTap, at: fc.nat() }), { maxLength: 6 }),
  }),
};
