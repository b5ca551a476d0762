const MINUTE = 60_000;
export const HOUR = 60 * MINUTE;
export const DAY = 24 * HOUR;

/** A day of practice begins at 4 in the morning: what is done at night belongs to the day before. */
const BEGINS = 4 * HOUR;

/**
 * When the day of practice that a moment belongs to began.
 *
 * @param at milliseconds since 1970. @param offset what the place's clock is ahead of UTC by, in minutes.
 */
export const dayStart = (at: number, offset: number): number => {
  const local = at + offset * MINUTE - BEGINS;
  return Math.floor(local / DAY) * DAY + BEGINS - offset * MINUTE;
};

/** Which day of practice a moment belongs to, counted from 1970. */
export const dayOf = (at: number, offset: number): number =>
  Math.floor((at + offset * MINUTE - BEGINS) / DAY);
