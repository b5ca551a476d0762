import * as patterns from '.';
import { Bank, layBank } from '../../deck/bank';
import { Card, looksLike, rankOf, secondOf, suitOf, SUITS } from '../../deck/card';
import { showCard } from '../../deck/notation';
import { numberOrder, Order, placeOf } from '../../deck/order';
import { Rng, seededRng, shuffled } from '../../deck/rng';
import { cut } from '../../moves/cut';
import { deal } from '../../moves/deal';
import { applyMove } from '../../moves/move';
import { offsetOf } from '../../deck/offset';
import { Reckoned, Reckoning } from '../reckoning';

/** A pack that patterns are asked of: 4 to 60 cards, with jokers and second copies, turned or not, and a bank in it. */
interface Case {
  readonly home: Order;
  readonly now: Order;
  readonly bank: Bank;
  /** A place from 1 to N. */
  readonly place: number;
  readonly other: number;
}

/** One question that a pattern is asked, and what must be so of the answer, found in another way. */
interface Asked {
  readonly outcome: Reckoned;
  /** What the answer claims, against the pack itself. */
  readonly holds?: (reckoning: Reckoning, after: Order) => void;
}

const known = ({ known: facts }: Reckoning, words: string): unknown => {
  const found = facts.find((each) => each.words === words);
  return found?.card ?? found?.value;
};

/** Every pattern. A new one joins by a row here; the test names one that lacks it. */
const TABLE: Readonly<Record<string, (pack: Case) => Asked[]>> = {
  reckonNumberLine: ({ home, now, place, other }) => {
    const setup = { lead: 20, decoys: 2, before: 10, easy: 3 };
    const [key, stopped] = [now[place - 1], now[other - 1]];
    return [
      {
        outcome: patterns.reckonNumberLine(home, now, setup, {}),
        holds: (reckoning) => {
          for (const { words, card } of reckoning.known.slice(1))
            expect(card).toBe(now[Number(/at (\d+)/.exec(words)?.[1]) - 1]);
          for (const { words, card } of reckoning.known.slice(1))
            expect(home[Number(/stack number (\d+)$/.exec(words)?.[1]) - 1]).toBe(card);
        },
      },
      {
        outcome: patterns.reckonNumberLine(home, now, setup, { key, stopped, number: place }),
        holds: (_, after) => {
          expect(looksLike(after[place - 1], stopped)).toBe(true);
        },
      },
    ];
  },
  reckonTwoCards: ({ now, place, other }) => [
    {
      outcome: patterns.reckonTwoCards(now, now[place - 1], 1, now.length),
      holds: (reckoning, after) => {
        expect(after[0]).toBe(now[place - 1]);
        expect(known(reckoning, 'To claim')).toBe(after[now.length - 1]);
      },
    },
    { outcome: patterns.reckonTwoCards(now, now[place - 1], other, other) },
  ],
  reckonTwoCuts: ({ now, place, other }) => [
    {
      outcome: patterns.reckonTwoCuts(now, now[place - 1], now[other - 1], {
        plain: 4,
        from: 1,
        to: 24,
        markEvery: 5,
      }),
      holds: (reckoning) => {
        const turned = reckoning.marks.filter(({ mark }) => mark === 'face up').map((each) => each.place);
        expect(turned).toEqual(Array.from({ length: other - place }, (_, index) => place + index + 1));
      },
    },
  ],
  reckonBankPacket: ({ now, bank, place }) => [
    {
      outcome: patterns.reckonBankPacket(now, bank, place),
      holds: ({ answer }) => {
        const face = now[place - 1];
        expect(answer.startsWith('The card is')).toBe(bank.cards.includes(face));
        if (bank.cards.includes(face)) expect(answer).toContain(showCard(face));
      },
    },
  ],
  reckonCountDown: ({ now, bank, place }) => [
    {
      outcome: patterns.reckonCountDown(now, bank, now[place - 1]),
      holds: ({ answer }, after) => {
        const face = now[place - 1];
        if (!bank.cards.includes(face)) return;
        expect(after[now.length - 1]).toBe(face);
        // The selection is the first card behind the bank.
        const cutThere = cut(now, place);
        const at = cutThere.findIndex((card) => !bank.cards.includes(card)) + 1;
        expect(answer).toBe(`The selection lies at ${at}`);
      },
    },
  ],
  reckonNextRanks: ({ now }) => [
    {
      outcome: patterns.reckonNextRanks(now, 1, 2, 1),
      holds: (reckoning) => {
        const counted = deal(now, 3).slice(0, 3);
        expect(known(reckoning, 'There lies')).toBe(counted[2]);
      },
    },
    { outcome: patterns.reckonNextRanks(now, 13, 13, 10) },
  ],
  reckonComposedCard: ({ now, place }) => [
    {
      outcome: patterns.reckonComposedCard(now, now[place - 1]),
      holds: ({ answer }, after) => {
        expect(after[0]).toBe(now[place - 1]);
        const [rank, suit] = [rankOf(after[0]), suitOf(after[1])];
        const at = after.findIndex(
          (card, index) => index > 1 && rankOf(card) === rank && suitOf(card) === suit,
        );
        if (rank === undefined || suit === undefined) expect(answer).toContain('joker');
        else if (at < 0) expect(answer).toContain('not in the rest');
        else expect(answer).toBe(`${showCard(after[at])} lies ${at - 1} from the top of the rest`);
      },
    },
  ],
  reckonGap: ({ now, place }) => {
    const at = (step: number): Card => now[(place - 1 + step) % now.length];
    return [
      {
        outcome: patterns.reckonGap(now, at(0), at(2)),
        holds: (reckoning, after) => {
          expect(known(reckoning, 'Missing')).toBe(at(1));
          expect(after).toEqual(now.filter((card) => card !== at(1)));
        },
      },
      { outcome: patterns.reckonGap(now, at(0), at(1)) },
    ];
  },
  reckonShortGroup: ({ now, place }) => {
    const missing = now[place - 1];
    const [rank, suit] = [rankOf(missing) ?? 7, suitOf(missing) ?? 1];
    return [
      {
        outcome: patterns.reckonShortGroup(
          now,
          rank,
          SUITS.filter((each) => each !== suit),
        ),
        holds: (reckoning, after) => {
          const cards = ['The other colour', 'Its rank'].map((words) => known(reckoning, words));
          expect(after.slice(0, 2)).toEqual(cards);
          expect(rankOf(after[1])).toBe(rank);
        },
      },
      { outcome: patterns.reckonShortGroup(now, 1, []) },
    ];
  },
  reckonKeyCard: ({ now, bank, place }) =>
    (['below', 'above'] as const).map((side) => ({
      outcome: patterns.reckonKeyCard(now, bank, now[place - 1], 2, [], {
        ...{ side, spread: 6, deal: { about: 9, within: 3 } },
      }),
      holds: (reckoning) => {
        const isBank = (card: Card): boolean => bank.cards.includes(card);
        // On top it is still to be dealt from: no card is named.
        const below = place === 1 ? undefined : now.slice(place).find(isBank);
        const beside =
          side === 'below'
            ? below
            : now
                .slice(0, place - 1)
                .filter(isBank)
                .at(-1);
        expect(known(reckoning, side === 'below' ? 'Below it' : 'Above it')).toBe(beside);
      },
    })),
  reckonDealtBack: ({ now, place, other }) => [
    {
      outcome: patterns.reckonDealtBack(now, now[place - 1], [other, 2]),
      holds: (reckoning, after) => {
        expect(after).toEqual(deal(deal(now, other), 2));
        expect(reckoning.known.at(-1)?.value).toBe(placeOf(after, now[place - 1]));
      },
    },
  ],
  reckonMovedCard: ({ home, now }) => [
    {
      outcome: patterns.reckonMovedCard(home, now, 1, true),
      holds: ({ answer }) => expect(answer).toContain('No card was moved'),
    },
  ],
};

const EVERYTHING: Order = [...numberOrder(), 52, 53, ...[0, 13, 26, 39, 7, 20].map(secondOf)];

/** A bank of the pack: its own list, or one in which each pair of neighbours may lie either way round. */
const bankFor = (cards: readonly Card[], front: number, size: number, loose: boolean): Bank => {
  const outcome = layBank(cards, { kind: 'behind', count: front }, size);
  if (!outcome.ok) throw new Error(outcome.problems[0].what);
  return loose ? { ...outcome.bank, loose: true } : outcome.bank;
};

const casesOf = (size: number, rng: Rng): Case[] => {
  const home = shuffled(EVERYTHING, rng).slice(0, size);
  const length = Math.max(2, Math.floor(size / 4));
  const front = Math.floor(rng() * (size - length));
  const cards = home.slice(front, front + length);
  const loose = [...cards];
  for (let index = 0; index + 1 < length; index += 2)
    if (rng() < 0.5) [loose[index], loose[index + 1]] = [loose[index + 1], loose[index]];
  const banks = [bankFor(cards, front, size, false), bankFor(loose, front, size, true)];
  return [0, 1, size - 1, Math.floor(rng() * size)].flatMap((turn) =>
    banks.map((bank) => {
      const place = 1 + Math.floor(rng() * (size - 1));
      const other = place + 1 + Math.floor(rng() * (size - place));
      return { home, now: cut(home, turn), bank, place, other };
    }),
  );
};

/** What is so of every answer, whichever the pattern. */
const checkAnswer = (reckoning: Reckoning, now: Order): Order => {
  let total = 0;
  for (const { role, amount } of reckoning.sum) {
    if (role === 'start') total = amount;
    else if (role === 'add') total += amount;
    else expect(amount).toBe(total);
  }
  expect(reckoning.marks.every(({ place }) => place >= 1 && place <= now.length)).toBe(true);
  const says = [reckoning.answer, ...reckoning.notes, ...reckoning.known.map(({ words }) => words)];
  expect(says.join('\n')).not.toMatch(/undefined|NaN|\b1 cards|\b1 riffles|-\d|[a-z][♣♦♥♠]|\.\.|\n\n/);
  expect(reckoning.notes.filter((note) => !/[.…]$/.test(note))).toEqual([]);
  return reckoning.moves.reduce(applyMove, now);
};

test('every pattern is in the table', () => {
  const names = Object.keys(patterns).filter((name) => name.startsWith('reckon'));
  expect(names.filter((name) => !Object.hasOwn(TABLE, name))).toEqual([]);
});

test.each(Object.keys(TABLE))(
  '%s: on packs of 4 to 60, turned, with a loose bank, jokers and second copies',
  (name) => {
    let answered = 0;
    for (let size = 4; size <= 60; size++)
      for (const pack of casesOf(size, seededRng(size))) {
        expect(offsetOf(pack.home, pack.now)).toBeDefined();
        for (const { outcome, holds } of TABLE[name](pack)) {
          if (!outcome.ok) {
            expect(outcome.problems[0].what).toMatch(/^[\p{Lu}\d].*\.$/u);
            expect(outcome.problems[0].remedy).toMatch(/\.$/);
            continue;
          }
          answered++;
          holds?.(outcome.reckoning, checkAnswer(outcome.reckoning, pack.now));
        }
      }
    expect(answered).toBeGreaterThan(50);
  },
);
