import { randomInt, Rng, seededRng } from '../deck/rng';
import { AffineTable, alikeFrom, Even } from './affineTable';
import { MixedTable } from './mixedTable';

const PACKETS = 3;

/** Three packets, one of them turned over, and one with cards of both sides in the row. */
const begun = (rng: Rng): MixedTable => {
  const size = 6 + randomInt(rng, 30);
  const cards = Array.from({ length: size }, (_, card) => card);
  const table = new MixedTable([cards, [50, 51, 52, 53], [60]], 0);
  if (rng() < 0.5) table.turn(1);
  if (rng() < 0.3) table.turnCard(0, 2);
  if (rng() < 0.3) table.lift(0, 3, 1, true);
  return table;
};

const cardsOf = (table: MixedTable, packet: number): number[] => {
  const cards = new Uint8Array(255);
  return [...cards.subarray(0, table.write(packet, cards, 0))];
};

/** What a table is made by some of the moves, each done in one world with its own number. */
type Done = (table: MixedTable, world: number) => void;

interface Move {
  /** In how many worlds all do the same: where they are fewer, nothing was done. */
  readonly alike: number;
  readonly done: Done;
}

const at = ({ base, growth }: Even, world: number): number => base + world * growth;

/** A move by chance, done to all worlds at once; with what it does in one. */
const move = (rng: Rng, affine: AffineTable, worlds: number): Move | undefined => {
  const packet = randomInt(rng, PACKETS);
  const other = (packet + 1 + randomInt(rng, PACKETS - 1)) % PACKETS;
  const kind = randomInt(rng, 5);
  if (kind === 0) {
    affine.turn(packet);
    return { alike: worlds, done: (table) => table.turn(packet) };
  }
  if (kind === 1) {
    affine.putOn(packet, other);
    return { alike: worlds, done: (table) => table.putOn(packet, other) };
  }
  if (kind === 2) {
    affine.putUnder(packet, other);
    return { alike: worlds, done: (table) => table.putUnder(packet, other) };
  }
  const count = { base: 1 + randomInt(rng, 9), growth: randomInt(rng, 3) };
  const size = { base: affine.sizes[packet], growth: affine.sizeGrowths[packet] };
  // As it is called: within the size, and more than none.
  const fits = Array.from({ length: worlds }, (_, world) => at(count, world) < at(size, world)).every(
    Boolean,
  );
  if (!fits) return undefined;
  if (kind === 3)
    return {
      alike: affine.cut(packet, count, worlds),
      done: (table, world) => table.cut(packet, at(count, world)),
    };
  const dealt = rng() < 0.5;
  return {
    alike: affine.lift(packet, count, other, dealt, worlds),
    done: (table, world) => table.lift(packet, at(count, world), other, dealt),
  };
};

test('moves that are done for many worlds at once are as done in each', () => {
  let [compared, parted] = [0, 0];
  for (let seed = 0; seed < 400; seed++) {
    const rng = seededRng(seed);
    const start = begun(rng);
    const affine = new AffineTable(PACKETS);
    affine.read(start);
    const worlds = 2 + randomInt(rng, 5);
    const moves: Done[] = [];
    for (let time = 0; time < 8 && affine.hasRoom; time++) {
      const made = move(rng, affine, worlds);
      if (made?.alike === worlds) moves.push(made.done);
      else if (made) parted++;
    }
    for (let world = 0; world < worlds; world++) {
      const [table, written] = [begun(seededRng(seed)), begun(seededRng(seed))];
      for (const done of moves) done(table, world);
      affine.write(written, world);
      for (let packet = 0; packet < PACKETS; packet++) {
        const cards = cardsOf(table, packet);
        expect([seed, world, cardsOf(written, packet)]).toEqual([seed, world, cards]);
        expect(written.sizes[packet]).toBe(cards.length);
        compared++;
      }
    }
  }
  expect([compared > 3000, parted > 20]).toEqual([true, true]);
});

test('what is looked at lies where it does in each world', () => {
  let [evenly, faceUp] = [0, 0];
  for (let seed = 400; seed < 700; seed++) {
    const rng = seededRng(seed);
    const affine = new AffineTable(PACKETS);
    affine.read(begun(rng));
    const worlds = 2 + randomInt(rng, 5);
    for (let time = 0; time < 6 && affine.hasRoom; time++) move(rng, affine, worlds);
    const table = begun(seededRng(seed));
    const place = { base: 1 + randomInt(rng, 6), growth: randomInt(rng, 2) };
    for (let packet = 0; packet < PACKETS; packet++) {
      const isIn = (world: number): boolean =>
        at(place, world) <= affine.sizes[packet] + world * affine.sizeGrowths[packet];
      const fits = isIn(0) && isIn(worlds - 1);
      const where = fits ? affine.evenlyAt(packet, place, worlds) : undefined;
      const up = affine.faceUpIn(packet);
      for (let world = 0; world < worlds; world++) {
        affine.write(table, world);
        const size = table.sizes[packet];
        if (size > 0) {
          expect(table.row[at(affine.topAt(packet), world)] & 127).toBe(table.cardAt(packet, 1));
          expect(table.row[at(affine.faceAt(packet), world)] & 127).toBe(table.cardAt(packet, size));
        }
        for (let one = 1; one <= size; one++)
          expect(table.row[affine.cardAt(packet, one, world)] & 127).toBe(table.cardAt(packet, one));
        if (where) {
          evenly++;
          expect(table.row[at(where, world)] & 127).toBe(table.cardAt(packet, at(place, world)));
        }
        if (up) {
          faceUp++;
          expect(at(up, world)).toBe(table.faceUpIn(packet));
        }
      }
    }
  }
  expect(Math.min(evenly, faceUp)).toBeGreaterThan(500);
});

test('part of a batch begins in any of its worlds', () => {
  for (let seed = 700; seed < 800; seed++) {
    const rng = seededRng(seed);
    const [all, some] = [new AffineTable(PACKETS), new AffineTable(PACKETS)];
    all.read(begun(rng));
    for (let time = 0; time < 6 && all.hasRoom; time++) move(rng, all, 6);
    some.copy(all, 2);
    const [one, other] = [begun(seededRng(seed)), begun(seededRng(seed))];
    all.write(one, 5);
    some.write(other, 3);
    for (let packet = 0; packet < PACKETS; packet++)
      expect(cardsOf(other, packet)).toEqual(cardsOf(one, packet));
  }
});

test('in how many worlds a number has the same sign is as counted one by one', () => {
  for (let base = -9; base <= 9; base++)
    for (let growth = -4; growth <= 4; growth++)
      for (let worlds = 1; worlds <= 7; worlds++) {
        let alike = 1;
        while (alike < worlds && Math.sign(base + alike * growth) === Math.sign(base)) alike++;
        expect([base, growth, worlds, alikeFrom(base, growth, worlds)]).toEqual([
          base,
          growth,
          worlds,
          alike,
        ]);
      }
});
