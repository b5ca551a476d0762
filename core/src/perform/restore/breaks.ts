/**
 * A pack as its way back home is looked for: each card by its place at home, 1 to N, with 0 above the top and N + 1 below
 * the face. A gap g lies between the elements g and g + 1; it is a break where those are no neighbours at home, either way.
 */
export type Row = Int16Array;

/**
 * What is done between gaps: the cards between gaps i and k change sides at gap j, as they are or either side reversed on
 * the way; or those cards are reversed where they lie; or the elements i and k change places.
 */
export type StepKind = 'blocks' | 'upper reversed' | 'lower reversed' | 'reversal' | 'swap';

/** A move of a row. j counts for blocks only. */
export interface Step {
  readonly kind: StepKind;
  readonly i: number;
  readonly j: number;
  readonly k: number;
}

/** 1 where two elements are no neighbours at home, else 0. */
export const apart = (a: number, b: number): 0 | 1 => (a - b === 1 || b - a === 1 ? 0 : 1);

export const breaksOf = (row: Row): readonly number[] => {
  const breaks: number[] = [];
  for (let gap = 0; gap + 1 < row.length; gap++) if (apart(row[gap], row[gap + 1])) breaks.push(gap);
  return breaks;
};

const copyBack = (to: Row, at: number, from: Row, first: number, last: number): number => {
  for (let index = last; index >= first; index--) to[at++] = from[index];
  return at;
};

const copy = (to: Row, at: number, from: Row, first: number, last: number): number => {
  for (let index = first; index <= last; index++) to[at++] = from[index];
  return at;
};

/** The row after a step; the row given stays as it is. */
export const stepped = (row: Row, { kind, i, j, k }: Step): Row => {
  const after = row.slice();
  switch (kind) {
    case 'swap':
      after[i] = row[k];
      after[k] = row[i];
      break;
    case 'reversal':
      copyBack(after, i + 1, row, i + 1, k);
      break;
    case 'blocks':
      copy(after, copy(after, i + 1, row, j + 1, k), row, i + 1, j);
      break;
    case 'upper reversed':
      copyBack(after, copy(after, i + 1, row, j + 1, k), row, i + 1, j);
      break;
    case 'lower reversed':
      copy(after, copyBack(after, i + 1, row, j + 1, k), row, i + 1, j);
  }
  return after;
};

/** By how many a step makes the breaks fewer; for a swap, elements at least two apart from each other. */
export const closedBy = (row: Row, kind: StepKind, i: number, j: number, k: number): number => {
  const [a, z] = [row[i], row[k + 1]];
  if (kind === 'reversal') {
    const [first, last] = [row[i + 1], row[k]];
    return apart(a, first) + apart(last, z) - apart(a, last) - apart(first, z);
  }
  if (kind === 'swap') {
    const [before, one, behind] = [row[i - 1], row[i], row[i + 1]];
    const [above, other, below] = [row[k - 1], row[k], row[k + 1]];
    const open = apart(before, one) + apart(one, behind) + apart(above, other) + apart(other, below);
    return open - apart(before, other) - apart(other, behind) - apart(above, one) - apart(one, below);
  }
  const [upper, upperEnd, lower, lowerEnd] = [row[i + 1], row[j], row[j + 1], row[k]];
  const open = apart(a, upper) + apart(upperEnd, lower) + apart(lowerEnd, z);
  if (kind === 'blocks') return open - apart(a, lower) - apart(lowerEnd, upper) - apart(upperEnd, z);
  if (kind === 'upper reversed') return open - apart(a, lower) - apart(lowerEnd, upperEnd) - apart(upper, z);
  return open - apart(a, lowerEnd) - apart(lower, upper) - apart(upperEnd, z);
};

const BLOCKS: readonly StepKind[] = ['blocks', 'upper reversed', 'lower reversed'];

/**
 * The one step that closes all breaks of a row, if there is one. It opens just the gaps that are breaks: two for a reversal,
 * three for blocks, four for a swap.
 */
export const lastStep = (row: Row, breaks: readonly number[]): Step | undefined => {
  const all = breaks.length;
  const [i, j, k, l] = breaks;
  const closes = (step: Step): Step | undefined =>
    closedBy(row, step.kind, step.i, step.j, step.k) === all ? step : undefined;
  if (all === 2) return closes({ kind: 'reversal', i, j: 0, k: j });
  if (all === 4)
    return j === i + 1 && l === k + 1 && k > j ? closes({ kind: 'swap', i: j, j: 0, k: l }) : undefined;
  if (all !== 3) return undefined;
  for (const kind of BLOCKS) {
    const step = closes({ kind, i, j, k });
    if (step) return step;
  }
  return undefined;
};

const [NONE, PLAIN, LOWER]: readonly (readonly StepKind[])[] = [
  [],
  ['blocks', 'upper reversed'],
  ['lower reversed'],
];

/** Which ways of changing sides make neighbours where gaps i and j are opened. */
const kindsClosing = (row: Row, i: number, j: number): readonly StepKind[] => {
  const plain = apart(row[i], row[j + 1]) === 0;
  const lower = apart(row[j + 1], row[i + 1]) === 0;
  return plain && lower ? BLOCKS : plain ? PLAIN : lower ? LOWER : NONE;
};

/**
 * Every step that opens given gaps and makes the breaks fewer by at least `least`. A swap opens the two gaps of each of its
 * cards; of those at least `least` must be breaks, and all of them given.
 */
export const stepsAt = (row: Row, gaps: readonly number[], least: number): Step[] => {
  const steps: Step[] = [];
  const open = gaps.map((gap) => apart(row[gap], row[gap + 1]) as number);
  const isGiven = new Uint8Array(row.length);
  for (const gap of gaps) isGiven[gap] = 1;
  const count = gaps.length;
  for (let a = 0; a < count; a++)
    for (let b = a + 1; b < count; b++) {
      const [i, k] = [gaps[a], gaps[b]];
      const two = open[a] + open[b];
      if (k > i + 1 && two >= least && closedBy(row, 'reversal', i, 0, k) >= least)
        steps.push({ kind: 'reversal', i, j: 0, k });
      // A step that closes three breaks makes three good neighbours, and one pair of them is known by the first two gaps.
      const kinds = least < 3 ? BLOCKS : kindsClosing(row, i, k);
      if (kinds.length === 0) continue;
      for (let c = b + 1; c < count; c++) {
        if (two + open[c] < least) continue;
        for (const kind of kinds)
          if (closedBy(row, kind, i, k, gaps[c]) >= least) steps.push({ kind, i, j: k, k: gaps[c] });
      }
    }
  const size = row.length - 2;
  const single: number[] = [];
  for (let place = 1; place <= size; place++) if (isGiven[place - 1] && isGiven[place]) single.push(place);
  for (let a = 0; a < single.length; a++)
    for (let b = a + 1; b < single.length; b++)
      // Cards that lie nearer to each other change places by a reversal.
      if (single[b] > single[a] + 2 && closedBy(row, 'swap', single[a], 0, single[b]) >= least)
        steps.push({ kind: 'swap', i: single[a], j: 0, k: single[b] });
  return steps;
};
