import { InjectionToken } from '@angular/core';
import type { Job } from '@enumeron/core/job';
import type { JOBS } from '@enumeron/core/file/jobs';
import { Observable } from 'rxjs';

/** Every long computation of core, by name; only their types, for the page does not load them. */
type Jobs = typeof JOBS;
export type JobName = keyof Jobs;

export type ArgsOf<Name extends JobName> = Parameters<Jobs[Name]['start']>[0];
type JobOf<Name extends JobName> = ReturnType<Jobs[Name]['start']>;
export type ProgressOf<Name extends JobName> =
  JobOf<Name> extends Job<infer Progress, unknown> ? Progress : never;
export type ResultOf<Name extends JobName> = JobOf<Name> extends Job<unknown, infer Result> ? Result : never;

/** How far a job is, or what has come of it. */
export type JobState<Progress, Result> =
  | { readonly kind: 'running'; readonly progress: Progress }
  | { readonly kind: 'ended'; readonly result: Result };

/** The same with what was asked, or that its script could not be had. */
export type JobView<Name extends JobName> = { readonly asked: ArgsOf<Name> } & (
  JobState<ProgressOf<Name>, ResultOf<Name>> | { readonly kind: 'failed' }
);

/**
 * Does a job beside the page. Unsubscribing stops it at once; while `held` says true it waits, and then goes on from
 * where it was. It is an error where its script cannot be had.
 */
export type RunJob = <Name extends JobName>(
  name: Name,
  args: ArgsOf<Name>,
  held?: Observable<boolean>,
) => Observable<JobState<ProgressOf<Name>, ResultOf<Name>>>;

/** The application provides workers; tests do the same jobs without them. */
export const RUN_JOB = new InjectionToken<RunJob>('run job');
