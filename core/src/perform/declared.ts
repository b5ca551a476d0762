import { PackNeed } from './need';
import { PackState } from './state';

/** How the pack lies, as one says it by hand. */
export const LIES = ['top', 'as it was', 'seen', 'unseen', 'lost'] as const;
export type Lie = (typeof LIES)[number];

/** How a routine leaves its pack, as one says it by hand. */
export interface Declared {
  readonly lie: Lie;
  /** So many cards are out, and where; `gone` for those that never come back. */
  readonly out: number;
  readonly where: string;
  /** So many cards lie face up on top, and it was seen where they belong; 0 for none. */
  readonly faceUp: number;
}

export const DECLARED: Declared = { lie: 'top', out: 0, where: 'pocket', faceUp: 0 };

const TURNS = { top: 0, 'as it was': { plus: 0 }, seen: { seen: [] }, unseen: 'unseen' } as const;

/** The state that is declared so. */
export const declaredState = ({ lie, out, where, faceUp }: Declared): PackState => {
  const rest = {
    out: out === 0 ? [] : [{ where, count: out, most: out, cards: { seen: [] } }],
    extra: 0,
  };
  if (lie === 'lost') return { lies: 'lost', faceUp: faceUp > 0, ...rest };
  const packet = {
    ...{ place: 1, count: faceUp, most: faceUp, reversed: true, faceUp: true, stays: false },
    behind: { seen: [] },
  };
  return { lies: 'home', turn: TURNS[lie], packets: faceUp === 0 ? [] : [packet], ...rest };
};

/** What was declared by hand as this state; undefined where it tells more than one says so. */
export const declaredOf = (state: PackState): Declared | undefined => {
  if (state.lies === 'ready' || state.lies === 'bank') return undefined;
  const [out] = state.out;
  const packets = state.lies === 'home' ? state.packets : [];
  const lie =
    state.lies === 'lost'
      ? 'lost'
      : LIES.find((each) => each !== 'lost' && JSON.stringify(TURNS[each]) === JSON.stringify(state.turn));
  if (lie === undefined) return undefined;
  const declared: Declared = {
    ...{
      lie,
      out: state.out.length === 0 ? 0 : out.most,
      where: state.out.length === 0 ? DECLARED.where : out.where,
    },
    faceUp: packets.length > 0 ? packets[0].most : state.lies === 'lost' && state.faceUp ? 1 : 0,
  };
  return JSON.stringify(declaredState(declared)) === JSON.stringify(state) ? declared : undefined;
};

/** What a routine needs, as one says it by hand. */
export const NEEDED = ['top', 'any', 'known', 'cut at', 'bank', 'cards'] as const;
export type Needed = (typeof NEEDED)[number];

/** Which way of saying it a need is. */
export const neededOf = (need: PackNeed): Needed => {
  if (need.kind !== 'home') return need.kind;
  if (need.turns === 'any') return need.known ? 'known' : 'any';
  return need.turns.length === 1 && need.turns[0] === 0 ? 'top' : 'cut at';
};
