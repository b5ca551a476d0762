import { computed, inject, Signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { ActivatedRoute } from '@angular/router';
import { Outcome, sayProblem } from '@enumeron/core/deck';
import { switchMap } from 'rxjs';
import { unpackText } from '../platform/packed-text';

/** What an address brought: a value of the craft, or why it is none; neither while it is read. */
export interface Brought<Value> {
  readonly value: Signal<Value | undefined>;
  readonly problem: Signal<string | undefined>;
}

/**
 * What travels packed in the fragment of the address that is open. Call it in an injection context.
 *
 * @param what it should be: `order`. @param read reads the text as a file is read.
 */
export const brought = <Value>(
  what: string,
  read: (text: string) => Promise<Outcome<{ readonly value: Value }>>,
): Brought<Value> => {
  const bring = async (fragment: string | null): Promise<{ value?: Value; problem?: string }> => {
    const text = fragment === null ? undefined : await unpackText(fragment);
    if (text === undefined)
      return {
        problem: `This address holds no ${what}. It may have been cut off on its way: ask for it again.`,
      };
    const outcome = await read(text);
    return outcome.ok ? { value: outcome.value } : { problem: sayProblem(outcome.problems[0]) };
  };
  const found = toSignal(inject(ActivatedRoute).fragment.pipe(switchMap(bring)));
  return { value: computed(() => found()?.value), problem: computed(() => found()?.problem) };
};
