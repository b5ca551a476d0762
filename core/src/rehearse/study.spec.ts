import { seededRng } from '../deck/rng';
import { finish, runJob } from '../job/job';
import { anyStep } from '../procedure/walk';
import { Procedure } from '../procedure/procedure';
import { casesOf, End } from './cases';
import { CURVE } from './curve';
import { estimate } from './estimate';
import { readLaid, sayLaid } from './laidWords';
import { hasChance, prove, weigh } from './prove';
import { failuresAt, sayProof } from './sayProof';
import { ENDS, STUDY } from './study';
import { PARTS, pictureOf, sayVerdict, Verdict, verdictOf } from './verdict';
import { WORKED } from './worked/worked';
import { readProcedure } from './readProcedure';
import { randomProcedure } from '../../test/randomProcedure';
import vectors from '../../test/vectors/procedures.json';

const worked = (name: string): Procedure => {
  const found = WORKED.find(({ procedure }) => procedure.name === name);
  if (!found) throw new Error(name);
  return found.procedure;
};
const vector = (name: string): Procedure => {
  const rows = vectors.rows as unknown as readonly { readonly procedure: Procedure }[];
  return (rows.find(({ procedure }) => procedure.name === name) ?? rows[0]).procedure;
};
const says = (procedure: Procedure, budget?: number): readonly string[] => {
  const { answer, more } = sayProof(runJob(STUDY, { procedure, budget }));
  return [answer, more];
};

test.each<[string, Procedure, readonly string[]]>([
  [
    'with an out',
    worked('Two cuts and a packet of numbers'),
    [
      'Works 88 times in 100; 759 of 1,275 cases',
      'No case fails. Out when second cut less first cut is under 6 or over 27.',
    ],
  ],
  [
    'asked',
    worked('Turned over twice, deeper'),
    ['It works in all 1,275 cases', '1,326 cases are left out: they were asked to choose something else.'],
  ],
  [
    'one fails',
    worked('Dealt twice, when they name 0'),
    ['Works 99.6 times in 100; 18 of 19 cases', '1 case fails, always when number is 0.'],
  ],
  [
    'a rule of one heap',
    worked('Four heaps and their aces, any size'),
    ['Works 99.994 times in 100; 3,094 of 3,332 cases', '238 cases fail, always when second heap is 1.'],
  ],
  [
    'without a step',
    { name: 'Empty', steps: [] },
    ['Nothing is claimed yet', 'The one case there is comes to an end. Add what must be so.'],
  ],
  [
    'nothing left',
    { name: 'None', steps: [{ do: 'require', that: { less: [2, 1] } }] },
    ['No case is left', '1 case is left out: they were asked to choose something else.'],
  ],
  [
    'all fail',
    {
      name: 'All',
      steps: [
        { do: 'choose', name: 'k', from: 1, to: 3 },
        { do: 'claim', that: { less: [2, 1] } },
      ],
    },
    ['It fails in all 3 cases', ''],
  ],
  [
    'an out always',
    { name: 'Out', steps: [{ do: 'out', words: 'So.' }] },
    ['Every case ends in an out: 1 case', ''],
  ],
])('what a proof says: %s', (_, procedure, said) => {
  expect(says(procedure)).toEqual(said);
});

test('each step that fails says when', () => {
  const at = (procedure: Procedure): unknown => [...failuresAt(runJob(STUDY, { procedure }))];
  expect(at(worked('Four heaps and their aces, any size'))).toEqual([
    ['12', 'It cannot be done when second heap is 1.'],
  ]);
  const two: Procedure = {
    name: 'Two',
    steps: [
      { do: 'choose', name: 'k', from: 1, to: 4 },
      { do: 'claim', that: { less: ['k', 4] } },
      { do: 'turn card', packet: 'none', place: 'k' },
    ],
  };
  expect(at(two)).toEqual([
    ['3', 'It cannot be done.'],
    ['2', 'It is not so.'],
  ]);
  expect(
    at({ ...two, steps: [...two.steps.slice(0, 2), { do: 'claim', that: { less: [1, 'k'] } }] }),
  ).toEqual([
    ['3', 'It is not so in some cases, such as k is 1.'],
    ['2', 'It is not so in some cases, such as k is 4.'],
  ]);
});

test('a proof that ran out of its budget says so', () => {
  const [answer, more] = says(worked('Turned over twice, not asked deeper'), 20_000);
  expect(answer).toMatch(/^It fails in \d+ of the first \d+ cases$/);
  expect(more).toBe('There are more cases than were tried.');
});

/** A study of a whole, and the same in parts beside each other: what is weighed is so to the last digits. */
const comeToTheSame = (procedure: Procedure): void => {
  const args = { procedure, budget: 2_000_000_000 };
  const [whole, joined] = [finish(STUDY.start({ procedure })), runJob(STUDY, args)];
  const described = STUDY.parts?.join([whole]);
  const bare = { weights: undefined, chances: undefined, share: 1 };
  expect([joined.share, described?.share]).toEqual([expect.closeTo(1, 9), expect.closeTo(1, 9)]);
  expect({ ...joined, ...bare }).toEqual({ ...described, ...bare });
  for (const end of ['held', 'outs', 'failed'] as const)
    expect(joined.weights?.[end]).toBeCloseTo(whole.weights?.[end] ?? -1, 9);
};

test.each(
  WORKED.filter(({ procedure }) => !hasChance(procedure))
    .filter(({ procedure }) => prove(procedure, { budget: 300_000 }).complete)
    .map(({ procedure }) => procedure.name),
)('%s: in parts it is the same as at once', (name) => comeToTheSame(worked(name)));

test('random procedures in parts: what is claimed to be known, too, mixes and what is not told apart', () => {
  let [parts, apart, mixed] = [0, 0, 0];
  for (let seed = 0; seed < 300; seed++) {
    const written = randomProcedure(seededRng(seed), 2) as unknown as Procedure;
    // A choice of theirs is claimed to be known: mostly nobody can.
    const secret = written.steps.find((step) => step.do === 'choose' && !step.told);
    const claim = secret?.do === 'choose' ? [{ do: 'claim known', what: secret.name } as const] : [];
    const read = readProcedure({ ...written, steps: [...written.steps, ...claim] });
    if (!read.ok || hasChance(read.procedure) || !prove(read.procedure, { budget: 20_000 }).complete)
      continue;
    const { procedure } = read;
    comeToTheSame(procedure);
    const args = { procedure, budget: 2_000_000_000 };
    if ((STUDY.parts?.split(args) ?? []).length > 1) parts++;
    if (runJob(STUDY, args).apart) apart++;
    if (anyStep(procedure.steps, (step) => step.do === 'mix')) mixed++;
  }
  expect([parts > 100, apart > 10, mixed > 10]).toEqual([true, true, true]);
});

test('parts tell how far they are together, in both rounds', () => {
  const part = { held: 2, outs: 0, failed: 1, leftOut: 0, share: 0.05 };
  const counted = { held: 16, outs: 0, failed: 8, leftOut: 0 };
  const eight = Array.from({ length: 8 }, () => part);
  expect(STUDY.parts?.join(eight)).toEqual({ ...counted, share: expect.closeTo(0.4, 9) as number });
  const again = eight.map((each) => ({ ...each, before: 0.5 }));
  expect(STUDY.parts?.join(again)).toEqual({ ...counted, share: expect.closeTo(0.9, 9) as number });
});

test('the table of cases holds each case, and the chances are those weighed', () => {
  const procedure = worked('Two cuts and a packet of numbers');
  const { cases, chances } = runJob(STUDY, { procedure });
  const listed = casesOf(procedure);
  expect(cases?.names).toEqual(listed?.names);
  expect(
    Array.from(cases?.ends ?? [], (end, index) => ({
      values: [...(cases?.values.subarray(2 * index, 2 * index + 2) ?? [])],
      end: ENDS[end],
    })),
  ).toEqual(listed?.cases);
  expect(chances).toEqual(weigh(procedure));
});

test('two cases that cannot be told apart are found, and look alike', () => {
  const procedure: Procedure = {
    name: 'Either card',
    packets: { pack: ['AC', '3H', 'AC', '9D'] },
    steps: [
      { do: 'choose', name: 'cut', from: 1, to: 4 },
      { do: 'cut', packet: 'pack', count: 'cut', by: 'helper' },
      { do: 'see', what: { 'face of': 'pack' }, name: 'seen' },
      { do: 'claim known', what: { 'top of': 'pack' } },
    ],
  };
  expect(readProcedure(procedure).ok).toBe(true);
  const { apart } = runJob(STUDY, { procedure });
  expect(apart).toMatchObject({ at: '4', one: [['cut', 1]], other: [['cut', 3]] });
  expect(new Set(apart?.values).size).toBe(2);
});

test('a curve has the chances at each value of a given, and none where it cannot be laid out', () => {
  const procedure = worked('A packet counted in silence');
  const curve = runJob(CURVE, { procedure, given: 'bank', from: 11, to: 14 });
  expect(curve.map(({ value, chances }) => [value, chances?.held])).toEqual([
    ...[11, 12, 13].map((bank) => [bank, weigh({ ...procedure, givens: { before: 18, bank } })?.held]),
    [14, undefined],
  ]);
  expect(curve[2].chances?.held).toBeGreaterThan(curve[0].chances?.held ?? 1);
});

test('an estimate stops when its interval is as narrow as asked, and says the same again', () => {
  const { procedure } = WORKED.find(({ chance }) => chance) ?? WORKED[0];
  const found = estimate(procedure, { seed: 7, worlds: 200_000, width: 0.04 });
  expect(found.held.high - found.held.low).toBeLessThanOrEqual(0.04);
  expect(found.worlds).toBeLessThan(20_000);
  expect(estimate(procedure, { seed: 7, worlds: 200_000, width: 0.04 })).toEqual(found);
});

describe('a packet in words', () => {
  const hearts = [...'A23456789TJQK'].map((rank) => `${rank}H`);
  const rows = [
    ...WORKED.map(({ procedure }) => procedure),
    vector('A packet that knows its card, by givens'),
  ].flatMap(({ packets = {}, givens = {} }) =>
    Object.values(packets).map((row) => [row, Object.keys(givens)] as const),
  );
  test('what is said is read again as it was', () => {
    for (const [row, givens] of rows)
      expect(readLaid(sayLaid(row), givens)).toEqual({ ok: true, parts: row });
    expect(rows.some(([row]) => row.some((part) => typeof part === 'object' && 'first' in part))).toBe(true);
  });

  test('it stands on one line, long runs by their ends', () => {
    const spades = [...'A23456789TJQK'].map((rank) => `${rank}S`);
    expect(sayLaid([{ indifferent: 18 }, ...spades, { indifferent: 21 }])).toBe('18 -, AS 2S … KS, 21 -');
    expect(sayLaid(['7D', ...[...spades].reverse(), '7D', '8D', '9D'])).toBe('7D KS QS … AS 7D 8D 9D');
  });

  test.each([
    ['7d, 10♥ X1; 20 Indifferent', ['7D', 'TH', 'X1', { indifferent: 20 }]],
    ['- - 7D*', ['-', '-', '7D*']],
    ['52 - bank indifferent', [{ indifferent: { difference: [52, 'bank'] } }]],
    ['', []],
    ['2 -, AS 2S … 5S, 3 -', [{ indifferent: 2 }, 'AS', '2S', '3S', '4S', '5S', { indifferent: 3 }]],
    ['KH QH ... TH 7D -', ['KH', 'QH', 'JH', 'TH', '7D', '-']],
    ['3C … 5C', ['3C', '4C', '5C']],
    ['2D 4D … TD', ['2D', '4D', '6D', '8D', 'TD']],
    ['bank -', [{ indifferent: 'bank' }]],
    ['52 - bank -', [{ indifferent: { difference: [52, 'bank'] } }]],
    ['- -', ['-', '-']],
    ['first bank of AH 2H … KH, 7C', [{ first: 'bank', of: hearts }, '7C']],
  ])('“%s”', (text, parts) => {
    expect(readLaid(text, ['bank'])).toEqual({ ok: true, parts });
  });

  test.each([
    ['7D 11H', '“11H” is no card.'],
    ['bunk indifferent', '“bunk” is not understood here.'],
    ['first bank of 7D 9Z', '“9Z” is no card.'],
    ['AS … KH', '“…” leads from AS to KH by no step.'],
    ['2D 4D … 9D', '“…” leads from 4D to 9D by no step.'],
    ['AS …', 'Say where “…” ends.'],
    ['… KS', '“…” leads from nothing to KS by no step.'],
  ])('“%s” is told as wrong', (text, what) => {
    expect(readLaid(text, ['bank'])).toEqual({ ok: false, what });
  });
});

describe('the verdict of a list', () => {
  const verdicts = WORKED.map((each) => ({ ...each, verdict: verdictOf(each.procedure) }));

  test('says of every worked procedure what is stated of it', () => {
    for (const { proof, chance, verdict, procedure } of verdicts) {
      if (chance) {
        expect(verdict.kind === 'tried' && verdict.held > chance[0] && verdict.held < chance[1]).toBe(true);
        continue;
      }
      expect([procedure.name, verdict]).toMatchObject([
        procedure.name,
        { kind: 'proved', complete: true, counts: proof },
      ]);
    }
  });

  test('its picture tells how many of each part of the cases fail and end in an out', () => {
    expect(pictureOf(['held', 'failed', 'outs'])).toBe('009009');
    expect(pictureOf([])).toBe('');
    const many = Array.from({ length: 400 }, (_, index): End => (index === 35 ? 'failed' : 'held'));
    expect(pictureOf(many)).toBe(`00000010${'00'.repeat(PARTS - 4)}`);
    expect(pictureOf(['held', 'outs', 'outs', 'failed', ...many])).toHaveLength(2 * PARTS);
    for (const { verdict } of verdicts) {
      if (verdict.kind !== 'proved') continue;
      const parts = verdict.picture.match(/../g) ?? [];
      // What there is of it shows.
      expect(parts.some(([fails]) => fails !== '0')).toBe(verdict.counts.failed > 0);
      expect(parts.some(([, outs]) => outs !== '0')).toBe(verdict.counts.outs > 0);
    }
  });

  test.each<[Verdict, string]>([
    [{ kind: 'empty' }, 'No step yet'],
    [verdictOf({ name: 'Begun', steps: [{ do: 'turn', packet: 'pack' }] }), 'Nothing is claimed yet'],
    [
      verdictOf({ name: 'Wrong', steps: [{ do: 'cut', packet: 'pack', count: 'n' }] }),
      '1 thing to mend first',
    ],
    [verdictOf(worked('Twin halves, one card')), 'Works in all 2,704 cases'],
    [verdictOf(worked('Dealt twice, when they name 0')), 'Works 99.6 times in 100; 18 of 19 cases'],
    [verdictOf(worked('A matching pair, the position ignored')), 'Fails in 25 of 51 cases'],
    [
      verdictOf({
        name: 'None',
        steps: [
          { do: 'require', that: { less: [2, 1] } },
          { do: 'claim', that: { less: [1, 2] } },
        ],
      }),
      'No case is left',
    ],
  ])('%j', (verdict, says) => {
    expect(sayVerdict(verdict)).toBe(says);
  });
});
