import { Order } from '../../deck/order';
import { MEND_COSTS, MendCosts, MendPart } from '../costs';
import { compare, Price, RIGHTED, waysInInterval, waysTo } from '../junction';
import { mend } from '../mend';
import { meets, PackNeed } from '../need';
import { sayMend, whyNoMend } from '../say';
import { PackState } from '../state';
import { homeOf, Live, Mending, Phase, routineOf } from './performance';
import { PlannedRoutine } from './plan';

/** Words of acts in the place of a mend. */
const CHANGE = 'Change the pack for a spare one';
const ANEW = 'Lay it anew';

/** What is to be done to a pack before a routine; undefined where it lies as that needs it. */
export const mendingOf = (
  { plan, packs, spares }: Live,
  routine: PlannedRoutine,
  name: string,
): Mending | undefined => {
  const { needs } = routine.packs[name];
  const { home } = homeOf(plan, name);
  const costs = plan.costs ?? MEND_COSTS;
  const states = packs[name];
  if (states.every((state) => meets(state, needs, home.cards))) return undefined;
  const ways = [...waysTo(states, needs, home.cards, spares[name] ?? 0, costs, false)].sort((a, b) =>
    compare(a.price, b.price),
  );
  const [{ how, price, states: after }] = ways;
  const dearest = dearestOf(states, needs, home.cards, costs);
  return {
    ...{ kind: 'mend', routine, pack: name, after },
    acts:
      how === 'change' ? [CHANGE] : dearest.parts ? sayMend(dearest.parts, dearest.state, needs, home) : [],
    parts: how === 'change' ? [{ act: 'change' }] : (dearest.parts ?? []),
    ...{ outOfSight: price[1] > 0, seconds: price[2], isChange: how === 'change' },
    ways: states.length,
    cannot: price[0] > 0 ? whyNoMend(dearest.state, needs, home) : undefined,
    canChange: how !== 'change' && (spares[name] ?? 0) > 0,
  };
};

/** Of the states that a pack may be in, the one that takes the most. */
const dearestOf = (states: readonly PackState[], needs: PackNeed, home: Order, costs: MendCosts) =>
  states
    .map((state) => {
      const found = mend(state, needs, home, { costs });
      const price: Price = found ? [0, found.outOfSight, found.seconds] : [1, 0, 0];
      return { state, price, parts: found?.parts };
    })
    .reduce((most, each) => (compare(each.price, most.price) > 0 ? each : most));

/** Whether the turn of a pack must be known, and is seen but not told yet. */
export const isFaceAsked = ({ plan, packs }: Live, { packs: own }: PlannedRoutine, name: string): boolean => {
  const { needs } = own[name];
  return (
    needs.kind === 'home' &&
    needs.known === true &&
    homeOf(plan, name).hasHome &&
    packs[name].some((state) => state.lies === 'home' && typeof state.turn !== 'number')
  );
};

/** What is done to the packs in the interval that are used behind it: put in order, or laid anew. */
export const intervalWork = (
  { plan, packs }: Live,
  to: string,
): Extract<Phase, { kind: 'interval' }>['packs'] => {
  const costs = plan.costs ?? MEND_COSTS;
  const later = plan.order.slice(plan.order.indexOf(to));
  const used = new Set(later.flatMap((id) => Object.keys(routineOf(plan, id)?.packs ?? {})));
  return Object.keys(packs)
    .filter((name) => used.has(name))
    .flatMap((pack) => {
      const { home } = homeOf(plan, pack);
      const states = packs[pack];
      const ways = waysInInterval(states, home.cards, costs).flatMap((way) => way ?? []);
      const right = ways.find(({ how }) => how === 'right');
      const needsIt = states.some((state) => !meets(state, RIGHTED, home.cards));
      const way = right ?? (needsIt ? ways.find(({ how }) => how === 'lay anew') : undefined);
      if (!way) return [];
      const { parts, state } = dearestOf(states, RIGHTED, home.cards, costs);
      const acts = way.how === 'right' && parts ? sayMend(parts, state, RIGHTED, home) : [ANEW];
      const done: readonly MendPart[] = way.how === 'right' && parts ? parts : [{ act: 'lay anew' }];
      return [{ pack, acts, parts: done, after: way.states }];
    });
};
