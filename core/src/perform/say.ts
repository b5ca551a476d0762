import { countOf } from '../deck/countOf';
import { mod } from '../deck/mod';
import { showCard } from '../deck/notation';
import { secondOf } from '../deck/card';
import { numberOrder, Order } from '../deck/order';
import { MendPart } from './costs';
import { bankTurn, PackNeed } from './need';
import { mostOut, Out, PackState, Plus, Stray, Told } from './state';

/** The order that a pack belongs to, and what it is called. */
export interface NamedHome {
  readonly name: string;
  readonly cards: Order;
  /** Set where nobody knows the order: its cards stand in for others, and are not named. */
  readonly isUnknown?: true;
}

/** A pack of which no order is known. Its cards are in no bank that anybody lays: only what is found there is there. */
export const UNKNOWN_HOME: NamedHome = {
  name: 'the pack',
  cards: numberOrder().map(secondOf),
  isUnknown: true,
};

const cap = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** `a`, `a and b`, `a, b and c`. */
const and = (words: readonly string[], last = 'and'): string =>
  words.length < 2 ? words.join() : `${words.slice(0, -1).join(', ')} ${last} ${words[words.length - 1]}`;

/** Values that a performer knows at the end by what was seen. */
const by = (seen: readonly string[]): string =>
  seen.length === 0 ? 'as you saw' : `by ${and(seen.map((name) => `“${name}”`))}`;

const isSeen = (told: unknown): told is { readonly seen: readonly string[] } =>
  typeof told === 'object' && told !== null && 'seen' in told;

/** A pack cut at a turn: which card lies at the face. */
export const sayTurn = (turn: number, { cards, isUnknown }: NamedHome): string => {
  const at = mod(turn, cards.length);
  if (isUnknown) return at === 0 ? 'from the top' : `cut at ${at.toString()}`;
  return at === 0 ? 'from the top' : `cut at ${at.toString()}, ${showCard(cards[at - 1])} at the face`;
};

/** More cuts than these are counted. */
const FEW = 4;

const fewerOf = (fewer = 0): string => (fewer === 0 ? '' : `; ${countOf(fewer, 'card')} may be out`);

/** What a routine needs of a pack, without a full stop: `Tidemark from the top`. */
export const sayNeed = (need: PackNeed, home: NamedHome): string => {
  const fewer = fewerOf(need.fewer);
  if (need.kind === 'cards') return `all its cards, face down${fewer}`;
  if (need.kind === 'bank') {
    const { cards, at, loose } = need;
    const end = at === 'top' ? 'on top' : 'at the face';
    const which =
      cards.length <= FEW
        ? cards.map(showCard).join(' ')
        : `${showCard(cards[0])} to ${showCard(cards[cards.length - 1])}`;
    return `${cards.length === 1 ? which : `${countOf(cards.length, 'card')} (${which})`} ${end}${cards.length > 1 ? `, in ${loose ? 'any' : 'their'} sequence` : ''}${fewer}`;
  }
  const { turns, known } = need;
  if (turns === 'any') return `${home.name}, ${known ? 'cut where you know' : 'cut anywhere'}${fewer}`;
  if (turns.length === 1) return `${home.name} ${sayTurn(turns[0], home)}${fewer}`;
  return turns.length <= FEW
    ? `${home.name} cut at ${and(turns.map(String), 'or')}${fewer}`
    : `${home.name} at one of ${turns.length.toString()} cuts${fewer}`;
};

const sayCut = (turn: Told<number> | Plus, home: NamedHome): string => {
  if (turn === 'unseen') return 'cut, nobody saw where';
  if (typeof turn === 'number') return sayTurn(turn, home);
  if (isSeen(turn))
    return turn.seen.length === 0 ? 'cut where you saw' : `cut, which you know ${by(turn.seen)}`;
  const { plus } = turn;
  if (plus === 0) return 'cut as it was';
  return typeof plus === 'number'
    ? `cut ${plus.toString()} further`
    : `cut further, which you know ${by(plus.seen)}`;
};

const sayCount = (count: Told<number>, most: number): string =>
  typeof count === 'number' ? countOf(count, 'card') : `up to ${countOf(most, 'card')}`;

/** How a number that is not the same in all cases is known; empty where it is, or where one saw it. */
const knownBy = (told: unknown): string =>
  isSeen(told) && told.seen.length > 0 ? ` (known ${by(told.seen)})` : '';

const sayBehind = (behind: Told<number>, { cards, isUnknown }: NamedHome): string => {
  if (behind === 'unseen') return 'nobody saw where';
  if (isSeen(behind) && behind.seen.length > 0) return `below a card that you know ${by(behind.seen)}`;
  return typeof behind === 'number' && !isUnknown
    ? `below ${showCard(cards[mod(behind - 1, cards.length)])}`
    : 'below a card that you saw';
};

const sayStray = ({ count, most, faceUp, reversed, stays, behind }: Stray, home: NamedHome): string => {
  const one = most === 1;
  const side = faceUp ? ' face up' : '';
  const about = !one && reversed !== faceUp ? ' in reverse' : '';
  const where = stays
    ? ', in their place'
    : one
      ? `, which belongs ${sayBehind(behind, home)}`
      : `, which belong ${sayBehind(behind, home)}`;
  return `${sayCount(count, most)}${side}${about}${knownBy(count)}${stays && one ? ', in its place' : where}`;
};

const SOME = 6;

const sayOut = ({ where, count, most, cards }: Out): string => {
  const what =
    Array.isArray(cards) && cards.length <= SOME
      ? cards.map(showCard).join(' ')
      : `${sayCount(count, most)}${knownBy(cards)}`;
  return where === 'gone' ? `${what} gone for good` : `${what} out (${where})`;
};

/** How a pack lies, without a full stop: `cut where you saw; 7♦ out (pocket)`. */
export const sayState = (state: PackState, home: NamedHome): string => {
  if (state.lies === 'ready') return 'laid as the first routine needs it';
  const { out, extra } = state;
  const rest = [
    ...out.map(sayOut),
    ...(extra > 0 ? [`${countOf(extra, 'card')} in it that do not belong there`] : []),
  ];
  if (state.lies === 'home')
    return [sayCut(state.turn, home), ...state.packets.map((packet) => sayStray(packet, home)), ...rest].join(
      '; ',
    );
  if (state.lies === 'lost')
    return [`in no known order${state.faceUp ? ', with cards face up' : ''}`, ...rest].join('; ');
  const { cards, at, loose } = state.bank;
  const end = at === 'top' ? 'on top' : 'at the face';
  return [
    `${countOf(cards.length, 'card')} of its bank ${end}${loose ? ', in any sequence' : ''}`,
    ...rest,
  ].join('; ');
};

/** How a routine leaves a pack, without a full stop: each ending. */
export const sayLeaves = (leaves: readonly PackState[] | 'same', home: NamedHome): string =>
  leaves === 'same' ? 'as it was' : leaves.map((state) => sayState(state, home)).join(' · or ');

const cutWords = (need: PackNeed, home: NamedHome): string => {
  const turn =
    need.kind === 'bank'
      ? bankTurn(home.cards, need)
      : need.kind === 'home' && need.turns !== 'any'
        ? Math.min(...need.turns)
        : 0;
  if (home.isUnknown)
    return turn === undefined || turn === 0 ? 'Cut it to begin from the top' : `Cut it at ${turn.toString()}`;
  const at = mod((turn ?? 0) - 1, home.cards.length);
  return `Cut ${showCard(home.cards[at])} to the face`;
};

/** The packets that acts are about, in turn: stray ones of the pack, and those that are laid aside. */
const packetWords = (
  state: PackState,
  home: NamedHome,
): readonly { readonly count: string; readonly where: string; readonly faceUp: boolean }[] =>
  state.lies === 'home'
    ? state.packets.map(({ count, most, behind, faceUp }) => ({
        count:
          typeof count === 'number' ? (count === 1 ? 'the card' : `the ${count.toString()}`) : 'the packet',
        where:
          typeof behind === 'number' && !home.isUnknown
            ? sayBehind(behind, home)
            : most === 1 || typeof count !== 'number'
              ? 'where it belongs'
              : 'where they belong',
        faceUp,
      }))
    : [];

/** One act of a mend as it is done: a sentence without a full stop. */
const sayAct = ({ act, cards = 0 }: MendPart, state: PackState, need: PackNeed, home: NamedHome): string => {
  const packets = packetWords(state, home);
  const one = packets.length === 1 ? packets[0] : undefined;
  switch (act) {
    case 'see':
      return 'See the card at the face: it tells the cut';
    case 'cut':
      return cutWords(need, home);
    case 'flip packet':
      return `Turn ${one?.faceUp ? one.count : 'the packet'} over`;
    case 'deal packet':
      return `Deal ${one?.count ?? 'the packet'} singly, which reverses it`;
    case 'move packet':
      return `Put ${one?.count ?? 'the packet'} ${one?.where ?? 'where it belongs'}`;
    case 'find packet':
      return 'Find the cards that lie wrong';
    case 'put packet back':
      return 'Put the packet that is out back where it belongs';
    case 'put back':
      return `Put ${countOf(cards, 'card')} back into place`;
    case 'take out':
      return `Take out ${countOf(cards, 'card')} that do not belong there`;
    case 'find bank':
      return need.kind === 'bank'
        ? `Find the ${cards.toString()} and lay them ${need.at === 'top' ? 'on top' : 'at the face'}`
        : `Find the ${cards.toString()}`;
    case 'change':
      return 'Change the pack for a spare one';
    case 'lay anew':
      return 'Lay the pack anew';
  }
};

/** A mend as acts to do with the pack in hand, one after the other. */
export const sayMend = (
  parts: readonly MendPart[],
  state: PackState,
  need: PackNeed,
  home: NamedHome,
): readonly string[] => parts.map((part) => sayAct(part, state, need, home));

/** Why no row of acts brings a pack to a need. */
export const whyNoMend = (state: PackState, need: PackNeed, home: NamedHome): string => {
  if (state.lies === 'ready') return '';
  const gone = state.out.find(({ where }) => where === 'gone');
  if (gone && mostOut({ ...state, out: [gone] }) > (need.fewer ?? 0))
    return `${cap(sayOut(gone))}: the next routine needs all its cards.`;
  if (need.kind === 'home' && state.lies === 'lost')
    return `Its order is lost, and the next routine needs ${sayNeed(need, home)}. Use a spare pack, or lay it anew in the interval.`;
  if (need.kind === 'home' && state.lies === 'bank')
    return `Only its bank is known, and the next routine needs ${sayNeed(need, home)}.`;
  return `It lies ${sayState(state, home)}, and the next routine needs ${sayNeed(need, home)}.`;
};
