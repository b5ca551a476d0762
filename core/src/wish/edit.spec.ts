import { seededRng, shuffled } from '../deck/rng';
import { applyMove } from '../moves/move';
import { parseMovesText } from '../moves/moveText';
import { writeMove } from '../moves/writeMove';
import { FULL, KINDS, randomPack, randomWish } from '../../test/randomWish';
import { alike, exchangesBetween, placesChanged } from './changes';
import { checkWish, laidOf } from './checkWish';
import { partAt, picked, withPart } from './editWish';
import { homePlaces } from './homePlaces';
import { lookOf } from './look';
import { AROUND, innerOf, optionsOf } from './options';
import { lastUnderAndDown, WISH_GROUPS, WISH_PALETTE, wishesBegun } from './palette';
import { readWishes, wishProblem } from './readWishes';
import { sayWish } from './sayWish';
import { Wish } from './wish';

test('all that is offered is right for a pack of 52 and one of 20, and each kind but two is among it', () => {
  for (const size of [52, 20])
    for (const { make } of WISH_PALETTE) expect(wishProblem(make(size), size)).toBeUndefined();
  const offered = new Set(WISH_PALETTE.map(({ make }) => make(52).kind));
  // Which order and which procedure are chosen elsewhere.
  expect(KINDS.filter((kind) => !offered.has(kind))).toEqual(['near', 'procedure']);
  expect([...new Set(WISH_PALETTE.map(({ group }) => group))]).toEqual([...WISH_GROUPS]);
});

test('what one types finds what is offered, in any of its words', () => {
  expect(wishesBegun('nobody')[0].words).toContain('nobody sees');
  expect(wishesBegun('flush')[0].words).toContain('flush');
  expect(wishesBegun('MATES half')[0].words).toContain('mates half');
  expect(wishesBegun('')).toEqual([]);
  expect(wishesBegun('qqq')).toEqual([]);
});

test('the last card of an under-and-down deal, dealt out', () => {
  for (let size = 4; size <= 60; size++) {
    const pack = Array.from({ length: size }, (_, index) => index + 1);
    while (pack.length > 1) {
      pack.push(pack.shift() ?? 0);
      pack.shift();
    }
    expect(lastUnderAndDown(size)).toBe(pack[0]);
  }
});

test.each(KINDS)('%s: every option keeps it right, and turned twice it is as before', (kind) => {
  const rng = seededRng(5);
  for (let time = 0; time < 20; time++) {
    const wish = randomWish(rng, FULL, 1, kind);
    if (wishProblem(wish, 52)) continue;
    for (const option of optionsOf(wish)) {
      const turned = option.turn(wish, 52);
      // Two ends that were told may pass each other: that is said.
      const problem = wishProblem(turned, 52);
      if (problem) expect(problem.what).toMatch(/goes from|at least|more than/i);
      if (option.says.startsWith('one card')) continue;
      expect(option.isOn(turned)).toBe(!option.isOn(wish));
      expect(option.isOn(option.turn(turned, 52))).toBe(option.isOn(wish));
    }
  }
});

test('a wish that is put into another is told in one sentence', () => {
  const wish: Wish = { kind: 'colours alternate' };
  const said = AROUND.map(({ wrap }) => sayWish(wrap(wish)));
  expect(said[0]).toBe('At every cut: colours alternate');
  expect(said[1]).toBe('After out: colours alternate');
  for (const { wrap } of AROUND) expect(readWishes({ pack: FULL, wishes: [wrap(wish)] }).ok).toBe(true);
  expect(innerOf(AROUND[0].wrap(wish))).toBe(wish);
  expect(innerOf(wish)).toBeUndefined();
});

test('a part of a wish is changed where it stands, and nothing else', () => {
  const wish: Wish = {
    kind: 'some of',
    wishes: [{ kind: 'colours alternate' }, { kind: 'ranks step', step: 3 }],
  };
  expect(partAt(wish, ['wishes', 1, 'step'])).toBe(3);
  const changed = withPart(wish, ['wishes', 1, 'step'], 4);
  expect(changed).toEqual({
    kind: 'some of',
    wishes: [{ kind: 'colours alternate' }, { kind: 'ranks step', step: 4 }],
  });
  expect(wish.wishes[1]).toEqual({ kind: 'ranks step', step: 3 });
});

test('what is picked on the rail goes into the field, and out again', () => {
  const at = { place: 7, card: 'QH' };
  const side: Wish = { kind: 'side by side', cards: ['5H'] };
  const both = picked(side, ['cards'], 'cards', at);
  expect(both).toEqual({ kind: 'side by side', cards: ['5H', 'QH'] });
  expect(picked(both, ['cards'], 'cards', at)).toEqual(side);
  // Cards that stay where they lie: pressed once they are in it, pressed again they are out.
  const stay = picked({ kind: 'cards at', cards: ['AS'], places: [1] }, [], 'pairs', at);
  expect(stay).toEqual({ kind: 'cards at', cards: ['QH'], places: [7] });
  const two = picked(stay, [], 'pairs', { place: 3, card: '2C' });
  expect(two).toEqual({ kind: 'cards at', cards: ['QH', '2C'], places: [7, 3] });
  expect(picked(two, [], 'pairs', at)).toEqual({ kind: 'cards at', cards: ['2C'], places: [3] });
  expect(picked(two, [], 'pairs', { place: 7, card: 'KC' })).toMatchObject({
    cards: ['2C', 'KC'],
    places: [3, 7],
  });
  // The example that one begins with goes.
  expect(picked({ kind: 'side by side', cards: ['KH', 'QH'] }, ['cards'], 'cards', at)).toMatchObject({
    cards: ['QH'],
  });
  expect(picked({ kind: 'ranks add up', places: [1], makes: 5 }, ['places'], 'places', at)).toMatchObject({
    places: [1, 7],
  });
  expect(picked({ kind: 'cards at', cards: ['AS'], places: [1] }, ['places', 0], 'number', at)).toMatchObject(
    { places: [7] },
  );
  expect(picked({ kind: 'spaced', of: { suits: ['H'] }, least: 2 }, ['of'], 'class', at)).toMatchObject({
    of: { cards: ['QH'] },
  });
  expect(picked({ kind: 'at cuts', cuts: 'every', wish: side }, ['cuts'], 'cuts', at)).toMatchObject({
    cuts: [7],
  });
});

test('where a case lies in the order itself, behind cuts and moves', () => {
  const rng = seededRng(2);
  const order = shuffled(FULL, rng);
  const lies = (wish: Wish): void => {
    const inner: Wish = { kind: 'cards at', cards: ['AS'], places: [3] };
    const { cases } = checkWish(order, wish);
    for (const each of cases) {
      const [place] = homePlaces(wish, each, 52);
      // The case says which card lies there.
      expect(each.says).toBe(
        checkWish([order[place - 1], order[place - 1], order[place - 1], 'KS'], inner).cases[0].says,
      );
    }
  };
  lies({ kind: 'cards at', cards: ['AS'], places: [3] });
  lies({ kind: 'at cuts', cuts: [0, 5, 51], wish: { kind: 'cards at', cards: ['AS'], places: [3] } });
  lies({
    kind: 'after',
    moves: [
      { kind: 'weave', weave: 'in' },
      { kind: 'cut', count: 9 },
    ],
    wish: { kind: 'cards at', cards: ['AS'], places: [3] },
  });
});

test('exchanges make one order of the other, and are as few as its rings allow', () => {
  const rng = seededRng(8);
  for (let time = 0; time < 200; time++) {
    const pack = time % 2 === 0 ? FULL : randomPack(rng, 8);
    const [from, to] = [shuffled(pack, rng), shuffled(pack, rng)];
    const moves = exchangesBetween(from, to);
    const numbers = from.map((_, index) => index);
    const after = moves
      .reduce<readonly number[]>((now, move) => applyMove(now, move), numbers)
      .map((index) => from[index]);
    expect(laidOf(after).map(lookOf)).toEqual(laidOf(to).map(lookOf));
    expect(moves.length).toBeLessThan(Math.max(1, placesChanged(from, to).length));
  }
  expect(exchangesBetween(FULL, FULL)).toEqual([]);
});

test('an order like one is one of the same cards, and other by another seed', () => {
  expect([...alike(FULL, 3)].sort()).toEqual([...FULL].sort());
  expect(alike(FULL, 3)).toEqual(alike(FULL, 3));
  expect(alike(FULL, 3)).not.toEqual(alike(FULL, 4));
  expect(placesChanged(FULL, alike(FULL, 3)).length).toBeLessThanOrEqual(10);
});

test('every move that a wish may hold is written so that it is read again', () => {
  for (const text of [
    'out',
    'in 16',
    'unweave in',
    'weave 10 in',
    'unweave 10 out',
    'cut 12',
    'deal 9',
    'heaps 3 2 1 3',
    'exchange 3 20',
    'reverse 5 20',
  ]) {
    const { moves } = parseMovesText(
      text,
      FULL.map((_, index) => index),
    );
    expect(moves.map(writeMove).join(', ')).toBe(text);
  }
});
