import { Card } from '../deck/card';
import { mod } from '../deck/mod';
import { Order } from '../deck/order';
import { outOf, PackState } from './state';

/** How a pack in a state is drawn: a bar a card, top first. */
export interface StatePicture {
  /** Undefined where it is not known which card lies there. */
  readonly cards: readonly (Card | undefined)[];
  /** Places, as indices from 0, whose cards lie the other way about or elsewhere than they belong. */
  readonly strayed: readonly number[];
  /** How many cards lie above the seam; undefined where nobody can say. */
  readonly seam: number | undefined;
}

/** So many bars stand for a packet of which it is not known how many it has. */
const SOME = 8;

export const pictureOfState = (state: PackState, home: Order): StatePicture => {
  const out = new Set(
    outOf(state).flatMap(({ cards }) => (Array.isArray(cards) ? (cards as readonly Card[]) : [])),
  );
  const left = home.filter((card) => !out.has(card));
  if (state.lies === 'ready') return { cards: home, strayed: [], seam: 0 };
  if (state.lies === 'lost') return { cards: left.map(() => undefined), strayed: [], seam: undefined };
  if (state.lies === 'bank') {
    const { cards, at } = state.bank;
    const rest = new Array<undefined>(Math.max(0, home.length - cards.length)).fill(undefined);
    return { cards: at === 'top' ? [...cards, ...rest] : [...rest, ...cards], strayed: [], seam: undefined };
  }
  const { turn } = state;
  const known = typeof turn === 'number' ? mod(turn, home.length) : undefined;
  const turned = [...home.slice(known ?? 0), ...home.slice(0, known ?? 0)].filter((card) => !out.has(card));
  const strayed = state.packets.flatMap(({ place, count, most }) => {
    const from = typeof place === 'number' ? place - 1 : 0;
    const length = typeof count === 'number' ? count : Math.min(most, SOME);
    return Array.from({ length }, (_, index) => from + index).filter((index) => index < turned.length);
  });
  const first = turned.indexOf(left[0]);
  return { cards: turned, strayed, seam: known === undefined ? undefined : Math.max(0, first) };
};
