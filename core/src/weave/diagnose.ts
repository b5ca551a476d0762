import { Card, looksLike } from '../deck/card';
import { Order } from '../deck/order';
import { JobRule, oneStep } from '../job/job';
import { WeaveKind } from '../moves/weave';

/** A card that was seen at a place, from 1, after the weave. */
export interface SeenCard {
  readonly place: number;
  readonly card: Card;
}

/** A weave that may have gone wrong, and what was seen after it. */
export interface DoubtfulWeave {
  readonly before: Order;
  readonly intended: WeaveKind;
  readonly seen: readonly SeenCard[];
}

/** One way in which the weave may have gone. */
export interface WeaveExplanation {
  /** How many cards fell behind one of their own packet, and one more where the wrong packet began. */
  readonly faults: number;
  /** The pack after it. */
  readonly after: Order;
  /** How many cards were cut off. */
  readonly cut: number;
  /** Whether the other packet began than was meant. */
  readonly began: boolean;
  /** The places, from 1, of cards that fell directly behind one of their own packet. */
  readonly slips: readonly number[];
}

/** What a doubtful weave may have been. */
export interface WeaveDiagnosis {
  /** The likeliest first, `MOST_EXPLANATIONS` at most: fewest faults, cut nearest to the middle, earliest slip. */
  readonly explanations: readonly WeaveExplanation[];
  /** How many have as few faults as the first, shown or not; exact below 2⁵³. */
  readonly ties: number;
  /** The place where one more glimpse would leave the fewest of them on the average; undefined where there is one. */
  readonly look: number | undefined;
}

export const MOST_EXPLANATIONS = 20;

/** A pack that is to be woven is cut within so many cards of its middle. */
export const NEAR_MIDDLE = 6;

const [UPPER, LOWER] = [0, 1];

/** One place of the cut, with all that is counted of the interleavings behind it. */
interface CutPack {
  readonly before: Order;
  readonly cut: number;
  /** The packet that was meant to begin. */
  readonly meant: number;
  /** What every card looks like: the index before the weave of the first that looks so. Two copies look the same. */
  readonly looks: Int16Array;
  /** By place, from 1: what the card that must fall there looks like; −1 where any may. */
  readonly must: Int16Array;
  /**
   * In how many ways a weave goes on that has laid so many cards of the upper packet and so many of the lower, the
   * last of them from this packet, with so many faults from there.
   */
  ways(upper: number, lower: number, last: number, faults: number): number;
}

/** Whether a packet may give the next card, and what that card is before the weave, as an index. */
const nextOf = (
  { before, cut, looks, must }: Pick<CutPack, 'before' | 'cut' | 'looks' | 'must'>,
  upper: number,
  lower: number,
  packet: number,
): number => {
  const index = packet === UPPER ? upper : cut + lower;
  if (packet === UPPER ? upper >= cut : index >= before.length) return -1;
  const wanted = must[upper + lower + 1];
  return wanted === -1 || wanted === looks[index] ? index : -1;
};

/** What a card of a packet costs: a fault where it falls behind its own, or begins where the other one should. */
const faultOf = (pack: CutPack, upper: number, lower: number, last: number, packet: number): number =>
  Number(upper + lower === 0 ? packet !== pack.meant : packet === last);

/**
 * Counts the ways of going on for every state, from the end of the weave to its beginning.
 *
 * @param most faults are counted up to so many.
 */
const cutPack = (
  before: Order,
  cut: number,
  intended: WeaveKind,
  must: Int16Array,
  most: number,
): CutPack => {
  const size = before.length;
  const lowers = size - cut;
  const row = most + 1;
  const at = (upper: number, lower: number, last: number): number =>
    ((upper * (lowers + 1) + lower) * 2 + last) * row;
  const counts = new Float64Array((cut + 1) * (lowers + 1) * 2 * row);
  const pack: CutPack = {
    ...{ before, cut, must, looks: looksOf(before), meant: intended === 'out' ? UPPER : LOWER },
    ways: (upper, lower, last, faults) => (faults < 0 ? 0 : counts[at(upper, lower, last) + faults]),
  };
  for (const last of [UPPER, LOWER]) counts[at(cut, lowers, last)] = 1;
  for (let upper = cut; upper >= 0; upper--)
    for (let lower = lowers; lower >= 0; lower--)
      for (const packet of [UPPER, LOWER]) {
        if (nextOf(pack, upper, lower, packet) < 0) continue;
        const then = at(upper + 1 - packet, lower + packet, packet);
        for (const last of [UPPER, LOWER]) {
          const now = at(upper, lower, last);
          const fault = faultOf(pack, upper, lower, last, packet);
          const largest = Math.min(most, size - upper - lower);
          for (let faults = fault; faults <= largest; faults++)
            counts[now + faults] += counts[then + faults - fault];
        }
      }
  return pack;
};

/** In how many ways a pack that was cut may have been woven, whatever the faults: the cards that were seen lie right. */
const countWays = (before: Order, cut: number, must: Int16Array): number => {
  const lowers = before.length - cut;
  const pack = { before, cut, must, looks: looksOf(before) };
  const counts = new Float64Array((cut + 1) * (lowers + 1));
  counts[counts.length - 1] = 1;
  for (let upper = cut; upper >= 0; upper--)
    for (let lower = lowers; lower >= 0; lower--)
      for (const packet of [UPPER, LOWER]) {
        if (nextOf(pack, upper, lower, packet) < 0) continue;
        const then = (upper + 1 - packet) * (lowers + 1) + lower + packet;
        counts[upper * (lowers + 1) + lower] += counts[then];
      }
  return counts[0];
};

/** The places of the cut, those nearest to the middle first; of two as near, the smaller one. */
const cutsOf = (size: number): readonly number[] => {
  const off = (cut: number): number => Math.abs(2 * cut - size);
  return Array.from({ length: size + 1 }, (_, cut) => cut)
    .filter((cut) => off(cut) <= 2 * NEAR_MIDDLE)
    .sort((a, b) => off(a) - off(b) || a - b);
};

const looksOf = (before: Order): Int16Array =>
  Int16Array.from(before, (card) => before.findIndex((each) => looksLike(each, card)));

/** By place, from 1, what was seen there: the index of the first card that looks so; undefined where that cannot be. */
const mustOf = (before: Order, seen: readonly SeenCard[]): Int16Array | undefined => {
  const must = new Int16Array(before.length + 1).fill(-1);
  for (const { place, card } of seen) {
    const index = before.findIndex((each) => looksLike(each, card));
    const fits = Number.isInteger(place) && place >= 1 && place <= before.length && index >= 0;
    if (!fits || (must[place] !== -1 && must[place] !== index)) return undefined;
    must[place] = index;
  }
  return must;
};

/** The explanations with exactly so many faults of one cut, the earliest slips first. */
function* withFaults(pack: CutPack, faults: number): Generator<WeaveExplanation> {
  const { before, cut, meant } = pack;
  const after: Card[] = [];
  const slips: number[] = [];
  let began = false;
  function* from(upper: number, lower: number, last: number, left: number): Generator<WeaveExplanation> {
    if (pack.ways(upper, lower, last, left) === 0) return;
    const place = upper + lower + 1;
    if (place > before.length) {
      yield { faults, after: [...after], cut, began, slips: [...slips] };
      return;
    }
    // What would be a fault first, so that earlier slips come first.
    const slipping = place === 1 ? 1 - meant : last;
    for (const packet of [slipping, 1 - slipping]) {
      const index = nextOf(pack, upper, lower, packet);
      if (index < 0) continue;
      const fault = faultOf(pack, upper, lower, last, packet);
      after.push(before[index]);
      if (place === 1) began = fault === 1;
      else if (fault === 1) slips.push(place);
      yield* from(upper + 1 - packet, lower + packet, packet, left - fault);
      after.pop();
      if (place > 1 && fault === 1) slips.pop();
    }
  }
  yield* from(0, 0, UPPER, faults);
}

/** A weave on its way: how many of the upper packet lie, which packet was last, and how many faults there were. */
interface OnTheWay {
  readonly upper: number;
  readonly last: number;
  readonly used: number;
  readonly ways: number;
}

/** Adds how many explanations with so many faults lay each card at each place: by place − 1 and what it looks like. */
const addLaid = (pack: CutPack, faults: number, sums: Float64Array): void => {
  const size = pack.before.length;
  let come: readonly OnTheWay[] = [{ upper: 0, last: UPPER, used: 0, ways: 1 }];
  for (let place = 1; place <= size; place++) {
    const next = new Map<number, OnTheWay>();
    for (const { upper, last, used, ways } of come)
      for (const packet of [UPPER, LOWER]) {
        const lower = place - 1 - upper;
        const index = nextOf(pack, upper, lower, packet);
        if (index < 0) continue;
        const spent = used + faultOf(pack, upper, lower, last, packet);
        const on = pack.ways(upper + 1 - packet, lower + packet, packet, faults - spent);
        if (on === 0) continue;
        sums[(place - 1) * size + pack.looks[index]] += ways * on;
        const key = ((upper + 1 - packet) * 2 + packet) * (size + 1) + spent;
        const known = next.get(key)?.ways ?? 0;
        next.set(key, { upper: upper + 1 - packet, last: packet, used: spent, ways: known + ways });
      }
    come = [...next.values()];
  }
};

/** The place where one more glimpse leaves the fewest explanations on the average; the first of equals. */
const bestLook = (packs: readonly CutPack[], faults: number, size: number): number | undefined => {
  const sums = new Float64Array(size * size);
  for (const pack of packs) addLaid(pack, faults, sums);
  let best: { readonly place: number; readonly left: number } | undefined;
  for (let place = 1; place <= size; place++) {
    const row = sums.subarray((place - 1) * size, place * size);
    const left = row.reduce((sum, ways) => sum + ways * ways, 0);
    if (row.filter((ways) => ways > 0).length > 1 && (!best || left < best.left)) best = { place, left };
  }
  return best?.place;
};

/** Explanations with up to so many faults are counted first: mostly there are enough of them. */
const FEW_FAULTS = [2, 8] as const;

/** The fewest faults first, then those of the cut nearest to the middle. */
const firstOf = (packs: readonly CutPack[], levels: readonly number[]): readonly WeaveExplanation[] => {
  const found: WeaveExplanation[] = [];
  for (const faults of levels)
    for (const pack of packs)
      for (const each of withFaults(pack, faults)) {
        found.push(each);
        if (found.length === MOST_EXPLANATIONS) return found;
      }
  return found;
};

/** @param ways how many explanations have 0, 1, 2, … faults; some has one. */
const diagnosisOf = (packs: readonly CutPack[], ways: readonly number[]): WeaveDiagnosis => {
  const levels = ways.flatMap((count, faults) => (count > 0 ? [faults] : []));
  const [least] = levels;
  return {
    explanations: firstOf(packs, levels),
    ties: ways[least],
    look: bestLook(packs, least, packs[0].before.length),
  };
};

const NOTHING: WeaveDiagnosis = { explanations: [], ties: 0, look: undefined };

/**
 * What a weave that may have gone wrong did, from a few glimpses or the whole order. It may be any interleaving of a
 * pack that was cut within six cards of the middle; one with fewer faults is the likelier.
 */
export const weaveDiagnosis = ({ before, intended, seen }: DoubtfulWeave): WeaveDiagnosis => {
  const must = mustOf(before, seen);
  if (!must || before.length === 0) return NOTHING;
  const all = cutsOf(before.length).map((cut) => ({ cut, count: countWays(before, cut, must) }));
  const total = all.reduce((sum, { count }) => sum + count, 0);
  const cuts = all.filter(({ count }) => count > 0);
  for (const faults of [...FEW_FAULTS, before.length]) {
    const most = Math.min(faults, before.length);
    const packs = cuts.map(({ cut }) => cutPack(before, cut, intended, must, most));
    const ways = Array.from({ length: most + 1 }, (_, faults) =>
      packs.reduce((sum, pack) => sum + pack.ways(0, 0, UPPER, faults), 0),
    );
    const found = ways.reduce((sum, count) => sum + count, 0);
    if (found > 0 && (found >= MOST_EXPLANATIONS || found === total || most === before.length))
      return diagnosisOf(packs, ways);
  }
  return NOTHING;
};

/**
 * The explanations of a weave that may have gone wrong.
 *
 * @returns at most 20, the fewest faults first; of as few, the cut nearest to the middle, then the earliest slip. None
 * where nothing fits, as where a card is not in the pack.
 */
export const diagnoseWeave = (weave: DoubtfulWeave): readonly WeaveExplanation[] =>
  weaveDiagnosis(weave).explanations;

export const DIAGNOSIS: JobRule<DoubtfulWeave, never, WeaveDiagnosis> = oneStep(weaveDiagnosis);
