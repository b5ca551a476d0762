import { countOf } from '../deck/countOf';
import { Night, sortOf } from './night';
import { routineRates, slipsOf } from './routines';
import { sayTrouble } from './sayNight';

/** One thing to practise before the next date, and where that is done. */
export interface ToPractise {
  readonly says: string;
  /** A kind of sum of Learn, or a routine by its id. */
  readonly sum?: string;
  readonly routine?: string;
}

/** So many nights count as lately. */
const LATELY = 5;
/** At most so many things are told. */
const LINES = 3;

/**
 * What to practise before the next date, the most pressing first, in three lines at most.
 *
 * @param nights all of them; only those before an audience count.
 */
export const sinceLast = (nights: readonly Night[]): readonly ToPractise[] => {
  const real = nights.filter((night) => sortOf(night) === 'real' && night.done.length > 0);
  const lately = [...real].sort((a, b) => b.at - a.at).slice(0, LATELY);
  const last = lately.at(0);
  if (!last) return [];
  const missed: ToPractise[] = last.done
    .filter(({ how }) => how === 'missed' || how === 'stopped')
    .map((done) => ({ says: `${capital(sayTrouble(done))}.`, routine: done.id }));
  const slips: ToPractise[] = slipsOf(lately).map(({ sum, count }) => ({
    ...{
      sum,
      says: `${capital(sum)}: ${countOf(count, 'slip')} on your last ${countOf(lately.length, 'night')}.`,
    },
  }));
  const weak: ToPractise[] = routineRates(lately)
    .filter(({ hits, tries, id }) => hits < tries && !missed.some(({ routine }) => routine === id))
    .map(({ id, name, hits, tries }) => ({
      ...{ routine: id, says: `${name}: it hit ${hits.toString()} of ${countOf(tries, 'time')} lately.` },
    }));
  return [...missed, ...slips, ...weak].slice(0, LINES);
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
