import stacks from '../../../test/vectors/stacks.json';
import { of, refused, summed } from '../../../test/reckoned';
import { Card, secondOf } from '../../deck/card';
import { parseCard, showCard } from '../../deck/notation';
import { numberOrder, Order, placeOf } from '../../deck/order';
import { seededRng, shuffled } from '../../deck/rng';
import { cut } from '../../moves/cut';
import { applyMove } from '../../moves/move';
import { Reckoned } from '../reckoning';
import { lineCalls, LineSetup, LineTold, numberLine, reckonNumberLine } from './numberLine';

const tidemark = stacks.tidemark.map((name) => parseCard(name) as Card);
const setup: LineSetup = { lead: 20, decoys: 2, before: 10, easy: 3 };

const line = (told: LineTold, now: Order = tidemark): Reckoned =>
  reckonNumberLine(tidemark, now, setup, told);

test('the cards to call: from stack number k + lead downwards, for every key card', () => {
  for (let k = 1; k <= 52; k++) {
    const pack = cut(tidemark, k % 52);
    const calls = lineCalls(pack, setup);
    for (const { card, place } of calls) expect(pack[place - 1]).toBe(card);
    const row = calls.filter(({ decoy }) => !decoy);
    expect(row.map(({ card }) => card)).toEqual(
      Array.from({ length: 20 }, (_, index) => tidemark[(k + 20 - index - 1) % 52]),
    );
    const decoys = calls.filter(({ decoy }) => decoy);
    expect(decoys).toHaveLength(2);
    for (const { place } of decoys) expect(place > 20 && place < 52).toBe(true);
    const reckoning = of(line({ key: tidemark[k - 1] }));
    expect(summed(reckoning)).toBe(((k + 20 - 1) % 52) + 1);
    expect(reckoning.moves.reduce(applyMove, tidemark)).toEqual(pack);
    expect(reckoning.known.slice(3).map(({ card }) => card)).toEqual(row.map(({ card }) => card));
  }
});

test('every card called with every key lies at s − k, and every number on the line brings it there', () => {
  for (let k = 1; k <= 52; k += 3)
    // Every card comes with some key, above it and below.
    for (let s = 1 + (k % 2); s <= 52; s += 2) {
      const [key, stopped] = [tidemark[k - 1], tidemark[s - 1]];
      const place = s > k ? s - k : s - k + 52;
      for (const number of [1, 8, 20, 52]) {
        const reckoning = of(line({ key, stopped, number }));
        expect(reckoning.known[0]).toEqual({ words: `${showCard(stopped)} lies at`, value: place });
        const after = reckoning.moves.reduce(applyMove, tidemark);
        expect(after[number - 1]).toBe(stopped);
        const left = summed(reckoning);
        expect(Math.abs(left)).toBeLessThanOrEqual(26);
        expect(Math.abs((place - number - left) % 52)).toBe(0);
        expect(reckoning.sum.at(-1)?.words).toBe(
          left === 0 ? 'it is there' : left > 0 ? 'too deep' : 'too high',
        );
      }
    }
});

test('a card at 17, and what the hands do for the numbers about it', () => {
  const key = tidemark[51];
  const stopped = tidemark[16];
  const { answer, notes, known } = of(line({ key, stopped }));
  expect(answer).toBe('Run up a line from 1 to 20; say “stop when you like” from 7 on');
  expect(notes[0]).toBe('Stopped from 14 to 20, at most 3 cards move.');
  expect(known.find(({ words }) => words === '15')?.value).toBe('2 ↓');
  const says = (number: number): string => of(line({ key, stopped, number })).answer;
  expect(says(15)).toBe('Move 2 cards from top to bottom while you square the pack up');
  expect(says(17)).toBe('Nothing to do: it lies there');
  expect(says(18)).toBe('Leave the bottom card on the table when you pick the pack up, and drop it on top');
  expect(says(19)).toBe(
    'Leave the bottom 2 cards on the table when you pick the pack up, and drop them on top',
  );
});

test('without a stack: behind the cards below the key, at every number of the line', () => {
  const pack = shuffled(numberOrder(), seededRng(4));
  for (let below = 0; below < 40; below++) {
    const key = pack[30];
    const cutThere = cut(pack, 31);
    const selection = cutThere[below];
    for (const number of [1, 13, 52]) {
      const reckoning = of(reckonNumberLine(tidemark, pack, setup, { key, below, number }));
      expect(reckoning.moves.reduce(applyMove, pack)[number - 1]).toBe(selection);
      expect(reckoning.known[0]).toEqual({ words: 'The selection lies at', value: below + 1 });
      summed(reckoning);
    }
  }
});

test('the range that is easy is where the cards to move are few, and the line ends where the card is or the lead', () => {
  for (const size of [4, 9, 30, 52, 60])
    for (let place = 1; place <= size; place++) {
      const { stops, end, easy, invite } = numberLine(place, size, setup);
      expect(stops).toHaveLength(end);
      expect(end).toBe(Math.min(size, Math.max(20, place)));
      expect(invite).toBe(Math.max(1, place - 10));
      for (let number = easy.from; number <= easy.to; number++) expect(stops[number - 1].easy).toBe(true);
      if (size === 52 && place <= 40)
        expect(stops.filter((each) => each.easy)).toHaveLength(easy.to - easy.from + 1);
    }
});

test('second copies, a pack out of step, and what cannot be', () => {
  const double = [...tidemark, secondOf(tidemark[4])];
  // Both copies were called, the deeper one in the row first.
  const home = [...double.slice(1), double[0]];
  const both = reckonNumberLine(home, home, setup, { stopped: tidemark[4] });
  expect(of(both).known[0].value).toBe(4);
  const near = [secondOf(tidemark[4]), ...tidemark];
  expect(of(reckonNumberLine(near, near, setup, { stopped: tidemark[4] })).known[0].value).toBe(6);
  const mixed = shuffled(tidemark, seededRng(1));
  const calls = of(line({}, mixed));
  expect(calls.notes.at(-1)).toContain('out of step');
  expect(calls.known.at(-1)?.card).toBe(mixed[0]);
  expect(refused(line({ key: 52 }))).toContain('X1 is not in this pack');
  expect(refused(line({ stopped: 52 }))).toContain('X1 is not in this pack');
  expect(refused(line({ stopped: 3, number: 53 }))).toContain('52 cards');
  expect(refused(line({ below: 52 }))).toContain('Fewer than 52');
  expect(refused(reckonNumberLine([3], [3], setup, {}))).toContain('too small');
  // The key itself was called: it lies at the face, beyond the line.
  expect(of(line({ key: tidemark[9], stopped: tidemark[9] })).known[0].value).toBe(52);
  expect(placeOf(tidemark, tidemark[9])).toBe(10);
});
