import { Card } from '../deck/card';
import { showCard } from '../deck/notation';
import { Order } from '../deck/order';
import { oneStep } from '../job/job';
import { applyMove, Move } from '../moves/move';
import { RestoreOptions, restoring } from './restore/restoring';
import { LyingCard } from './state';

/** One step of the way back to an order, done with the pack in hand. */
export interface ResetStep {
  readonly kind: 'take out' | 'turn over' | 'move' | 'put back';
  /** A sentence. */
  readonly says: string;
  /** The cards that it is about. */
  readonly cards: readonly Card[];
  /** The pack behind it, top first. */
  readonly after: readonly LyingCard[];
}

/** The way back to an order. */
export interface ResetPlan {
  readonly steps: readonly ResetStep[];
  /** How many of them are moves of the whole pack, no fewer than `bound`. */
  readonly moves: number;
  readonly bound: number;
  /** Whether it is proved that no fewer moves do. */
  readonly shortest: boolean;
}

export interface ResetArgs extends RestoreOptions {
  /** The pack as it lies, top first. */
  readonly now: readonly LyingCard[];
  /** The order wanted, each card once. */
  readonly home: Order;
}

const fromTo = (cards: readonly Card[]): string => {
  const [first, last] = [showCard(cards[0]), showCard(cards[cards.length - 1])];
  if (cards.length < 3) return cards.map(showCard).join(' and ');
  return `the ${cards.length.toString()} from ${first} to ${last}`;
};

const below = (card: Card | undefined): string => (card === undefined ? 'on top' : `below ${showCard(card)}`);

/** A move told by the cards, so that no places need be counted. */
export const sayMoveByCards = (
  move: Move,
  now: Order,
): { readonly says: string; readonly cards: readonly Card[] } => {
  switch (move.kind) {
    case 'cut':
      return { says: `Cut ${showCard(now[move.count - 1])} to the face.`, cards: [now[move.count - 1]] };
    case 'swap cards': {
      const cards = [now[move.one - 1], now[move.other - 1]];
      return { says: `Exchange ${showCard(cards[0])} and ${showCard(cards[1])}.`, cards };
    }
    case 'reverse packet': {
      const cards = now.slice(move.from - 1, move.to);
      const says =
        cards.length === 2
          ? `Exchange ${showCard(cards[0])} and ${showCard(cards[1])}, which lie together.`
          : `Reverse ${fromTo(cards)} where they lie.`;
      return { says, cards };
    }
    case 'move packet': {
      const cards = now.slice(move.from - 1, move.to);
      const where = below(move.after === 0 ? undefined : now[move.after - 1]);
      const them = cards.length === 1 ? 'it' : 'them';
      const says = `${move.reversed ? 'Reverse' : 'Lift'} ${fromTo(cards)} and put ${them} ${where}.`;
      return { says, cards };
    }
    default:
      return { says: '', cards: [] };
  }
};

const faceDown = (cards: Order): readonly LyingCard[] => cards.map((card) => ({ card, faceUp: false }));

/** What does not belong there is taken out first. */
const takingOut = (now: readonly LyingCard[], home: Order): readonly ResetStep[] => {
  const left = new Set(home);
  const own = now.filter(({ card }) => left.delete(card));
  const odd = now.filter((each) => !own.includes(each));
  if (odd.length === 0) return [];
  const places = odd.map((each) => `${showCard(each.card)} at ${(now.indexOf(each) + 1).toString()}`);
  const cards = odd.map(({ card }) => card);
  return [{ kind: 'take out', says: `Take out ${places.join(', ')}.`, cards, after: own }];
};

/** Cards that lie face up beside each other are turned over as one packet, where they lie. */
const turningOver = (start: readonly LyingCard[]): readonly ResetStep[] => {
  const steps: ResetStep[] = [];
  let now = start;
  for (;;) {
    const from = now.findIndex(({ faceUp }) => faceUp);
    if (from < 0) return steps;
    const length = now.slice(from).findIndex(({ faceUp }) => !faceUp);
    const to = length < 0 ? now.length : from + length;
    const packet = now.slice(from, to).reverse();
    const cards = packet.map(({ card }) => card).reverse();
    now = [...now.slice(0, from), ...packet.map(({ card }) => ({ card, faceUp: false })), ...now.slice(to)];
    const says = `Turn ${fromTo(cards)} over, which lie${cards.length === 1 ? 's' : ''} face up.`;
    steps.push({ kind: 'turn over', says, cards, after: now });
  }
};

/** The cards that are not in the pack come back at the end, those together that belong together. */
const puttingBack = (start: Order, home: Order): readonly ResetStep[] => {
  const steps: ResetStep[] = [];
  let now = start;
  const missing = home.filter((card) => !start.includes(card));
  for (let at = 0; at < missing.length;) {
    let to = at + 1;
    const first = home.indexOf(missing[at]);
    while (to < missing.length && home.indexOf(missing[to]) === first + to - at) to++;
    const cards = missing.slice(at, to);
    // The card before it at home; where that is the last one, on top.
    const before = first === 0 ? undefined : home[first - 1];
    const place = before === undefined ? 0 : now.indexOf(before) + 1;
    now = [...now.slice(0, place), ...cards, ...now.slice(place)];
    const says = `Put ${fromTo(cards)} back, ${below(before)}.`;
    steps.push({ kind: 'put back', says, cards, after: faceDown(now) });
    at = to;
  }
  return steps;
};

const lastOf = (steps: readonly ResetStep[], now: readonly LyingCard[]): readonly LyingCard[] =>
  steps.at(-1)?.after ?? now;

/** The way back: strangers out, face-up packets over, the fewest moves found, and what is missing back in. */
export const resetPlan = ({ now, home, rotated }: ResetArgs): ResetPlan => {
  const out = takingOut(now, home);
  const over = turningOver(lastOf(out, now));
  let lies: Order = lastOf(over, lastOf(out, now)).map(({ card }) => card);
  const there = new Set(lies);
  const { moves, bound, shortest } = restoring(
    lies,
    home.filter((card) => there.has(card)),
    { rotated },
  );
  const steps = moves.map((move): ResetStep => {
    const told = sayMoveByCards(move, lies);
    lies = applyMove(lies, move);
    return { kind: 'move', ...told, after: faceDown(lies) };
  });
  const back = puttingBack(lies, home);
  return { steps: [...out, ...over, ...steps, ...back], moves: moves.length, bound, shortest };
};

/** The way back to an order, as a job: of a shuffled pack it takes some tenths of a second. */
export const RESET = oneStep(resetPlan);
