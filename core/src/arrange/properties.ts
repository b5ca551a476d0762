import { colourOf, mateOf, rankOf, suitOf } from '../deck/card';
import { mod } from '../deck/mod';
import { showCard } from '../deck/notation';
import { Order, placeOf } from '../deck/order';
import { oneStep } from '../job/job';
import { cut } from '../moves/cut';
import { mirrorSurvives } from './mirror';
import { Property, property } from './property';
import { composedCardAt, ComposedWay } from '../deck/composedCard';
import { sequencesSurvive } from './sequences';

/** Neighbours as the pack is cut anywhere: the face card's neighbour is the top card. */
const neighbours = (order: Order): { place: number; a: number; b: number }[] =>
  order.map((a, index) => ({ place: index + 1, a, b: order[(index + 1) % order.length] }));

const noLikeNeighbours = (order: Order, id: string, what: string, of: (card: number) => unknown): Property =>
  property(
    id,
    `no two cards of the same ${what} side by side, wherever it is cut`,
    neighbours(order).map(({ place, a, b }) => ({
      ok: of(a) === undefined || of(a) !== of(b),
      says: `${place}: ${showCard(a)} ${showCard(b)}`,
    })),
  );

const longestRun = (order: Order): number => {
  let [longest, run] = [0, 0];
  for (let index = 0; index < 2 * order.length; index++) {
    const colour = colourOf(order[index % order.length]);
    const before = colourOf(order[mod(index - 1, order.length)]);
    run = index > 0 && colour !== undefined && colour === before ? run + 1 : 1;
    longest = Math.max(longest, Math.min(run, order.length));
  }
  return longest;
};

const colourRuns = (order: Order): Property => {
  const longest = longestRun(order);
  return {
    id: 'colour runs',
    says: 'no more than three of a colour in a row, wherever it is cut',
    holds: longest <= 3,
    count: longest,
    of: order.length,
    evidence: [`the longest run is ${longest}`],
  };
};

const coloursAlternate = (order: Order): Property =>
  property(
    'colours alternate',
    'colours alternate, wherever it is cut',
    neighbours(order).map(({ place, a, b }) => ({
      ok: colourOf(a) !== undefined && colourOf(b) !== undefined && colourOf(a) !== colourOf(b),
      says: `${place}: ${showCard(a)} ${showCard(b)}`,
    })),
  );

const suitCycle = (order: Order): Property =>
  property(
    'suits cycle',
    'the same suit every four cards, all four in turn',
    order.map((card, index) => {
      const four = [0, 1, 2, 3].map((step) => suitOf(order[(index + step) % order.length]));
      const again = order[(index + 4) % order.length];
      return {
        ok: new Set(four).size === 4 && suitOf(card) === suitOf(again),
        says: `${index + 1}: ${showCard(card)}, four on ${showCard(again)}`,
      };
    }),
  );

const matesApart = (order: Order): Property => {
  const size = order.length;
  const distances = order.map((card, index) => {
    const mate = placeOf(order, mateOf(card));
    return mate === undefined
      ? undefined
      : Math.min(mod(mate - 1 - index, size), mod(index + 1 - mate, size));
  });
  const counts = new Map<number, number>();
  for (const distance of distances)
    if (distance !== undefined) counts.set(distance, (counts.get(distance) ?? 0) + 1);
  const [best] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? [Math.floor(size / 2)];
  return property(
    'mates apart',
    `mates ${best} apart, wherever it is cut`,
    order.flatMap((card, index) => {
      const distance = distances[index];
      return distance === undefined || card > mateOf(card)
        ? []
        : [{ ok: distance === best, says: `${showCard(card)} ${showCard(mateOf(card))}: ${distance} apart` }];
    }),
  );
};

const palindrome = (order: Order): Property =>
  property(
    'palindrome',
    'mates as far from the face as from the top',
    order.slice(0, Math.floor(order.length / 2)).map((card, index) => ({
      ok: order[order.length - 1 - index] === mateOf(card),
      says: `${index + 1} and ${order.length - index}: ${showCard(card)} ${showCard(order[order.length - 1 - index])}`,
    })),
  );

/**
 * After a cut the two cards on top are laid aside: the rank of the one and the suit of the other name a card.
 * Does it lie at one place for every cut? Counted from the top for rank-then-suit, from the face otherwise.
 */
const composedCard = (order: Order, way: ComposedWay): Property => {
  const rows = order.map((_, count) => {
    const now = cut(order, count);
    return { count, now, named: composedCardAt(now, way) };
  });
  const counts = new Map<number, number>();
  for (const { named } of rows)
    if (named?.place !== undefined) counts.set(named.place, (counts.get(named.place) ?? 0) + 1);
  const [best] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? [0];
  const ends = ['from the top', 'from the face'];
  const [from, other] = way === 'rank then suit' ? ends : ends.reverse();
  // Of what is left without the two.
  const back = best === 0 ? '' : `, which is ${order.length - 1 - best} ${other},`;
  return property(
    way,
    `${way} of the next two names the card ${best} ${from}${back}, wherever it is cut`,
    rows.map(({ count, now, named }) => ({
      ok: named?.place !== undefined && named.place === best,
      says: `cut ${count}: ${showCard(now[0])} ${showCard(now[1])} name ${named ? showCard(named.card) : 'none'}, ${named?.place ?? 'not'} ${from}`,
    })),
  );
};

/** The rank of one card and of the next add up to the place of the first. */
const ranksGivePlace = (order: Order): Property =>
  property(
    'ranks give the place',
    'two neighbours’ ranks add up to the place of the first',
    order.slice(0, -1).map((a, index) => {
      const sum = (rankOf(a) ?? 0) + (rankOf(order[index + 1]) ?? 0);
      return {
        ok: sum === index + 1,
        says: `at ${index + 1}: ${showCard(a)} ${showCard(order[index + 1])} = ${sum}`,
      };
    }),
  );

/** Cut so many, and the next two ranks add up to that count: for which counts does it hold? */
const ranksGiveCount = (order: Order): Property =>
  property(
    'ranks give the count',
    'the next two ranks add up to the number cut',
    order.slice(0, -2).map((_, index) => {
      const count = index + 1;
      const [a, b] = [order[count], order[count + 1]];
      const sum = (rankOf(a) ?? 0) + (rankOf(b) ?? 0);
      return { ok: sum === count, says: `cut ${count}: ${showCard(a)} ${showCard(b)} = ${sum}` };
    }),
  );

/** All that Enumeron looks for in an order, each with its proof; what holds comes first. */
export const properties = (order: Order): Property[] =>
  [
    noLikeNeighbours(order, 'ranks apart', 'rank', rankOf),
    noLikeNeighbours(order, 'suits apart', 'suit', suitOf),
    colourRuns(order),
    coloursAlternate(order),
    suitCycle(order),
    matesApart(order),
    palindrome(order),
    composedCard(order, 'rank then suit'),
    composedCard(order, 'suit then rank'),
    ranksGiveCount(order),
    ranksGivePlace(order),
    sequencesSurvive(order, 'out'),
    sequencesSurvive(order, 'in'),
    mirrorSurvives(order, 'out'),
    mirrorSurvives(order, 'in'),
  ].sort((a, b) => Number(b.holds) - Number(a.holds));

/** The same as a job. */
export const PROPERTIES = oneStep(({ order }: { readonly order: Order }) => properties(order));
