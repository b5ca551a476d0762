import fc from 'fast-check';
import { randomInt, seededRng } from '../deck/rng';
import { Procedure } from '../procedure/procedure';
import { readProcedure } from '../rehearse/readProcedure';
import { weigh } from '../rehearse/prove';
import { MEND_COSTS } from '../perform/costs';
import { RoutineDone, RoutineEnding, WasChosen } from '../perform/cue/done';
import { choiceAnswer } from './answer';
import { actSeconds, ownCosts } from './actSeconds';
import { fitFor, nightsCounted, observedIn } from './counted';
import { withDone, withEnding, withoutDone } from './changeNight';
import { findNights, NIGHT_COLUMNS, sortNights } from './findNights';
import { instructionKey, instructionsOf, statedChances, statedIn } from './instructions';
import { atLeast, cardsNamed, namedMore, numbersNamed, wordsNamed } from './named';
import { hitsOf, Night } from './night';
import { byAudience, mendedJunctions, overTime, routineRates, slipsOf } from './routines';
import { sinceLast } from './sinceLast';
import { sayChoices, sayStated } from './sayChoices';
import { tableOf, weighed } from './weigh';

const done = (name: string, how: RoutineEnding, more: Partial<RoutineDone> = {}): RoutineDone => ({
  ...{ id: name, name, how, choices: [], steps: [], mends: [] },
  ...more,
});
const night = (at: number, routines: readonly RoutineDone[], more: Partial<Night> = {}): Night => ({
  ...{ id: `n${at.toString()}`, at, real: true, name: 'Late', audience: '', done: routines },
  ...more,
});
const cut = (value: number, said = 'Lift about half.', more: Partial<WasChosen> = {}): WasChosen => ({
  ...{ path: '1', name: 'cut', value, said, from: 1, to: 51 },
  ...more,
});

test('an instruction is known by its words, whatever their case and stops; without words by routine and name', () => {
  const key = (said: string) => instructionKey({ said, name: 'cut' }, 'Two cuts');
  expect(key('Lift about half.')).toBe(key(' lift  ABOUT half'));
  expect(key('Lift about half.')).not.toBe(key('Lift about a third.'));
  expect(key('')).toBe('Two cuts: cut');
  expect(key('…')).toBe('Two cuts: cut');
});

test('choices are put together by instruction; what was only seen, cards and words are none of them', () => {
  const nights = [
    night(2, [
      done('A', 'hit', { choices: [cut(20), cut(3, '', { seen: true }), cut(0, '', { sort: 'word' })] }),
    ]),
    night(1, [
      done('B', 'hit', { choices: [cut(25, 'LIFT ABOUT HALF')] }),
      done('A', 'hit', { choices: [cut(9, '')] }),
    ]),
  ];
  const found = instructionsOf(nights);
  expect(found.map(({ key, made }) => [key, made.length])).toEqual([
    ['“lift about half”', 2],
    ['A: cut', 1],
  ]);
  expect(observedIn(found[0])).toEqual([20, 25]);
  expect([found[0].from, found[0].to, found[0].said, found[0].routine]).toEqual([
    1,
    51,
    'Lift about half.',
    'A',
  ]);
});

test('run-throughs never count, practice where it is asked for, an audience by its name', () => {
  const nights = [
    night(1, [], { audience: 'lay' }),
    night(2, [], { audience: 'friends' }),
    night(3, [], { real: false }),
    night(4, [], { real: false, practice: true }),
  ];
  const ats = (by: Parameters<typeof nightsCounted>[1]) => nightsCounted(nights, by).map(({ at }) => at);
  expect(ats({})).toEqual([1, 2]);
  expect(ats({ practice: true })).toEqual([1, 2, 4]);
  expect(ats({ audience: 'lay' })).toEqual([1]);
  expect(ats({ audience: 'lay', practice: true })).toEqual([1, 4]);
});

/** Lift, and it works where they lifted between two numbers; the other way is chosen by hand weights. */
const LIFT: Procedure = {
  name: 'Lift',
  packets: { pack: ['AS', '2S', '3S', '4S', '5S', '6S', '7S', '8S'] },
  steps: [
    { do: 'choose', name: 'cut', from: 1, to: 7, likely: { around: 5, within: 1 }, says: 'Lift about half.' },
    {
      do: 'choose one',
      name: 'way',
      of: [
        { words: 'left', steps: [] },
        { words: 'right', steps: [] },
      ],
    },
    {
      do: 'claim',
      that: { any: [{ equal: ['cut', 2] }, { all: [{ equal: ['cut', 3] }, { equal: ['way', 1] }] }] },
    },
  ],
};

const heldOf = (procedure: Procedure): number => {
  const read = readProcedure(procedure);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return weigh(read.procedure)?.held ?? NaN;
};

test('by the record a proof’s chance changes just as by weights put in by hand, and as counted by hand', () => {
  const seen = [2, 2, 2, 3, 3, 4, 6];
  const nights = [
    night(1, [
      done('A', 'hit', {
        choices: [
          ...seen.map((value) => cut(value, 'Lift about half.', { to: 7 })),
          ...[1, 1, 2].map((value) =>
            cut(value, 'Left or right?', { name: 'way', sort: 'way', from: 1, to: 2 }),
          ),
        ],
      }),
    ]),
  ];
  const stated = statedIn(LIFT);
  expect(stated.map(({ name, from, to, ways }) => [name, from, to, ways?.length])).toEqual([
    ['cut', 1, 7, undefined],
    ['way', 1, 2, 2],
  ]);
  const [first, second] = instructionsOf(nights);
  const [byCut, byWay] = [fitFor(stated[0], first), fitFor(stated[1], second)];
  const record = weighed(
    LIFT,
    new Map([
      ['cut', tableOf(byCut)],
      ['way', tableOf(byWay)],
    ]),
  );
  const byHand: Procedure = {
    ...LIFT,
    steps: LIFT.steps.map((step) => {
      if (step.do === 'choose') return { ...step, likely: { table: tableOf(byCut).table } };
      return step.do === 'choose one' ? { ...step, likely: { table: tableOf(byWay).table } } : step;
    }),
  };
  const [two, three] = [byCut.chances[1], byCut.chances[2]];
  expect(heldOf(record)).toBe(heldOf(byHand));
  expect(heldOf(record)).toBeCloseTo(two + three * byWay.chances[0], 10);
  expect(heldOf(record)).toBeGreaterThan(heldOf(LIFT));
  // The text keeps what it states; a name that it has not, and what the performer chooses, change nothing.
  expect(LIFT.steps[0]).toMatchObject({ likely: { around: 5, within: 1 } });
  expect(weighed(LIFT, new Map([['other', tableOf(byCut)]]))).toEqual(LIFT);
  const own: Procedure = {
    ...LIFT,
    steps: [{ ...LIFT.steps[0], by: 'performer' }],
  };
  expect(weighed(own, new Map([['cut', tableOf(byCut)]]))).toEqual(own);
});

test('a choice inside every kind of branch is weighed', () => {
  const inner = { do: 'choose', name: 'x', from: 1, to: 3 } as const;
  const nested: Procedure = {
    name: 'Nested',
    steps: [
      { do: 'if', that: { equal: [1, 1] }, then: [inner], otherwise: [inner] },
      { do: 'repeat', times: 2, steps: [inner] },
      { do: 'choose one', name: 'way', of: [{ words: 'a', steps: [inner] }] },
      { do: 'out', words: 'Out.', steps: [inner] },
    ],
  };
  const text = JSON.stringify(weighed(nested, new Map([['x', { table: { '2': 1 } }]])));
  expect(text.match(/"likely"/g)).toHaveLength(5);
});

test('what is said to differ stands on eight choices and more; as stated it is not said to', () => {
  const stated = statedChances({ around: 26, within: 6 }, { from: 1, to: 51 });
  const of = (values: readonly number[]) => {
    const made = values.map((value) => ({
      night: night(1, []),
      routine: done('A', 'hit'),
      chosen: cut(value),
    }));
    const instruction = {
      key: 'k',
      said: 'Half.',
      name: 'cut',
      routine: 'A',
      isWay: false,
      from: 1,
      to: 51,
      words: [],
      made,
    };
    const choice = {
      path: '1',
      name: 'cut',
      likely: { around: 26, within: 6 },
      said: [],
      ways: undefined,
      from: 1,
      to: 51,
    };
    const fit = fitFor(choice, instruction);
    const answer = choiceAnswer(fit, stated);
    return { answer, says: sayChoices(instruction, fit, answer) };
  };
  expect(of([18, 19, 20, 18, 19, 20, 18]).answer.differs).toBe(false);
  const many = of(Array.from({ length: 40 }, (_, index) => 17 + (index % 7)));
  expect(many.answer).toMatchObject({ differs: true, statedMiddle: 26 });
  expect(many.says).toBe(`“Half.” is ${many.answer.middle.toString()}, not 26`);
  const { in80, in95 } = many.answer;
  expect((in80?.to ?? 0) - (in80?.from ?? 0)).toBeLessThanOrEqual((in95?.to ?? 0) - (in95?.from ?? 0));
  expect(of([22, 30, 26, 25, 27, 21, 31, 26, 26, 24]).answer.differs).toBe(false);
  expect(of([]).says).toBe('“Half.”: nothing was noted yet');
  expect(sayStated({ around: 26, within: 6 })).toBe('about 26 within 6');
});

test('the chance of at least so many, against counting every row of draws', () => {
  for (const [of, sides] of [
    [5, 2],
    [4, 3],
    [6, 4],
  ]) {
    const rows = sides ** of;
    const counts = Array.from({ length: of + 1 }, () => 0);
    for (let row = 0; row < rows; row++) {
      let [hits, left] = [0, row];
      for (let at = 0; at < of; at++) {
        if (left % sides === 0) hits++;
        left = Math.floor(left / sides);
      }
      counts[hits]++;
    }
    for (let count = 0; count <= of + 1; count++) {
      const slow = counts.slice(count).reduce((sum, each) => sum + each, 0) / rows;
      expect(atLeast(count, of, 1 / sides)).toBeCloseTo(slow, 10);
    }
  }
});

test('what comes up more than chance is told, and hardly ever where all is chance', () => {
  const range = { from: 1, to: 52 };
  const named = [27, 27, 27, 27, 3, 9, 14, 40, 51, 33, 8].map((value) => ({ value, ...range }));
  expect(namedMore(named).filter(({ isTold }) => isTold)).toMatchObject([{ value: 27, count: 4, of: 11 }]);
  const rng = seededRng(5);
  const lists = Array.from({ length: 200 }, () =>
    namedMore(Array.from({ length: 60 }, () => ({ value: 1 + randomInt(rng, 52), ...range }))),
  );
  expect(lists.filter((list) => list.some(({ isTold }) => isTold)).length).toBeLessThanOrEqual(16);
  // Where some could choose among two only, two of them alike say nothing.
  const narrow = Array.from({ length: 6 }, () => ({ value: 1, from: 1, to: 2 }));
  expect(namedMore([...narrow.slice(0, 4), ...named])[0].isTold).toBe(false);
});

test('numbers, cards and words named: each from where it was told', () => {
  const nights = [
    night(1, [
      done('A', 'hit', {
        choices: [
          cut(20),
          { path: '2', name: 'number', value: 27, from: 1, to: 52, named: true },
          { path: '', name: 'card', value: 7, sort: 'card' },
          { path: '', name: 'card', value: 8, sort: 'card', seen: true },
          { path: '', name: 'boat', value: 0, sort: 'word', words: 'Heron ' },
          { path: '', name: 'boat', value: 0, sort: 'word', words: 'heron' },
        ],
      }),
    ]),
  ];
  expect(numbersNamed(nights)).toEqual([{ value: 27, from: 1, to: 52 }]);
  expect(cardsNamed(nights)).toEqual([7]);
  expect(wordsNamed(nights)).toEqual([['Heron', 2]]);
});

test('rates leave out what was not done or not noted; audiences and time divide them', () => {
  const endings: readonly RoutineEnding[] = [
    'hit',
    'out',
    'missed',
    'stopped',
    'left out',
    'not noted',
    'hit',
  ];
  const nights = endings.map((how, index) =>
    night(index, [done('A', how)], { audience: index < 3 ? 'lay' : '' }),
  );
  const [rate] = routineRates(nights);
  expect([rate.tries, rate.hits, rate.outs]).toEqual([5, 2, 1]);
  expect(byAudience(rate).map(({ audience, hits, tries }) => [audience, hits, tries])).toEqual([
    ['lay', 1, 3],
    ['', 1, 2],
  ]);
  expect(overTime(rate, 2).map(({ hits, tries }) => [hits, tries])).toEqual([
    [1, 2],
    [0, 2],
    [1, 1],
  ]);
  expect(hitsOf(night(1, [done('A', 'hit'), done('B', 'left out'), done('C', 'out')]))).toEqual({
    hits: 1,
    of: 2,
  });
});

test('slips and junctions; what to practise is told in three lines at most, the last night’s misses first', () => {
  const mends = [{ what: 'Cut', seconds: 8, acts: [{ act: 'cut' as const }] }];
  const nights = [
    night(9, [done('A', 'hit'), done('B', 'missed', { why: 'lost it at 31', mends })]),
    night(8, [done('A', 'missed', { slips: ['place after a cut'] }), done('B', 'hit')]),
    night(20, [], { name: 'to come' }),
    night(12, [done('Z', 'missed')], { real: false }),
  ];
  expect(slipsOf(nights)[0]).toMatchObject({ sum: 'place after a cut', count: 1 });
  expect(mendedJunctions(nights)).toEqual([{ before: 'A', routine: 'B', times: 1, of: 2, seconds: 8 }]);
  expect(sinceLast(nights)).toEqual([
    { routine: 'B', says: 'B: lost it at 31.' },
    { sum: 'place after a cut', says: 'Place after a cut: 1 slip on your last 2 nights.' },
    { routine: 'A', says: 'A: it hit 1 of 2 times lately.' },
  ]);
  expect(sinceLast([])).toEqual([]);
});

test('a mend’s time is shared out as the table would; own costs move so far, in halves of a second', () => {
  // Cut (4) and see (1) took twice as long; what has no acts tells nothing.
  const mends = [
    { what: 'Cut. See', seconds: 10, acts: [{ act: 'cut' as const }, { act: 'see' as const }] },
    { what: 'interval', seconds: 900 },
  ];
  const seconds = actSeconds([
    night(
      1,
      Array.from({ length: 5 }, () => done('A', 'hit', { mends })),
    ),
  ]);
  const of = (act: string) => seconds.find((each) => each.act === act);
  // Five at twice the table’s and the table’s worth five: half-way, as factors go.
  expect(of('cut')?.seconds).toBeCloseTo(4 * Math.SQRT2, 10);
  expect(of('see')?.seconds).toBeCloseTo(Math.SQRT2, 10);
  expect(of('deal packet')).toMatchObject({ n: 0, seconds: 3 });
  expect(ownCosts(seconds)).toEqual({
    ...MEND_COSTS,
    ...{ cut: { seconds: 5.5, perCard: 0 }, see: { seconds: 1.5, perCard: 0 } },
  });
  const byCard = actSeconds([
    night(1, [
      done('A', 'hit', { mends: [{ what: 'Put back', seconds: 30, acts: [{ act: 'put back', cards: 3 }] }] }),
    ]),
  ]).find(({ act }) => act === 'put back');
  expect(byCard?.stated).toBe(5);
  expect(byCard?.seconds).toBeGreaterThan(5);
});

test('a routine is changed where it lies by then; one that is gone changes nothing', () => {
  const [a, b] = [done('A', 'hit'), done('B', 'hit')];
  const missed = (each: RoutineDone): RoutineDone => withEnding({ ...each, why: 'x' }, 'missed');
  const hows = (night_: Night) => night_.done.map(({ id, how }) => `${id} ${how}`);
  expect(hows(withDone(night(1, [a, b]), 1, 'B', missed))).toEqual(['A hit', 'B missed']);
  expect(hows(withDone(night(1, [b]), 1, 'B', missed))).toEqual(['B missed']);
  expect(hows(withDone(night(1, [a]), 1, 'B', missed))).toEqual(['A hit']);
  expect(hows(withoutDone(night(1, [b, a, b]), 2, 'B'))).toEqual(['B hit', 'A hit']);
  expect(hows(withoutDone(night(1, [a]), 0, 'B'))).toEqual(['A hit']);
  expect(withEnding(missed(a), 'hit')).toEqual(a);
});

describe('looking for nights', () => {
  const anyNight = fc
    .record({
      at: fc.nat(40),
      how: fc.constantFrom<RoutineEnding>('hit', 'out', 'missed'),
      routine: fc.constantFrom('A', 'B'),
      place: fc.constantFrom('Salt Room', 'Boathouse'),
      audience: fc.constantFrom('', 'lay'),
      note: fc.constantFrom('the light', 'a loud bar', ''),
      real: fc.boolean(),
    })
    .map(({ how, routine, at, ...head }) => night(at, [done(routine, how)], head));

  test('finds just those that fit all that is told', () => {
    fc.assert(
      fc.property(fc.array(anyNight, { maxLength: 12 }), (nights) => {
        const wish = { words: 'LIGHT salt', routine: 'A', ending: 'out', audience: 'lay' } as const;
        const slow = nights.filter(
          ({ note, place, audience, done: [only] }) =>
            note === 'the light' &&
            place === 'Salt Room' &&
            audience === 'lay' &&
            only.id === 'A' &&
            only.how === 'out',
        );
        expect(findNights(nights, wish)).toEqual(slow);
        expect(findNights(nights, {})).toEqual(nights);
        expect(findNights(nights, { from: 10, before: 20 })).toEqual(
          nights.filter(({ at }) => at >= 10 && at < 20),
        );
        expect(findNights(nights, { sort: 'real' })).toEqual(nights.filter(({ real }) => real));
      }),
    );
  });

  test.each(NIGHT_COLUMNS)(
    'sorting by %s loses none, and turned round is turned round but for those alike',
    (column) => {
      fc.assert(
        fc.property(fc.array(anyNight, { maxLength: 12 }), (nights) => {
          const [up, down] = [sortNights(nights, column, false), sortNights(nights, column, true)];
          expect(new Set(up)).toEqual(new Set(nights));
          expect(up).toHaveLength(nights.length);
          if (column === 'date') expect(down.map(({ at }) => at)).toEqual(up.map(({ at }) => at).reverse());
        }),
      );
    },
  );
});
