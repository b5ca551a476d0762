import { curveBumpX, line } from 'd3-shape';

/** How a chart of paths is laid out, in its own units. */
export interface Frame {
  readonly width: number;
  readonly height: number;
  /** Where the first and the last column stand. */
  readonly left: number;
  readonly right: number;
  readonly top: number;
}

export interface ChartPoint {
  readonly x: number;
  readonly y: number;
}

/** Where a column stands: the pack before the row is column 0. */
export const columnX = ({ left, right }: Frame, column: number, moves: number): number =>
  moves === 0 ? left : left + ((right - left) * column) / moves;

/** How high a place (from 1) lies: the top of the pack above. */
export const placeY = ({ top, height }: Frame, place: number, size: number): number =>
  size === 1 ? top : top + (height * (place - 1)) / (size - 1);

const bump = line<ChartPoint>()
  .x(({ x }) => x)
  .y(({ y }) => y)
  .curve(curveBumpX);

/** A card's way through the columns. */
export const pathLine = (frame: Frame, path: readonly number[], size: number): string =>
  bump(
    path.map((place, column) => ({
      x: columnX(frame, column, path.length - 1),
      y: placeY(frame, place, size),
    })),
  ) ?? '';

/** A line from a point to another that leaves and arrives level. */
export const bumpLine = (from: ChartPoint, to: ChartPoint): string => bump([from, to]) ?? '';

/**
 * Heights of labels that are at least `gap` apart, in the order of those wanted and as near to them as pushing down,
 * and up again from the end, leaves them.
 *
 * @param last the lowest that one may stand.
 */
export const spreadLabels = (wanted: readonly number[], gap: number, last: number): readonly number[] => {
  const order = wanted.map((_, index) => index).sort((a, b) => wanted[a] - wanted[b]);
  const at = [...wanted];
  order.forEach((index, rank) => {
    if (rank > 0) at[index] = Math.max(at[index], at[order[rank - 1]] + gap);
  });
  let below = last + gap;
  for (const index of [...order].reverse()) {
    at[index] = Math.min(at[index], below - gap);
    below = at[index];
  }
  return at;
};
