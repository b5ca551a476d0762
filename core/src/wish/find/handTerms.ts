import { rankAt, valueAt } from '../look';
import { Hand } from '../wish';
import { Bits, hasBit } from './bits';
import { countOfFaces, Faces, facesWhere } from './faces';
import { count } from './terms/count';
import { layout, Layout, oneOfLayouts } from './terms/layouts';
import { pair, relationTable } from './terms/pair';
import { never } from './terms/single';
import { someOf } from './terms/someOf';
import { Term } from './term';

const RANKS = Array.from({ length: 13 }, (_, index) => index + 1);

const everywhere = (places: readonly number[], { lo, hi }: Bits): Layout =>
  layout(places.map((place) => [place, lo, hi]));

/** The faces of each value. */
const allOf = (faces: Faces, by: 'suit' | 'colour', values: readonly number[]): readonly Bits[] =>
  values.map((value) => facesWhere(faces, (look) => valueAt(by, look) === value));

/** The ranks of a row of so many that begins at one; 14 is the ace again. */
const ranksFrom = (first: number, length: number): readonly number[] =>
  Array.from({ length }, (_, step) => ((first + step - 1) % 13) + 1);

const rowsOfRanks = (length: number): readonly (readonly number[])[] =>
  Array.from({ length: Math.max(0, 15 - length) }, (_, index) => ranksFrom(index + 1, length));

const otherRanks = (faces: Faces, places: readonly number[]): readonly Term[] => {
  const table = relationTable(faces, 'other rank');
  return places.flatMap((a, index) => places.slice(index + 1).map((b) => pair(a, b, table)));
};

const ways = (places: readonly number[], sets: readonly Bits[], key: string): Term => {
  const name = `${key} ${places.join(' ')}`;
  return sets.length === 0
    ? never(`No ${key} has ${places.length} cards.`)
    : oneOfLayouts(
        sets.map((bits) => everywhere(places, bits)),
        name,
        ({ at }) =>
          Math.min(...sets.map((bits) => places.filter((place) => !hasBit(bits, at[place])).length)),
      );
};

/** So many of ranks, in each way in which ranks can be chosen for it. */
const ofKinds = (faces: Faces, places: readonly number[], needs: readonly number[]): Term => {
  const byRank = RANKS.map((rank) => facesWhere(faces, (look) => rankAt(look) === rank));
  const held = (rank: number): number => countOfFaces(faces, (look) => rankAt(look) === rank);
  const enough = (need: number): readonly number[] => RANKS.filter((rank) => held(rank) >= need);
  const so = (rank: number, need: number): Term =>
    count(
      places.map((place) => [place, byRank[rank - 1]]),
      need,
      places.length,
    );
  const [first, second] = [needs[0], needs.at(1)];
  const groups =
    second === undefined
      ? enough(first).map((rank) => [so(rank, first)])
      : enough(first).flatMap((rank) =>
          enough(second)
            .filter((other) => (first === second ? other > rank : other !== rank))
            .map((other) => [so(rank, first), so(other, second)]),
        );
  // Four of a kind are two pairs.
  const more = first === 2 && second === 2 ? enough(4).map((rank) => [so(rank, 4)]) : [];
  const all = [...groups, ...more];
  return all.length === 0 ? never('The pack has too few cards of a rank.') : someOf(all, 1);
};

const NEEDS: Readonly<Partial<Record<Hand, readonly number[]>>> = {
  'four of a kind': [4],
  'full house': [3, 2],
  'three of a kind': [3],
  'two pairs': [2, 2],
  pair: [2],
};

/** What makes a hand of the cards at these places. */
export const handTerms = (faces: Faces, places: readonly number[], is: Hand): readonly Term[] => {
  const needs = NEEDS[is];
  if (needs) return [ofKinds(faces, places, needs)];
  const suits = allOf(faces, 'suit', [0, 1, 2, 3]);
  if (is === 'flush') return [ways(places, suits, 'flush')];
  if (is === 'one colour') return [ways(places, allOf(faces, 'colour', [0, 1]), 'one colour')];
  const rows = rowsOfRanks(places.length).map((ranks) =>
    facesWhere(faces, (look) => ranks.includes(rankAt(look))),
  );
  const sets =
    is === 'straight'
      ? rows
      : rows.flatMap((row) => suits.map(({ lo, hi }) => ({ lo: row.lo & lo, hi: row.hi & hi })));
  return [ways(places, sets, is), ...otherRanks(faces, places)];
};
