import { MEND_COSTS } from '@enumeron/core/file/perform/costs';
import type { Plan, PlannedPack, PlannedRoutine } from '@enumeron/core/file/perform/cue/plan';
import { PackState } from '@enumeron/core/file/perform/state';
import { RoutineRow } from '../../nouns/sets/routines.kind';
import { Facts, PackFacts } from '../facts';

/** A routine with what is known of its packs. */
export interface Known {
  readonly row: RoutineRow;
  readonly facts: readonly PackFacts[];
}

const plannedPack = ({ row, facts }: Known, name: string): PlannedPack => {
  const fact = facts.find(({ pack }) => pack === name);
  const { packet, order, leaves } = row.routine.packs[name];
  return {
    ...(packet !== undefined && { packet }),
    ...(order && { order: order.cards }),
    needs: fact?.needs ?? { kind: 'cards' },
    leaves: fact?.leaves ?? 'same',
    isSaid: leaves !== undefined,
  };
};

const planned = (known: Known, procedure: PlannedRoutine['procedure']): PlannedRoutine => {
  const { id, routine } = known.row;
  const { name, minutes, says, outs, notes, clearUp, packs } = routine;
  return {
    ...{ id, name, minutes, says, outs, notes, clearUp, ...(procedure && { procedure }) },
    packs: Object.fromEntries(Object.keys(packs).map((pack) => [pack, plannedPack(known, pack)])),
  };
};

/** So many routines go on stage at most: those of the set, and others to jump to. */
const MOST = 100;

/** What is performed, of a set or of one routine. */
export interface Asked {
  readonly name: string;
  readonly order: readonly string[];
  readonly interval?: number;
  readonly intervalMinutes?: number;
  /** How many packs like it lie ready, by the pack's name. */
  readonly spares?: Readonly<Record<string, number>>;
  readonly start?: Readonly<Record<string, readonly PackState[]>>;
  readonly audience: string;
}

/**
 * A plan of a set as it is now, with every other routine to jump to.
 *
 * @param all every routine of mine. Those of the set that were removed are left out.
 */
export const makePlan = (asked: Asked, all: readonly RoutineRow[], facts: Facts): Plan => {
  const known = all.map((row) => ({ row, facts: facts.of(row) }));
  const order = asked.order.filter((id) => all.some((row) => row.id === id));
  const inOrder = [...known].sort((a, b) => rank(order, a.row.id) - rank(order, b.row.id));
  const packs: Record<string, Plan['packs'][string]> = {};
  for (const { pack, home, hasHome } of inOrder.flatMap((each) => each.facts)) {
    const before = Object.hasOwn(packs, pack) ? packs[pack] : undefined;
    if (!before || (hasHome && !before.hasHome))
      packs[pack] = { home, hasHome, spares: asked.spares?.[pack] ?? 0 };
  }
  const { name, audience, intervalMinutes } = asked;
  // The interval stays behind the routines that it stood behind, without those that were removed.
  const interval = asked.order.slice(0, asked.interval ?? 0).filter((id) => order.includes(id)).length;
  return {
    ...{ name, order, packs, audience, start: asked.start ?? {} },
    ...(facts.costs() !== MEND_COSTS && { costs: facts.costs() }),
    routines: inOrder.slice(0, MOST).map((each) => planned(each, facts.procedure(each.row.procedure))),
    ...(interval >= 1 && interval < order.length && { interval }),
    ...(intervalMinutes !== undefined && { intervalMinutes }),
  };
};

const rank = (order: readonly string[], id: string): number => {
  const at = order.indexOf(id);
  return at < 0 ? order.length : at;
};
