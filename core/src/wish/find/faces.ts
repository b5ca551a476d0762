import { Laid, Look, lookOf, LOOKS } from '../look';
import { Bits, bitsOf } from './bits';

/**
 * The faces of a pack: what its cards look like, each once, numbered from 0. What looks alike is one face, of which
 * there are copies.
 */
export interface Faces {
  /** How many cards there are. */
  readonly size: number;
  /** By face: what it looks like, and how many cards look so. */
  readonly looks: readonly Look[];
  readonly copies: Uint8Array;
  /** By look: its face, -1 where no card looks so. */
  readonly byLook: readonly number[];
}

export const facesOf = (pack: Laid): Faces => {
  const all = pack.map(lookOf);
  const looks = [...new Set(all)].sort((a, b) => a - b);
  return {
    size: pack.length,
    looks,
    copies: Uint8Array.from(looks, (look) => all.filter((each) => each === look).length),
    byLook: Array.from({ length: LOOKS }, (_, look) => looks.indexOf(look)),
  };
};

/** The faces of which something holds. */
export const facesWhere = ({ looks }: Faces, holds: (look: Look) => boolean): Bits =>
  bitsOf(looks.flatMap((look, face) => (holds(look) ? [face] : [])));

/** By face: a number. */
export const byFace = ({ looks }: Faces, of: (look: Look) => number): Int16Array =>
  Int16Array.from(looks, of);

/** How many cards there are whose look something holds of. */
export const countOfFaces = ({ looks, copies }: Faces, holds: (look: Look) => boolean): number =>
  looks.reduce((sum, look, face) => sum + (holds(look) ? copies[face] : 0), 0);
