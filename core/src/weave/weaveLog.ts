export interface LoggedWeave {
  readonly size: number;
  readonly faults: number;
  /** Places of cards that fell behind one of their own packet. */
  readonly slips: readonly number[];
}

/** A part of the pack in the picture of slips. */
export interface SlipBin {
  /** Its first and its last place, in a pack of 52. */
  readonly from: number;
  readonly to: number;
  readonly slips: number;
}

export interface WeaveRecord {
  readonly weaves: number;
  readonly clean: number;
  /** Clean weaves running, up to the last. */
  readonly running: number;
  readonly bins: readonly SlipBin[];
}

/** So many parts the pack has in the picture, and so many cards the pack that it is drawn for. */
const [BINS, FULL] = [13, 52];

/** How clean weaves were, and where in the pack slips came. @param log the latest first. */
export const weaveRecord = (log: readonly LoggedWeave[]): WeaveRecord => {
  const each = FULL / BINS;
  const counts = new Array<number>(BINS).fill(0);
  for (const { size, slips } of log)
    for (const place of slips) counts[Math.min(BINS - 1, Math.floor(((place - 1) / size) * BINS))]++;
  const first = log.findIndex(({ faults }) => faults > 0);
  return {
    weaves: log.length,
    clean: log.filter(({ faults }) => faults === 0).length,
    running: first < 0 ? log.length : first,
    bins: counts.map((slips, index) => ({ from: index * each + 1, to: (index + 1) * each, slips })),
  };
};
