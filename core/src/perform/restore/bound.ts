import { apart, breaksOf, Row } from './breaks';

/** Closed walks of more black lines than these are not looked for. */
const LONGEST = 7;
/** All lengths divide it, so that shares are whole numbers. */
const WHOLE = 420;

/**
 * The fewest black lines in a closed walk through the one at a gap that alternates black and grey; at most LONGEST.
 *
 * @param front room for the elements that were come to by a black line, in turn. @param met which of them were, all 0.
 */
const walkFrom = (row: Row, placeOf: Row, gap: number, front: Row, met: Uint8Array): number => {
  const [end, size] = [row[gap], row.length];
  front[0] = row[gap + 1];
  met[front[0]] = 1;
  let [from, to] = [0, 1];
  for (let length = 1; length < LONGEST; length++) {
    const last = to;
    for (; from < last; from++)
      for (let side = -1; side <= 1; side += 2) {
        const grey = front[from] + side;
        if (grey < 0 || grey >= size) continue;
        if (grey === end) return length;
        for (let black = placeOf[grey] - 1; black <= placeOf[grey] + 1; black += 2) {
          if (black < 0 || black >= size || met[row[black]]) continue;
          met[row[black]] = 1;
          front[to++] = row[black];
        }
      }
  }
  return LONGEST;
};

/** No fewer moves than these, by closed walks of black and grey lines (docs/code/performing.md, 6). */
export const cycleBound = (row: Row): number => {
  const placeOf = new Int16Array(row.length);
  row.forEach((element, place) => (placeOf[element] = place));
  const [front, met] = [new Int16Array(row.length), new Uint8Array(row.length)];
  const lines = row.length - 1;
  let share = 0;
  for (let gap = 0; gap < lines; gap++) {
    const length = apart(row[gap], row[gap + 1]) ? walkFrom(row, placeOf, gap, front, met.fill(0)) : 1;
    share += WHOLE / length;
  }
  return Math.ceil((lines - Math.floor(share / WHOLE)) / 2);
};

/** No fewer moves than these bring a row home: a move closes four breaks at most. */
export const boundOf = (row: Row): number => Math.max(Math.ceil(breaksOf(row).length / 4), cycleBound(row));
