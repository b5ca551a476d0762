import type { Verdict } from './verdict';

/** The share of the cases in which it works, outs apart, 0 to 1; of those tried where chance enters. Undefined if not known. */
export const shareOf = (verdict: Verdict): number | undefined => {
  if (verdict.kind === 'tried') return verdict.worlds === 0 ? undefined : verdict.held;
  if (verdict.kind !== 'proved' || !verdict.complete) return undefined;
  const { held, outs, failed } = verdict.counts;
  const all = held + outs + failed;
  return all === 0 ? undefined : held / all;
};

/** How likely it works by the likelihoods stated; where none are, the share of its cases. Undefined if not known. */
export const chanceOf = (verdict: Verdict): number | undefined =>
  verdict.kind === 'proved' && verdict.complete && verdict.chances ? verdict.chances.held : shareOf(verdict);
