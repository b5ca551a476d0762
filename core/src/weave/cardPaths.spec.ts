import { numberOrder, Order } from '../deck/order';
import { applyMove, Move, placeAfterMove } from '../moves/move';
import { parseMoveText } from '../moves/moveText';
import { cardPaths, packetsOf, pathOf } from './cardPaths';
import { beyondPack, moveName } from './moveName';

const MOVES: readonly Move[] = [
  { kind: 'weave', weave: 'in' },
  { kind: 'weave', weave: 'out', top: 17 },
  { kind: 'unweave', weave: 'out' },
  { kind: 'weave packet', weave: 'in', count: 10 },
  { kind: 'unweave packet', weave: 'out', count: 9 },
  { kind: 'cut', count: 12 },
  { kind: 'reverse packet', from: 1, to: 26 },
];

test('cards are followed through a row as each move places them', () => {
  for (const size of [30, 51, 52]) {
    const orders: Order[] = [numberOrder().slice(0, size)];
    for (const move of MOVES) orders.push(applyMove(orders[orders.length - 1], move));
    for (const [index, path] of cardPaths(orders).entries()) {
      expect(path[0]).toBe(index + 1);
      MOVES.forEach((move, step) => expect(placeAfterMove(move, path[step], size)).toBe(path[step + 1]));
      expect(pathOf(orders, orders[0][index])).toEqual(path);
    }
    expect(pathOf(orders, 99)).toBeUndefined();
  }
  expect(cardPaths([])).toEqual([]);
});

test('packets: their cards keep their order within each, before a weave and after its reverse', () => {
  for (const size of [30, 51, 52])
    for (const move of MOVES) {
      const packets = packetsOf(move, size);
      expect(packets === undefined).toBe(move.kind === 'reverse packet');
      if (!packets) continue;
      const before = Array.from({ length: size }, (_, index) => index);
      const after = applyMove(before, move);
      const [cut, other] = packets.when === 'before' ? [before, after] : [after, before];
      const whole = packets.upper + packets.lower;
      for (const packet of [cut.slice(0, packets.upper), cut.slice(packets.upper, whole)]) {
        const places = packet.map((card) => other.indexOf(card));
        expect([...places].sort((a, b) => a - b)).toEqual(places);
      }
      expect(cut.slice(whole)).toEqual(other.slice(whole));
    }
});

test('the name of a move is what one types', () => {
  for (const move of MOVES) expect(parseMoveText(moveName(move), numberOrder()).move).toEqual(move);
  expect(moveName({ kind: 'riffle', seed: 1 })).toBe('Riffle the pack once');
});

test('a row made for a larger pack is found out', () => {
  expect(beyondPack(MOVES, 52)).toBe(-1);
  expect(beyondPack(MOVES, 16)).toBe(1);
  expect(beyondPack([{ kind: 'cut', count: 30 }], 29)).toBe(0);
});
