import { WeaveKind } from '../moves/weave';
import { wovenIndices } from './wovenIndices';

const KINDS: readonly WeaveKind[] = ['in', 'out'];

const isPlace = (place: number, size: number): boolean =>
  Number.isInteger(place) && place >= 1 && place <= size;

/** From each index, how many weaves it takes to one of them at least: breadth first, backwards from there. */
const weavesTo = (woven: readonly (readonly number[])[], to: number): ReadonlyMap<number, number> => {
  const found = new Map([[to, 0]]);
  for (const [after, steps] of found)
    for (const moved of woven) {
      const before = moved.indexOf(after);
      if (!found.has(before)) found.set(before, steps + 1);
    }
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
  const woven = KINDS.map((kind) => wovenIndices(size, kind));
  const steps = weavesTo(woven, to - 1);
  const rows = (index: number): WeaveKind[][] => {
    if (index === to - 1) return [[]];
    const left = steps.get(index) ?? 0;
    return KINDS.flatMap((kind, number) => {
      const next = woven[number][index];
      return steps.get(next) === left - 1 ? rows(next).map((row) => [kind, ...row]) : [];
    });
  };
  return steps.has(from - 1) ? rows(from - 1) : [];
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
