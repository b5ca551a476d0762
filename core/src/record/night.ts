import { RoutineDone } from '../perform/cue/done';

/** One night as it was, a date to come, or what is left of one that was removed. */
export interface Night {
  readonly id: string;
  /** When it began, or begins; in milliseconds. */
  readonly at: number;
  /** When it was changed last, in milliseconds; as old as the night itself where nothing is told. */
  readonly changed?: number;
  /** Before an audience, or a run-through alone. */
  readonly real: boolean;
  /** Trials with a friend: neither before an audience nor alone. */
  readonly practice?: true;
  /** The set as it was called that night, and its id. */
  readonly name: string;
  readonly set?: string;
  readonly place?: string;
  /** What audience it was, in whose words it was said; empty for all. */
  readonly audience: string;
  /** How many they were. */
  readonly size?: number;
  readonly done: readonly RoutineDone[];
  /** How long it took, in seconds; not there while it goes on, or where it was never ended. */
  readonly seconds?: number;
  readonly note?: string;
  /** What another calendar calls it. */
  readonly uid?: string;
  /** It was removed: what is left tells that to other devices. */
  readonly removed?: true;
  readonly sample?: true;
}

/** What is told of a night as a whole. */
export type NightHead = Omit<Night, 'done'>;

/** When a night was changed last. */
export const changedAt = ({ changed, at }: Night): number => changed ?? at;

/** The routines that were done and noted. */
export const doneIn = ({ done }: Pick<Night, 'done'>): readonly RoutineDone[] =>
  done.filter(({ how }) => how !== 'left out' && how !== 'not noted');

/** How many routines hit, and of how many. */
export const hitsOf = (night: Pick<Night, 'done'>): { readonly hits: number; readonly of: number } => {
  const done = doneIn(night);
  return { hits: done.filter(({ how }) => how === 'hit').length, of: done.length };
};

/** What a night is counted as. */
export type NightSort = 'real' | 'practice' | 'run-through';
export const sortOf = ({ real, practice }: Pick<Night, 'real' | 'practice'>): NightSort =>
  practice ? 'practice' : real ? 'real' : 'run-through';

/** What is left of a night that is removed. */
export const tombstoneOf = ({ id, at, real }: Night, changed: number): Night => ({
  ...{ id, at, real, changed, name: '', audience: '', done: [], removed: true },
});
