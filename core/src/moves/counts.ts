import { LARGEST_PACK } from '../deck/card';
import { Part, whole } from '../deck/shape';

/** A count of cards in a move that is stored: from none to the largest pack. */
export const COUNT: Part = whole(0, LARGEST_PACK);

/** A place in a move that is stored, from 1. */
export const PLACE: Part = whole(1, LARGEST_PACK);

/** The most heaps that a pack is dealt into. */
export const MOST_HEAPS = 13;
