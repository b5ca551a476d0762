import { Counts } from './way';

/** What is counted of the worlds tried at one depth of choices. */
const FIELDS = 4;
export const [HELD_AT, OUT_AT, FAILED_AT, LEFT_AT] = [0, 1, 2, 3];

/** What the counted fields of ends that are told are called. */
export const FIELD_NAMES = ['held', 'outs', 'failed'] as const;

/** How many worlds ended how, by the depth of the choice that is being tried. */
export class Tally {
  private sums = new Float64Array(8 * FIELDS);

  /** Begins counting at a depth from 1. */
  open(depth: number): void {
    if (this.sums.length <= depth * FIELDS + FIELDS) this.sums = grown(this.sums);
    this.sums.fill(0, depth * FIELDS, depth * FIELDS + FIELDS);
  }

  add(depth: number, field: number, weight: number): void {
    this.sums[depth * FIELDS + field] += weight;
  }

  /** Adds what came of worlds that are alike, as `at` gave it, each so many times. */
  addAlike(depth: number, before: Float64Array, weight: number): void {
    for (let field = 0; field < FIELDS; field++) this.sums[depth * FIELDS + field] += weight * before[field];
  }

  /** What was counted at a depth, to be kept. */
  at(depth: number): Float64Array {
    return this.sums.slice(depth * FIELDS, depth * FIELDS + FIELDS);
  }

  heldAt(depth: number): number {
    return this.sums[depth * FIELDS + HELD_AT];
  }

  /** Adds what was counted at a depth from 1 to what came before it, each so many times. */
  close(depth: number, weight: number): void {
    const here = depth * FIELDS;
    for (let field = 0; field < FIELDS; field++)
      this.sums[here - FIELDS + field] += weight * this.sums[here + field];
  }

  /** What came of all worlds down to a depth: what is on its way counts as far as it has come. */
  total(deepest: number, weightAt: (depth: number) => number): Counts {
    const total = new Float64Array(FIELDS);
    for (let depth = deepest; depth >= 0; depth--)
      for (let field = 0; field < FIELDS; field++)
        total[field] = this.sums[depth * FIELDS + field] + total[field] * weightAt(depth);
    return {
      ...{ held: total[HELD_AT], outs: total[OUT_AT] },
      ...{ failed: total[FAILED_AT], leftOut: total[LEFT_AT] },
    };
  }
}

const grown = (row: Float64Array): Float64Array<ArrayBuffer> => {
  const larger = new Float64Array(2 * row.length);
  larger.set(row);
  return larger;
};
