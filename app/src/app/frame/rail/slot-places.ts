import { mod } from '@enumeron/core/deck';

/** A point of a page, and a rectangle on it. */
export interface Point {
  readonly x: number;
  readonly y: number;
}
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/**
 * The gap between slots that is nearest to a point: after how many cards it lies, 0 to size.
 *
 * @param columns how many slots stand in a row of the rail.
 */
export const gapAt = ({ x, y }: Point, box: Box, columns: number, size: number): number => {
  const rows = Math.ceil(size / columns);
  const row = Math.min(rows - 1, Math.max(0, Math.floor(((y - box.top) / box.height) * rows)));
  const column = Math.min(columns, Math.max(0, Math.round(((x - box.left) / box.width) * columns)));
  return Math.min(size, row * columns + column);
};

/** Where a slot (index from 0) or a gap stands in the rail's grid; rows and columns from 1. */
export const cellOf = (
  index: number,
  columns: number,
): { readonly row: number; readonly column: number } => ({
  row: Math.floor(index / columns) + 1,
  column: (index % columns) + 1,
});

/** How many cards a key on the seam sends to the bottom; with Home, as many as put a turned pack in order. */
export const cutByKey = (key: string, offset: number, size: number): number | undefined => {
  const steps: Readonly<Record<string, number>> = {
    ArrowRight: 1,
    ArrowUp: 1,
    ArrowLeft: -1,
    ArrowDown: -1,
    PageUp: 10,
    PageDown: -10,
    Home: -offset,
  };
  return Object.hasOwn(steps, key) ? mod(steps[key], size) : undefined;
};
