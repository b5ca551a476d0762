import { rankAt, suitAt } from '../../look';
import { lowest } from '../bits';
import { Domains } from '../domains';
import { Faces } from '../faces';
import { Term } from '../term';

/** The ranks (bits 1 to 13) and the suits (bits 16 to 19) of what may lie at a place. */
const traitsAt = (domains: Domains, place: number): number => {
  let [lo, hi] = [domains.low(place), domains.high(place)];
  const { looks } = domains.faces;
  let traits = 0;
  while (lo !== 0 || hi !== 0) {
    const face = lowest(lo, hi);
    if (face < 32) lo &= lo - 1;
    else hi &= hi - 1;
    const rank = rankAt(looks[face]);
    if (rank > 0) traits |= (1 << rank) | (1 << (16 + suitAt(looks[face])));
  }
  return traits;
};

/** Only faces of whose rank and suit something holds may lie at a place. */
const keepWhere = (
  domains: Domains,
  place: number,
  holds: (rank: number, suit: number) => boolean,
): boolean => {
  let [lo, hi] = [domains.low(place), domains.high(place)];
  const { looks } = domains.faces;
  let [keepLo, keepHi] = [0, 0];
  while (lo !== 0 || hi !== 0) {
    const face = lowest(lo, hi);
    if (face < 32) lo &= lo - 1;
    else hi &= hi - 1;
    const rank = rankAt(looks[face]);
    if (rank === 0 || !holds(rank, suitAt(looks[face]))) continue;
    if (face < 32) keepLo |= 1 << face;
    else keepHi |= 1 << (face - 32);
  }
  return domains.keep(place, keepLo, keepHi);
};

/** The card with the rank of what lies at one place and the suit of what lies at another lies at a third. */
export const composed = (faces: Faces, ranked: number, suited: number, made: number): Term => {
  const ranks = faces.looks.map(rankAt);
  const suits = faces.looks.map(suitAt);
  return {
    key: `composed ${ranked} ${suited} ${made}`,
    places: [...new Set([ranked, suited, made])],
    broken: ({ at }) => {
      const card = at[made];
      if (ranks[card] === 0) return 2;
      return Number(ranks[at[ranked]] !== ranks[card]) + Number(suits[at[suited]] !== suits[card]);
    },
    narrow: (domains) => {
      const [a, b] = [traitsAt(domains, ranked), traitsAt(domains, suited)];
      if (
        !keepWhere(domains, made, (rank, suit) => ((a >>> rank) & 1) === 1 && ((b >>> (16 + suit)) & 1) === 1)
      )
        return false;
      // By rank: the suits of the cards that may be made, and the other way about.
      let [lo, hi] = [domains.low(made), domains.high(made)];
      let [madeRanks, madeSuits] = [0, 0];
      while (lo !== 0 || hi !== 0) {
        const face = lowest(lo, hi);
        if (face < 32) lo &= lo - 1;
        else hi &= hi - 1;
        madeRanks |= 1 << ranks[face];
        madeSuits |= 1 << suits[face];
      }
      return (
        keepWhere(domains, ranked, (rank) => ((madeRanks >>> rank) & 1) === 1) &&
        keepWhere(domains, suited, (_, suit) => ((madeSuits >>> suit) & 1) === 1)
      );
    },
    cost: 4,
  };
};
