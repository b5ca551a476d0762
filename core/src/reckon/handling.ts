import { Card } from '../deck/card';
import { mod } from '../deck/mod';
import { showCard } from '../deck/notation';
import { Order, placeOf } from '../deck/order';
import { Cut } from '../moves/cut';
import { countOfCards } from '../moves/wording';
import { cutBetween, fromFace } from '../deck/offset';

/** How a number is counted out, each way landing on another place. */
export type Counting = 'turn the last' | 'turn the next' | 'from the face';

/** One way to have a card turn up at a number. */
export interface Handling {
  /**
   * `shift` moves single cards at one end, `cut` is one cut in the open, `hold` leaves the pack and has the
   * helper arrive at another number.
   */
  readonly way: 'shift' | 'cut' | 'hold';
  readonly counting: Counting;
  /** The number to count, from 1; only `hold` changes it. */
  readonly number: number;
  /** What is done to the pack; undefined when nothing is. */
  readonly move: Cut | undefined;
  /** The fewest cards that change ends. */
  readonly displaced: number;
  readonly from: 'top' | 'bottom';
  /** The card at the face after it. */
  readonly face: Card;
  readonly cost: number;
}

/**
 * What a handling shows, priced in cards moved: a handling is dearer by this much than the cards that it
 * moves. The prices are stated in docs/code/reckoning.md.
 */
export const SHOWN: Readonly<Record<Counting | 'cut' | 'hold', number>> = {
  'turn the last': 0,
  'turn the next': 2,
  'from the face': 3,
  cut: 6,
  hold: 30,
};

const COUNTINGS: readonly Counting[] = ['turn the last', 'turn the next', 'from the face'];

/** The place (from 1) on which a way of counting to `number` lands; above N when it runs off the pack. */
export const landing = (counting: Counting, number: number, size: number): number =>
  counting === 'turn the last' ? number : counting === 'turn the next' ? number + 1 : fromFace(number, size);

/** The number that a way of counting needs to land on `place`; 0 when there is none. */
const numberLandingOn = (counting: Counting, place: number, size: number): number =>
  counting === 'turn the last' ? place : counting === 'turn the next' ? place - 1 : fromFace(place, size);

const faceAfter = (now: Order, count: number): Card => now[mod(count - 1, now.length)];

const shift = (now: Order, place: number, number: number, counting: Counting): Handling => {
  const size = now.length;
  const count = cutBetween(place, landing(counting, number, size), size);
  const displaced = Math.min(count, size - count);
  return {
    way: 'shift',
    counting,
    number,
    move: count === 0 ? undefined : { kind: 'cut', count },
    displaced,
    from: count <= size - count ? 'top' : 'bottom',
    face: faceAfter(now, count),
    cost: displaced + SHOWN[counting],
  };
};

const hold = (now: Order, place: number, counting: Counting): Handling => ({
  way: 'hold',
  counting,
  number: numberLandingOn(counting, place, now.length),
  move: undefined,
  displaced: 0,
  from: 'top',
  face: now[now.length - 1],
  cost: SHOWN.hold + SHOWN[counting],
});

/**
 * Every way to have a card at a number, the one that moves and shows least first. A shift with an unusual
 * way of counting is listed only where it moves fewer cards than the plain one.
 *
 * @param now the pack as it is.
 * @param number 1 to N.
 * @returns nothing when the card is not in the pack or the number is outside it.
 */
export const handlings = (now: Order, card: Card, number: number): Handling[] => {
  const size = now.length;
  const place = placeOf(now, card);
  if (place === undefined || !Number.isInteger(number) || number < 1 || number > size) return [];
  const plain = shift(now, place, number, 'turn the last');
  const otherCounts = COUNTINGS.slice(1)
    .filter((counting) => landing(counting, number, size) <= size)
    .map((counting) => shift(now, place, number, counting))
    .filter(({ displaced }) => displaced < plain.displaced);
  const openCut: Handling[] = plain.move ? [{ ...plain, way: 'cut', cost: SHOWN.cut }] : [];
  const holds = COUNTINGS.map((counting) => hold(now, place, counting)).filter(
    (held) => held.number > 0 && held.number !== number,
  );
  return [plain, ...otherCounts, ...openCut, ...holds].sort((a, b) => a.cost - b.cost);
};

const COUNTING_WORDS: Readonly<Record<Counting, (number: number) => string>> = {
  'turn the last': (number) => `count ${number}, turn the last`,
  'turn the next': (number) => `deal ${number}, turn the next`,
  'from the face': (number) => `count ${number} from the face, turn the last`,
};

const HOLDING_WORDS: Readonly<Record<Counting, string>> = {
  'turn the last': 'count, turn the last',
  'turn the next': 'deal, turn the next',
  'from the face': 'count from the face, turn the last',
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What to do with the pack, without the counting: the shortest instruction. */
const describeShift = ({ displaced, from }: Handling): string =>
  displaced === 0
    ? 'Leave the pack as it is'
    : `Move ${countOfCards(displaced)} ${from === 'top' ? 'from top to bottom' : 'from bottom to top'}`;

/** What to do, as one instruction without a full stop. */
export const describeHandling = (handling: Handling): string => {
  const { way, counting, number, face } = handling;
  if (way === 'cut') return `Cut so that ${showCard(face)} comes to the face`;
  if (way === 'hold') return `Let them arrive at ${number}: ${HOLDING_WORDS[counting]}`;
  if (counting === 'turn the last') return describeShift(handling);
  const count = COUNTING_WORDS[counting](number);
  return handling.displaced === 0 ? capital(count) : `${describeShift(handling)}, ${count}`;
};

/** What a handling costs, in a few words. */
export const describeCost = ({ way, counting, displaced }: Handling): string => {
  if (way === 'cut') return 'one cut, seen';
  if (way === 'hold') return 'no cut';
  const moved = displaced === 0 ? 'nothing moves' : countOfCards(displaced);
  return counting === 'turn the last' ? moved : `${moved}, other count`;
};

/** Another way to do the same to the pack, as a sentence; undefined where there is none worth telling. */
export const describeSame = ({ way, displaced, from }: Handling): string | undefined => {
  if (way !== 'shift' || displaced === 0) return undefined;
  return from === 'top'
    ? `Or put the top ${countOfCards(displaced)} on the table and drop the rest on top.`
    : `Or leave the last ${countOfCards(displaced)} on the table, put the rest down and pick those up on top.`;
};

/** What is true once a handling is done, as a sentence. */
export const describeResult = (card: Card, { way, counting, number, face }: Handling): string => {
  const turned = `Then ${COUNTING_WORDS[counting](number)}: it is ${showCard(card)}.`;
  return way === 'hold' ? turned : `${turned} ${showCard(face)} is at the face.`;
};
