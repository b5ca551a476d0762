import { Card } from '../../deck/card';
import { mod } from '../../deck/mod';
import { formatCard } from '../../deck/notation';
import { Order } from '../../deck/order';
import { laidOut } from '../../procedure/laid';
import { Procedure } from '../../procedure/procedure';
import { readProcedure } from '../../rehearse/readProcedure';
import { withOrder } from '../../rehearse/withOrder';
import { laidFor } from '../need';
import { outOf, PackState } from '../state';
import { Start } from './fits';
import { follow } from './followed';
import { Plan, PlannedRoutine } from './plan';

/** More ways to begin than these are not told apart. */
const MOST_STARTS = 108;

/** Whether it is known which cards are out of a pack that lies in its order: else its rows are a guess. */
const isKnown = (state: PackState): boolean =>
  state.lies === 'home' &&
  state.packets.length === 0 &&
  outOf(state).every(({ cards }) => Array.isArray(cards));

/** A pack as it may lie when a routine begins, top card first. */
interface Row {
  readonly turn: number;
  readonly cards: Order;
}

const rowAt = (home: Order, turn: number, out: ReadonlySet<Card>): Row => {
  const at = mod(turn, home.length);
  return {
    turn: at,
    cards: [...home.slice(at), ...home.slice(0, at)].filter((card) => !out.has(card)),
  };
};

/** The rows that a pack in its order may be: one where its turn is known, else one for each. */
const rowsOf = (state: PackState, home: Order): readonly Row[] => {
  if (state.lies !== 'home') return [];
  const out = new Set(
    outOf(state).flatMap(({ cards }) => (Array.isArray(cards) ? (cards as readonly Card[]) : [])),
  );
  if (typeof state.turn === 'number') return [rowAt(home, state.turn, out)];
  return home.map((_, turn) => rowAt(home, turn, out));
};

/** The procedure of a routine as it is done: with its orders in the place of its own. Undefined where it has none that can be read. */
export const procedureOf = ({ procedure, packs }: PlannedRoutine): Procedure | undefined => {
  if (!procedure) return undefined;
  const ordered = Object.values(packs).reduce(
    (made, { order }) => (order && withOrder(made, order)) ?? made,
    procedure,
  );
  const read = readProcedure({ version: 2, ...ordered });
  return read.ok ? read.procedure : undefined;
};

/** Whether a packet is laid of just the cards of an order. */
const isLaidOf = ({ packets = {}, givens = {} }: Procedure, packet: string, home: Order): boolean => {
  if (!Object.hasOwn(packets, packet)) return false;
  const laid = new Set(laidOut(packets[packet], givens));
  return laid.size === home.length && home.every((card) => laid.has(card));
};

/**
 * The ways in which the packs of a routine may lie when it begins: each with its procedure laid so. A pack in its order is laid
 * as it is; any other as the procedure lays it.
 *
 * @param packs how each pack of the evening may lie, by name.
 */
export const startsOf = (
  procedure: Procedure,
  routine: PlannedRoutine,
  { packs: homes }: Pick<Plan, 'packs'>,
  packs: Readonly<Record<string, readonly PackState[]>>,
): readonly Start[] => {
  let isSure = true;
  let laid: readonly { readonly packets: Procedure['packets']; readonly turn: number }[] = [
    { packets: procedure.packets, turn: 0 },
  ];
  for (const [name, { packet, needs }] of Object.entries(routine.packs)) {
    if (packet === undefined || !homes[name].hasHome) continue;
    const home = homes[name].home.cards;
    // A pack in its order lies as it lies, whatever is known of what the routine needs.
    if (!isLaidOf(procedure, packet, home)) continue;
    const states = packs[name].map((state) => (state.lies === 'ready' ? laidFor(needs, home) : state));
    const rows = new Map(
      states.flatMap((state) => rowsOf(state, home)).map((row) => [row.cards.join(), row]),
    );
    isSure &&= states.every(isKnown);
    if (rows.size === 0) continue;
    const all = laid.flatMap(({ packets }) =>
      [...rows.values()].map(({ turn, cards }) => ({
        packets: { ...packets, [packet]: cards.map(formatCard) },
        turn,
      })),
    );
    isSure &&= all.length <= MOST_STARTS;
    laid = all.slice(0, MOST_STARTS);
  }
  return laid.map(({ packets, turn }) => ({
    ...{ turn, isSure },
    followed: follow({ ...procedure, ...(packets && { packets }) }),
  }));
};
