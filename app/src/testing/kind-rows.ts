import fc from 'fast-check';
import { shuffled, seededRng } from '@enumeron/core/deck';
import { typedName } from '@enumeron/core/formats';
import { anyCards, anyId, anyName, anyTime } from './any';
import { SET_ROWS } from './set-rows';
import { Grade, replay, scheduleBy } from '@enumeron/core/learn';
import { ALL_HANDLINGS } from '@enumeron/core/reckon';

const anyPack = fc
  .tuple(
    anyId,
    anyName,
    anyCards,
    fc.integer(),
    fc.option(fc.constantFrom('face', 'top'), { nil: undefined }),
  )
  .map(([orderId, name, home, seed, at]) => {
    const now = shuffled(home, seededRng(seed));
    return { orderId, name, home, now, ...(at && { seen: { at, card: now[0] } }) };
  });
const anyCard = fc.integer({ min: 0, max: 107 });
const anyMove = fc.constantFrom<unknown>(
  { kind: 'cut', count: 3 },
  { kind: 'weave', weave: 'in', top: 20 },
  { kind: 'deal heaps', heaps: 2, gather: [2, 1] },
  { kind: 'riffle', seed: 7 },
);
const anyOrigin = fc.oneof(
  anyCards.map((cards) => ({ kind: 'bank', bank: { cards, places: cards.map((_, index) => index + 1) } })),
  fc
    .tuple(anyCards, fc.array(anyMove, { maxLength: 9 }))
    .map(([base, moves]) => ({ kind: 'recipe', base, moves })),
  fc.constantFrom({
    kind: 'wishes',
    list: {
      ...{ format: 'enumeron wishes', version: 1, pack: ['AC', '2C', '3C', '4C'] },
      wishes: [{ kind: 'runs', of: 'colour', most: 3, weight: 0.5 }],
    },
  }),
  fc.integer().map((seed) => ({ kind: 'random', seed, conditions: { ranksApart: true, suitsApart: false } })),
);

/** What a schedule makes of some answers. */
const anyMemory = fc
  .array(
    fc.record({ grade: fc.constantFrom<Grade>(1, 2, 3, 4), wait: fc.integer({ min: 1000, max: 1e9 }) }),
    {
      minLength: 1,
      maxLength: 6,
    },
  )
  .map((answers) => {
    let at = 1.7e12;
    return replay(
      scheduleBy(),
      answers.map(({ grade, wait }) => ({ grade, at: (at += wait) })),
    );
  });

/** A row of each kind as its makers make it. A kind that is not here fails the first test. */
export const ROWS: Readonly<Record<string, fc.Arbitrary<unknown>>> = {
  orders: fc.record(
    {
      id: anyId,
      name: anyName,
      cards: anyCards,
      sample: fc.boolean(),
      origin: anyOrigin,
      made: anyTime,
      changed: anyTime,
    },
    { requiredKeys: ['id', 'name', 'cards', 'sample', 'made', 'changed'] },
  ),
  pack: anyPack.map((pack) => ({ id: 'pack', ...pack })),
  beside: fc.option(anyPack, { nil: undefined }).map((pack) => ({ id: 'beside', ...(pack && { pack }) })),
  wanted: fc
    .record({ card: anyCard, number: fc.integer({ min: 1, max: 60 }) }, { requiredKeys: [] })
    .map((row) => ({ id: 'wanted', ...row })),
  facts: anyCards.map((pack) => ({
    id: 'facts',
    pack,
    facts: [{ kind: 'cut' }, { kind: 'missing', card: pack[0] }],
  })),
  patterns: fc
    .dictionary(
      fc.stringMatching(/^[a-z-]{1,20}$/),
      fc.oneof(fc.nat(60), fc.boolean(), fc.array(fc.nat(107), { maxLength: 60 })),
    )
    .map((fields) => ({ id: 'patterns', values: { 'two-cuts': fields } })),
  settings: fc.record({
    id: fc.constant('settings'),
    theme: fc.constantFrom('system', 'paper', 'wings'),
    suitTints: fc.boolean(),
    singleKeys: fc.boolean(),
    tolerance: fc.constant(ALL_HANDLINGS),
  }),
  drafts: fc.record({
    id: fc.string({ minLength: 1, maxLength: 200 }),
    tab: fc.string({ maxLength: 64 }),
    subject: fc.string({ minLength: 1, maxLength: 80 }),
    at: anyTime,
    fields: fc.record({
      name: fc.string(),
      text: fc.string(),
      part: fc.boolean(),
      base: fc.constant(null),
      moves: fc.array(anyMove),
    }),
  }),
  damaged: fc.record({
    id: fc.string({ minLength: 1, maxLength: 200 }),
    kind: fc.constantFrom('orders', 'pack'),
    key: fc.string({ maxLength: 200 }),
    text: fc.json(),
    problem: fc.string(),
    at: anyTime,
  }),
  journal: fc.record({
    id: fc.nat(),
    line: fc.constant('table'),
    label: fc.string(),
    at: anyTime,
    done: fc.constantFrom(0, 1),
    changes: fc.constant([{ kind: 'wanted', key: 'wanted', before: undefined, after: { id: 'wanted' } }]),
  }),
  snapshots: fc.record({
    id: fc.constantFrom('restore', 'erase', 'week'),
    at: anyTime,
    text: fc.string({ minLength: 1 }),
  }),
  seeded: anyTime.map((at) => ({ id: 'seeded', at })),
  backups: anyTime.map((saved) => ({ id: 'backups', saved })),
  items: fc.record({
    id: anyId.map((id) => `${id} number 7D`),
    order: anyId,
    item: fc.constant('number 7D'),
    memory: anyMemory,
    truth: fc.constantFrom('20', '7♦', '3♥ 9♦'),
    begun: anyTime,
  }),
  reviews: fc.record(
    {
      id: anyId,
      order: anyId,
      item: fc.constant('after TD'),
      at: anyTime,
      answered: fc.constantFrom('20', '7♦', '3♥ 9♦'),
      right: fc.boolean(),
      ms: fc.nat(100_000),
      grade: fc.constantFrom(1, 2, 3, 4),
      interrupted: fc.constant(true),
      hinted: fc.constant(true),
      withdrawn: fc.constant(true),
      sample: fc.constant(true),
      reset: fc.constant(true),
      before: anyMemory,
    },
    { requiredKeys: ['id', 'order', 'item', 'at', 'answered', 'right', 'ms', 'grade'] },
  ),
  sums: fc.record(
    {
      id: anyId,
      order: anyId,
      kind: fc.constantFrom('how far off', 'weaves to a place'),
      inputs: fc.array(fc.nat(60), { maxLength: 3 }),
      level: fc.constantFrom(0, 1, 2, 3),
      at: anyTime,
      asked: fc.constant('7♦ at 15, K♥ at the face'),
      truth: fc.constant('3 too high'),
      answered: fc.constant('none'),
      right: fc.boolean(),
      ms: fc.nat(100_000),
      interrupted: fc.constant(true),
      withdrawn: fc.constant(true),
      sample: fc.constant(true),
    },
    {
      requiredKeys: [
        ...(['id', 'order', 'kind', 'inputs', 'level', 'at', 'asked'] as const),
        ...(['truth', 'answered', 'right', 'ms'] as const),
      ],
    },
  ),
  images: fc.record({
    id: fc.constantFrom('card-7D', 'number-15', 'card-X1'),
    words: fc.stringMatching(/^[a-z ]{1,40}$/),
  }),
  runs: fc.record(
    {
      id: anyId,
      order: anyId,
      at: anyTime,
      way: fc.constantFrom('forwards', 'backwards', 'every second'),
      from: fc.integer({ min: 1, max: 52 }),
      splits: fc.array(fc.nat(100_000), { maxLength: 52 }),
      wrong: fc.array(fc.integer({ min: 1, max: 52 }), { maxLength: 5 }),
      said: fc.constant(true),
    },
    { requiredKeys: ['id', 'order', 'at', 'way', 'from', 'splits', 'wrong'] },
  ),
  schedules: fc.record({
    id: anyId,
    retention: fc.double({ min: 0.7, max: 0.97, noNaN: true }),
    weights: fc.array(fc.double({ min: 0.001, max: 100, noNaN: true }), { minLength: 21, maxLength: 21 }),
  }),
  learning: fc.record(
    {
      id: anyId,
      blocks: fc.constantFrom({ kind: 'own' }, { kind: 'size', size: 10 }, { kind: 'ends', ends: [10, 20] }),
      directions: fc.subarray(['number', 'card', 'after', 'before', 'around', 'mate']),
      newCards: fc.nat(60),
      minutes: fc.integer({ min: 1, max: 120 }),
      way: fc.constant('anchors A, 7, steps of 8'),
      pace: fc.constant({ fluent: 1500, quick: 700, slow: 4000 }),
      sums: fc.constant({ kinds: ['how far off'], wanted: 4000 }),
    },
    { requiredKeys: ['id', 'blocks', 'directions', 'newCards', 'minutes'] },
  ),
  practice: fc.record(
    {
      id: fc.constant('practice'),
      order: anyId,
      what: fc.constantFrom('items', 'sums of number-line'),
      began: anyTime,
      length: fc.nat(1e7),
      spent: fc.nat(1e7),
      asked: fc.nat(1000),
      right: fc.nat(1000),
      ended: fc.boolean(),
    },
    { requiredKeys: ['id', 'order', 'began', 'length', 'spent', 'asked', 'right', 'ended'] },
  ),
  weaving: fc.record(
    {
      id: fc.constant('weaving'),
      row: fc.array(anyMove, { maxLength: 60 }),
      followed: fc.array(
        fc.record({ card: anyCard, to: fc.integer({ min: 1, max: 60 }) }, { requiredKeys: ['card'] }),
        { maxLength: 5 },
      ),
      cuts: fc.constantFrom('none', 0, 1, 2),
      anyOrder: fc.constant(true),
    },
    { requiredKeys: ['id', 'row', 'followed', 'cuts'] },
  ),
  'weave rows': fc.record(
    {
      id: anyId,
      name: anyName,
      row: fc.array(anyMove, { maxLength: 60 }),
      at: anyTime,
      sample: fc.constant(true),
    },
    { requiredKeys: ['id', 'name', 'row', 'at'] },
  ),
  weaves: fc.record(
    {
      id: anyId,
      at: anyTime,
      weave: fc.constantFrom('in', 'out'),
      size: fc.integer({ min: 1, max: 60 }),
      cut: fc.nat(60),
      faults: fc.nat(60),
      slips: fc.array(fc.integer({ min: 2, max: 60 }), { maxLength: 20 }),
      sample: fc.constant(true),
    },
    { requiredKeys: ['id', 'at', 'weave', 'size', 'cut', 'faults', 'slips'] },
  ),
  procedures: fc.record(
    {
      id: anyId,
      procedure: fc.record({
        name: fc.string({ maxLength: 60 }).map(typedName),
        // As JSON keeps it: a file has no -0.
        steps: fc
          .array(fc.jsonValue(), { maxLength: 3 })
          .map((steps): unknown => JSON.parse(JSON.stringify(steps))),
      }),
      at: anyTime,
      sample: fc.constant(true),
    },
    { requiredKeys: ['id', 'procedure', 'at'] },
  ),
  sent: fc.record(
    { id: anyId, procedure: anyId, answer: fc.string({ minLength: 1, maxLength: 40 }), at: anyTime },
    { requiredKeys: ['id', 'procedure', 'at'] },
  ),
  verdicts: fc.record({
    id: fc.constant('verdicts'),
    found: fc.dictionary(
      // A name that every copy of a row loses.
      anyId.filter((id) => id !== '__proto__'),
      fc.record(
        {
          stamp: fc.stringMatching(/^[a-z0-9-]{1,30}$/),
          says: fc.string({ minLength: 1, maxLength: 80 }),
          picture: fc.stringMatching(/^(\d\d){0,40}$/),
          group: fc.constantFrom('always', 'outs', 'fails', 'chance', 'unfinished'),
          share: fc.double({ min: 0, max: 1, noNaN: true }).filter((share) => !Object.is(share, -0)),
          chance: fc.nat(1000).map((part) => part / 1000),
        },
        { requiredKeys: ['stamp', 'says', 'picture', 'group'] },
      ),
      { maxKeys: 5 },
    ),
  }),
  ...SET_ROWS,
  lately: fc.record({
    id: fc.constant('lately'),
    ways: fc.array(fc.stringMatching(/^[a-z-]{0,20}$/), { maxLength: 20 }),
    greeted: fc.uniqueArray(fc.constantFrom('arrange', 'learn', 'reckon', 'weave', 'rehearse', 'perform')),
  }),
};
