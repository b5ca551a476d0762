import { Bits, hasBit } from '../bits';
import { Term } from '../term';

/** Nothing meets it, for a reason that is told in a sentence. */
export const never = (why: string): Term => ({
  key: `never ${why}`,
  why,
  places: [],
  broken: () => 1,
  narrow: () => false,
});

/** One of these faces lies at a place. */
export const one = (place: number, faces: Bits): Term => ({
  key: `one ${place} ${faces.lo} ${faces.hi}`,
  places: [place],
  broken: ({ at }) => (hasBit(faces, at[place]) ? 0 : 1),
  narrow: (domains) => domains.keep(place, faces.lo, faces.hi),
});
