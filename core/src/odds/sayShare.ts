/** What is rarer, or lacks less to be certain, is said in words. */
const RAREST = 1e-7;

/** What the logarithm of a difference may be off by. */
const ROUNDING = 1e-9;

/**
 * A chance or a share in hundredths, such as `48.6`: 0 and 100 only where it is just that.
 *
 * @param places how many there are behind the point, where the figure is neither near 0 nor near 100.
 * @param rest what it lacks to 1; told where it is known better than by subtracting.
 * @returns undefined where it is not 0 and not 1 and nearer to one of them than 1 in 10 million.
 */
const inHundredths = (share: number, places: number, rest: number): string | undefined => {
  if (share <= 0) return '0';
  if (rest <= 0) return '100';
  if (share < RAREST || rest < RAREST) return undefined;
  const near = 0.5 * 10 ** -(places + 2);
  if (share < near) return (100 * share).toPrecision(2);
  const digits = rest < near ? Math.ceil(-Math.log10(rest) - ROUNDING) - 2 : places;
  return (100 * share).toFixed(Math.max(places, digits));
};

/** A chance or a share as everybody is told it, in hundredths: `48.6 %`, `under 1 in 10 million`. */
export const sayShare = (share: number, places = 1, rest = 1 - share): string => {
  const said = inHundredths(share, places, rest);
  return said === undefined
    ? share < 0.5
      ? 'under 1 in 10 million'
      : 'all but 1 in 10 million'
    : `${said} %`;
};

/** How often that is, as a number of times in 100: `48.6 times in 100`. */
export const sayTimesIn100 = (share: number, places = 1): string => {
  const said = inHundredths(share, places, 1 - share);
  return said === undefined ? sayShare(share) : `${said} times in 100`;
};

const sayBoth = (low: number, high: number, word: string): string =>
  `${sayShare(low).replace(/ %$/, '')} ${word} ${sayShare(high)}`;

/** Between which two an estimate lies, behind *between*: `47.6 and 49.6 %`. */
export const sayBetween = (low: number, high: number): string => sayBoth(low, high, 'and');

/** The same by itself: `47.6 to 49.6 %`. */
export const sayInterval = (low: number, high: number): string => sayBoth(low, high, 'to');
