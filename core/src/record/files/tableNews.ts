import { RoutineDone, WasChosen } from '../../perform/cue/done';
import { changedAt, Night } from '../night';
import { cellOf, nightCells, TABLE_FIELDS } from './nightTable';
import { WallClock } from './wallClock';

/** Where a row begins to tell what happened: before that it tells which night it is, and when that was changed. */
const FIRST_TOLD = TABLE_FIELDS.indexOf('date');

/** Whether a table would show two nights alike. */
const isAlike = (a: Night, b: Night, clock: WallClock): boolean => {
  const told = (night: Night) => nightCells([night], clock).map((row) => row.slice(FIRST_TOLD));
  return JSON.stringify(told(a)) === JSON.stringify(told(b));
};

/** A choice as a table tells it, with what a table cannot hold of the one that is here. */
const choiceOver = (mine: WasChosen | undefined, told: WasChosen): WasChosen => {
  if (!mine) return told;
  if (cellOf(mine) === cellOf(told)) return mine;
  return mine.sort === undefined && told.sort === undefined ? { ...mine, ...told, path: mine.path } : told;
};

const routineOver = (mine: RoutineDone | undefined, told: RoutineDone): RoutineDone => {
  if (!mine) return told;
  const left = [...mine.choices];
  const choices = told.choices.map((each) => {
    const at = left.findIndex(({ name }) => name === each.name);
    return choiceOver(at < 0 ? undefined : left.splice(at, 1)[0], each);
  });
  return { ...told, id: mine.id, choices, steps: mine.steps, mends: mine.mends };
};

/** A night as a table tells it, with what a table cannot hold of the one that is here: seconds of steps, paths, ranges. */
const nightOver = (mine: Night, told: Night, now: number): Night => {
  const left = [...mine.done];
  const done = told.done.map((each) => {
    const at = left.findIndex(({ name }) => name === each.name);
    return routineOver(at < 0 ? undefined : left.splice(at, 1)[0], each);
  });
  return {
    ...{ ...told, done, changed: Math.max(now, changedAt(mine) + 1) },
    ...(mine.set !== undefined && told.name === mine.name && { set: mine.set }),
    ...(mine.uid !== undefined && { uid: mine.uid }),
  };
};

/**
 * What a table brings to the nights that are here: those that are new, and those in which it tells something else. A row
 * that is older than the night that is here brings nothing.
 *
 * @param here every night that is here, by its id. @param now when it is read, in milliseconds.
 */
export const tableNews = (
  read: readonly Night[],
  here: ReadonlyMap<string, Night>,
  now: number,
  clock: WallClock,
): readonly Night[] =>
  read.flatMap((night) => {
    const mine = here.get(night.id);
    if (!mine || mine.removed) return [night];
    if (changedAt(night) < changedAt(mine) || isAlike(mine, night, clock)) return [];
    return [nightOver(mine, night, now)];
  });
