import { Card } from '../deck/card';
import { mod } from '../deck/mod';
import { Order } from '../deck/order';
import { BankThere, extraIn, mostOut, outOf, PackState } from './state';

/** What a routine needs of a pack. */
export type PackNeed =
  | {
      readonly kind: 'home';
      /** Any turn, or one of these. */
      readonly turns: 'any' | readonly number[];
      /** Whether the turn must be seen. */
      readonly known?: boolean;
      /** So many cards may be out; none unless told. */
      readonly fewer?: number;
    }
  | {
      readonly kind: 'bank';
      readonly cards: readonly Card[];
      readonly at: 'top' | 'face';
      readonly loose: boolean;
      readonly fewer?: number;
    }
  | { readonly kind: 'cards'; readonly fewer?: number };

export type BankNeed = Extract<PackNeed, { kind: 'bank' }>;

const isSameRow = (a: readonly Card[], b: readonly Card[], loose: boolean): boolean => {
  const has = new Set(a);
  return (
    a.length === b.length &&
    (loose ? b.every((card) => has.has(card)) : b.every((card, at) => card === a[at]))
  );
};

/** The cards at an end of a row. */
const endOf = (row: readonly Card[], at: 'top' | 'face', count: number): readonly Card[] =>
  at === 'top' ? row.slice(0, count) : row.slice(Math.max(0, row.length - count));

const turned = (home: Order, turn: number): Order => [...home.slice(turn), ...home.slice(0, turn)];

/** Whether the home order at a turn, all its cards counted, has a bank at its end. */
export const hasBankAt = (home: Order, turn: number, { cards, at, loose }: BankNeed): boolean =>
  isSameRow(endOf(turned(home, turn), at, cards.length), cards, loose);

/** The smallest turn of the home order that has a bank at its end. */
export const bankTurn = (home: Order, need: BankNeed): number | undefined => {
  const turn = home.findIndex((_, each) => hasBankAt(home, each, need));
  return turn < 0 ? undefined : turn;
};

const bankServes = (there: BankThere, { cards, at, loose }: BankNeed): boolean => {
  if (there.at !== at) return false;
  if (!there.loose) return isSameRow(endOf(there.cards, at, cards.length), cards, loose);
  return loose && isSameRow(there.cards, cards, true);
};

/** Whether none of the cards can be out: those that are not told may be any. */
export const areIn = (state: PackState, cards: readonly Card[]): boolean =>
  outOf(state).every(
    (out) =>
      Array.isArray(out.cards) && cards.every((card) => !(out.cards as readonly Card[]).includes(card)),
  );

/** Whether cards that are out, strangers, stray packets and cards that lie face up leave a pack as any need wants it. */
export const isWhole = (state: PackState, fewer = 0): boolean =>
  mostOut(state) <= fewer &&
  extraIn(state) === 0 &&
  (state.lies !== 'home' || state.packets.length === 0) &&
  (state.lies !== 'lost' || !state.faceUp);

/** Whether a pack that lies so meets what a routine needs (docs/code/performing.md, 3). */
export const meets = (state: PackState, need: PackNeed, home: Order): boolean => {
  if (state.lies === 'ready') return true;
  if (!isWhole(state, need.fewer)) return false;
  if (need.kind === 'cards') return true;
  if (need.kind === 'home') {
    if (state.lies !== 'home') return false;
    if (need.turns !== 'any') return typeof state.turn === 'number' && need.turns.includes(state.turn);
    return !need.known || state.turn !== 'unseen';
  }
  if (!areIn(state, need.cards)) return false;
  if (state.lies === 'home')
    return typeof state.turn === 'number' && hasBankAt(home, mod(state.turn, home.length), need);
  return state.lies === 'bank' && bankServes(state.bank, need);
};

/** How a pack that is laid new lies for a need: at the smallest turn that will do, or as the bank. */
export const laidFor = (need: PackNeed, home: Order): PackState => {
  const whole = { out: [], extra: 0 };
  const atTurn = (turn: number): PackState => ({ lies: 'home', turn, packets: [], ...whole });
  if (need.kind === 'home') return atTurn(need.turns === 'any' ? 0 : Math.min(...need.turns));
  if (need.kind === 'cards') return atTurn(0);
  const { cards, at, loose } = need;
  const turn = bankTurn(home, need);
  return turn === undefined ? { lies: 'bank', bank: { cards, at, loose }, ...whole } : atTurn(turn);
};
