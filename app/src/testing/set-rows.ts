import fc from 'fast-check';
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

/** Rows of routines, sets and what was found of them, as their makers make them. */
export const SET_ROWS: Readonly<Record<string, fc.Arbitrary<unknown>>> = {
  routines: fc.record(
    { id: anyId, routine: anyRoutine, procedure: anyId, at: anyTime, sample: fc.constant(true) },
    { requiredKeys: ['id', 'routine', 'at'] },
  ),
  sets: fc.record(
    {
      id: anyId,
      at: anyTime,
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
};
