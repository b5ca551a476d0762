import stacks from '../../../test/vectors/stacks.json';
import { of, summed } from '../../../test/reckoned';
import { composedCardAt, ComposedWay } from '../../deck/composedCard';
import { Card, looksLike, RANKS, rankOf, secondOf, suitOf } from '../../deck/card';
import { parseCard, showCard } from '../../deck/notation';
import { numberOrder, Order, placeOf } from '../../deck/order';
import { seededRng, shuffled } from '../../deck/rng';
import { cut } from '../../moves/cut';
import { deal } from '../../moves/deal';
import { reckonComposedCard } from './composedCard';
import { digitSum, reckonNextRanks } from './digitSum';
import { reckonGap } from './gapCards';
import { reckonMovedCard } from './movedCard';
import { reckonTwoCards } from './twoCards';

const tidemark = stacks.tidemark.map((name) => parseCard(name) as Card);

test('a gap of one or two anywhere round the pack: the sum ends where the first missing card lay', () => {
  for (const count of [1, 2])
    for (let place = 1; place <= 52; place++) {
      const round = (at: number): Card => tidemark[(at + 51) % 52];
      const reckoning = of(reckonGap(tidemark, round(place - 1 || 52), round(place + count)));
      expect(summed(reckoning)).toBe(place);
      expect(reckoning.answer).toContain(showCard(round(place)));
    }
});

test('two cards at two numbers: how many to cut is never below none, for every place and pair of numbers', () => {
  for (const place of [1, 17, 52])
    for (let mine = 1; mine <= 52; mine++)
      for (let theirs = 1; theirs <= 52; theirs++) {
        if (mine === theirs) continue;
        const { sum } = of(reckonTwoCards(tidemark, tidemark[place - 1], mine, theirs));
        const toCut = sum.find(({ words }) => words === 'cards to cut')?.amount;
        expect(toCut).toBe((place - mine + 52) % 52);
      }
});

describe('the next two ranks: the prepared card, counted out of what they hold', () => {
  /** The n-th card of a row that is counted off, from 1. */
  const nth = (row: Order, count: number): Card => row[count - 1];

  test.each([1, 5, 10, 19, 28, 40])('prepared at %i, for every pair of ranks', (prepared) => {
    for (const first of RANKS)
      for (const second of RANKS) {
        const count = first + second;
        const { answer, notes } = of(reckonNextRanks(tidemark, first, second, prepared));
        const [packet, rest] = [tidemark.slice(0, count), tidemark.slice(count)];
        const counted = deal(packet, count);
        if (answer.includes('counting')) {
          expect(nth(counted, digitSum(count))).toBe(tidemark[prepared - 1]);
          continue;
        }
        const only = /have them count (\d+) only/.exec(answer);
        const ofRest = /count (\d+) of the rest/.exec(answer);
        expect(Boolean(only)).toBe(prepared <= count);
        const reached = only ? nth(packet, Number(only[1])) : nth(rest, Number(ofRest?.[1]));
        expect(reached).toBe(tidemark[prepared - 1]);
        const late = /it lies at (\d+) from the top/.exec(notes.join(' '));
        if (only) expect(nth(counted, Number(late?.[1]))).toBe(tidemark[prepared - 1]);
      }
  });

  test('a place that the pack does not have is refused', () => {
    for (const prepared of [0, 53])
      expect(reckonNextRanks(tidemark, 4, 9, prepared)).toMatchObject({ ok: false });
  });
});

test('nothing was moved: said of the order itself and of every turn of it, whatever may have happened', () => {
  for (let offset = 0; offset < 52; offset++)
    for (const riffles of [0, 1, 3])
      for (const cutting of [false, true]) {
        const { answer, notes } = of(reckonMovedCard(tidemark, cut(tidemark, offset), riffles, cutting));
        expect(answer).toBe(
          offset === 0
            ? 'No card was moved: the pack is in order'
            : `No card was moved: the pack is cut at ${offset}`,
        );
        // One card from end to end looks the same as a cut of one.
        expect(notes.length).toBe(offset === 1 || offset === 51 ? 2 : 1);
      }
});

test('the card that two name is found in whichever copy is there, the nearest to where one counts from', () => {
  const WAYS: readonly ComposedWay[] = ['rank then suit', 'suit then rank'];
  for (let seed = 1; seed <= 60; seed++) {
    const pack = shuffled([...numberOrder(), ...numberOrder().slice(0, 8).map(secondOf)], seededRng(seed));
    for (const way of WAYS) {
      const [ranked, suited] = way === 'rank then suit' ? pack : [pack[1], pack[0]];
      const rest = way === 'rank then suit' ? pack.slice(2) : pack.slice(2).reverse();
      const index = rest.findIndex(
        (card) => rankOf(card) === rankOf(ranked) && suitOf(card) === suitOf(suited),
      );
      const found = composedCardAt(pack, way);
      expect(found?.place).toBe(index < 0 ? undefined : index + 1);
      if (index >= 0) expect(found?.card).toBe(rest[index]);
    }
    const { marks, known } = of(reckonComposedCard(pack, pack[0]));
    const wanted = marks.find(({ mark }) => mark === 'wanted')?.place;
    const named = known.find(({ words }) => words === 'rank then suit')?.card;
    if (wanted !== undefined) expect(looksLike(pack[wanted - 1], named ?? -1)).toBe(true);
  }
  // Only the second copy is among the rest: the first is one of the two.
  const seven = parseCard('7D') as Card;
  const [, , ...others] = tidemark.filter((card) => card !== seven);
  const both = [seven, parseCard('9D') as Card, ...others, secondOf(seven)];
  expect(composedCardAt(both, 'rank then suit')).toEqual({ card: secondOf(seven), place: both.length - 2 });
  expect(placeOf(both, secondOf(seven))).toBe(both.length);
});
