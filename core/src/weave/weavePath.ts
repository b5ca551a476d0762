import { placeAfterMove } from '../moves/move';
import { WeaveKind } from '../moves/weave';

const KINDS: readonly WeaveKind[] = ['in', 'out'];

const woven = (place: number, weave: WeaveKind, size: number): number =>
  placeAfterMove({ kind: 'weave', weave }, place, size) ?? place;

const isPlace = (place: number, size: number): boolean =>
  Number.isInteger(place) && place >= 1 && place <= size;

/** From each place, how many weaves it takes to one of them at least: breadth first, backwards from there. */
const weavesTo = (size: number, to: number): ReadonlyMap<number, number> => {
  const before = new Map<number, number[]>();
  for (let place = 1; place <= size; place++)
    for (const kind of KINDS) {
      const after = woven(place, kind, size);
      before.set(after, [...(before.get(after) ?? []), place]);
    }
  const found = new Map([[to, 0]]);
  for (const [place, steps] of found)
    for (const earlier of before.get(place) ?? []) if (!found.has(earlier)) found.set(earlier, steps + 1);
  return found;
};

/**
 * Every shortest row of in and out weaves that brings the card at one place to another, in weaves before out weaves.
 *
 * @param size cards in the pack, 1 or more. @param from @param to places from 1.
 * @returns no row where none leads there; one empty row where it lies there already.
 */
export const weavePaths = (size: number, from: number, to: number): readonly (readonly WeaveKind[])[] => {
  if (!isPlace(from, size) || !isPlace(to, size)) return [];
  const steps = weavesTo(size, to);
  const rows = (place: number): WeaveKind[][] => {
    if (place === to) return [[]];
    const left = steps.get(place) ?? 0;
    return KINDS.filter((kind) => steps.get(woven(place, kind, size)) === left - 1).flatMap((kind) =>
      rows(woven(place, kind, size)).map((row) => [kind, ...row]),
    );
  };
  return steps.has(from) ? rows(from) : [];
};

/**
 * A shortest row of in and out weaves that brings the card at one place to another: the first of `weavePaths`.
 *
 * @returns undefined where none leads there.
 */
export const weavePath = (size: number, from: number, to: number): WeaveKind[] | undefined => {
  const first = weavePaths(size, from, to).at(0);
  return first && [...first];
};
