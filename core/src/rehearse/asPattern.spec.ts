import { Card, rankOf } from '../deck/card';
import { formatCard, parseCard } from '../deck/notation';
import { numberOrder } from '../deck/order';
import { seededRng, shuffled } from '../deck/rng';
import { Values } from '../form/field';
import { levelOf } from '../learn/sums/sum';
import { Procedure, Step } from '../procedure/procedure';
import { Pattern } from '../reckon/patterns/pattern';
import { patternOf, whyNoPattern } from './asPattern';
import { sumKindOf } from './asSum';
import { onPack } from './onPack';
import { prove } from './prove';
import { readProcedure } from './readProcedure';
import { sentAs } from './sent';
import { LEARNT } from './worked/cards';
import { KEY_AND_LINE } from './worked/keyAndLine';
import { MADE_OF_TWO } from './worked/madeOfTwo';
import { TWO_CUTS } from './worked/twoCuts';
import { TWO_RANKS } from './worked/twoRanks';
import { WORKED } from './worked/worked';

const cardsIn = (texts: readonly unknown[]): Card[] =>
  texts.map((text) => (typeof text === 'string' ? parseCard(text) : undefined) ?? -1);
const turned = (order: readonly Card[], by: number): Card[] => [...order.slice(by), ...order.slice(0, by)];
const range = (from: number, to: number): number[] =>
  Array.from({ length: to - from + 1 }, (_, index) => from + index);

const asked = (pattern: Pattern, told: readonly number[], home: readonly Card[], now = home): string => {
  const values: Values = Object.fromEntries(pattern.fields.map(({ name }, index) => [name, told[index]]));
  const outcome = pattern.reckon(values, { home, now, bank: undefined, shift: 5, estimates: [] });
  if (!outcome.ok) return outcome.problems[0].what;
  const { answer, notes } = outcome.reckoning;
  return [answer, ...notes].join(' | ');
};
const patternFrom = (procedure: Procedure, answer?: string): Pattern => {
  const outcome = patternOf({ procedure, answer }, 'mine');
  if (!outcome.ok) throw new Error(outcome.problems[0].what);
  return outcome.pattern;
};
const named = (card: Card): string => {
  const text = formatCard(card);
  return `${text.startsWith('T') ? '10' : text[0]}${'♣♦♥♠'[card < 52 ? Math.floor(card / 13) : 0]}`;
};

describe('a procedure sent to Reckon answers in every case what its proof expects', () => {
  test('two cuts: all 1,275 pairs, and packs turned anyhow', () => {
    const pattern = patternFrom(TWO_CUTS.procedure);
    const home = cardsIn(LEARNT);
    const counts = { said: 0, outs: 0 };
    for (const first of range(1, 50))
      for (const second of range(first + 1, 51)) {
        // Every case as it was proved, and some with the pack turned.
        for (const by of (first + second) % 8 === 0 ? [0, first, 51 - second] : [0]) {
          const now = turned(home, by);
          const apart = second - first;
          const answer = asked(pattern, [now[first - 1], now[second - 1]], home, now);
          expect(answer).toBe(apart < 6 || apart > 27 ? 'Show the card alone' : `Difference ${apart}`);
        }
        counts[second - first < 6 || second - first > 27 ? 'outs' : 'said']++;
      }
    expect(counts).toEqual({ said: TWO_CUTS.proof?.held, outs: TWO_CUTS.proof?.outs });
  });

  test('the next two ranks: the card in their pocket, and what they count to', () => {
    const order = cardsIn(TWO_RANKS.procedure.packets?.['pack'] ?? []);
    const [theirs, count] = ['their card', 'count'].map((answer) => patternFrom(TWO_RANKS.procedure, answer));
    for (const cut of range(1, 52)) {
      const now = turned(order, cut % 52);
      const [first, second] = [rankOf(now[1]) ?? 0, rankOf(now[2]) ?? 0];
      expect(asked(theirs, [first, second], order)).toBe(`Their card ${named(now[0])}`);
      const digits = [...(10 * first + second).toString()].reduce((sum, digit) => sum + Number(digit), 0);
      expect(asked(count, [first, second], order)).toBe(`Count ${digits}`);
    }
    expect(prove(TWO_RANKS.procedure).cases).toBe(52);
  });

  test('key card, called list and their number: each cut and each number', () => {
    const pattern = patternFrom(KEY_AND_LINE.procedure);
    const home = cardsIn(LEARNT);
    for (const lifted of range(5, 47))
      for (const number of range(1, 52)) {
        const keyPlace = 52 - lifted;
        const adjustment = ((((keyPlace + 1 - number - 1) % 52) + 52) % 52) + 1;
        expect(asked(pattern, [home[51], keyPlace, number], home)).toBe(`Adjustment ${adjustment}`);
      }
    expect(prove(KEY_AND_LINE.procedure).held).toBe(43 * 52);
  });

  test('a card made of two: each cut, both ways about, or the out', () => {
    const pattern = patternFrom(MADE_OF_TWO.procedure);
    const home = cardsIn(LEARNT);
    let outs = 0;
    for (const cut of range(0, 51))
      for (const way of [1, 2]) {
        const now = turned(home, cut);
        const [rank, suit] = way === 1 ? [now[0], now[1]] : [now[1], now[0]];
        const made = suit - (suit % 13) + (rank % 13);
        const place = now.slice(2).indexOf(made) + 1;
        if (place === 0) outs++;
        // The pack is told by its turn alone: whichever way it lies on the table, they cut it.
        expect(asked(pattern, [now[0], now[1], way], home, turned(home, 7))).toBe(
          place === 0 ? 'It lies there already: turn it to them' : `Place ${place}`,
        );
      }
    expect(outs).toBe(MADE_OF_TWO.proof?.outs);
  });
});

test('on the pack as it lies: what is shown and cannot be, what is left open, what does not come right', () => {
  const pattern = patternFrom(TWO_CUTS.procedure);
  const home = cardsIn(LEARNT);
  expect(asked(pattern, [home[30], home[20]], home)).toBe('Nothing that they can do shows that.');
  // In a pack that is out of step the stack numbers tell nothing.
  const mixed = shuffled(home, seededRng(3));
  expect(asked(pattern, [mixed[9], mixed[19]], home, mixed)).toMatch(
    /does not come right: step 14: The number|Show the card/,
  );
  // Ranks that follow each other twice leave their card open.
  const ranks = patternFrom(TWO_RANKS.procedure, 'their card');
  const home2 = numberOrder();
  expect(asked(ranks, [4, 5], home2)).toMatch(
    /^Their card 3♣, or Their card 3♦, or .*\| .*leaves this open|^One of 4 answers: .*leaves this open/,
  );
  // A smaller pack is not the procedure's.
  expect(asked(pattern, [home[3], home[13]], home.slice(0, 20))).toMatch(
    /^Difference 10 \| Reckoned on the procedure’s own/,
  );
  // The sum goes round where the order ends between the two.
  const now = turned(home, 40);
  const outcome = pattern.reckon(
    Object.fromEntries(pattern.fields.map(({ name }, index) => [name, [now[5], now[19]][index]])),
    { home, now, bank: undefined, shift: 5, estimates: [] },
  );
  expect(outcome.ok && outcome.reckoning.sum.map(({ amount }) => amount)).toEqual([8, -46, 52, 14]);
  expect(outcome.ok && outcome.reckoning.marks).toEqual([
    { place: 6, mark: 'seen' },
    { place: 20, mark: 'seen' },
  ]);
});

test('what cannot be a pattern says why, with its step', () => {
  const steps = (...more: readonly object[]): Procedure =>
    ({ name: 'x', packets: { pack: LEARNT }, steps: more }) as unknown as Procedure;
  const see = { do: 'see', what: { 'face of': 'pack' }, name: 'key' };
  const work = { do: 'work out', name: 'rank', what: { 'rank of': 'key' } };
  for (const [procedure, what, where] of [
    [steps(), 'You see and are told nothing in it.', undefined],
    [steps(see), 'You work nothing out in it.', undefined],
    [steps({ do: 'riffle', packet: 'pack' }, see, work), /^It shuffles by chance/, undefined],
    [steps({ do: 'repeat', times: 2, steps: [see, work] }), /every round/, 'Step 1.1.1'],
  ] as const) {
    const problem = whyNoPattern(procedure);
    expect(problem?.what).toEqual(typeof what === 'string' ? what : expect.stringMatching(what));
    expect(problem?.where).toBe(where);
    expect(patternOf({ procedure }, 'x').ok).toBe(false);
  }
  expect(whyNoPattern(steps(see, work))).toBeUndefined();
});

test('names that JavaScript has a meaning for, a name twice, a sight in a branch', () => {
  const procedure = {
    name: 'x',
    packets: { pack: LEARNT },
    steps: [
      { do: 'choose', name: 'constructor', from: 1, to: 52, told: true },
      { do: 'cut', packet: 'pack', count: 'constructor' },
      { do: 'see', what: { 'top of': 'pack' }, name: 'toString' },
      { do: 'see', what: { 'face of': 'pack' }, name: 'toString' },
      {
        do: 'if',
        that: { less: ['constructor', 10] },
        then: [
          { do: 'see', what: { 'card at': 2, of: 'pack' }, name: 'second' },
          { do: 'work out', name: 'found', what: { 'rank of': 'second' } },
        ],
        otherwise: [{ do: 'work out', name: 'found', what: { 'rank of': 'toString' } }],
      },
      { do: 'claim', that: { 'at most': ['found', 13] } },
    ],
  };
  expect(readProcedure(procedure).ok).toBe(true);
  const pattern = patternFrom(procedure as unknown as Procedure);
  expect(pattern.fields.map(({ label, optional }) => [label, optional])).toEqual([
    ['Constructor', undefined],
    ['ToString', undefined],
    ['ToString 2', undefined],
    ['Second', true],
  ]);
  const home = cardsIn(LEARNT);
  expect(asked(pattern, [20, home[20], home[19]], home)).toBe(`Found ${rankOf(home[19])}`);
  // Here another card must be seen before there is an answer.
  expect(asked(pattern, [5, home[5], home[4]], home)).toMatch(/^Second: the card at 2/);
  expect(asked(pattern, [5, home[5], home[4], home[6]], home)).toBe(`Found ${rankOf(home[6])}`);
  expect(asked(pattern, [20, home[20], home[19], home[21]], home)).toBe(
    'Nothing that they can do shows that.',
  );
});

test('every worked procedure is sent or says why not; examples answer, and sums have one answer each', () => {
  let sent = 0;
  for (const { procedure } of WORKED) {
    const outcome = patternOf({ procedure }, 'mine');
    const kind = sumKindOf({ procedure }, 'mine');
    expect(kind === undefined).toBe(!outcome.ok);
    if (!outcome.ok || !kind) continue;
    sent++;
    const { pattern } = outcome;
    expect(new Set(pattern.fields.map(({ name }) => name)).size).toBe(pattern.fields.length);
    const as = sentAs(procedure, 'mine');
    expect(as.findings).toContain(as.answer);
    expect(sentAs(procedure, 'mine', as.findings[0]).answer).toBe(as.findings[0]);
    const home = cardsIn(procedure.packets?.['pack'] ?? []);
    const pack = home.includes(-1) ? numberOrder() : home;
    const example = pattern.example?.({ home: pack, now: pack, bank: undefined, shift: 5, estimates: [] });
    const reckoned = pattern.reckon(example ?? {}, {
      home: pack,
      now: pack,
      bank: undefined,
      shift: 5,
      estimates: [],
    });
    expect(reckoned.ok || reckoned.problems).toBe(true);
    if (!kind.ranges({ home: pack })) continue;
    const sums = range(0, 20).flatMap((seed) => kind.make({ home: pack }, [seed, 3]) ?? []);
    expect(sums.length).toBeGreaterThan(0);
    for (const sum of sums) {
      expect(sum.truth.kind).toBe(kind.answer === 'card' ? 'cards' : 'number');
      expect(sum.shown).not.toBe('');
      expect(levelOf(sum, 52)).toBeLessThan(4);
    }
  }
  expect(sent).toBeGreaterThanOrEqual(11);
});

test('a sum asks what the pattern answers to the same sights', () => {
  const kind = sumKindOf({ procedure: TWO_CUTS.procedure }, 'mine');
  const home = cardsIn(LEARNT);
  for (const seed of range(0, 60)) {
    const sum = kind?.make({ home }, [seed, 11]);
    if (!sum) continue;
    const seen = sum.shown.split(', ').map((text) => home.find((card) => named(card) === text) ?? -1);
    expect(asked(patternFrom(TWO_CUTS.procedure), seen, home)).toBe(
      `Difference ${sum.truth.kind === 'number' ? sum.truth.number : ''}`,
    );
  }
});

test('the pack in hand takes the place of the procedure’s own where it has as many cards', () => {
  const home = numberOrder();
  const [mine, other] = [
    onPack(TWO_CUTS.procedure, home, turned(home, 5)),
    onPack(TWO_CUTS.procedure, home, home.slice(1)),
  ];
  expect(mine.isInHand).toBe(true);
  expect(mine.procedure.packets?.['pack']).toEqual(turned(home, 5).map(formatCard));
  expect(mine.procedure.orders?.['home']).toEqual(home.map(formatCard));
  // A packet beside it, and its order, stay.
  expect(mine.procedure.packets?.['numbers']).toEqual(TWO_CUTS.procedure.packets?.['numbers']);
  expect(other).toEqual({ procedure: TWO_CUTS.procedure, isInHand: false });
});

test('the copies of a card look the same, jokers are cards like others, and the pack ends at its face', () => {
  const cards = ['7D', 'X1', '7D*', 'AC', 'X2', 'KS'];
  const procedure = {
    name: 'x',
    packets: { pack: cards },
    orders: { home: cards },
    steps: [
      { do: 'choose', name: 'cut', from: 1, to: 6 },
      { do: 'cut', packet: 'pack', count: 'cut', by: 'helper' },
      { do: 'see', what: { 'face of': 'pack' }, name: 'seen' },
      { do: 'work out', name: 'number', what: { 'stack number of': 'seen', in: 'home' } },
      { do: 'claim', that: { equal: ['number', 'cut'] } },
    ],
  } as unknown as Procedure;
  const pattern = patternFrom(procedure);
  const home = cardsIn(cards);
  // Either copy may have been seen, however it is entered.
  for (const copy of [home[0], home[2]])
    expect(asked(pattern, [copy], home)).toBe('Number 1, or Number 3 | What you saw leaves this open.');
  expect(asked(pattern, [home[1]], home)).toBe('Number 2');
  expect(asked(pattern, [home[4]], home, turned(home, 5))).toMatch(
    /^Number 5 \| .*does not come right: step 5\.$/,
  );
  expect(asked(pattern, [home[5]], home)).toBe('Number 6');
});

test('one of several ways that is told and ends in an out there', () => {
  const procedure = {
    name: 'x',
    packets: { pack: LEARNT },
    steps: [
      { do: 'see', what: { 'face of': 'pack' }, name: 'key' },
      {
        do: 'choose one',
        name: 'way',
        told: true,
        of: [
          { words: 'On.', steps: [] },
          { words: 'Stop.', steps: [{ do: 'out', words: 'Thank them.' }] },
          { words: 'Else.', steps: [{ do: 'out', words: 'Show the other hand.' }] },
        ],
      },
      { do: 'work out', name: 'rank', what: { 'rank of': 'key' } },
    ],
  } as unknown as Procedure;
  const pattern = patternFrom(procedure);
  const home = cardsIn(LEARNT);
  const answers = [1, 2, 3].map((way) => asked(pattern, [home[51], way], home));
  expect(answers).toEqual([`Rank ${rankOf(home[51])}`, 'Thank them', 'Show the other hand']);
});

describe('what cannot be told apart, and cards that are no particular ones', () => {
  const home = numberOrder();
  const pack = { home, now: home, bank: undefined, shift: 0, estimates: [] };
  const answer = (procedure: Procedure, told: Values): string => {
    const made = patternOf({ procedure }, 'mine');
    const outcome = made.ok ? made.pattern.reckon(told, pack) : made;
    return outcome.ok && 'reckoning' in outcome ? outcome.reckoning.answer : 'refused';
  };

  test('an indifferent card is told as any card that the procedure does not name, and never shown as another', () => {
    const procedure: Procedure = {
      name: 'Bank among others',
      packets: { pack: ['-', '-', '7D', 'KS'] },
      orders: { home: ['7D', 'KS'] },
      steps: [
        { do: 'choose', name: 'cut', from: 0, to: 3 },
        { do: 'cut', packet: 'pack', count: 'cut', by: 'helper' },
        { do: 'see', what: { 'face of': 'pack' }, name: 'face', by: 'performer' },
        { do: 'work out', name: 'number', what: { 'stack number of': 'face', in: 'home' } },
      ],
    };
    expect(answer(procedure, { 'seen 1 face': parseCard('7D') })).toBe('Number 1');
    // 9♣ is none of those that are named: one of the indifferent ones was seen.
    expect(answer(procedure, { 'seen 1 face': parseCard('9C') })).toBe('Number 0');
    const finds: Procedure = {
      ...procedure,
      steps: [...procedure.steps.slice(0, 3), { do: 'claim known', what: 'face' }],
    };
    expect(answer(finds, { 'seen 1 face': parseCard('9C') })).toBe('Face an indifferent card');
    for (const each of [procedure, finds]) {
      const made = patternOf({ procedure: each }, 'mine');
      const example = made.ok ? made.pattern.example?.(pack) : undefined;
      for (const value of Object.values(example ?? {})) expect(home).toContain(value);
      const kind = sumKindOf({ procedure: each }, 'mine');
      for (let seed = 0; seed < 40; seed++) {
        const sum = kind?.make({ home }, [seed, 1]);
        expect(`${sum?.shown ?? ''} ${JSON.stringify(sum?.truth ?? '')}`).not.toMatch(/²|127/);
      }
    }
  });

  test('a sum is asked only where what was seen leaves one answer', () => {
    const secret: Procedure = {
      name: 'A secret way',
      packets: { pack: ['AC', '2C', '3C', '4C'] },
      orders: { home: ['AC', '2C', '3C', '4C'] },
      steps: [
        {
          ...{ do: 'choose one', name: 'way' },
          of: [
            { words: 'One.', steps: [{ do: 'cut', packet: 'pack', count: 1, by: 'helper' }] },
            { words: 'None.', steps: [] },
          ],
        },
        { do: 'choose', name: 'number', from: 1, to: 4, told: true },
        { do: 'claim known', what: { 'card at': 'number', of: 'pack' } },
      ],
    };
    expect(answer(secret, { 'seen 1 number': 2 })).toMatch(/, or /);
    const pack52 = { home } as never;
    const kind = sumKindOf({ procedure: secret }, 'mine');
    for (let seed = 0; seed < 40; seed++) expect(kind?.make(pack52, [seed, 1])).toBeUndefined();
    expect(kind?.ranges(pack52)).toBeUndefined();
    // Told, it leaves one.
    const [way, ...others] = secret.steps;
    const open = { ...secret, steps: [{ ...way, told: true } as Step, ...others] };
    const asked = sumKindOf({ procedure: open }, 'mine');
    expect(Array.from({ length: 40 }, (_, seed) => asked?.make(pack52, [seed, 1])).some((sum) => sum)).toBe(
      true,
    );
  });
});
