import { showCard } from '../deck/notation';
import { countOf } from '../deck/countOf';
import { hitsOf, Night } from './night';
import { RoutineDone, RoutineEnding, WasChosen } from '../perform/cue/done';

/** How a routine ended, as it is said. */
export const ENDING_WORDS: Readonly<Record<RoutineEnding, string>> = {
  hit: 'it hit',
  out: 'it ended in an out',
  missed: 'it missed',
  stopped: 'left half-way',
  'left out': 'left out',
  'not noted': 'not noted',
};

/** What was chosen: `21`, `7♦`, `the left heap`. */
export const sayChosenValue = ({ value, sort, words }: WasChosen): string => {
  if (sort === 'card') return showCard(value);
  return sort !== undefined && words !== undefined ? words : value.toString();
};

/** What was chosen, with what it is called: `cut 21`. */
export const sayChosen = (chosen: WasChosen): string => `${chosen.name} ${sayChosenValue(chosen)}`.trim();

/** How many routines hit: `4 of 5`; of a date to come nothing. */
export const sayHits = (night: Pick<Night, 'done'>): string => {
  const { hits, of } = hitsOf(night);
  return of === 0 ? '' : `${hits.toString()} of ${of.toString()}`;
};

/** How long it took: `41 min`. */
export const sayMinutes = (seconds: number): string =>
  seconds < 90 ? countOf(Math.round(seconds), 'second') : `${Math.round(seconds / 60).toString()} min`;

/** The routine that did not hit, and why: `two cuts: lost it at 31`. */
export const sayTrouble = ({ name, how, out, why, wrong }: RoutineDone): string => {
  const because = [why, out, wrong].find((each) => each !== undefined && each.trim() !== '');
  return `${name}: ${because ?? ENDING_WORDS[how]}`;
};

/** What did not go as it should on a night, each in a few words. */
export const troublesOf = ({ done }: Pick<Night, 'done'>): readonly string[] =>
  done.filter(({ how }) => how === 'missed' || how === 'out' || how === 'stopped').map(sayTrouble);
