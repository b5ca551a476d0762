import { Card } from '../deck/card';
import { Order } from '../deck/order';

/** What may have happened to a pack that was laid in its order. */
export const FAULTS = ['cut', 'card moved', 'two exchanged', 'packet reversed'] as const;
export type Fault = (typeof FAULTS)[number];

/** A glimpse: the card that must lie at a place, from 1. */
export interface Check {
  readonly place: number;
  readonly card: Card;
}

/** A few glimpses, and what they do not show. */
export interface Checking {
  readonly checks: readonly Check[];
  /** Of each fault: how many ways there are to have it, and how many of them change nothing that is looked at. */
  readonly open: Readonly<Record<Fault, { readonly ways: number; readonly unseen: number }>>;
}

/** A way to have a fault: the first place and the last that it changes, as indices from 0. */
interface Way {
  readonly from: number;
  readonly to: number;
}

const pairs = (size: number): readonly Way[] =>
  Array.from({ length: size }, (_, from) =>
    Array.from({ length: size - from - 1 }, (__, more) => ({ from, to: from + more + 1 })),
  ).flat();

/** Whether a way to have a fault changes the card at a place. */
const SHOWS: Readonly<Record<Fault, (way: Way, at: number) => boolean>> = {
  cut: () => true,
  'card moved': ({ from, to }, at) => at >= from && at <= to,
  'two exchanged': ({ from, to }, at) => at === from || at === to,
  // The middle card of an odd packet stays where it was.
  'packet reversed': ({ from, to }, at) => at >= from && at <= to && 2 * at !== from + to,
};

/** Each way once; a card goes up or down as well, but for a neighbour, which is the same. */
const waysOf = (fault: Fault, size: number): readonly Way[] => {
  if (fault === 'cut') return Array.from({ length: size - 1 }, () => ({ from: 0, to: size - 1 }));
  const all = pairs(size);
  return fault === 'card moved' ? all.flatMap((way) => (way.to - way.from === 1 ? [way] : [way, way])) : all;
};

/**
 * The glimpses that show most of what may have gone wrong with a pack, each the best beside those before it.
 *
 * @param now the pack as it must lie, top card first; two cards or more. @param count how many glimpses.
 */
export const checking = (now: Order, count: number): Checking => {
  const size = now.length;
  const all = FAULTS.map((fault) => ({ fault, ways: waysOf(fault, size) }));
  const places: number[] = [];
  let left = all;
  for (let each = 0; each < Math.min(count, size); each++) {
    let best = { at: 0, open: Infinity, left };
    for (let at = 0; at < size; at++) {
      if (places.includes(at)) continue;
      const unseen = left.map(({ fault, ways }) => ({
        fault,
        ways: ways.filter((way) => !SHOWS[fault](way, at)),
      }));
      const open = unseen.reduce((sum, { ways }, index) => sum + ways.length / all[index].ways.length, 0);
      if (open < best.open) best = { at, open, left: unseen };
    }
    places.push(best.at);
    left = best.left;
  }
  return {
    checks: [...places].sort((a, b) => a - b).map((at) => ({ place: at + 1, card: now[at] })),
    open: Object.fromEntries(
      all.map(({ fault, ways }, index) => [fault, { ways: ways.length, unseen: left[index].ways.length }]),
    ) as Checking['open'],
  };
};

const WORDS: Readonly<Record<Fault, string>> = {
  ...{ cut: 'a cut', 'card moved': 'a card that was moved' },
  ...{ 'two exchanged': 'two cards exchanged', 'packet reversed': 'a packet reversed' },
};

/** What glimpses rule out, and what they do not, in two sentences at most. */
export const sayChecking = ({ open }: Checking): string => {
  const out = FAULTS.filter((fault) => open[fault].unseen === 0).map((fault) => WORDS[fault]);
  const left = FAULTS.filter((fault) => open[fault].unseen > 0).map((fault) => {
    const { ways, unseen } = open[fault];
    return `${WORDS[fault]} (${Math.max(1, Math.round((100 * unseen) / ways)).toString()} in 100 pass)`;
  });
  return [
    ...(out.length > 0 ? [`They rule out ${out.join(', ')}.`] : []),
    ...(left.length > 0 ? [`They do not rule out ${left.join(', ')}.`] : []),
  ].join(' ');
};
