import { mod } from '../deck/mod';
import { Out, PackState, Plus, Stray, Told } from './state';

/** What an ending leaves of names that nobody remembers: that it was seen. */
const forgotten = <Value>(told: Told<Value>): Told<Value> =>
  typeof told === 'object' && told !== null && 'seen' in told ? { seen: [] } : told;

const isPlus = (turn: Told<number> | Plus): turn is Plus => typeof turn === 'object' && 'plus' in turn;

const plainTurn = (turn: Told<number> | Plus): Told<number> | Plus =>
  isPlus(turn) ? { plus: typeof turn.plus === 'number' ? turn.plus : { seen: [] } } : forgotten(turn);

const plainOut = (out: Out): Out => ({
  ...out,
  count: forgotten(out.count),
  cards: forgotten(out.cards),
  ...(out.behind !== undefined && { behind: forgotten(out.behind) }),
});

const plainStray = (stray: Stray): Stray => ({
  ...stray,
  place: forgotten(stray.place),
  count: forgotten(stray.count),
  behind: forgotten(stray.behind),
});

/** A state without the names of what was seen. */
export const withoutNames = (state: PackState): PackState => {
  if (state.lies === 'ready') return state;
  const rest = { out: state.out.map(plainOut), extra: state.extra };
  return state.lies === 'home'
    ? { ...state, turn: plainTurn(state.turn), packets: state.packets.map(plainStray), ...rest }
    : { ...state, ...rest };
};

/** Two values of which one is told of what came before: together known, seen or not. */
const together = <Value>(
  a: Told<Value>,
  b: Told<Value>,
  join: (a: Value, b: Value) => Value,
): Told<Value> => {
  if (a === 'unseen' || b === 'unseen') return 'unseen';
  const isSeen = (told: Told<Value>): boolean => typeof told === 'object' && told !== null && 'seen' in told;
  return isSeen(a) || isSeen(b) ? { seen: [] } : join(a as Value, b as Value);
};

/** Cards that were out stay out; with those of the ending at the same place they are one group, and no packet. */
const outs = (ending: readonly Out[], before: readonly Out[]): readonly Out[] => {
  const merged = ending.map((out) => {
    const same = before.find(({ where }) => where === out.where);
    if (!same) return out;
    return {
      where: out.where,
      count: together(out.count, same.count, (a, b) => a + b),
      most: out.most + same.most,
      cards: together(out.cards, same.cards, (a, b) => [...a, ...b]),
    };
  });
  const others = before.filter(({ where }) => !ending.some((out) => out.where === where));
  return [...merged, ...others].sort((a, b) => (a.where < b.where ? -1 : 1));
};

const turnAfter = (ending: Told<number> | Plus, before: PackState, size: number): Told<number> | Plus => {
  if (!isPlus(ending)) return ending;
  const turn = before.lies === 'home' ? before.turn : 0;
  if (turn === 'unseen') return 'unseen';
  return typeof turn === 'number' && typeof ending.plus === 'number'
    ? mod(turn + ending.plus, size)
    : { seen: [] };
};

/** Cards that are out, as they are told of a pack that is not at home: no packet. */
export const noPackets = (out: readonly Out[]): readonly Out[] =>
  out.map(({ where, count, most, cards }) => ({ where, count, most, cards }));

/** How a pack lies behind an ending of a routine that began in a state. */
export const afterEnding = (before: PackState, ending: PackState, size: number): PackState => {
  if (ending.lies === 'ready' || before.lies === 'ready') {
    if (ending.lies !== 'home') return withoutNames(ending);
    return withoutNames({ ...ending, turn: turnAfter(ending.turn, before, size) });
  }
  const out = outs(ending.out, before.out);
  if (ending.lies !== 'home') return withoutNames({ ...ending, out: noPackets(out) });
  if (before.lies === 'home')
    return withoutNames({ ...ending, turn: turnAfter(ending.turn, before, size), out });
  const faceUp = (before.lies === 'lost' && before.faceUp) || ending.packets.some((packet) => packet.faceUp);
  return withoutNames({ lies: 'lost', faceUp, out: noPackets(out), extra: ending.extra });
};

/** Equal states have equal texts: each is written with its fields in one sequence. */
export const keyOf = (state: PackState): string =>
  JSON.stringify(state, (_, value: unknown) =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  );

/** The states, alike ones once. */
export const distinct = (states: readonly PackState[]): readonly PackState[] => [
  ...new Map(states.map((state) => [keyOf(state), state])).values(),
];

/**
 * What a routine leaves that began in any of some states (docs/code/performing.md, 4).
 *
 * @param leaves its endings, or that it leaves the pack as it was. @param size cards in the pack.
 */
export const afterRoutine = (
  states: readonly PackState[],
  leaves: readonly PackState[] | 'same',
  size: number,
): readonly PackState[] =>
  leaves === 'same'
    ? states
    : distinct(states.flatMap((state) => leaves.map((ending) => afterEnding(state, ending, size))));
