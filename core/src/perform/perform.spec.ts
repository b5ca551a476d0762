import vectors from '../../test/vectors/perform.json';
import { afterRoutine } from './afterRoutine';
import { Procedure } from '../procedure/procedure';
import { leaves, LeavesOptions, turnsThatHold } from './leaves';
import { mend } from './mend';
import { meets, PackNeed } from './need';
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
    const [state, need] = [row.state as PackState, row.need as PackNeed];
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
    expect(outcome).toMatchObject({ ok: true, running: row.best });
  },
);

test.each(vectors.leaves.map((row) => [row.procedure.name, row] as const))('what is left: %s', (_, row) => {
  const found = leaves(row.procedure as unknown as Procedure, row.options as unknown as LeavesOptions);
  expect(found).toMatchObject(row.leaves);
});

test.each(vectors.turns.map((row) => [row.procedure.name, row] as const))('turns: %s', (_, row) => {
  expect(turnsThatHold(row.procedure as unknown as Procedure, row.pack)).toEqual(row.turns);
});
