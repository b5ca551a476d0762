import { WeaveKind } from './weave';

/**
 * The weaves that bring the top card to a place: that place less one in binary, the most significant digit first, 1 an
 * in weave and 0 an out weave. The card lies at index i before a weave and at 2i or 2i + 1 after it, which never goes
 * beyond the place wanted, so that it is so for packs of every size that have the place.
 *
 * @param place from 1; for 1 nothing is to be done.
 */
export const weavesToPlace = (place: number): readonly WeaveKind[] =>
  place <= 1 ? [] : [...(place - 1).toString(2)].map((digit) => (digit === '1' ? 'in' : 'out'));
