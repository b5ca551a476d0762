import { headWays } from '../../arrange/headWay';
import { orderByRule } from '../../arrange/rule';
import { Card, cardOf, mateOf, rankOf, secondOf, suitOf } from '../../deck/card';
import { numberOrder, Order } from '../../deck/order';
import { randomInt, Rng, seededRng, shuffled } from '../../deck/rng';
import { Values } from '../../form/field';
import { applyMove } from '../../moves/move';
import { cut } from '../../moves/cut';
import { PATTERNS } from '../../reckon/patterns/patterns';
import { handlings } from '../../reckon/handling';
import { Answer, showSaid } from '../said';
import { kindsFor, SUM_KINDS, sumKind } from './kinds';
import { askSum, drawSum, hardOf, Inputs, LEVELS, Sum, SumPack } from './sum';

const numberOf = (said: Answer): number =>
  said.kind === 'number' ? said.number : said.kind === 'off' ? said.off : NaN;
const cardOfSaid = (said: Answer): Card | undefined => (said.kind === 'cards' ? said.cards[0] : undefined);

/** Where a card lies, counted card by card. */
const counted = (now: Order, card: Card): number => {
  let place = 0;
  for (const each of now) {
    place++;
    if (each === card) return place;
  }
  return 0;
};
const cutTo = (home: Order, face: Card): Order => {
  let now = [...home];
  while (now[now.length - 1] !== face) now = [...now.slice(1), now[0]];
  return now;
};

const answerOf = (path: string, values: Values, pack: SumPack, now: Order): string => {
  const pattern = PATTERNS.find((each) => each.path === path);
  const setup = Object.fromEntries(
    (pattern?.fields ?? []).flatMap((field) => ('start' in field ? [[field.name, field.start]] : [])),
  ) as Values;
  const reckoned = pattern?.reckon(
    { ...setup, ...values },
    {
      ...{ home: pack.home, now, bank: pack.bank, shift: 4, estimates: [] },
    },
  );
  if (!reckoned?.ok) throw new Error(`${path} has no answer`);
  const { answer, known, notes } = reckoned.reckoning;
  const facts = known.map((each) => `${each.words}=${each.value ?? each.card ?? ''}`);
  return [answer, ...facts, ...notes].join('|');
};

/** For each kind: the truth found by moving cards, and Reckon's own answer to the same question. */
const CHECKS: Readonly<Record<string, (pack: SumPack, inputs: Inputs, sum: Sum) => void>> = {
  'place after a cut': (pack, [face, card], { truth }) => {
    const { home } = pack;
    const now = cutTo(home, home[face - 1]);
    expect(numberOf(truth)).toBe(counted(now, home[card - 1]));
    expect(answerOf('two-cards', { card: home[card - 1], mine: 1, theirs: 2 }, pack, now)).toContain(
      `lies at=${numberOf(truth)}|`,
    );
  },
  'card to the face': ({ home }, [card, number], { truth }) => {
    const now = cutTo(home, cardOfSaid(truth) as Card);
    expect(counted(now, home[card - 1])).toBe(number);
    expect(handlings(home, home[card - 1], number).map(({ face }) => face)).toContain(cardOfSaid(truth));
  },
  'how far off': ({ home }, [face, card, number], { truth }) => {
    const now = cutTo(home, home[face - 1]);
    const off = numberOf(truth);
    expect(counted(cut(now, (off + home.length) % home.length), home[card - 1])).toBe(number);
    expect(Math.abs(off) * 2).toBeLessThan(home.length);
    expect(handlings(now, home[card - 1], number)[0].displaced).toBeLessThanOrEqual(Math.abs(off));
  },
  'card at a place': ({ home }, [face, place], { truth }) => {
    expect(cardOfSaid(truth)).toBe(cutTo(home, home[face - 1])[place - 1]);
  },
  'place of the mate': ({ home }, [face, card], { truth }) => {
    expect(numberOf(truth)).toBe(counted(cutTo(home, home[face - 1]), mateOf(home[card - 1])));
  },
  'place from the face': ({ home }, [face, card], { truth }) => {
    expect(numberOf(truth)).toBe(counted([...cutTo(home, home[face - 1])].reverse(), home[card - 1]));
  },
  'card to claim': (pack, [card, mine, theirs], { truth }) => {
    const { home } = pack;
    let now = [...home];
    while (now[mine - 1] !== home[card - 1]) now = [...now.slice(1), now[0]];
    expect(cardOfSaid(truth)).toBe(now[theirs - 1]);
    expect(answerOf('two-cards', { card: home[card - 1], mine, theirs }, pack, home)).toContain(
      `claim ${showSaid(truth)}`,
    );
  },
  'called card': (pack, [key, place], { truth }) => {
    const now = cutTo(pack.home, pack.home[key - 1]);
    expect(numberOf(truth)).toBe(place);
    const answer = answerOf('number-line', { key: now[now.length - 1], stopped: now[place - 1] }, pack, now);
    expect(answer).toContain(`lies at=${place}|`);
  },
  'difference of two glimpses': (pack, [first, second], { truth }) => {
    // Each cut is turned over; what is face up is counted.
    let now = pack.home.map((card) => ({ card, up: false }));
    for (const depth of [first, second]) {
      const packet = now.slice(0, depth).reverse();
      now = [...packet.map(({ card, up }) => ({ card, up: !up })), ...now.slice(depth)];
    }
    expect(numberOf(truth)).toBe(now.filter(({ up }) => up).length);
    const told = { first: pack.home[first - 1], second: pack.home[second - 1] };
    expect(answerOf('two-cuts', told, pack, pack.home)).toContain(`Face up=${numberOf(truth)}|`);
  },
  'packet to card': (pack, [size], { truth }) => {
    expect(cardOfSaid(truth)).toBe(pack.home[size - 1]);
    expect(answerOf('packet', { size }, pack, pack.home)).toContain(showSaid(truth));
  },
  'count down a bank': (pack, [face], { truth }) => {
    // The selection is put right behind the bank, and the bank card cut to the face.
    const behind = Math.max(...(pack.bank?.places ?? [0]));
    const selection = -1;
    const now = cutTo(
      [...pack.home.slice(0, behind), selection, ...pack.home.slice(behind)],
      pack.home[face - 1],
    );
    expect(numberOf(truth)).toBe(counted(now, selection));
    expect(answerOf('count-down', { face: pack.home[face - 1] }, pack, pack.home)).toContain(
      `lies at ${numberOf(truth)}`,
    );
  },
  'next ranks': (pack, [first, second], { truth }) => {
    expect(numberOf(truth)).toBe(first + second);
    expect(answerOf('next-ranks', { first, second, prepared: 1 }, pack, pack.home)).toContain(
      `Packet=${numberOf(truth)}|`,
    );
  },
  'digit sum': ({ home }, [count], { truth }) => {
    const dealt = home.slice(0, count).reverse();
    const sum = [...count.toString()].reduce((total, digit) => total + Number(digit), 0);
    expect(home[numberOf(truth) - 1]).toBe(dealt[sum - 1]);
  },
  'dealt back': (pack, [card, count], { truth }) => {
    const now = [...pack.home.slice(0, count).reverse(), ...pack.home.slice(count)];
    expect(numberOf(truth)).toBe(counted(now, pack.home[card - 1]));
    const answer = answerOf('dealt-back', { card: pack.home[card - 1], counts: [count] }, pack, pack.home);
    expect(answer).toContain(`ends at ${numberOf(truth)}|`);
  },
  'card made of two': (pack, [place, which], { truth }) => {
    const now = cut(pack.home, place - 1);
    const [ranked, suited] = which === 0 ? [now[0], now[1]] : [now[1], now[0]];
    const named = cardOf(rankOf(ranked) ?? 1, suitOf(suited) ?? 0);
    const rest = which === 0 ? now.slice(2) : now.slice(2).reverse();
    expect([named, secondOf(named)]).toContain(rest[numberOf(truth) - 1]);
    expect(answerOf('composed-card', { first: now[0] }, pack, pack.home)).toContain(
      `${numberOf(truth)} from the ${which === 0 ? 'top' : 'face'}`,
    );
  },
  'missing card': (pack, [above], { truth }) => {
    const { home } = pack;
    expect(cardOfSaid(truth)).toBe(home[above % home.length]);
    const told = { above: home[above - 1], below: home[(above + 1) % home.length] };
    expect(answerOf('gap', told, pack, home)).toContain(showSaid(truth));
  },
  'stack number': ({ home }, [place], { truth, lines }) => {
    expect(numberOf(truth)).toBe(place);
    expect(numberOf(truth)).toBe(counted(home, home[place - 1]));
    expect(lines.length).toBeGreaterThan(1);
  },
  'card of a stack number': ({ home }, [place], { truth }) => {
    expect(cardOfSaid(truth)).toBe(home[place - 1]);
  },
  'weaves to a place': ({ home }, [place], { truth }) => {
    const weaves = truth.kind === 'weaves' ? truth.weaves : [];
    const after = weaves.reduce((now, weave) => applyMove(now, { kind: 'weave', weave }), home);
    expect(counted(after, home[0])).toBe(place);
  },
};

/** Packs of every kind: full, small, odd, with jokers and second copies, with a bank in the middle or at the top. */
const packs = (rng: Rng): SumPack[] => {
  const bankCards = shuffled(numberOrder(), rng).slice(0, 10);
  const bank = { cards: bankCards, places: Array.from({ length: 10 }, (_, index) => index + 15) };
  const outcome = orderByRule({ kind: 'rotating', first: randomInt(rng, 52), step: 5, suits: [1, 3, 2, 0] });
  const wheel = outcome.ok ? outcome.order : [];
  const rest = numberOrder().filter((card) => !bankCards.includes(card));
  const withBank = [...rest.slice(0, 14), ...bankCards, ...rest.slice(14)];
  return [
    { home: shuffled(numberOrder(), rng) },
    { home: shuffled([...numberOrder(), 52, 53], rng) },
    { home: shuffled([...numberOrder().slice(0, 30), secondOf(7), secondOf(9)], rng) },
    ...[3, 5, 17, 51].map((size) => ({ home: shuffled(numberOrder(), rng).slice(0, size) })),
    { home: withBank, bank },
    { home: wheel, way: headWays(wheel)[0] },
  ];
};

test.each(SUM_KINDS)('$name: the truth is what the cards do, and what Reckon says', (kind) => {
  expect(CHECKS).toHaveProperty([kind.name]);
  const rng = seededRng(5);
  let asked = 0;
  for (let turn = 0; turn < 12; turn++)
    for (const pack of packs(rng))
      for (const level of LEVELS) {
        const drawn = drawSum(kind, pack, level, rng);
        if (!drawn) continue;
        asked++;
        CHECKS[kind.name](pack, drawn.inputs, drawn.sum);
        // Its lines come to what they say, and the last of them to the truth where that is a number.
        let total = 0;
        for (const { amount, role } of drawn.sum.lines) {
          if (role === 'result') expect([drawn.sum.shown, total]).toEqual([drawn.sum.shown, amount]);
          total = role === 'add' ? total + amount : amount;
        }
        const { truth } = drawn.sum;
        if (truth.kind === 'number' || truth.kind === 'off') expect(total).toBe(numberOf(truth));
        if (truth.kind === 'cards' && kind.name !== 'packet to card')
          expect(pack.home[total - 1]).toBe(truth.cards[0]);
        // What is asked for a number can be typed: two digits at most, and none beyond the pack.
        if (truth.kind === 'number') {
          expect(truth.number).toBeGreaterThanOrEqual(1);
          expect(truth.number).toBeLessThanOrEqual(pack.home.length);
        }
      }
  expect(asked).toBeGreaterThan(40);
});

/** How many words a screen reader speaks of a question: a card is three of them. */
const wordsHeard = (question: string): number => question.replaceAll(/[♣♦♥♠]/g, ' of suit').split(' ').length;

test.each(SUM_KINDS)('$name is asked in fewer words than a screen reader has breath for', (kind) => {
  const rng = seededRng(8);
  for (const pack of packs(rng)) {
    const drawn = drawSum(kind, pack, 0, rng);
    if (drawn) expect(wordsHeard(askSum(kind, drawn.sum))).toBeLessThanOrEqual(18);
  }
});

test('a kind is asked only where it can be: without a bank none of a bank, of two cards none at all', () => {
  const [full] = packs(seededRng(1));
  const names = kindsFor(full).map(({ name }) => name);
  expect(names).toHaveLength(SUM_KINDS.length - 4);
  expect(names).not.toContain('packet to card');
  expect(kindsFor({ home: [4, 5] })).toEqual([]);
  const loose = { cards: [0, 13, 26], places: [1, 2, 3], loose: true } as const;
  expect(sumKind('packet to card')?.ranges({ home: full.home, bank: loose })).toBeUndefined();
});

test('a sum is as hard as what it takes: once round, a ten, a third step', () => {
  const home = numberOrder();
  const kind = sumKind('place after a cut');
  const hard = (face: number, card: number): readonly string[] =>
    hardOf(kind?.make({ home }, [face, card])?.lines ?? [], 52);
  expect(hard(3, 38)).toEqual([]);
  expect(hard(9, 38)).toEqual(['crosses a ten']);
  expect(hard(39, 8)).toEqual(['crosses a ten', 'once round']);
  expect(hard(38, 9)).toEqual(['once round']);
  expect(hard(33, 9)).toEqual(['once round']);
});
