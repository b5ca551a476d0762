import { computed, inject, Signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { catchError, concat, defer, map, Observable, of, Subject, switchMap, take, throwError } from 'rxjs';
import { Notices } from '../notices';
import { Scripts } from '../scripts';
import { ArgsOf, JobName, JobView, RUN_JOB } from './jobs';
import { SilentWorker } from './silence';

/**
 * A job as a view shows it: begun anew whenever what it is asked changes, stopped when nothing is asked any more or
 * the view goes. Call it where a view is made.
 *
 * @param asked its arguments, or undefined while nothing is asked.
 * @param held while this is true it waits.
 * @returns undefined while nothing is asked or nothing is known yet: what was known of another question is no answer to
 * this one, and whoever shows it says so.
 */
export const jobView = <Name extends JobName>(
  name: Name,
  asked: () => ArgsOf<Name> | undefined,
  held?: Signal<boolean>,
): Signal<JobView<Name> | undefined> => {
  const run = inject(RUN_JOB);
  const scripts = inject(Scripts);
  const notices = inject(Notices);
  const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
  const held$ = held && toObservable(held);
  const question = computed(asked, { equal: same });
  const known = toSignal(
    toObservable(question).pipe(
      switchMap((args) =>
        args === undefined
          ? of(undefined)
          : run(name, args, held$).pipe(
              map((state): JobView<Name> => ({ ...state, asked: args })),
              catchError((error: unknown, again) =>
                error instanceof SilentWorker
                  ? concat(of<JobView<Name>>({ kind: 'failed', asked: args }), askedAgain(notices, again))
                  : throwError(() => error),
              ),
              scripts.orElse<JobView<Name>, JobView<Name>>({ kind: 'failed', asked: args }),
            ),
      ),
    ),
  );
  return computed(() => {
    const view = known();
    return view?.asked === question() ? view : undefined;
  });
};

/** One press tries all that were silent again. */
const retried = new Subject<void>();

/** Says that nothing was heard, and goes on when that is wanted. */
const askedAgain = <State>(notices: Notices, again: Observable<State>): Observable<State> =>
  defer(() => {
    const says = 'The calculation has given no answer for 10 seconds.';
    void notices.offer(says, 'Try again', () => retried.next(), 0);
    return retried.pipe(
      take(1),
      switchMap(() => again),
    );
  });

/** What a job ended with, where it has ended. */
export const answerOf = <Result>(
  view:
    { readonly kind: 'ended'; readonly result: Result } | { readonly kind: 'running' | 'failed' } | undefined,
): Result | undefined => (view?.kind === 'ended' ? view.result : undefined);
