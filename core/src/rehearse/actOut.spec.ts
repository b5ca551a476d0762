import vectors from '../../test/vectors/procedures.json';
import { randomProcedure } from '../../test/randomProcedure';
import { randomInt, seededRng } from '../deck/rng';
import { anyStep } from '../procedure/walk';
import { Procedure } from '../procedure';
import { actOut, Scene } from './actOut';
import { casesOf } from './cases';
import { knowing } from './knowing';
import { hasChance } from './prove';
import { readProcedure } from './readProcedure';
import { prove } from './prove';
import { WORKED } from './worked/worked';

const readable = [
  ...(vectors.rows as unknown as readonly { readonly procedure: Procedure }[]).map(
    ({ procedure }) => procedure,
  ),
  ...WORKED.map(({ procedure }) => procedure),
].filter((procedure) => readProcedure(procedure).ok);

/** Up to forty of a list, spread over it. */
const some = <Item>(items: readonly Item[]): readonly Item[] =>
  items.filter((_, index) => index % Math.ceil(items.length / 40) === 0);

const cardsIn = ({ packets }: Scene): string =>
  packets
    .flatMap(({ cards }) => cards.map(({ card }) => card))
    .sort((a, b) => a - b)
    .join();

test.each(readable.filter((each) => !hasChance(each)).map((each) => [each.name, each] as const))(
  'acted out, each case of %s ends as it is proved, and no card is lost',
  (_, procedure) => {
    // What nobody can know is judged over all worlds, and not in one.
    if (JSON.stringify(procedure).includes('claim known')) return;
    const { cases } = casesOf(procedure) ?? { cases: [] };
    for (const { values, end } of some(cases)) {
      const acted = actOut(procedure, values);
      expect([acted.end, acted.asked, acted.choices.map(([, value]) => value)]).toEqual([
        end,
        undefined,
        values,
      ]);
      expect(new Set(acted.scenes.map(cardsIn)).size).toBe(1);
    }
  },
);

const { procedure: twoCuts } = WORKED[0];
const { procedure: like } =
  WORKED.find(({ procedure: { name } }) => name.endsWith('one placed')) ?? WORKED[0];

test('a world waits for what is not chosen, and for what cannot be chosen', () => {
  expect(actOut(twoCuts, [])).toMatchObject({ asked: { path: '1', name: 'first cut', from: 1, to: 50 } });
  const deeper = actOut(twoCuts, [14]);
  expect(deeper).toMatchObject({ asked: { path: '6', name: 'second cut', from: 15, to: 51 } });
  expect(deeper.scenes.map(({ path }) => path)).toEqual(['', '1', '2', '3', '4', '5']);
  expect(actOut(twoCuts, [14, 9]).choices).toEqual([['first cut', 14]]);
  expect(actOut(twoCuts, [14, 9]).end).toBeUndefined();
  const names = actOut(twoCuts, [14, 23]).scenes.at(-1)?.names;
  expect(names?.map(({ name, kind, known }) => [name, kind, known])).toEqual([
    ['first cut', 'number', false],
    ['first seen', 'card', true],
    ['second cut', 'number', false],
    ['second seen', 'card', true],
    ['difference', 'number', true],
  ]);
});

test('what is not chosen is drawn, and what was chosen stays', () => {
  const rng = seededRng(4);
  for (let round = 0; round < 30; round++) {
    const acted = actOut(twoCuts, [14], 1, rng);
    expect(acted.asked).toBeUndefined();
    expect(acted.choices[0]).toEqual(['first cut', 14]);
    expect(acted.choices[1][1]).toBeGreaterThan(14);
    expect(
      actOut(
        twoCuts,
        acted.choices.map(([, value]) => value),
      ).end,
    ).toBe(acted.end);
  }
});

test('a failing case tells where and why, and one that goes on for ever is ended', () => {
  const endless: Procedure = {
    name: 'Endless',
    packets: { pack: ['AC'] },
    steps: [1, 2, 3].reduceRight<Procedure['steps']>(
      (steps) => [{ do: 'repeat', times: 200, steps }],
      [{ do: 'turn', packet: 'pack' }],
    ),
  };
  expect(actOut(endless, []).tooLong).toBe(true);
  const short: Procedure = { name: 'Short', steps: [{ do: 'lift', count: 1, from: 'pack', onto: 'hand' }] };
  expect(actOut(short, [])).toMatchObject({ end: 'failed', failure: { at: '1', why: 'cannot be done' } });
});

test('an out is cleared up where it is acted out, and what cannot be done there fails', () => {
  const { procedure } =
    WORKED.find(({ procedure: { name } }) => name.startsWith('A packet counted')) ?? WORKED[0];
  const { end, scenes } = actOut(procedure, [5, 7]);
  expect(end).toBe('outs');
  expect(scenes.slice(-3).map(({ path }) => path)).toEqual(['10.1.1.1.1', '10.1.1.1.2', '10.1.1']);
  const lying = scenes[scenes.length - 1].packets.map(({ name, cards }) => [name, cards.length]);
  expect(Object.fromEntries(lying)).toEqual({ pack: 52, hand: 0, box: 0 });
  const steps: Procedure['steps'] = [
    { do: 'out', words: 'So.', steps: [{ do: 'cut', packet: 'pack', count: 9 }] },
  ];
  const wrong: Procedure = { name: 'x', version: 2, packets: { pack: ['AC'] }, steps };
  expect(actOut(wrong, [])).toMatchObject({ end: 'failed', failure: { at: '1.1.1', why: 'cannot be done' } });
  // In a proof, and in version 1, they mean nothing.
  expect(prove(wrong)).toMatchObject({ cases: 1, outs: 1 });
  expect(actOut({ ...wrong, version: 1 }, [])).toMatchObject({ end: 'outs' });
});

test('shuffled by chance, the same seed gives the same', () => {
  const { procedure } = WORKED.find((each) => each.chance) ?? WORKED[0];
  const last = (seed: number): string => JSON.stringify(actOut(procedure, [26], seed).scenes.at(-1)?.packets);
  expect(last(5)).toBe(last(5));
  expect(last(5)).not.toBe(last(6));
  expect(knowing({ procedure, chosen: [26] })).toBeUndefined();
});

describe('what the performer can know', () => {
  /** The same, counted by acting out every case: scenes behind the same step, with the same of what is known. */
  const counted = (procedure: Procedure, chosen: readonly number[], seeds = [1]): unknown => {
    const sights = ({ path, names }: Scene): string =>
      JSON.stringify([path, names.filter(({ known }) => known)]);
    const worlds = (casesOf(procedure)?.cases ?? []).flatMap(({ values }) =>
      seeds.flatMap((seed) => actOut(procedure, values, seed).scenes),
    );
    return actOut(procedure, chosen).scenes.map((scene) => {
      const alike = worlds.filter((other) => sights(other) === sights(scene));
      return scene.packets.map(({ cards }, packet) =>
        cards.map(({ card }, place) =>
          alike.every(({ packets }) => packets[packet].cards.at(place)?.card === card),
        ),
      );
    });
  };

  test.each([
    ['two cuts', twoCuts, [14, 23]],
    ['dealt twice', WORKED[6].procedure, [7]],
    ['a like pair', like, [25]],
  ] as const)('%s', (_, procedure, chosen) => {
    expect(knowing({ procedure, chosen })).toEqual(counted(procedure, chosen));
    // Worlds that are alike from the first choice on are run once, and nothing else is known by that.
    expect(knowing({ procedure, chosen, often: 0 })).toEqual(counted(procedure, chosen));
  });

  const few = WORKED.map(({ procedure }) => procedure).filter(
    (procedure) =>
      !hasChance(procedure) &&
      !anyStep(procedure.steps, (step) => step.do === 'mix') &&
      prove(procedure).cases <= 120,
  );
  test.each(few.map((procedure) => [procedure.name, procedure] as const))(
    '%s: as counted by acting out every case',
    (_, procedure) => {
      for (const chosen of [
        [7, 9, 3, 2, 4, 2],
        [12, 20, 5, 1, 1, 1],
      ])
        expect(knowing({ procedure, chosen })).toEqual(counted(procedure, chosen));
    },
  );

  test('every small procedure by chance: like worlds taken together or each run, the same is known', () => {
    const rng = seededRng(31);
    let compared = 0;
    for (let time = 0; time < 150; time++) {
      const read = readProcedure(randomProcedure(rng, time % 2 === 0 ? 1 : 2));
      if (!read.ok || hasChance(read.procedure)) continue;
      const { procedure } = read;
      const chosen = Array.from({ length: 8 }, () => randomInt(rng, 5));
      const each = knowing({ procedure, chosen, often: Number.POSITIVE_INFINITY });
      expect(knowing({ procedure, chosen, often: 0 })).toEqual(each);
      if (each) compared++;
    }
    expect(compared).toBeGreaterThan(50);
  });

  test.each(['Dealt as they please, and a second pack', 'A bank at the face that counts down'])(
    '%s: so many worlds are few that differ, and what can be known is known',
    (name) => {
      const { procedure } = WORKED.find((each) => each.procedure.name === name) ?? WORKED[0];
      expect(
        knowing({ procedure, chosen: Array.from({ length: 12 }, (_, index) => 3 + index) }),
      ).toBeDefined();
    },
  );

  test.each([
    ['nothing of what is mixed', []],
    ['what was seen on top', [{ do: 'see', what: { 'top of': 'pack' }, name: 'seen' }]],
    ['what is alike', [{ do: 'take', card: { card: '7D' }, from: 'pack', onto: 'hand' }]],
    ['what lies below', [{ do: 'mix', packet: 'pack', 'keep top': 2 }]],
  ] as const)('of a packet that was mixed: %s', (_, steps) => {
    const procedure: Procedure = {
      ...{ name: 'Mixed', version: 2, packets: { pack: ['7D', '-', '-', 'KC'] } },
      steps: [
        { do: 'choose', name: 'lifted', from: 1, to: 3, told: true },
        { do: 'mix', packet: 'pack', 'keep face': 1, by: 'helper' },
        ...steps,
        { do: 'lift', count: 'lifted', from: 'pack', onto: 'table', by: 'helper' },
      ],
    };
    // So many seeds bring about every order.
    const seeds = Array.from({ length: 60 }, (_, index) => index + 1);
    expect(knowing({ procedure, chosen: [2] })).toEqual(counted(procedure, [2], seeds));
  });

  test('inside a way that was chosen in secret nothing is known that is not so in the other ways', () => {
    const ways = (by: 'helper' | 'performer', told?: true): Procedure => ({
      name: 'Ways',
      packets: { pack: ['AC', '3H', 'KH', '9D'] },
      steps: [
        {
          ...{ do: 'choose one', name: 'way', by, ...(told && { told }) },
          of: [
            {
              words: 'One.',
              steps: [
                { do: 'cut', packet: 'pack', count: 1, by: 'helper' },
                { do: 'turn', packet: 'pack', by: 'helper' },
              ],
            },
            { words: 'Two.', steps: [{ do: 'cut', packet: 'pack', count: 2, by: 'helper' }] },
            { words: 'None.', steps: [] },
          ],
        },
      ],
    });
    const knows = (procedure: Procedure, way: number): readonly number[] =>
      knowing({ procedure, chosen: [way] })?.map(([pack]) => pack.filter(Boolean).length) ?? [];
    // Before it is chosen all is known; inside each way, at its end and behind it nothing is.
    expect(knows(ways('helper'), 1)).toEqual([4, 0, 0, 0]);
    expect(
      knows(ways('helper'), 2)
        .slice(1)
        .every((count) => count === 0),
    ).toBe(true);
    // Who chose it, or was told, knows.
    for (const open of [ways('performer'), ways('helper', true)])
      expect(knows(open, 1)).toEqual([4, 4, 4, 4]);

    // A card that lies alike in all of them is known.
    const alike: Procedure = {
      name: 'Alike',
      packets: { pack: ['AC', '3H', 'KH'] },
      steps: [
        {
          ...{ do: 'if', that: { equal: [{ 'top of': 'pack' }, { card: 'AC' }] }, by: 'helper' },
          then: [{ do: 'take', place: 3, from: 'pack', onto: 'hand', by: 'helper' }],
          otherwise: [],
        },
      ],
    };
    expect(
      knowing({ procedure: alike, chosen: [] })
        ?.at(-1)
        ?.map((packet) => packet.every(Boolean)),
    ).toEqual([...[true, true]]);
  });

  test('a secret cut hides the order, and the card seen gives it back', () => {
    const cutAndSeen: Procedure = {
      name: 'Cut and seen',
      packets: { pack: ['AC', '3H', 'KH', '9D'] },
      steps: [
        { do: 'choose', name: 'cut', from: 1, to: 3 },
        { do: 'cut', packet: 'pack', count: 'cut', by: 'helper' },
        { do: 'see', what: { 'face of': 'pack' }, name: 'seen' },
      ],
    };
    const all = (known: boolean): boolean[][] => [Array.from({ length: 4 }, () => known)];
    expect(knowing({ procedure: cutAndSeen, chosen: [2] })).toEqual([
      all(true),
      all(true),
      all(false),
      all(true),
    ]);
  });

  test('rounds that the performer does are known, those of the helper are not', () => {
    const rounds = (by: 'helper' | 'performer'): Procedure => ({
      name: 'Rounds',
      packets: { pack: ['AC', '3H', 'KH', '9D'] },
      steps: [{ do: 'repeat', times: 3, by, steps: [{ do: 'cut', packet: 'pack', count: 1, by }] }],
    });
    const known = (by: 'helper' | 'performer'): unknown =>
      knowing({ procedure: rounds(by), chosen: [] })?.map(([pack]) => pack.every((each) => each));
    expect(known('performer')).not.toContain(false);
    expect(known('helper')).toContain(false);
  });

  test('more worlds than the budget runs are not told', () => {
    expect(knowing({ procedure: twoCuts, chosen: [14, 23], budget: 500 })).toBeUndefined();
  });
});
