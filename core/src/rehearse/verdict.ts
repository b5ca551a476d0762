import { finish, Job, JobRule, telling } from '../job/job';
import { countOf } from '../deck/countOf';
import { sayTimesIn100 } from '../odds/sayShare';
import type { Counts } from '../procedure/way';
import { Procedure } from '../procedure/procedure';
import { claimsAnything } from '../procedure/walk';
import { End, listing, MOST_CASES } from './cases';
import { ESTIMATE, Estimated } from './estimate';
import { Chances, chancesOf, hasChance, hasLikely, judgedBy, onceThrough, Proof, weights } from './prove';
import { isAnyOpen, openIn } from './told';
import { shareOf } from './chanceOf';
import { readProcedure } from './readProcedure';

/** What is known of a procedure, for a list of them. */
export type Verdict =
  | { readonly kind: 'empty' | 'nothing claimed' }
  | { readonly kind: 'wrong'; readonly problems: number }
  | {
      readonly kind: 'proved';
      readonly counts: Counts;
      readonly complete: boolean;
      /** The chances, where it is stated how likely choices are. */
      readonly chances?: Chances;
      /** How the cases end, in their order: see `pictureOf`. */
      readonly picture: string;
    }
  | { readonly kind: 'tried'; readonly worlds: number; readonly held: number };

/** So many parts of the cases a picture has at most. */
export const PARTS = 40;
/** A part of a picture is told in so many tenths. */
const TENTHS = 10;
/** Less is done than where one writes it: a list waits for all of them. */
const BUDGET = 20_000_000;
const WORLDS = 6000;
const WIDTH = 0.03;

/** How many tenths a share is; what there is of it is one at least. */
const tenths = (count: number, all: number): number =>
  count === 0 ? 0 : Math.min(TENTHS - 1, Math.max(1, Math.round((TENTHS * count) / all)));

/** Two digits: the tenths that fail, and those that end in an out; 9 means all but nothing. */
const digitsOf = ({ held, outs, failed }: Omit<Counts, 'leftOut'>): string => {
  const all = held + outs + failed;
  const fails = tenths(failed, all);
  return `${fails}${Math.min(TENTHS - 1 - fails, tenths(outs, all))}`;
};

/** How cases end, a part of them after the other in their order: two digits for each, as `digitsOf` gives them. */
export const pictureOf = (ends: readonly End[]): string => {
  const parts = Math.min(PARTS, ends.length);
  return Array.from({ length: parts }, (_, index) => {
    const from = Math.floor((index * ends.length) / parts);
    const part = ends.slice(from, Math.floor(((index + 1) * ends.length) / parts));
    const count = (end: End): number => part.filter((each) => each === end).length;
    return digitsOf({ held: count('held'), outs: count('outs'), failed: count('failed') });
  }).join('');
};

/** Where not all cases are listed, every part is as the whole. */
const evenly = (counts: Counts): string =>
  counts.held + counts.outs + counts.failed === 0 ? '' : digitsOf(counts).repeat(PARTS);

/** A job on the way of which nothing is told. */
const quietly = <Result>(job: Job<unknown, Result>): Job<undefined, Result> => telling(job, () => undefined);

function* prove(procedure: Procedure): Job<undefined, Verdict> {
  const args = { procedure, budget: BUDGET };
  const { proof: first, told } = yield* quietly(onceThrough(args));
  const open = openIn(told);
  const proof: Proof = isAnyOpen(open) ? yield* quietly(judgedBy(open, args)) : first;
  const { held, outs, failed, leftOut, complete } = proof;
  const counts = { held, outs, failed, leftOut };
  const isFew = complete && proof.cases <= MOST_CASES;
  const listed = isFew ? yield* quietly(listing(procedure, open, { budget: BUDGET })) : undefined;
  const cases = listed?.cases;
  const picture = cases ? pictureOf(cases.cases.map(({ end }) => end)) : evenly(counts);
  const isWeighed = complete && hasLikely(procedure) && outs + failed > 0;
  const weighed = isWeighed ? yield* quietly(weights(open, args)) : undefined;
  const chances = weighed && chancesOf(weighed);
  return { kind: 'proved', counts, complete, picture, ...(chances && { chances }) };
}

/** A verdict, how it is said, and `shareOf` it where that is known. */
export interface Found {
  readonly verdict: Verdict;
  readonly says: string;
  readonly share?: number;
}

export interface VerdictArgs {
  readonly procedure: Procedure;
}

function* find(written: Procedure): Job<undefined, Verdict> {
  if (written.steps.length === 0) return { kind: 'empty' };
  const read = readProcedure(written);
  if (!read.ok) return { kind: 'wrong', problems: read.problems.length };
  const { procedure } = read;
  if (!claimsAnything(procedure.steps)) return { kind: 'nothing claimed' };
  if (!hasChance(procedure)) return yield* prove(procedure);
  const tried: Estimated = yield* quietly(
    ESTIMATE.start({ procedure, seed: 1, worlds: WORLDS, width: WIDTH }),
  );
  return { kind: 'tried', worlds: tried.worlds, held: tried.held.share };
}

/** What is known of a procedure, as a job: proved, or tried where chance enters. */
export const VERDICT: JobRule<VerdictArgs, undefined, Found> = {
  *start({ procedure }) {
    const verdict = yield* find(procedure);
    const share = shareOf(verdict);
    return { verdict, says: sayVerdict(verdict), ...(share !== undefined && { share }) };
  },
};

export const verdictOf = (procedure: Procedure): Verdict => finish(VERDICT.start({ procedure })).verdict;

/** `Works 85 times in 100; 730 of 1,275 cases` */
export const sayWorks = (held: number, all: number, chances: Chances): string =>
  `Works ${sayTimesIn100(chances.held, 0)}; ${held.toLocaleString('en')} of ${countOf(all, 'case')}`;

/** A verdict as one short sentence, without its full stop. */
export const sayVerdict = (verdict: Verdict): string => {
  switch (verdict.kind) {
    case 'empty':
      return 'No step yet';
    case 'nothing claimed':
      return 'Nothing is claimed yet';
    case 'wrong':
      return `${countOf(verdict.problems, 'thing')} to mend first`;
    case 'tried':
      return verdict.worlds === 0
        ? 'Nothing was left to try'
        : `Works about ${sayTimesIn100(verdict.held, 0)}`;
    case 'proved': {
      const { held, outs, failed } = verdict.counts;
      const all = held + outs + failed;
      if (all === 0) return 'No case is left';
      if (!verdict.complete)
        return failed > 0
          ? `Fails in ${failed.toLocaleString('en')} of the first ${countOf(all, 'case')}`
          : `Works in the first ${countOf(all, 'case')}`;
      if (verdict.chances) return sayWorks(held, all, verdict.chances);
      if (failed > 0) return `Fails in ${failed.toLocaleString('en')} of ${countOf(all, 'case')}`;
      return held === all
        ? `Works in ${all === 1 ? 'the one case there is' : `all ${countOf(all, 'case')}`}`
        : `Works in ${held.toLocaleString('en')} of ${countOf(all, 'case')}`;
    }
  }
};
