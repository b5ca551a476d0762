import { randomInt, Rng, seededRng, shuffled } from '../deck/rng';
import { FACE_UP } from './run';
import { MOST_CARDS, TableFull } from './packets';
import { Table } from './table';

/** The same table as plain lists of cards, those that lie face up marked. */
class PlainTable {
  constructor(readonly packets: number[][]) {}

  lift(from: number, count: number, onto: number, dealt: boolean): void {
    const moved = this.packets[from].splice(0, count);
    this.packets[onto].unshift(...(dealt ? moved.reverse() : moved));
  }

  liftOver(from: number, count: number, onto: number): void {
    this.lift(from, count, onto, false);
    this.turn(onto);
  }

  putUnder(packet: number, other: number): void {
    this.packets[other].push(...this.packets[packet].splice(0));
  }

  cut(packet: number, count: number): void {
    this.packets[packet].push(...this.packets[packet].splice(0, count));
  }

  turn(packet: number): void {
    this.packets[packet] = this.packets[packet].map((card) => card ^ FACE_UP).reverse();
  }

  turnCard(packet: number, place: number): void {
    this.packets[packet][place - 1] ^= FACE_UP;
  }

  take(from: number, place: number, onto: number): void {
    this.packets[onto].unshift(...this.packets[from].splice(place - 1, 1));
  }

  insert(packet: number, into: number, place: number): void {
    this.packets[into].splice(place - 1, 0, ...this.packets[packet].splice(0, 1));
  }

  dealRound(from: number, count: number, onto: readonly number[]): void {
    this.packets[from]
      .splice(0, count)
      .forEach((card, index) => this.packets[onto[index % onto.length]].unshift(card));
  }

  arrange(packet: number, from: (index: number, size: number) => number): void {
    const cards = this.packets[packet];
    this.packets[packet] = cards.map((_, index) => cards[from(index, cards.length)]);
  }
}

type Doing = (table: Table | PlainTable) => void;

/** Something that can be done to packets of these sizes. */
const anything = (sizes: readonly number[], rng: Rng): Doing => {
  const [one, other, third] = shuffled([...sizes.keys()], rng);
  const size = sizes[one];
  const count = randomInt(rng, size + 1);
  const place = 1 + randomInt(rng, Math.max(1, size));
  const doings: Doing[] = [
    (table) => table.lift(one, count, other, false),
    (table) => table.lift(one, count, other, true),
    (table) => table.liftOver(one, count, other),
    (table) => table.lift(one, size, other, false),
    (table) => table.putUnder(one, other),
    (table) => table.cut(one, count),
    (table) => table.turn(one),
    (table) => table.dealRound(one, count, [other, third]),
    (table) => table.dealRound(one, size, [other]),
    (table) =>
      table.arrange(
        one,
        (index, all) => ((index * 7 + 3) % Math.max(1, all % 7 === 0 ? all + 1 : all)) % all,
      ),
    (table) => table.arrange(one, (index, all) => all - 1 - index),
  ];
  if (size > 0)
    doings.push(
      ...Array<Doing>(3).fill((table) => table.turnCard(one, place)),
      ...Array<Doing>(3).fill((table) => table.take(one, place, other)),
      (table) => table.insert(one, other, 1 + (place % (sizes[other] + 1))),
    );
  return doings[randomInt(rng, doings.length)];
};

const written = (table: Table, packet: number): number[] => {
  const bytes = new Uint8Array(MOST_CARDS);
  return [...bytes.subarray(0, table.write(packet, bytes, 0))];
};

test.each([
  [3, 12, 300, 40],
  [4, 52, 400, 12],
  [3, 85, 3000, 2],
  [5, 4, 200, 40],
])(
  '%i packets of %i cards: %i things done one after the other, as with plain lists',
  (packets, cards, steps, tables) => {
    for (let seed = 1; seed <= tables; seed++) {
      const rng = seededRng(seed * packets);
      const start = Array.from({ length: packets }, (_, packet) =>
        Array.from(
          { length: packet === packets - 1 && cards > 60 ? 20 : cards },
          (_, index) => (packet * cards + index) % 128,
        ),
      );
      const [table, plain] = [new Table(start), new PlainTable(start.map((each) => [...each]))];
      for (let step = 0; step < steps; step++) {
        const does = anything(
          plain.packets.map(({ length }) => length),
          rng,
        );
        does(table);
        does(plain);
        if (step % 20 > 0) continue;
        const seen = start.map((_, packet) => written(table, packet));
        expect([seed, step, seen]).toEqual([seed, step, plain.packets]);
        expect([...table.sizes]).toEqual(plain.packets.map(({ length }) => length));
      }
      // What is looked up is what was written.
      const wrong = plain.packets.flatMap((all, packet) => [
        ...all.flatMap((card, index) =>
          table.cardAt(packet, index + 1) === (card & 127) &&
          table.isFaceUp(packet, index + 1) === card >= FACE_UP
            ? []
            : [[packet, index]],
        ),
        ...all.flatMap((card) =>
          table.placeOf(packet, card & 127) === all.findIndex((each) => (each & 127) === (card & 127)) + 1
            ? []
            : [card],
        ),
        ...(table.faceUpIn(packet) === all.filter((card) => card >= FACE_UP).length ? [] : [packet]),
      ]);
      expect(wrong).toEqual([]);
      expect(table.placeOf(0, 127, 3)).toBe(
        plain.packets[0].findIndex((card, index) => index >= 2 && (card & 127) === 127) + 1,
      );
    }
  },
);

test('what is kept for choices is not written over, and a table that is full says so', () => {
  const table = new Table([Array.from({ length: 100 }, (_, index) => index)]);
  const reverse = (index: number, size: number): number => size - 1 - index;
  // Nothing is kept: the row is used again.
  for (let round = 0; round < 2000; round++) table.arrange(0, reverse);
  expect(written(table, 0)).toEqual(Array.from({ length: 100 }, (_, index) => index));
  expect(() => {
    for (let round = 0; round < 2000; round++) {
      table.arrange(0, reverse);
      table.kept = table.free;
    }
  }).toThrow(TableFull);
});
