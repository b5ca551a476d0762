import { mateOf } from '../deck/card';
import { mod } from '../deck/mod';
import { Order } from '../deck/order';
import { weave, WeaveKind } from '../moves/weave';
import { Property } from './property';

/** A way in which the mates of a pack may mirror each other. */
interface Mirror {
  readonly words: string;
  /** The index (from 0) at which the mate of the card at an index lies. */
  readonly partner: (index: number) => number;
}

const axisWords = (sum: number, size: number): string => {
  if (sum === size - 1) return 'mates as far from the face as from the top';
  return sum % 2 === 0
    ? `mates as far on either side of place ${sum / 2 + 1}`
    : `mates as far on either side of the gap below place ${(sum + 1) / 2}`;
};

/** Every mirror of a pack taken round: about an axis, where two indices have one sum, or half the pack apart. */
const mirrorsOf = (size: number): Mirror[] => [
  ...[size - 1, ...Array.from({ length: Math.max(0, size - 1) }, (_, sum) => sum)].map((sum) => ({
    words: axisWords(sum, size),
    partner: (index: number) => mod(sum - index, size),
  })),
  ...(size % 2 === 0
    ? [{ words: `mates ${size / 2} apart`, partner: (index: number) => mod(index + size / 2, size) }]
    : []),
];

/** How many cards have their mate where a mirror has it; a card that is its own partner counts too. */
const mirrored = (order: Order, { partner }: Mirror): number =>
  order.filter((card, index) => partner(index) === index || order[partner(index)] === mateOf(card)).length;

const bestMirror = (order: Order): { readonly mirror: Mirror; readonly count: number } | undefined =>
  mirrorsOf(order.length)
    .map((mirror) => ({ mirror, count: mirrored(order, mirror) }))
    .reduce<{ mirror: Mirror; count: number } | undefined>(
      (best, each) => (best && best.count >= each.count ? best : each),
      undefined,
    );

/** Whether an order's mirror of mates lives through a weave, about whichever axis. */
export const mirrorSurvives = (order: Order, kind: WeaveKind): Property => {
  const says = `mates mirrored before an ${kind} weave are mirrored after it`;
  const id = `${kind} weave`;
  const [before, after] = [bestMirror(order), bestMirror(weave(order, kind))];
  if (!before || !after || before.count < order.length || order.length < 2)
    return { id, says, holds: false, count: 0, of: 0, evidence: ['its mates are not mirrored'] };
  return {
    id,
    says,
    holds: after.count === order.length,
    count: after.count,
    of: order.length,
    evidence: [
      `before it: ${before.mirror.words}`,
      after.count === order.length
        ? `after it: ${after.mirror.words}`
        : `after it: ${after.mirror.words} for ${after.count} of ${order.length} cards only`,
    ],
  };
};
