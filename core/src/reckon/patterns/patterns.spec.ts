import fc from 'fast-check';
import composed from '../../../test/vectors/composed-card.json';
import deeper from '../../../test/vectors/cut-deeper.json';
import digits from '../../../test/vectors/digit-sum.json';
import stacks from '../../../test/vectors/stacks.json';
import { of, refused, summed } from '../../../test/reckoned';
import { Bank, countingRun, fillSlots, freeSlots, layBank } from '../../deck/bank';
import { Card, cardOf, mateOf, Rank, rankOf, RANKS, secondOf, Suit, suitOf, SUITS } from '../../deck/card';
import { parseCard, showCard } from '../../deck/notation';
import { cardAt, numberOrder, Order, placeOf } from '../../deck/order';
import { Rng, seededRng, shuffled } from '../../deck/rng';
import { cut } from '../../moves/cut';
import { deal } from '../../moves/deal';
import { applyMove } from '../../moves/move';
import { bankChance, reckonCountDown } from './countDown';
import { byFives, reckonBankPacket } from './bankPacket';
import { reckonComposedCard } from './composedCard';
import { estimate } from '../../odds/interval';
import { cutChances } from '../../odds/cutChances';
import { sayShare } from '../../odds/sayShare';
import { placesAfterDeals, reckonDealtBack } from './dealtBack';
import { deduce } from '../facts/deduce';
import { digitSumPlace, reckonNextRanks } from './digitSum';
import { reckonGap } from './gapCards';
import {
  dealtOutside,
  keyCardCounter,
  KeyCardTry,
  keyCardTry,
  nextBankCard,
  reckonKeyCard,
  stopsOutside,
} from './keyCard';
import { movedCards, reckonMovedCard } from './movedCard';
import { Reckoning } from '../reckoning';
import { pointersTo, reckonShortGroup, toTheTop } from './shortGroup';
import { reckonTwoCards } from './twoCards';
import { pushOff, reckonTwoCuts } from './twoCuts';

const read = (names: readonly string[]): Order => names.map((name) => parseCard(name) as Card);
const card = (name: string): Card => parseCard(name) as Card;
const tidemark = read(stacks.tidemark);
const rotating = read(stacks.rotating.order);
const mirrored = read(stacks.mirroredHalves);

const done = (now: Order, { moves }: Reckoning): Order => moves.reduce(applyMove, now);
const sumHolds = (reckoning: Reckoning): void => {
  if (reckoning.sum.some(({ role }) => role === 'start')) summed(reckoning);
};

test('two cards at two numbers, over all numbers: theirs at mine, and the claimed one at theirs', () => {
  for (let mine = 1; mine <= 52; mine++)
    for (let theirs = 1; theirs <= 52; theirs++) {
      // Every card comes with every sum of the two numbers.
      const theirCard = (mine + theirs) % 52;
      const outcome = reckonTwoCards(tidemark, theirCard, mine, theirs);
      if (mine === theirs) {
        expect(refused(outcome)).toContain('same');
        continue;
      }
      const reckoning = of(outcome);
      const after = done(tidemark, reckoning);
      expect(after[mine - 1]).toBe(theirCard);
      expect(reckoning.known[1].card).toBe(after[theirs - 1]);
      expect(reckoning.answer.endsWith(`claim ${showCard(after[theirs - 1])}`)).toBe(true);
      expect(summed(reckoning)).toBe(placeOf(tidemark, after[theirs - 1]));
    }
  expect(refused(reckonTwoCards(tidemark, 53, 1, 2))).toContain('not in this pack');
  expect(refused(reckonTwoCards(tidemark, 1, 1, 53))).toContain('52 cards');
});

describe('two cuts, one difference', () => {
  const prediction = { plain: 4, from: 5, to: 24, markEvery: 5 };

  test('over all 1,326 pairs: what enumeration says, and the card pushed to bears the difference', () => {
    const packet = [...new Array<number>(4).fill(0), ...Array.from({ length: 20 }, (_, index) => 5 + index)];
    for (let first = 1; first < 52; first++)
      for (let second = first + 1; second <= 52; second++) {
        const reckoning = of(reckonTwoCuts(tidemark, tidemark[first - 1], tidemark[second - 1], prediction));
        const difference = second - first;
        expect(reckoning.known.slice(0, 3).map(({ value }) => value)).toEqual([first, second, difference]);
        sumHolds(reckoning);
        const push = pushOff(prediction, difference);
        expect(push === undefined).toBe(difference < 5 || difference > 24);
        if (!push) {
          expect(reckoning.answer).toContain('outside 5 to 24');
          continue;
        }
        expect(packet[push.count]).toBe(difference);
        if (push.mark) {
          expect(push.mark.number + push.mark.more).toBe(difference);
          expect((push.mark.number - 4) % 5).toBe(0);
        } else expect(difference).toBeLessThan(9);
      }
  });

  test('the worked examples, and what to ask for where it does not fit', () => {
    for (const { firstSeen, secondSeen, faceUp, firstFaceDown } of deeper.rows) {
      const { known } = of(reckonTwoCuts(tidemark, card(firstSeen), card(secondSeen), prediction));
      expect([known[2].value, known[3].card]).toEqual([faceUp, card(firstFaceDown)]);
    }
    const close = of(reckonTwoCuts(tidemark, tidemark[9], tidemark[11], prediction));
    expect(close.notes.slice(0, 3)).toEqual([
      'Ask for the second cut again, between 15 and 34 cards deep.',
      'Or have them count the cards of the first packet: 10.',
      'Or have them count all cards cut off: 12.',
    ]);
    expect(refused(reckonTwoCuts(tidemark, tidemark[9], tidemark[3], prediction))).toContain('not deeper');
    expect(refused(reckonTwoCuts(tidemark, 52, 3, prediction))).toContain('X1 is not in');
  });
});

const hearts: readonly Card[] = RANKS.map((rank) => cardOf(rank, 2));
const bankOf = (cards: readonly Card[], behind: number, size = 52): Bank => {
  const outcome = layBank(cards, { kind: 'behind', count: behind }, size);
  if (!outcome.ok) throw new Error();
  return outcome.bank;
};
const packWith = (bank: Bank): Order => fillSlots(freeSlots(bank, 52), tidemark);

test('packet size to card: every size of every bank, as enumeration has it', () => {
  for (let behind = 0; behind <= 39; behind++) {
    const bank = bankOf(hearts, behind);
    const now = packWith(bank);
    for (let size = 1; size < 52; size++) {
      const reckoning = of(reckonBankPacket(now, bank, size));
      sumHolds(reckoning);
      const face = now[size - 1];
      const deduced = deduce(now, [{ kind: 'lift', face, size: [size, size] }]);
      expect(deduced?.states).toBe(1);
      if (hearts.includes(face) && size > behind && size <= behind + 13) {
        expect(reckoning.answer).toBe(`The card is ${showCard(face)}`);
        const inPacket = now.slice(0, size).filter((each) => hearts.includes(each));
        expect(Math.max(...inPacket)).toBe(face);
      } else expect(reckoning.answer).toMatch(size <= behind ? /^Too small/ : /^Too large/);
    }
  }
  expect(of(reckonBankPacket(packWith(bankOf(hearts, 20)), bankOf(hearts, 20), 18)).answer).toBe(
    'Too small: have them add 3 to 15 more',
  );
  expect(refused(reckonBankPacket(tidemark, { cards: [1, 2], places: [3, 9] }, 5))).toContain('scattered');
  expect(refused(reckonBankPacket(tidemark, bankOf(hearts, 20), 60))).toContain('52 cards');
  expect([3, 5, 20, 23, 6].map(byFives)).toEqual(['3', '1 five', '4 fives', '4 fives and 3', '1 five and 1']);
});

test('a bank that counts down to a selection: where it lies after every cut', () => {
  for (let behind = 0; behind <= 38; behind++) {
    const bank = bankOf([...hearts].reverse(), behind);
    const now = packWith(bank);
    const selection = now[behind + 13];
    for (let count = 1; count < 52; count++) {
      const face = now[count - 1];
      const reckoning = of(reckonCountDown(now, bank, face));
      if (!hearts.includes(face)) {
        expect(reckoning.answer).toContain('cut once more');
        const lies = cut(now, count);
        const next = cutChances(52).reduce(
          (sum, chance, at) => sum + (at > 0 && hearts.includes(lies[at - 1]) ? chance : 0),
          0,
        );
        expect(reckoning.notes[0]).toContain(`shows one with ${sayShare(next, 0)},`);
        continue;
      }
      const place = placeOf(cut(now, count), selection);
      expect(reckoning.answer).toBe(`The selection lies at ${place ?? 0}`);
      // Kings down to aces: the rank at the face is the place, and nothing is added up.
      expect([place, reckoning.sum]).toEqual([rankOf(face), []]);
      expect(done(now, reckoning)).toEqual(cut(now, count));
    }
  }
  const { anywhere, middle } = bankChance(52, bankOf(hearts, 20));
  expect(anywhere).toBeCloseTo(13 / 51);
  expect(middle).toBeCloseTo(
    cutChances(52)
      .slice(21, 34)
      .reduce((a, b) => a + b, 0),
  );
  expect(cutChances(52).reduce((a, b) => a + b, 0)).toBeCloseTo(1);
});

test('on a turned pack the bank is where it lies, or is refused where it goes round the end', () => {
  const bank = bankOf(hearts, 13);
  const home = packWith(bank);
  for (let offset = 0; offset < 52; offset++) {
    const now = cut(home, offset);
    const places = hearts.map((each) => placeOf(now, each) ?? 0);
    const wraps = Math.max(...places) - Math.min(...places) > 12;
    // Every other size in every turn: each size comes with every other turn.
    for (let size = 1 + (offset % 2); size < 52; size += 2) {
      const outcome = reckonBankPacket(now, bank, size);
      if (wraps) {
        expect(refused(outcome)).toContain('goes on at the top');
        continue;
      }
      const face = now[size - 1];
      const { answer, marks } = of(outcome);
      if (hearts.includes(face)) expect(answer).toBe(`The card is ${showCard(face)}`);
      else expect(answer).toMatch(size < Math.min(...places) ? /^Too small/ : /^Too large/);
      for (const { place, mark } of marks) if (mark === 'bank') expect(hearts).toContain(now[place - 1]);
    }
    // The selection lies below the bank's last card, wherever that is.
    const selection = now[placeOf(now, hearts[12]) === 52 ? 0 : (placeOf(now, hearts[12]) ?? 0)];
    for (let count = 1; count <= 52; count++) {
      const face = now[count - 1];
      if (!hearts.includes(face)) continue;
      const reckoning = of(reckonCountDown(now, bank, face));
      const after = cut(now, count);
      expect(reckoning.answer).toBe(`The selection lies at ${placeOf(after, selection) ?? 0}`);
      expect(done(now, reckoning)).toEqual(after);
      for (const { place, mark } of reckoning.marks)
        if (mark === 'bank') expect(hearts).toContain(now[place - 1]);
    }
  }
});

test('a loose bank is counted as it lies, and the range is told where a group is free', () => {
  const groups = ['7C', '7D', '7H', '8C', '8D', '8H', '9C', '9D', '9H'].map(card);
  const bank: Bank = { cards: groups, places: groups.map((_, index) => index + 21), loose: true };
  for (let seed = 1; seed <= 30; seed++) {
    // Each group in another order than the bank's list has it.
    const laid = [0, 3, 6].flatMap((at) => shuffled(groups.slice(at, at + 3), seededRng(seed + at)));
    const now = packWith({ ...bank, cards: laid });
    for (const [index, face] of laid.entries()) {
      const { answer, notes } = of(reckonCountDown(now, bank, face));
      const left = 8 - index;
      expect(answer).toBe(`The selection lies at ${left + 1}`);
      const [least, most] = [8 - (index - (index % 3) + 2) + 1, 8 - (index - (index % 3)) + 1];
      expect(notes.at(-1)).toBe(`In whichever order its group lies: from ${least} to ${most}.`);
    }
  }
});

test('a second copy that lies outside the bank is no card of it', () => {
  const bank = bankOf(hearts, 20);
  const now = [...packWith(bank), secondOf(hearts[4])];
  expect(of(reckonCountDown(now, bank, secondOf(hearts[4]))).answer).toContain('cut once more');
  expect(of(reckonCountDown(now, bank, hearts[4])).answer).toBe('The selection lies at 9');
});

describe('the next two ranks', () => {
  test('the digit sum ends where counting does, for every count', () => {
    for (const { count, originalPosition } of digits.rows)
      expect(digitSumPlace(count)).toBe(originalPosition);
    for (let count = 1; count <= 52; count++) {
      const counted = deal(tidemark, count).slice(0, count);
      const sum = [...String(count)].reduce((total, digit) => total + Number(digit), 0);
      expect(cardAt(tidemark, digitSumPlace(count))).toBe(counted[sum - 1]);
    }
  });

  test('for every pair of ranks: the size, and whether it ends on the prepared place', () => {
    for (const first of RANKS)
      for (const second of RANKS) {
        const reckoning = of(reckonNextRanks(tidemark, first, second, 10));
        const count = first + second;
        expect(summed(reckoning)).toBe(digitSumPlace(count));
        expect(reckoning.answer.includes('not at 10')).toBe(count < 10 || count > 19);
      }
    expect(refused(reckonNextRanks(tidemark.slice(0, 12), 13, 13, 10))).toContain('more than can be cut');
  });

  test('on a counting run the ranks are right for every cut that shows two of them', () => {
    const run = countingRun(14, 8, 4) as Card[];
    const now = packWith(bankOf(run, 14));
    for (let count = 14; count <= 20; count++) {
      const [a, b] = [rankOf(now[count]), rankOf(now[count + 1])] as [Rank, Rank];
      expect(a + b).toBe(count);
      expect(of(reckonNextRanks(now, a, b, 10)).notes[0]).toContain('do come next');
    }
  });
});

test('the composed card of the worked examples, and of every cut', () => {
  for (const row of composed.rows) {
    const { known } = of(reckonComposedCard(rotating, card(row.first)));
    const facts = Object.fromEntries(known.map(({ words, value, card: shown }) => [words, shown ?? value]));
    expect(facts['Next']).toBe(card(row.second));
    expect(facts['rank then suit']).toBe(card(row.rankThenSuit));
    expect(facts['suit then rank']).toBe(card(row.suitThenRank));
    expect(known.filter(({ words }) => words === '… lies at').map(({ value }) => value)).toEqual([12, 12]);
  }
  for (const first of tidemark) {
    const reckoning = of(reckonComposedCard(tidemark, first));
    const after = done(tidemark, reckoning);
    expect(after[0]).toBe(first);
    sumHolds(reckoning);
    const named = cardOf(rankOf(first) as Rank, suitOf(after[1]) as Suit);
    if (after.indexOf(named) > 1)
      expect(reckoning.answer).toContain(`lies ${after.indexOf(named) - 1} from the top`);
  }
  expect(of(reckonComposedCard([52, ...tidemark], 52)).answer).toContain('joker');
  expect(refused(reckonComposedCard(tidemark, 52))).toContain('not in this pack');
});

test('neighbours to missing cards: every gap of one or two in every turn, as enumeration has it', () => {
  for (const order of [tidemark, mirrored])
    for (let turn = 0; turn < 52; turn += 13) {
      const now = cut(order, turn);
      for (const count of [1, 2] as const)
        for (let place = 2; place + count <= 52; place++) {
          const [above, below] = [now[place - 2], now[place + count - 1]];
          const reckoning = of(reckonGap(now, above, below));
          const { known, notes } = reckoning;
          const missing = known.filter(({ words }) => words === 'Missing').map((each) => each.card);
          expect(missing).toEqual(now.slice(place - 1, place - 1 + count));
          sumHolds(reckoning);
          expect(done(now, reckoning)).toEqual(now.filter((each) => !missing.includes(each)));
          const deduced = deduce(now, [{ kind: 'gap', above, below, count }]);
          expect(deduced?.out.map(({ value }) => value).sort()).toEqual([...missing].sort());
          const look = notes.find((note) => note.includes('look through from the top'));
          expect(look !== undefined).toBe(order === mirrored);
          if (look === undefined) continue;
          // Named as they are met, one right behind the other, in the pack parted at the gap.
          const parted = cut(done(now, reckoning), place - 1);
          const met = [...look.matchAll(/(?:10|[2-9AJQK])[♣♦♥♠]/g)].map(([text]) =>
            parted.indexOf(parseCard(text) ?? -1),
          );
          const [from] = met;
          expect(met).toEqual(met.map((_, index) => from + index));
        }
    }
  expect(refused(reckonGap(tidemark, tidemark[3], tidemark[4]))).toContain('nothing is missing');
  expect(refused(reckonGap(tidemark, tidemark[3], tidemark[9]))).toContain('5 cards lie between');
  expect(refused(reckonGap(tidemark, 3, 3))).toContain('same card');
  expect(refused(reckonGap(tidemark, 52, 3))).toContain('X1 is not');
});

test('a short group: every missing card of a pack, and three cards that lead to it on top', () => {
  for (const missing of tidemark) {
    const [rank, suit] = [rankOf(missing) as Rank, suitOf(missing) as Suit];
    const now = tidemark.filter((each) => each !== missing);
    const seen = SUITS.filter((each) => each !== suit);
    const reckoning = of(reckonShortGroup(now, rank, seen));
    expect(reckoning.known[0].card).toBe(missing);
    const [colour, ranked, suited] = done(now, reckoning);
    expect(new Set([colour, ranked, suited]).size).toBe(3);
    expect([1, 2].includes(suitOf(colour) as number)).toBe(![1, 2].includes(suit));
    expect(rankOf(ranked)).toBe(rank);
    expect(suitOf(suited)).toBe(suit);
    // Told with the card still in the pack on the screen it is the same, and the card is taken out.
    expect(done(tidemark, of(reckonShortGroup(tidemark, rank, seen)))).toEqual(done(now, reckoning));
  }
  expect(of(reckonShortGroup(tidemark, 7, [0, 1])).answer).toBe('One of 7♥ 7♠');
  expect(refused(reckonShortGroup(tidemark, 7, [0, 1, 2, 3]))).toContain('All four');
  expect(refused(reckonShortGroup([0, 13], 7, [0, 1, 2]))).toContain('lacks a card');
  // Without another card of the suit its mate stands for it.
  expect(pointersTo([cardOf(7, 1), cardOf(7, 3), cardOf(9, 2), mateOf(cardOf(7, 1))], cardOf(7, 0))).toEqual({
    otherColour: cardOf(9, 2),
    sameRank: cardOf(7, 1),
    sameSuit: cardOf(7, 3),
  });
  expect(toTheTop(tidemark, [tidemark[0], tidemark[5]]).reduce(applyMove, tidemark).slice(0, 2)).toEqual([
    tidemark[0],
    tidemark[5],
  ]);
});

test.each([1, 2])('a short group: its other three are loaded as one chooses (%i)', (load) => {
  for (const seed of [1, 2, 3])
    for (const suit of SUITS) {
      const missing = cardOf(12, suit);
      const now = shuffled(numberOrder(), seededRng(seed));
      const reckoning = of(
        reckonShortGroup(
          now,
          12,
          SUITS.filter((each) => each !== suit),
          load,
        ),
      );
      const top = done(now, reckoning).slice(0, 3);
      expect(top.map((card) => rankOf(card))).toEqual([12, 12, 12]);
      expect(top).not.toContain(missing);
      if (load === 2) expect(top[2]).toBe(mateOf(missing));
      // As they lay, so that the hands need not turn them about.
      else expect(top).toEqual(now.filter((card) => rankOf(card) === 12 && card !== missing));
    }
});

describe('a key card and a bank under riffles', () => {
  const bank = bankOf(hearts, 20);
  const now = packWith(bank);

  const use = (side: 'below' | 'above') => ({ side, spread: 6, deal: { about: 9, within: 3 } });

  test('the next bank card above every key, and below it', () => {
    for (const [index, key] of now.entries()) {
      const above = now.slice(0, index).filter((each) => hearts.includes(each));
      const below = now.slice(index + 1).filter((each) => hearts.includes(each));
      for (const [side, card] of [
        ['above', above.at(-1)],
        ['below', below.at(0)],
      ] as const) {
        expect(nextBankCard(now, hearts, key, side)).toBe(card);
        const outcome = reckonKeyCard(now, bank, key, 1, [], use(side));
        if (card === undefined) expect(refused(outcome)).toContain('No bank card');
        else if (index > 0) expect(of(outcome).answer).toContain(`is ${showCard(card)}`);
      }
    }
  });

  test('dealt one by one: the key, dealt first, lies right above theirs, and theirs is the next towards the face', () => {
    const first: Order = [...hearts, ...now.filter((each) => !hearts.includes(each))];
    const bankOnTop = { cards: hearts, places: hearts.map((_, index) => index + 1) };
    const [key] = hearts;
    // Nothing is dealt yet: no card is named, and none is right.
    expect(of(reckonKeyCard(first, bankOnTop, key, 2, [])).answer).toBe(
      `Theirs will be the next bank card below ${showCard(key)}, towards the face`,
    );
    for (let count = 2; count <= 12; count++) {
      const theirs = first[count];
      const dealt = deal(first, count);
      expect(dealt[placeOf(dealt, key) ?? 0]).toBe(theirs);
      const { answer } = of(reckonKeyCard(dealt, bankOnTop, key, 2, []));
      expect(answer).toBe(
        `The next bank card below ${showCard(key)}, towards the face, is ${showCard(theirs)}`,
      );
    }
    // Where they stop past the bank it misses; the key itself is never theirs.
    const chances = cutChances(52, 3, 9);
    const missed = chances.slice(13).reduce((sum, chance) => sum + chance, 0);
    expect(dealtOutside(first, hearts, { about: 9, within: 3 })).toBeCloseTo(missed, 12);
    // The chance: a second count that deals and riffles by moves.
    const tried = keyCardTry(first, bankOnTop, key, use('below'));
    const counter = keyCardCounter({ ...tried, riffles: 2 }, seededRng(5));
    counter?.run(20_000);
    const rng = seededRng(6);
    let hits = 0;
    for (let round = 0; round < 4000; round++) {
      let left = rng();
      const count = chances.findIndex((chance) => (left -= chance) < 0);
      const theirs = first[count];
      let pack: Order = deal(first, count);
      for (let riffle = 0; riffle < 2; riffle++)
        pack = applyMove(pack, { kind: 'riffle', seed: Math.floor(rng() * 1e9) });
      const behind = pack.slice(pack.indexOf(key) + 1).find((each) => hearts.includes(each));
      if (behind === theirs) hits++;
    }
    const [, twice] = counter?.read() ?? [];
    expect(Math.abs(twice.share - hits / 4000)).toBeLessThan(0.03);
    // Towards the top it would be right almost never.
    const wrongWay = keyCardCounter({ ...tried, side: 'above', riffles: 2 }, seededRng(5));
    expect(wrongWay).toBeUndefined();
  });

  describe('agrees with the whole handling done by moves, as often as both can tell', () => {
    const [key] = hearts;
    const onTop: Order = [...hearts, ...now.filter((each) => !hearts.includes(each))];
    const chances = cutChances(52, 3, 9);
    const stop = (rng: Rng): number => {
      let left = rng();
      return chances.findIndex((chance) => (left -= chance) < 0);
    };
    /** They deal, look at the next card, and drop what they dealt on it. */
    const dealt = (rng: Rng): readonly [theirs: Card, pack: Order] => {
      const count = stop(rng);
      return [onTop[count], deal(onTop, count)];
    };
    /** They cut in the bank and look at the card there; the key goes on it, or under it. */
    const lying = (side: 'below' | 'above'): Order => {
      const pack = now.filter((each) => each !== key);
      const theirs = pack.indexOf(hearts[6]);
      const at = side === 'below' ? theirs : theirs + 1;
      return [...pack.slice(0, at), key, ...pack.slice(at)];
    };
    const tries = 3000;
    test.each<
      readonly [string, 'below' | 'above', Omit<KeyCardTry, 'riffles'>, (rng: Rng) => readonly [Card, Order]]
    >([
      [
        'dealt, towards the face',
        'below',
        keyCardTry(onTop, { cards: hearts, places: hearts.map((_, at) => at + 1) }, key, use('below')),
        dealt,
      ],
      [
        'cut, towards the face',
        'below',
        keyCardTry(lying('below'), bank, key, use('below')),
        () => [hearts[6], lying('below')],
      ],
      [
        'cut, towards the top',
        'above',
        keyCardTry(lying('above'), bank, key, use('above')),
        () => [hearts[6], lying('above')],
      ],
    ])('%s', (_, side, tried, begin) => {
      const counter = keyCardCounter({ ...tried, riffles: 3 }, seededRng(5));
      counter?.run(20_000);
      const told = counter?.read() ?? [];
      const rng = seededRng(6);
      const hits = [0, 0, 0];
      for (let round = 0; round < tries; round++) {
        const [theirs, first] = begin(rng);
        let pack: Order = first;
        for (let riffle = 0; riffle < 3; riffle++) {
          pack = applyMove(pack, { kind: 'riffle', seed: Math.floor(rng() * 1e9) });
          const at = pack.indexOf(key);
          const towards = side === 'below' ? pack.slice(at + 1) : pack.slice(0, at).reverse();
          if (towards.find((each) => hearts.includes(each)) === theirs) hits[riffle]++;
        }
      }
      expect(told).toHaveLength(3);
      for (const [riffle, { share, low, high }] of told.entries()) {
        const found = hits[riffle] / tries;
        // Its own interval, and four times what so many tries waver.
        const wavers = 4 * Math.sqrt((share * (1 - share)) / tries);
        expect(found).toBeGreaterThan(low - wavers);
        expect(found).toBeLessThan(high + wavers);
        expect(high - low).toBeLessThan(0.02);
      }
    });
  });

  test('what is tried agrees with every riffle of a small pack, within its interval', () => {
    const small = [0, 26, 27, 28, 1, 2, 3, 29];
    const smallBank = [26, 27, 28, 29];
    // Every one of the 2^8 ways to riffle is as likely: each card draws a bit, those with the first bit go above.
    let hits = 0;
    for (let bits = 0; bits < 256; bits++) {
      const upper = small.map((_, index) => (bits >> index) & 1);
      let [top, bottom] = [0, upper.filter(Boolean).length];
      const after = upper.map((bit) => small[bit ? top++ : bottom++]);
      if (nextBankCard(after, smallBank, 2, 'above') === nextBankCard(small, smallBank, 2, 'above')) hits++;
    }
    const tried = { now: small, bank: smallBank, key: 2, side: 'above', riffles: 3 } as const;
    const counter = keyCardCounter(tried, seededRng(11));
    counter?.run(20_000);
    const [once, twice] = counter?.read() ?? [];
    expect(hits / 256).toBeGreaterThan(once.low - 0.005);
    expect(hits / 256).toBeLessThan(once.high + 0.005);
    expect(once.high - once.low).toBeLessThan(0.02);
    expect(twice.share).toBeLessThan(once.share);
    expect(keyCardCounter({ ...tried, key: 0 }, seededRng(1))).toBeUndefined();
  });

  test('a stop outside the bank: counted over the stops, and least with the bank about the middle', () => {
    for (const [size, length, spread] of [
      [52, 13, 6.5],
      [30, 8, 4],
      [52, 26, 12],
    ]) {
      const outside = stopsOutside(size, length, spread);
      const chances = cutChances(size, spread);
      for (const [front, chance] of outside.entries()) {
        const places = Array.from({ length }, (_, index) => front + index + 1);
        const missed = chances.filter((_, stop) => !places.includes(stop)).reduce((a, b) => a + b, 0);
        expect(chance).toBeCloseTo(missed, 10);
      }
      const best = outside.indexOf(Math.min(...outside));
      expect(Math.abs(best - (size - length) / 2)).toBeLessThanOrEqual(1);
    }
    const { known, notes } = of(reckonKeyCard(now, bank, now[30], 1, [], use('below')));
    expect(known.find(({ words }) => words === 'A cut misses the bank')?.value).toBe(
      `${(stopsOutside(52, 13, 6)[20] * 100).toFixed(1)} %`,
    );
    expect(notes.at(-1)).toMatch(/^A cut about the middle, within 6, misses the bank .* times in 100/);
    // Where the bank goes round the end there is no number of cards in front of it.
    const round = cut(now, 26);
    expect(of(reckonKeyCard(round, bank, round[20], 1, [])).notes).toEqual(['Riffling packs …']);
  });

  test('the interval is Wilson’s', () => {
    // 10 of 20: centre 0.5, half-width 0.2007.
    expect(estimate(10, 20).low).toBeCloseTo(0.2993, 3);
    expect(estimate(0, 50)).toMatchObject({ share: 0, low: 0 });
    expect(estimate(0, 0)).toMatchObject({ low: 0, high: 1 });
    const [first] = [estimate(900, 1000)];
    expect(of(reckonKeyCard(now, bank, now[30], 1, [first])).notes[0]).toContain('90.0 times in 100');
    expect(refused(reckonKeyCard(now, bank, 52, 1, []))).toContain('not in this pack');
  });
});

test('dealt back and dealt again: every place, any rounds', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 52 }),
      fc.array(fc.integer({ min: 1, max: 52 }), { minLength: 1, maxLength: 5 }),
      (place, counts) => {
        const wanted = tidemark[place - 1];
        const reckoning = of(reckonDealtBack(tidemark, wanted, counts));
        const after = counts.reduce(deal, tidemark);
        expect(placesAfterDeals(place, counts, 52).at(-1)).toBe(placeOf(after, wanted));
        expect(done(tidemark, reckoning)).toEqual(after);
        expect(reckoning.answer).toBe(`${showCard(wanted)} ends at ${placeOf(after, wanted) ?? 0}`);
      },
    ),
  );
  expect(of(reckonDealtBack(tidemark, 0, [9, 9])).notes[1]).toContain('puts everything back');
  expect(refused(reckonDealtBack(tidemark, 0, []))).toContain('No count');
  expect(refused(reckonDealtBack(tidemark, 0, [60]))).toContain('60 cannot be counted');
  expect(refused(reckonDealtBack(tidemark, 52, [3]))).toContain('not in this pack');
});

describe('a pack thought shuffled', () => {
  /** How likely each card is the moved one, by riffling and moving in every way there is. */
  const byTrying = (size: number, now: Order, cutting: boolean): number[] => {
    const home = Array.from({ length: size }, (_, index) => index);
    const turns = cutting ? size - 1 : 1;
    return home.map((moved) => {
      const rest = home.filter((each) => each !== moved);
      const wanted = now.filter((each) => each !== moved);
      let ways = 0;
      for (let begin = 0; begin < turns; begin++)
        for (let bits = 0; bits < 2 ** (size - 1); bits++) {
          const turned = cut(rest, begin);
          const upper = turned.map((_, index) => (bits >> index) & 1);
          let [top, bottom] = [0, upper.filter(Boolean).length];
          const riffled = upper.map((bit) => turned[bit ? top++ : bottom++]);
          for (let after = 0; after < turns; after++)
            if (cut(riffled, after).every((each, index) => each === wanted[index])) ways++;
        }
      return ways;
    });
  };

  test('on a small pack the chances are those of trying every riffle, with and without cuts', () => {
    const size = 6;
    for (const cutting of [false, true])
      for (let seed = 1; seed <= 12; seed++) {
        const rng = seededRng(seed);
        const home = Array.from({ length: size }, (_, index) => index);
        const riffled = applyMove(home, { kind: 'riffle', seed });
        const turned = cutting ? cut(riffled, Math.floor(rng() * size)) : riffled;
        const from = Math.floor(rng() * size);
        const out = turned.filter((_, index) => index !== from);
        const to = Math.floor(rng() * size);
        const now = [...out.slice(0, to), turned[from], ...out.slice(to)];
        const tried = byTrying(size, now, cutting);
        const total = tried.reduce((a, b) => a + b, 0);
        const suspects = movedCards(home, now, 1, cutting);
        for (const moved of home)
          expect(suspects.find((each) => each.card === moved)?.chance ?? 0).toBeCloseTo(
            tried[moved] / total,
            9,
          );
      }
  });

  test('a card moved far after one riffle is found, most of the time at the head of the list', () => {
    let first = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const riffled = applyMove(tidemark, { kind: 'riffle', seed });
      const moved = riffled[10];
      const now = applyMove(riffled, { kind: 'move packet', from: 11, to: 11, after: 38, reversed: false });
      const suspects = movedCards(tidemark, now, 1, false);
      expect(suspects.map((each) => each.card)).toContain(moved);
      expect(suspects.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1);
      if (suspects[0].card === moved) first++;
    }
    expect(first).toBeGreaterThan(50);
  });

  test('what is lacking is told', () => {
    expect(refused(reckonMovedCard(tidemark, tidemark.slice(2), 1, false))).toBe('50 of 52 cards are told.');
    const mixed = shuffled(tidemark, seededRng(8));
    expect(refused(reckonMovedCard(tidemark, mixed, 1, true))).toContain('No single moved card');
    const moved = applyMove(tidemark, { kind: 'move packet', from: 5, to: 5, after: 30, reversed: false });
    const { answer } = of(reckonMovedCard(tidemark, moved, 0, false));
    expect(answer).toBe(`${showCard(tidemark[4])} was moved, 100 % likely`);
    expect(movedCards(tidemark, numberOrder().slice(1), 1, false)).toEqual([]);
  });
});
