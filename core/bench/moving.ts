import { applyMove, cut, numberOrder, type Order } from '../src/index';
import { processorTime } from './processorTime';

/** How often something is done to an order in a second, in millions. */
const rate = (act: (order: Order, time: number) => Order): number => {
  let order: Order = numberOrder();
  const rounds = 200_000;
  for (let time = 0; time < rounds; time++) order = act(order, time);
  const began = processorTime();
  let done = 0;
  while (processorTime() - began < 400) {
    for (let time = 0; time < rounds; time++) order = act(order, time);
    done += rounds;
  }
  return done / (processorTime() - began) / 1000;
};

/** What moves of an order take. */
export const benchMoving = (): void => {
  const moves: readonly (readonly [string, (order: Order, time: number) => Order])[] = [
    ['riffles of an order', (order, seed) => applyMove(order, { kind: 'riffle', seed })],
    ['cuts of an order', (order, time) => cut(order, time % 52)],
    ['weaves of an order', (order) => applyMove(order, { kind: 'weave', weave: 'in' })],
  ];
  for (const [name, act] of moves) console.log(`${name.padEnd(52)} ${rate(act).toFixed(2)} million a second`);
};
