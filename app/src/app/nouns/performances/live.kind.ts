import type { Plan, TimedTap } from '@enumeron/core/file/perform/cue/plan';
import { MOST_TAPS, PLAN, TIMED_TAP } from '@enumeron/core/file/perform/cue/shape';
import { listOf } from '@enumeron/core/file/deck/shape';
import { single } from '../../storage/kind';

/** The performance that goes on: the set as it was when it began; and which set is tonight’s. */
export interface OnStageRow {
  readonly id: 'on stage';
  /** The performance's id; empty while nothing is performed. */
  readonly performance: string;
  readonly plan?: Plan;
  /** The set that was chosen for tonight, by its id. */
  readonly tonight?: string;
}

/** What was tapped in it, in turn: it comes back to the same page by these. */
export interface TapsRow {
  readonly id: 'taps';
  readonly performance: string;
  readonly taps: readonly TimedTap[];
}

export const ON_STAGE = single<OnStageRow>({
  name: 'on stage',
  standIn: { id: 'on stage', performance: '' },
  words: ['set that is on stage', 'sets that are on stage'],
  line: undefined,
  inBackup: true,
  schema: (joi, { craft }) =>
    joi.object({
      id: joi.valid('on stage').required(),
      performance: joi.string().max(64).allow('').required(),
      plan: craft(PLAN),
      tonight: joi.string().max(100),
    }),
});

export const TAPS = single<TapsRow>({
  name: 'taps',
  standIn: { id: 'taps', performance: '', taps: [] },
  words: ['row of taps on stage', 'rows of taps on stage'],
  line: undefined,
  inBackup: true,
  schema: (joi, { craft }) =>
    joi.object({
      id: joi.valid('taps').required(),
      performance: joi.string().max(64).allow('').required(),
      taps: craft(listOf(TIMED_TAP, 0, MOST_TAPS)).required(),
    }),
});
