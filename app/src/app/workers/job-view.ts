import { computed, inject, Signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { dequal } from 'dequal/lite';
import { map, of, switchMap } from 'rxjs';
import { Scripts } from '../shared/scripts';
import { ArgsOf, JobName, JobView, RUN_JOB } from './jobs';

/**
 * A job as a view shows it: begun anew whenever what it is asked changes, stopped when nothing is asked any more or
 * the view goes. Call it where a view is made.
 *
 * @param asked its arguments, or undefined while nothing is asked.
 * @param held while this is true it waits.
 * @returns undefined while nothing is asked or nothing is known yet; what was known of the job before stays until then.
 */
export const jobView = <Name extends JobName>(
  name: Name,
  asked: () => ArgsOf<Name> | undefined,
  held?: Signal<boolean>,
): Signal<JobView<Name> | undefined> => {
  const run = inject(RUN_JOB);
  const scripts = inject(Scripts);
  const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
  const held$ = held && toObservable(held);
  return toSignal(
    toObservable(computed(asked, { equal: same })).pipe(
      switchMap((args) =>
        args === undefined
          ? of(undefined)
          : run(name, args, held$).pipe(
              map((state): JobView<Name> => ({ ...state, asked: args })),
              scripts.orElse<JobView<Name>, JobView<Name>>({ kind: 'failed', asked: args }),
            ),
      ),
    ),
  );
};

/** What is known of a job, as far as its answer goes. */
type Answer<Result> = { readonly asked: unknown } & (
  { readonly kind: 'ended'; readonly result: Result } | { readonly kind: 'running' | 'failed' }
);

/** What a job ended with, where that answers what is asked now: the answer to another question is none. */
export const answerTo = <Result>(view: Answer<Result> | undefined, asked: unknown): Result | undefined =>
  view?.kind === 'ended' && dequal(view.asked, asked) ? view.result : undefined;
