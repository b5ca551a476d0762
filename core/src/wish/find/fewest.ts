import { Answer, solve } from './solve';
import { changesIn, Compiled, nearStart, termsOf } from './lists';
import { Rng } from '../../deck/rng';
import { Job, telling } from '../../job/job';

/** The laying with the fewest changes that was found, and whether fewer were proved impossible. */
export interface Fewest {
  readonly at: Uint8Array;
  readonly fewest: boolean;
}

/** The steps so far, and the laying with the fewest changes. */
type FewestProgress = { readonly steps: number; readonly at: Uint8Array };

/**
 * Changes as few places of the start as possible: one change fewer is asked for until there is none, or none is found.
 *
 * @param at a laying in which the wishes hold.
 * @param budget how many looks at terms may be taken for one question.
 */
export function* fewestChanges(
  list: Compiled,
  wishes: readonly number[],
  at: Uint8Array,
  rng: Rng,
  budget: number,
): Job<FewestProgress, Fewest & { readonly steps: number }> {
  let best = at;
  let steps = 0;
  const terms = termsOf(list, wishes);
  const ask = (most: number): Job<FewestProgress, Answer> =>
    telling(
      solve({ faces: list.faces, terms: [nearStart(list, most), ...terms], rng, wanted: list.start }, budget),
      (progress) => ({ steps: steps + progress.steps, at: best }),
    );
  for (;;) {
    const most = changesIn(list, best) - 1;
    if (most < 0) return { at: best, fewest: true, steps };
    const answer = yield* ask(most);
    steps += answer.steps;
    if (answer.end === 'none') return { at: best, fewest: true, steps };
    if (answer.end === 'open') return { at: best, fewest: false, steps };
    best = answer.at;
  }
}
