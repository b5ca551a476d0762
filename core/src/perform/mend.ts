import { Order } from '../deck/order';
import { MEND_COSTS, MendCosts, OUT_OF_SIGHT, MendPart, secondsOf } from './costs';
import { areIn, bankTurn, hasBankAt, meets, PackNeed } from './need';
import { mostOut, Out, PackState, Stray } from './state';

/** A row of acts after which a need is met. */
export interface Mend {
  readonly parts: readonly MendPart[];
  readonly outOfSight: number;
  readonly seconds: number;
  /** How the pack lies then. */
  readonly after: PackState;
}

export interface MendOptions {
  readonly costs?: MendCosts;
  /** Whether it is done in the interval, where nothing is in sight. */
  readonly interval?: boolean;
}

/** What turns a packet the right way: over where it lies face up, and dealt where it runs backwards then. */
const righting = (packet: { reversed: boolean; faceUp: boolean; most: number }): readonly MendPart[] => [
  ...(packet.faceUp ? [{ act: 'flip packet' } as const] : []),
  ...(packet.reversed !== packet.faceUp ? [{ act: 'deal packet', cards: packet.most } as const] : []),
];

/** All that rights a stray packet. */
const ofStray = (stray: Stray): readonly MendPart[] => {
  const isLost =
    stray.place === 'unseen' || stray.count === 'unseen' || (!stray.stays && stray.behind === 'unseen');
  return [
    ...(isLost ? [{ act: 'find packet' } as const] : []),
    // Of a single card that lies face up it is said that it is reversed: turned over it is right.
    ...righting(stray),
    ...(stray.stays ? [] : [{ act: 'move packet' } as const]),
  ];
};

/** The cheaper way to put cards back that are out at one place: card by card, or the packet as one. */
const puttingBack = (out: Out, costs: MendCosts): readonly MendPart[] => {
  const singly: readonly MendPart[] = [{ act: 'put back', cards: out.most }];
  if (!out.packet) return singly;
  const whole: readonly MendPart[] = [
    ...righting({ reversed: out.reversed === true, faceUp: out.faceUp === true, most: out.most }),
    { act: 'put packet back' },
  ];
  return cost(whole, costs, false).seconds < cost(singly, costs, false).seconds ? whole : singly;
};

const cost = (
  parts: readonly MendPart[],
  costs: MendCosts,
  interval: boolean,
): { readonly outOfSight: number; readonly seconds: number } => ({
  outOfSight: interval ? 0 : parts.filter(({ act }) => OUT_OF_SIGHT.has(act)).length,
  seconds: parts.reduce((sum, part) => sum + secondsOf(part, costs), 0),
});

type Touched = Exclude<PackState, { lies: 'ready' }>;

/** A pack with all its cards face down and in their places, but for those that stay out; and what that took. */
const whole = (
  state: Touched,
  stay: readonly Out[],
): { readonly parts: readonly MendPart[]; readonly state: Touched } => {
  const rest = { out: stay, extra: 0 };
  const strangers: readonly MendPart[] = state.extra > 0 ? [{ act: 'take out', cards: state.extra }] : [];
  if (state.lies === 'home')
    return {
      parts: [...strangers, ...state.packets.flatMap(ofStray)],
      state: { ...state, packets: [], ...rest },
    };
  if (state.lies === 'bank') return { parts: strangers, state: { ...state, ...rest } };
  const turning: readonly MendPart[] = state.faceUp ? [{ act: 'find packet' }, { act: 'flip packet' }] : [];
  return { parts: [...strangers, ...turning], state: { ...state, faceUp: false, ...rest } };
};

/** What brings a whole pack to a need: nothing, a look, a cut, or the bank found; undefined where nothing does. */
const reaching = (
  state: Touched,
  need: PackNeed,
  home: Order,
): { readonly parts: readonly MendPart[]; readonly state: Touched } | undefined => {
  if (meets(state, need, home)) return { parts: [], state };
  if (need.kind === 'cards') return undefined;
  const cutTo = (turn: number) => {
    if (state.lies !== 'home') return undefined;
    const look: readonly MendPart[] = state.turn === 'unseen' ? [{ act: 'see' }] : [];
    return { parts: [...look, { act: 'cut' as const }], state: { ...state, turn } };
  };
  if (need.kind === 'home') {
    if (state.lies !== 'home') return undefined;
    if (need.turns !== 'any') return need.turns.length === 0 ? undefined : cutTo(Math.min(...need.turns));
    return { parts: [{ act: 'see' }], state: { ...state, turn: { seen: [] } } };
  }
  if (!areIn(state, need.cards)) return undefined;
  const turn = bankTurn(home, need);
  const cut = turn === undefined ? undefined : cutTo(turn);
  if (cut && hasBankAt(home, cut.state.turn, need)) return cut;
  const { cards, at, loose } = need;
  return {
    parts: [{ act: 'find bank', cards: cards.length }],
    state: { lies: 'bank', bank: { cards, at, loose }, out: state.out, extra: 0 },
  };
};

/** Every choice of what is put back, those that put back the places that come first before the others. */
const choicesOf = (out: readonly Out[]): readonly (readonly boolean[])[] =>
  out.reduce<readonly (readonly boolean[])[]>(
    (choices, { where }) =>
      choices.flatMap((choice) =>
        where === 'gone'
          ? [[...choice, false]]
          : [
              [...choice, true],
              [...choice, false],
            ],
      ),
    [[]],
  );

/**
 * The cheapest row of acts after which a pack meets a need (docs/code/performing.md, 4): as few out of sight as can be, and
 * of those the fewest seconds; a spare pack and a pack laid new apart.
 *
 * @returns undefined where no row of acts does.
 */
export const mend = (
  state: PackState,
  need: PackNeed,
  home: Order,
  { costs = MEND_COSTS, interval = false }: MendOptions = {},
): Mend | undefined => {
  if (meets(state, need, home)) return { parts: [], outOfSight: 0, seconds: 0, after: state };
  if (state.lies === 'ready') return undefined;
  let best: Mend | undefined;
  for (const back of choicesOf(state.out)) {
    const stay = state.out.filter((_, index) => !back[index]);
    const righted = whole(state, stay);
    if (mostOut(righted.state) > (need.fewer ?? 0)) continue;
    const reached = reaching(righted.state, need, home);
    if (!reached || !meets(reached.state, need, home)) continue;
    const putBack = state.out.filter((_, index) => back[index]).flatMap((out) => puttingBack(out, costs));
    const parts = [...righted.parts, ...putBack, ...reached.parts];
    const found = { parts, ...cost(parts, costs, interval), after: reached.state };
    if (
      !best ||
      found.outOfSight < best.outOfSight ||
      (found.outOfSight === best.outOfSight && found.seconds < best.seconds)
    )
      best = found;
  }
  return best;
};
