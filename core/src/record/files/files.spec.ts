import fc from 'fast-check';
import { RoutineDone, ROUTINE_ENDINGS, WasChosen } from '../../perform/cue/done';
import { textOf } from '../../deck/textOf';
import { mergeNights } from '../merge';
import { Night, tombstoneOf } from '../night';
import { NIGHT } from '../nightShape';
import { makeNightsFile, readNightsFile } from './nightsFile';
import { tableNews } from './tableNews';
import { nightCells } from './nightTable';
import { guessMapping, readNightTable } from './readNightTable';
import { parseClock, parseDay, WallClock } from './wallClock';

/** A clock on the wall at Greenwich, counted from the year 2000 with months of 31 days: any that goes both ways will do. */
const CLOCK: WallClock = {
  shows: (at) => {
    const all = Math.floor(at / 1000);
    const days = Math.floor(all / 86_400);
    const left = all - days * 86_400;
    return [
      2000 + Math.floor(days / 372),
      1 + Math.floor((days % 372) / 31),
      1 + (days % 31),
      ...([Math.floor(left / 3600), Math.floor((left % 3600) / 60), left % 60] as const),
    ];
  },
  at: ([year, month, day, hours, minutes, seconds]) =>
    1000 *
    (86_400 * (372 * (year - 2000) + 31 * (month - 1) + day - 1) + 3600 * hours + 60 * minutes + seconds),
};

const anyText = fc.stringMatching(/^[a-zäß ]{0,12}$/).map((text) => text.trim());
const anyChosen: fc.Arbitrary<WasChosen> = fc.oneof(
  fc.record({
    ...{
      path: fc.constant(''),
      name: fc.constantFrom('cut', 'number'),
      value: fc.integer({ min: -9, max: 99 }),
    },
    said: fc.constantFrom('Lift about half.', 'Cut.'),
  }),
  fc.record({
    path: fc.constant(''),
    name: fc.constant('card'),
    value: fc.nat(51),
    sort: fc.constant('card' as const),
  }),
);
const anyDone: fc.Arbitrary<RoutineDone> = fc
  .record(
    {
      ...{ name: fc.constantFrom('Two cuts', 'Pocket'), how: fc.constantFrom(...ROUTINE_ENDINGS) },
      ...{ why: fc.constantFrom('too deep', 'lost; it'), choices: fc.array(anyChosen, { maxLength: 3 }) },
      slips: fc.constantFrom(['place after a cut'], ['a', 'b']),
    },
    { requiredKeys: ['name', 'how', 'choices'] },
  )
  .map((each) => ({ id: `named ${each.name}`, ...{ steps: [], mends: [] }, ...each }));
const anyNight: fc.Arbitrary<Night> = fc.record(
  {
    // On days that every month has.
    at: fc
      .nat(27)
      .chain((day) => fc.nat(86_399).map((second) => 1000 * (86_400 * (9000 - (9000 % 31) + day) + second))),
    ...{ id: fc.constantFrom('a', 'b', 'c'), changed: fc.nat(5), real: fc.boolean(), name: anyText },
    ...{ place: anyText.filter((text) => text !== ''), audience: anyText, size: fc.nat(99) },
    done: fc.array(anyDone, { minLength: 1, maxLength: 3 }),
    seconds: fc.nat(200).map((minutes) => minutes * 60),
    note: fc.constantFrom('loud', '=cmd', 'two\nlines'),
  },
  { requiredKeys: ['at', 'id', 'changed', 'real', 'name', 'audience', 'done'] },
);
const anyState = fc.oneof(
  anyNight,
  anyNight.map((night) => tombstoneOf(night, night.changed ?? 0)),
);
const anyDevice = fc.uniqueArray(anyState, { maxLength: 3, selector: ({ id }) => id });

describe('merging', () => {
  test('two devices come to the same state whichever goes first, and a third by any way', () => {
    fc.assert(
      fc.property(anyDevice, anyDevice, anyDevice, (a, b, c) => {
        const merged = (one: readonly Night[], other: readonly Night[]) => mergeNights(one, other).nights;
        expect(textOf(merged(a, b))).toBe(textOf(merged(b, a)));
        expect(textOf(merged(merged(a, b), c))).toBe(textOf(merged(a, merged(b, c))));
        expect(textOf(merged(a, a))).toBe(textOf(merged(a, [])));
        expect(textOf(merged(merged(a, b), b))).toBe(textOf(merged(a, b)));
      }),
    );
  });

  test('the later change wins, a removal too; what it changes here is told', () => {
    const [night] = fc.sample(anyNight, { numRuns: 1, seed: 4 });
    const at = (changed: number, name: string): Night => ({ ...night, id: 'a', changed, name });
    expect(mergeNights([at(3, 'mine')], [at(4, 'theirs')])).toMatchObject({
      ...{ nights: [{ name: 'theirs' }], changed: [{ id: 'a' }], added: [], removed: [] },
    });
    expect(mergeNights([at(5, 'mine')], [at(4, 'theirs')])).toMatchObject({
      nights: [{ name: 'mine' }],
      changed: [],
    });
    const gone = tombstoneOf(at(1, 'x'), 9);
    expect(mergeNights([at(5, 'mine')], [gone])).toMatchObject({
      nights: [{ removed: true }],
      removed: [{ id: 'a' }],
    });
    expect(mergeNights([gone], [at(8, 'old')])).toMatchObject({ nights: [{ removed: true }], added: [] });
    expect(mergeNights([gone], [at(10, 'again')])).toMatchObject({
      nights: [{ name: 'again' }],
      added: [{ id: 'a' }],
    });
  });
});

test('nights stand in a file as they are, and are read back; samples stay at home', () => {
  fc.assert(
    fc.property(anyDevice, (nights) => {
      for (const night of nights) expect(NIGHT(night, {})).toBeUndefined();
      const file: unknown = JSON.parse(makeNightsFile(nights));
      expect(readNightsFile(file)).toEqual({ ok: true, nights });
    }),
  );
  const [night] = fc.sample(anyNight, { numRuns: 1, seed: 1 });
  expect(makeNightsFile([{ ...night, sample: true }])).toContain('"nights":[]');
});

test.each<[string, unknown, RegExp]>([
  ['no object', 7, /no record/],
  ['another format', { format: 'other' }, /no record/],
  ['a later version', { format: 'enumeron record', version: 2 }, /version/],
  ['an odd field', { format: 'enumeron record', version: 1, nights: [], extra: 1 }, /does not belong/],
  ['no list', { format: 'enumeron record', version: 1, nights: {} }, /no nights/],
  ['a night without a time', { format: 'enumeron record', version: 1, nights: [{ id: 'a' }] }, /missing/],
])('%s is no file of nights, and says so', (_, value, words) => {
  const read = readNightsFile(value);
  expect(read.ok ? '' : read.problems[0].what).toMatch(words);
});

test('nights as a table are read back by its own names: what a table holds is the same', () => {
  fc.assert(
    fc.property(anyDevice, (states) => {
      const nights = states.filter(({ removed }) => !removed);
      const cells = nightCells(nights, CLOCK);
      const { nights: back, problems } = readNightTable(cells, guessMapping(cells[0]), new Map(), 77, CLOCK);
      expect(problems).toEqual([]);
      const plain = ({ done, ...head }: Night) => ({
        ...head,
        done: done.map((each) => ({ ...each, why: each.why?.replace(/;/g, ';') })),
      });
      expect(back.map(plain)).toEqual(nights.map(plain));
    }),
  );
});

test('a table that comes back as it was brings nothing; what was changed in it keeps what a table cannot hold', () => {
  const step = { what: '1', seconds: 4 };
  const mine: Night = {
    ...{
      id: 'a',
      at: 1000 * 86_400 * 9300,
      changed: 50,
      real: true,
      name: 'Late',
      set: 'late',
      audience: '',
    },
    done: [
      {
        ...{ id: 'routine-1', name: 'Two cuts', how: 'hit', steps: [step], mends: [step] },
        choices: [
          { path: '1', name: 'cut', value: 21, from: 1, to: 51, said: 'Lift about half.' },
          { path: '8', name: 'way', value: 2, sort: 'way', words: 'the left; heap', inSecret: true },
        ],
      },
      { id: 'routine-1', name: 'Two cuts', how: 'missed', steps: [], mends: [step], choices: [] },
    ],
  };
  const here = new Map([['a', mine]]);
  const [heads, ...rows] = nightCells([mine], CLOCK);
  const news = (edit: (cell: string) => string, state = here) => {
    const cells = [heads, ...rows.map((row) => row.map(edit))];
    const { nights, problems } = readNightTable(cells, guessMapping(heads), new Map(), 77, CLOCK);
    expect(problems).toEqual([]);
    return tableNews(nights, state, 90, CLOCK);
  };
  expect(news((cell) => cell)).toEqual([]);
  const edited = news((cell) => cell.replace('cut=21', 'cut=25').replace('missed', 'out'));
  const [first, second] = mine.done;
  expect(edited).toEqual([
    {
      ...{ ...mine, changed: 90 },
      done: [
        { ...first, choices: [{ ...first.choices[0], value: 25 }, first.choices[1]] },
        { ...second, how: 'out' },
      ],
    },
  ]);
  // Changed here since it was saved: the row is older.
  expect(
    news((cell) => cell.replace('cut=21', 'cut=25'), new Map([['a', { ...mine, changed: 51 }]])),
  ).toEqual([]);
  expect(news((cell) => cell, new Map())).toHaveLength(1);
});

test('a spreadsheet of one’s own: columns are guessed or mapped, rows of a night go together, what is wrong is told', () => {
  const cells = [
    ['Day', 'Venue', 'Trick', 'Result', 'Reason', 'About half'],
    ['20/11/2026', 'Salt Room', 'Two Cuts', 'yes', '', '21'],
    ['20.11.26', 'Salt Room', 'Pocket', 'no', 'wrong mate', ''],
    ['27 Nov 2026', 'Boathouse', 'Two cuts', 'out', '', '7D'],
    ['31/11/2026', 'Salt Room', 'Two cuts', 'yes', '', ''],
    ['28/11/2026', 'Salt Room', 'Two cuts', 'perhaps', '', ''],
  ];
  const guessed = guessMapping(cells[0]);
  expect(guessed).toEqual(['date', 'place', 'routine', 'ended', 'why', undefined]);
  const mapping = [...guessed.slice(0, 5), 'choice' as const];
  const read = () => readNightTable(cells, mapping, new Map([['two cuts', 'routine-1']]), 5, CLOCK);
  const { nights, problems } = read();
  expect(nights.map(({ place, done }) => [place, done.map(({ id, how }) => [id, how])])).toEqual([
    [
      'Salt Room',
      [
        ['routine-1', 'hit'],
        ['named Pocket', 'missed'],
      ],
    ],
    ['Boathouse', [['routine-1', 'out']]],
  ]);
  expect(nights[0].done[0].choices).toEqual([{ path: '', name: 'About half', value: 21 }]);
  expect(nights[1].done[0].choices).toMatchObject([{ sort: 'card' }]);
  expect(problems.map(({ where, what }) => [where, what])).toEqual([
    ['Row 5', '“31/11/2026” is no date.'],
    ['Row 6', expect.stringContaining('“perhaps” is no ending')],
  ]);
  // Read twice it changes, and does not double.
  expect(read().nights.map(({ id }) => id)).toEqual(nights.map(({ id }) => id));
});

test.each<[string, readonly number[] | undefined]>([
  ['2026-11-20', [2026, 11, 20]],
  ['20/11/2026', [2026, 11, 20]],
  ['3.2.26', [2026, 2, 3]],
  ['Fri, 20 November 2026', [2026, 11, 20]],
  ['29.2.2028', [2028, 2, 29]],
  ['29.2.2026', undefined],
  ['13/13/2026', undefined],
  ['yesterday', undefined],
])('the day %s', (text, parts) => expect(parseDay(text)).toEqual(parts));

test.each<[string, readonly number[] | undefined]>([
  ['21:30', [21, 30, 0]],
  ['9.30 pm', [21, 30, 0]],
  ['12 am', [0, 0, 0]],
  ['12:05pm', [12, 5, 0]],
  ['25:00', undefined],
  ['late', undefined],
])('the time %s', (text, parts) => expect(parseClock(text)).toEqual(parts));
