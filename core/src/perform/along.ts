import { Order } from '../deck/order';
import { afterRoutine } from './afterRoutine';
import { MEND_COSTS, MendCosts, MendPart } from './costs';
import { JunctionMend, Price, RIGHTED, waysInInterval, waysTo } from './junction';
import { mend } from './mend';
import { laidFor, PackNeed } from './need';
import { OrderWish } from './orderWish';
import { bestRunningOrder, Running, RunningOutcome } from './runningOrder';
import { PackState } from './state';

/** A wish whose routines stand in an order, as the only order that is allowed. */
const asTheyStand = ({ packs, routines, interval, intervalMinutes }: OrderWish): OrderWish => ({
  ...{ packs, routines },
  before: routines.slice(1).map(({ id }, index) => [routines[index].id, id] as const),
  // An interval behind the last routine is none.
  ...(interval !== undefined && interval >= 1 && interval < routines.length && { interval, intervalMinutes }),
});

/** What the routines cost in the order in which they stand, with the cheapest mends; a problem where there are more than 16. */
export const runAsTheyStand = (wish: OrderWish, costs: MendCosts = MEND_COSTS): RunningOutcome =>
  bestRunningOrder(asTheyStand(wish), costs);

/** What is done to one pack at a junction, in one of the states that it may be in. */
export interface StateMend {
  readonly state: PackState;
  /** The acts; none where it fits. Undefined where nothing brings it there. */
  readonly parts: readonly MendPart[] | undefined;
  readonly seconds: number;
}

/** Another way to bring a pack to what is needed, than the one that is taken. */
export interface OtherWay {
  readonly how: JunctionMend['how'];
  readonly price: Price;
}

/** One pack at a junction. */
export interface PackAlong {
  readonly pack: string;
  readonly need: PackNeed | undefined;
  /** How it may lie before anything is done. */
  readonly before: readonly PackState[];
  readonly mends: readonly JunctionMend[];
  /** What is done in each state, by the last of the mends. */
  readonly each: readonly StateMend[];
  /** What could be done instead, where anything is done. */
  readonly others: readonly OtherWay[];
  /** How it may lie when the routine begins. */
  readonly ready: readonly PackState[];
  /** How it may lie when the routine has ended. */
  readonly after: readonly PackState[];
}

/** A junction of a running order with the packs as they lie there. */
export interface JunctionAlong {
  readonly before: string;
  readonly interval: boolean;
  readonly packs: readonly PackAlong[];
}

/** What could be done to a pack instead of these mends: mended itself, changed for a spare one, laid anew in the interval. */
const otherWays = (
  before: readonly PackState[],
  need: PackNeed,
  home: Order,
  own: readonly JunctionMend[],
  interval: boolean,
  costs: MendCosts,
): readonly OtherWay[] => {
  if (own.length === 0) return [];
  const ways = waysTo(before, need, home, 1, costs, false).filter(({ price }) => price[0] === 0);
  const anew = interval ? waysInInterval(before, home, costs) : [];
  return [...ways, ...anew.flatMap((way) => (way?.how === 'lay anew' ? [way] : []))]
    .filter(({ how }) => !own.some((each) => each.how === how || (how === 'mend' && each.how === 'right')))
    .map(({ how, price }) => ({ how, price }));
};

/** How the packs lie along a running order, from junction to junction. */
export const along = (
  wish: OrderWish,
  running: Running,
  costs: MendCosts = MEND_COSTS,
): readonly JunctionAlong[] => {
  const lies = new Map<string, readonly PackState[]>(
    Object.entries(wish.packs).map(([name, { start }]) => [name, [start ?? { lies: 'ready' }]]),
  );
  return running.junctions.map(({ before: id, interval, mends }) => {
    const routine = wish.routines.find((each) => each.id === id);
    const packs = Object.keys(wish.packs).flatMap((pack): PackAlong[] => {
      const { home } = wish.packs[pack];
      const part = routine && Object.hasOwn(routine.packs, pack) ? routine.packs[pack] : undefined;
      const own = mends.filter((each) => each.pack === pack);
      if (!part && own.length === 0) return [];
      const before = lies.get(pack) ?? [];
      let states = before;
      let each: readonly StateMend[] = [];
      const mendAll = (need: PackNeed, inInterval: boolean): void => {
        const found = states.map((state) => ({
          state,
          found: mend(state, need, home, { costs, interval: inInterval }),
        }));
        each = found.map(({ state, found: one }) => ({
          state,
          parts: one?.parts,
          seconds: one?.seconds ?? 0,
        }));
        states = found.every(({ found: one }) => one)
          ? found.map(({ state, found: one }) =>
              state.lies === 'ready' ? laidFor(need, home) : (one?.after ?? state),
            )
          : [laidFor(need, home)];
      };
      const right = own.find(({ how }) => how === 'right');
      if (right) mendAll(RIGHTED, true);
      if (own.some(({ how }) => how === 'lay anew')) states = [{ lies: 'ready' }];
      if (part) {
        const rightings = each;
        if (own.some(({ how }) => how === 'change')) states = [laidFor(part.needs, home)];
        else
          mendAll(
            part.needs,
            own.some(({ how, inInterval }) => how === 'mend' && inInterval),
          );
        if (right && each.every(({ parts }) => parts?.length === 0)) each = rightings;
      }
      const after = part ? afterRoutine(states, part.leaves, home.length) : states;
      lies.set(pack, after);
      const others = part ? otherWays(before, part.needs, home, own, interval, costs) : [];
      return [{ pack, need: part?.needs, before, mends: own, each, others, ready: states, after }];
    });
    return { before: id, interval, packs };
  });
};
