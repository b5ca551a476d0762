import { Domains } from '../domains';
import { Faces } from '../faces';
import { Laying, Term } from '../term';

const allFixed = (domains: Domains): boolean => {
  for (let place = 0; place < domains.size; place++) if (!domains.isFixed(place)) return false;
  return true;
};

/** What only a whole order is judged by. */
export const whole = (
  faces: Faces,
  key: string,
  broken: (laying: Laying) => number,
  more: Pick<Term, 'dear' | 'cost'> = {},
): Term => ({
  key,
  places: Array.from({ length: faces.size }, (_, place) => place),
  broken,
  cost: faces.size,
  ...more,
});

/** The laying of domains that leave one face at every place; undefined while they leave more. */
export const layingOf = (domains: Domains): Laying | undefined => {
  if (!allFixed(domains)) return undefined;
  const at = Uint8Array.from({ length: domains.size }, (_, place) => domains.faceAt(place));
  const where = new Uint8Array(domains.count);
  at.forEach((face, place) => (where[face] = place));
  return { at, where };
};
