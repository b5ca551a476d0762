import { Card } from '../../deck/card';
import { lookOf } from '../look';
import { Faces } from './faces';

/**
 * Lays the very cards of a pack by their faces: of copies the one that was named first comes first.
 *
 * @returns the cards by place, for faces by place.
 */
export const cardsOn = (
  { looks }: Faces,
  pack: readonly Card[],
): ((at: ArrayLike<number>) => readonly Card[]) => {
  const byFace = looks.map((look) => pack.filter((card) => lookOf(card) === look).sort((a, b) => a - b));
  return (at) => {
    const used = new Array<number>(looks.length).fill(0);
    return Array.from(at, (face) => byFace[face][used[face]++]);
  };
};
