import { Card } from '../deck/card';
import { formatCard } from '../deck/notation';
import { Move } from '../moves/move';
import { Expression, Procedure, Step } from '../procedure/procedure';

/** One packet, or a pile of some, is picked up and put on another; places on the table are counted from 1 at the left. */
export interface Join {
  readonly pile: number;
  readonly onto: number;
}

/** What becomes of the order of a pack whose packets are gathered. */
export type GatheredKind = 'as it was' | 'turned' | 'broken';

/** One way to gather packets that lie in a row, the pack's top packet at the left. */
export interface Gathering {
  readonly joins: readonly Join[];
  /** The packets from the top of the gathered pack down, as they were numbered on the table. */
  readonly packets: readonly number[];
  readonly kind: GatheredKind;
  /** How often the hand passes over a pile that still lies there, and how often it turns back: what looks like mixing. */
  readonly passes: number;
  readonly turns: number;
}

export const [FEWEST_PACKETS, MOST_PACKETS] = [2, 6] as const;

/** Every order of some things. */
const permutations = <Item>(items: readonly Item[]): Item[][] =>
  items.length === 0
    ? [[]]
    : items.flatMap((item, index) =>
        permutations([...items.slice(0, index), ...items.slice(index + 1)]).map((rest) => [item, ...rest]),
      );

/**
 * What becomes of the order: it stays where the packets lie as they lay, is only turned where they follow each other
 * round as they did, and is broken in every other case, whatever the packets hold: the first card of a packet that
 * has come behind another than before has a new card above it.
 */
export const kindOfGathered = (packets: readonly number[]): GatheredKind => {
  const follows = packets.every(
    (packet, index) => packets[(index + 1) % packets.length] === (packet % packets.length) + 1,
  );
  return !follows ? 'broken' : packets[0] === 1 ? 'as it was' : 'turned';
};

/** The joins round the gathered pack at which another packet follows than before; the one from face to top counts. */
export const brokenJoins = (
  packets: readonly number[],
): readonly (readonly [above: number, below: number])[] =>
  packets.flatMap((above, index) => {
    const below = packets[(index + 1) % packets.length];
    return below === (above % packets.length) + 1 ? [] : [[above, below] as const];
  });

/**
 * Gathers packets step by step.
 *
 * @param count packets in the row. @param joins done in turn, each between two places at which a pile lies.
 * @returns the piles that are left, by place: their packets from the top down.
 */
export const pilesAfter = (count: number, joins: readonly Join[]): ReadonlyMap<number, readonly number[]> => {
  const piles = new Map<number, readonly number[]>(
    Array.from({ length: count }, (_, index) => [index + 1, [index + 1]]),
  );
  for (const { pile, onto } of joins) {
    const [above, below] = [piles.get(pile), piles.get(onto)];
    if (!above || !below || pile === onto) continue;
    piles.set(onto, [...above, ...below]);
    piles.delete(pile);
  }
  return piles;
};

/** How a row of joins looks from the front. */
const looksOf = (
  count: number,
  joins: readonly Join[],
): { readonly passes: number; readonly turns: number } => {
  let [passes, turns] = [0, 0];
  joins.forEach(({ pile, onto }, index) => {
    const [low, high] = [Math.min(pile, onto), Math.max(pile, onto)];
    for (const place of pilesAfter(count, joins.slice(0, index)).keys())
      if (place > low && place < high) passes++;
    const before = joins.at(index - 1);
    if (index > 0 && before && Math.sign(before.onto - before.pile) !== Math.sign(onto - pile)) turns++;
  });
  return { passes, turns };
};

/** A gathering by its joins, as soon as one pile is left; undefined until then. */
export const gather = (count: number, joins: readonly Join[]): Gathering | undefined => {
  const piles = [...pilesAfter(count, joins).values()];
  if (piles.length !== 1) return undefined;
  const [packets] = piles;
  return { joins, packets, kind: kindOfGathered(packets), ...looksOf(count, joins) };
};

/** The joins that bring packets into an order, done in a certain turn: each lays what lies above on what lies below. */
const joinsFor = (packets: readonly number[], turn: readonly number[]): readonly Join[] => {
  const joins: Join[] = [];
  for (const which of turn) {
    // A pile lies where its lowest packet lay.
    const piles = pilesAfter(packets.length, joins);
    const placeOf = (packet: number): number =>
      [...piles].find(([, pile]) => pile.includes(packet))?.[0] ?? packet;
    joins.push({ pile: placeOf(packets[which]), onto: placeOf(packets[which + 1]) });
  }
  return joins;
};

export interface Gatherings {
  /** Those that leave the order as it was or only turn it, those that look most like mixing first. */
  readonly kept: readonly Gathering[];
  readonly counts: Readonly<Record<GatheredKind, number>>;
}

/**
 * Every way to gather packets by putting one pile on another until one is left. Each of the n! orders of the packets
 * comes of (n − 1)! ways: its joins may be done in any turn. Only n orders keep what follows what.
 *
 * @param count 2 to 6 packets.
 */
export const gatherings = (count: number): Gatherings => {
  const row = Array.from({ length: count }, (_, index) => index + 1);
  const turns = permutations(row.slice(0, -1).map((packet) => packet - 1));
  const kept = row.flatMap((_, by) => {
    const packets = [...row.slice(by), ...row.slice(0, by)];
    return turns.map((turn): Gathering => {
      const joins = joinsFor(packets, turn);
      return { joins, packets, kind: kindOfGathered(packets), ...looksOf(count, joins) };
    });
  });
  const looks = ({ passes, turns: back }: Gathering): number => passes + back;
  const orders = row.reduce((product, factor) => product * factor, 1);
  return {
    kept: [...kept].sort((a, b) => looks(b) - looks(a) || a.packets[0] - b.packets[0]),
    counts: {
      ...{ 'as it was': turns.length, turned: (count - 1) * turns.length },
      broken: (orders - count) * turns.length,
    },
  };
};

/** Why a gathered pack is in order or not, as a sentence. */
export const sayGathered = (packets: readonly number[]): string => {
  const kind = kindOfGathered(packets);
  if (kind === 'as it was')
    return 'Each packet lies again on the one that was below it: every card lies where it lay.';
  if (kind === 'turned')
    return `Each packet lies again on the one that was below it, round the pack: cutting ${packets[0] === 2 ? 'packet 1' : `packets 1 to ${packets[0] - 1}`} to the bottom does the same.`;
  const broken = brokenJoins(packets);
  const [[above, below]] = broken;
  return `Packet ${below} follows ${above} now, and did not: ${broken.length} of ${packets.length} joins round the pack are broken, wherever they cut.`;
};

/** A join in words. */
export const sayJoin = ({ pile, onto }: Join, count: number, before: readonly Join[]): string => {
  const piles = pilesAfter(count, before);
  const name = (place: number): string =>
    (piles.get(place)?.length ?? 1) > 1 ? `the pile at ${place}` : `packet ${place}`;
  return `Put ${name(pile)} on ${name(onto)}.`;
};

/**
 * What gathering does to a pack, as moves for the pack in hand: a cut where that is all, else blocks that are moved.
 *
 * @param sizes of the packets from the top of the pack down, each 1 or more.
 */
export const gatherMoves = (sizes: readonly number[], packets: readonly number[]): readonly Move[] => {
  const kind = kindOfGathered(packets);
  if (kind === 'as it was') return [];
  const sizeOf = (packet: number): number => sizes[packet - 1];
  const depthOf = (row: readonly number[], packet: number): number =>
    row.slice(0, row.indexOf(packet)).reduce((sum, each) => sum + sizeOf(each), 0);
  const row = packets.map((_, index) => index + 1);
  if (kind === 'turned') return [{ kind: 'cut', count: depthOf(row, packets[0]) }];
  const moves: Move[] = [];
  let now: readonly number[] = row;
  packets.forEach((packet, index) => {
    if (now[index] === packet) return;
    const from = depthOf(now, packet) + 1;
    const after = depthOf(now, now[index]);
    moves.push({ kind: 'move packet', from, to: from + sizeOf(packet) - 1, after, reversed: false });
    const rest = now.filter((each) => each !== packet);
    now = [...rest.slice(0, index), packet, ...rest.slice(index)];
  });
  return moves;
};

/** A pack cut into packets that are as large as each other, as near as may be. */
export const evenSizes = (size: number, count: number): number[] =>
  Array.from(
    { length: count },
    (_, index) => Math.floor(((index + 1) * size) / count) - Math.floor((index * size) / count),
  );

/** The sizes of all packets but the last, and what is left for that one; below 1 where they do not fit. */
export const withRest = (sizes: readonly number[], size: number): readonly number[] => [
  ...sizes,
  sizes.reduce((left, each) => left - each, size),
];

/** How much a way of gathering looks like mixing, in words. */
export const sayLooks = ({ passes, turns }: Pick<Gathering, 'passes' | 'turns'>): string => {
  const over = passes === 0 ? '' : `passes over ${passes === 1 ? 'a pile' : `${passes} piles`}`;
  const back =
    turns === 0 ? '' : `turns back ${turns === 1 ? 'once' : turns === 2 ? 'twice' : `${turns} times`}`;
  const both = [over, back].filter((part) => part !== '').join(', ');
  return both === '' ? 'goes one way, pile by pile' : `the hand ${both}`;
};

const packetName = (packet: number): string => `packet ${packet}`;

/** Checks that each card is followed round the pack by the one that follows it in the order, or lies at its stack number. */
const inOrder = (size: number, isTurned: boolean): readonly Step[] => {
  const lies = (place: Expression): Expression => ({
    'stack number of': { 'card at': place, of: packetName(1) },
    in: 'home',
  });
  const first: Expression = isTurned ? lies(1) : 1;
  const wanted: Expression = { around: [{ difference: [{ sum: ['from', 'place'] }, 1] }, size] };
  return [
    { do: 'work out', name: 'from', what: first, by: 'helper' },
    { do: 'work out', name: 'place', what: 1, by: 'helper' },
    {
      do: 'repeat',
      times: size,
      by: 'helper',
      steps: [
        { do: 'claim', that: { equal: [lies('place'), wanted] }, words: 'The order is kept here.' },
        { do: 'work out', name: 'place', what: { sum: ['place', 1] }, by: 'helper' },
      ],
    },
  ];
};

/**
 * A gathering as a procedure: they cut the pack into packets as they please, and after gathering the order must be as
 * it was, or at least only turned. Rehearse proves it over every cut.
 *
 * @param home the order that the pack is in.
 */
export const gatherProcedure = (
  name: string,
  home: readonly Card[],
  { joins, packets }: Gathering,
): Procedure => {
  const count = packets.length;
  const cards = home.map(formatCard);
  const isTurned = kindOfGathered(packets) !== 'as it was';
  const cut = Array.from({ length: count - 1 }, (_, index): readonly Step[] => {
    const chosen = Array.from({ length: index }, (__, before) => `cards in ${packetName(before + 1)}`);
    const most = cards.length - (count - 1 - index);
    return [
      {
        ...{ do: 'choose', name: `cards in ${packetName(index + 1)}`, from: 1 },
        to:
          chosen.length === 0
            ? most
            : { difference: [most, chosen.length === 1 ? chosen[0] : { sum: chosen }] },
      },
      {
        ...{ do: 'lift', count: `cards in ${packetName(index + 1)}` },
        ...{ from: 'pack', onto: packetName(index + 1), by: 'helper' },
      },
    ];
  }).flat();
  const places = joins.map(({ pile, onto }): Step => ({
    ...{ do: 'put', packet: packetName(pile), where: 'on', other: packetName(onto) },
  }));
  const last = joins.at(-1)?.onto ?? 1;
  return {
    name,
    needs: 'A pack in the order that you know.',
    'set-up': 'The pack from its top.',
    packets: { pack: cards },
    orders: { home: cards },
    steps: [
      ...cut,
      { do: 'put', packet: 'pack', where: 'on', other: packetName(count), by: 'helper' },
      ...places,
      // Checked in one place, wherever the pile has come to lie.
      ...(last === 1
        ? []
        : [{ do: 'put', packet: packetName(last), where: 'on', other: packetName(1) } as const]),
      ...inOrder(cards.length, isTurned),
    ],
  };
};
