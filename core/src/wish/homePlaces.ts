import { mod } from '../deck/mod';
import { applyMove } from '../moves/move';
import { WishCase } from './cases';
import { Wish } from './wish';

/** Where the places of a case, told as the pack then lies, are in the order itself: from 1. */
export const homePlaces = (wish: Wish, { places, cut = 0 }: WishCase, size: number): readonly number[] => {
  let view: readonly number[] = Array.from({ length: size }, (_, index) => index + 1);
  for (let inner: Wish = wish; inner.kind === 'at cuts' || inner.kind === 'after'; inner = inner.wish)
    view =
      inner.kind === 'after'
        ? inner.moves.reduce<readonly number[]>((now, move) => applyMove(now, move), view)
        : view.map((_, index) => view[mod(index + cut, size)]);
  return places.flatMap((place) => view.at(place - 1) ?? []);
};
