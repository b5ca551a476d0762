import { numberOrder, Order } from '../../deck/order';
import { seededRng, shuffled } from '../../deck/rng';
import { applyMove, Move, parseMove } from '../../moves/move';
import { restore, restoring } from './restoring';

/** Every move that `restore` may make, from the text: cuts, blocks moved, reversed or both, two cards exchanged. */
const everyMove = (size: number): readonly Move[] => {
  const moves: Move[] = [];
  for (let from = 1; from <= size; from++)
    for (let to = from; to <= size; to++) {
      if (from < to) moves.push({ kind: 'reverse packet', from, to });
      if (from < to) moves.push({ kind: 'swap cards', one: from, other: to });
      for (let after = 0; after <= size; after++)
        if (after < from - 1 || after > to)
          for (const reversed of [false, true])
            moves.push({ kind: 'move packet', from, to, after, reversed });
    }
  return moves;
};

/** How many moves each pack is from one of the goals, by trying all of them. */
const distances = (goals: readonly Order[], size: number): ReadonlyMap<string, number> => {
  const moves = everyMove(size);
  const far = new Map(goals.map((goal) => [goal.join(), 0]));
  let front = goals;
  for (let distance = 1; front.length > 0; distance++) {
    const next: Order[] = [];
    for (const pack of front)
      for (const move of moves) {
        const after = applyMove(pack, move);
        if (far.has(after.join())) continue;
        far.set(after.join(), distance);
        next.push(after);
      }
    front = next;
  }
  return far;
};

const rotations = (home: Order): readonly Order[] =>
  home.map((_, turn) => [...home.slice(turn), ...home.slice(0, turn)]);

const cardsOf = (text: string): Order => text.split(',').map(Number);

test.each([
  ['to the order itself', 6, false],
  ['to any rotation of it', 6, true],
])('of every pack of six the way %s is the shortest there is', (_, size, rotated) => {
  const home = numberOrder().slice(0, size);
  const far = distances(rotated ? rotations(home) : [home], size);
  expect(far.size).toBe(720);
  for (const [text, distance] of far) {
    const now = cardsOf(text);
    const { moves, bound, shortest } = restoring(now, home, { rotated });
    const end = moves.reduce(applyMove, now);
    expect(rotated ? rotations(home).map(String) : [String(home)]).toContain(String(end));
    expect([text, moves.length, shortest, bound <= distance]).toEqual([text, distance, true, true]);
  }
});

test('of every pack of seven the bound holds, and what is called the shortest is', () => {
  const home = numberOrder().slice(0, 7);
  const far = distances([home], 7);
  expect(far.size).toBe(5040);
  for (const [text, distance] of far) {
    const { moves, bound, shortest } = restoring(cardsOf(text), home);
    expect([text, bound <= distance, moves.length >= distance]).toEqual([text, true, true]);
    if (shortest) expect([text, moves.length]).toEqual([text, distance]);
  }
});

test.each([52, 53, 41])('up to four random moves of %i cards take no more to take back', (size) => {
  const home = shuffled([...numberOrder(), 53], seededRng(7)).slice(0, size);
  const moves = everyMove(size);
  const draw = seededRng(size);
  for (let round = 0; round < 60; round++) {
    const made = round % 5;
    let now: Order = home;
    for (let each = 0; each < made; each++) now = applyMove(now, moves[Math.floor(draw() * moves.length)]);
    const { moves: back, shortest } = restoring(now, home);
    expect(back.reduce(applyMove, now)).toEqual(home);
    expect(back.length).toBeLessThanOrEqual(made);
    if (back.length <= 3) expect(shortest).toBe(true);
    for (const move of back) expect(parseMove(structuredClone(move)).ok).toBe(true);
  }
});

test('a shuffled pack comes home in 26 moves at most, and the bound is a good one', () => {
  const home = numberOrder();
  for (const seed of [1, 2, 3]) {
    const now = shuffled(home, seededRng(seed));
    const { moves, bound, shortest } = restoring(now, home);
    expect(moves.reduce(applyMove, now)).toEqual(home);
    expect(moves.length).toBeLessThanOrEqual(26);
    expect(bound).toBeGreaterThanOrEqual(15);
    expect(shortest).toBe(false);
  }
});

test('a pack that is home, or cut where any rotation will do, needs nothing; others are refused', () => {
  const home = numberOrder();
  const cut = applyMove(home, { kind: 'cut', count: 20 });
  expect(restore(home, home)).toEqual([]);
  expect(restore(cut, home)).toEqual([{ kind: 'cut', count: 32 }]);
  expect(restoring(cut, home, { rotated: true })).toEqual({ moves: [], bound: 0, shortest: true });
  expect(restore([], [])).toEqual([]);
  expect(() => restore(home.slice(1), home)).toThrow(RangeError);
  expect(() => restore([...home.slice(1), home[1]], home)).toThrow(RangeError);
});
