import { Rng, shuffled } from '../../deck/rng';
import { Domains } from './domains';

/**
 * A laying by chance that the domains allow, one card for each place.
 *
 * @param wanted by place the face that it takes where it can; -1 for any.
 * @returns undefined where the cards cannot all be laid.
 */
export const someLaying = (
  domains: Domains,
  rng: Rng,
  wanted?: ArrayLike<number>,
): Uint8Array | undefined => {
  const { size, count, faces } = domains;
  const at = new Int16Array(size).fill(-1);
  const used = new Uint8Array(count);
  const places = Array.from({ length: size }, (_, place) => place);
  for (const place of places) {
    const face = wanted?.[place] ?? -1;
    if (face < 0 || !domains.may(place, face) || used[face] >= faces.copies[face]) continue;
    at[place] = face;
    used[face]++;
  }
  const order = shuffled(
    Array.from({ length: count }, (_, face) => face),
    rng,
  );
  const seen = new Uint8Array(count);
  const augment = (place: number): boolean => {
    for (const face of order) {
      if (seen[face] === 1 || !domains.may(place, face)) continue;
      seen[face] = 1;
      if (used[face] < faces.copies[face]) {
        used[face]++;
        at[place] = face;
        return true;
      }
      for (const other of places)
        if (at[other] === face && augment(other)) {
          at[place] = face;
          return true;
        }
    }
    return false;
  };
  for (const place of shuffled(places, rng)) {
    if (at[place] >= 0) continue;
    seen.fill(0);
    if (!augment(place)) return undefined;
  }
  return Uint8Array.from(at);
};
