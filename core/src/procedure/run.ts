/** Set on a card in the row that lies face up when its run does not. */
export const FACE_UP = 128;

/*
 * A run is one 32-bit integer: the row's index of its top card (15 bits), how many cards it has (8), the step in the
 * row from one card to the one below it (7, with its sign), whether some of its cards are marked in the row as face up,
 * and whether it lies face up.
 */
export const ROW = 1 << 15;
const LENGTH_AT = 15;
const STEP_AT = 23;
export const MARKED = 1 << 30;
export const UPSIDE = 1 << 31;
export const MOST_STEP = 63;

export const startOf = (run: number): number => run & (ROW - 1);
export const lengthOf = (run: number): number => (run >>> LENGTH_AT) & 255;
export const stepOf = (run: number): number => (run << 2) >> 25;
export const runOf = (start: number, length: number, step: number, flags: number): number =>
  start | (length << LENGTH_AT) | ((step & 127) << STEP_AT) | flags;
export const flagsOf = (run: number): number => run & (MARKED | UPSIDE);

export const topOf = (run: number, count: number): number =>
  (run & ~(255 << LENGTH_AT)) | (count << LENGTH_AT);
/** What lies below so many of a run's top cards. The start is in the lowest bits, so that it is moved by adding. */
export const belowTop = (run: number, count: number): number =>
  (run + count * stepOf(run) - (count << LENGTH_AT)) | 0;
/** A run from its face to its top, each card showing the side that it showed. */
export const reversed = (run: number): number => {
  const step = stepOf(run);
  return ((run & ~(127 << STEP_AT)) + (lengthOf(run) - 1) * step) | ((-step & 127) << STEP_AT);
};

/** Makes room for one run at an index, and takes one out there; written out, since a list is short. */
export const openAt = (runs: Int32Array, index: number, end: number): void => {
  for (let at = end; at > index; at--) runs[at] = runs[at - 1];
};
export const closeAt = (runs: Int32Array, index: number, end: number): void => {
  for (let at = index + 1; at < end; at++) runs[at - 1] = runs[at];
};

export const reverseRuns = (runs: Int32Array, from: number, to: number): void => {
  for (let low = from, high = to - 1; low < high; low++, high--) {
    const run = runs[low];
    runs[low] = runs[high];
    runs[high] = run;
  }
};
