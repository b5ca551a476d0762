import { Night } from './night';
import { RoutineDone, RoutineEnding, WasChosen } from '../perform/cue/done';

/** A routine of a night that nothing is noted of yet. */
export const notNoted = (id: string, name: string): RoutineDone => ({
  ...{ id, name, how: 'not noted', choices: [], steps: [], mends: [] },
});

/** Which of a night’s routines is meant: the one at an index, from 0, if it is of this id, or else the first that is. */
const placeOf = ({ done }: Night, index: number, id: string): number =>
  done.at(index)?.id === id ? index : done.findIndex((each) => each.id === id);

/**
 * A night with one of its routines changed; nothing changes where it is not there any more.
 *
 * @param index where it was, from 0: another tab may have moved it since. @param id the routine’s.
 */
export const withDone = (
  night: Night,
  index: number,
  id: string,
  make: (done: RoutineDone) => RoutineDone,
): Night => {
  const place = placeOf(night, index, id);
  return { ...night, done: night.done.map((done, at) => (at === place ? make(done) : done)) };
};

/** A night without one of its routines, as above. */
export const withoutDone = (night: Night, index: number, id: string): Night => {
  const place = placeOf(night, index, id);
  return { ...night, done: night.done.filter((_, at) => at !== place) };
};

/** A routine of a night with an ending; why it missed goes with it where it hit. */
export const withEnding = (done: RoutineDone, how: RoutineEnding): RoutineDone => {
  const { why, out, ...bare } = done;
  const isTold = how !== 'hit' && how !== 'not noted';
  return {
    ...{ ...bare, how },
    ...(isTold && why !== undefined && { why }),
    ...(how === 'out' && out !== undefined && { out }),
  };
};

/** Whether two choices are the same step of a routine: by its path, or by its name where it stands in no procedure. */
export const isSameChoice = (
  a: Pick<WasChosen, 'path' | 'name'>,
  b: Pick<WasChosen, 'path' | 'name'>,
): boolean => a.name === b.name && (a.path === b.path || a.path === '' || b.path === '');

/** A routine with what was chosen at one of its steps; undefined takes it away. */
export const withChoice = (
  done: RoutineDone,
  at: Pick<WasChosen, 'path' | 'name'>,
  chosen: WasChosen | undefined,
): RoutineDone => {
  const index = done.choices.findIndex((each) => isSameChoice(each, at));
  if (index < 0) return chosen ? { ...done, choices: [...done.choices, chosen] } : done;
  const choices = chosen
    ? done.choices.map((each, place) => (place === index ? chosen : each))
    : done.choices.filter((_, place) => place !== index);
  return { ...done, choices };
};

/** A routine or night with a text; an empty one takes it away. */
export const withText = <Value extends object, Field extends keyof Value>(
  value: Value,
  field: Field,
  text: string,
): Value => {
  const others = Object.entries(value).filter(([name]) => name !== field);
  return Object.fromEntries(text === '' ? others : [...others, [field, text]]) as Value;
};
