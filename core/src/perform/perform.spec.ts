import vectors from '../../test/vectors/perform.json';
import { afterRoutine } from './afterRoutine';
import { mend } from './mend';
import { meets, Need } from './need';
import { OrderWish } from './orderWish';
import { packState } from './packState';
import { bestRunningOrder } from './runningOrder';
import { LyingCard, PackState } from './state';

test.each(vectors.states.map((row, index) => [index, row] as const))(
  'how a pack lies, example %i',
  (_, row) => {
    expect(packState(row.now as LyingCard[], row.home, row.start)).toEqual(row.state);
  },
);

test.each(vectors.mends.map((row, index) => [index, row] as const))(
  'what a pack lacks is mended, example %i',
  (_, row) => {
    const [state, need] = [row.state as PackState, row.need as Need];
    expect(meets(state, need, row.home)).toBe(row.meets);
    const found = mend(state, need, row.home, { interval: row.interval });
    expect(found).toMatchObject(row.mend);
    if (found) expect(meets(found.after, need, row.home)).toBe(true);
  },
);

test.each(vectors.after.map((row, index) => [index, row] as const))(
  'what a routine leaves, example %i',
  (_, row) => {
    const after = afterRoutine(row.states as PackState[], row.leaves as PackState[], row.size);
    expect(new Set(after.map((state) => JSON.stringify(state)))).toEqual(
      new Set(row.after.map((state) => JSON.stringify(state))),
    );
  },
);

test.each(vectors.orders.map((row, index) => [index, row] as const))(
  'the best running order, example %i',
  (_, row) => {
    const outcome = bestRunningOrder(row.wish as unknown as OrderWish);
    if (row.best === null) expect(outcome.ok).toBe(false);
    else if (outcome.ok) expect(outcome.running).toMatchObject(row.best);
    else throw new Error(outcome.problems[0].what);
  },
);
