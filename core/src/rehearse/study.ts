import { JobRule, telling } from '../job/job';
import { NONE } from '../procedure/form';
import { Machine } from '../procedure/machine';
import { Counts, MOST_FAILURES } from '../procedure/way';
import { Procedure } from '../procedure/procedure';
import { compile } from '../procedure/compile';
import { claimsAnything } from '../procedure/walk';
import { Cases, End, listing, MOST_CASES } from './cases';
import { firstOpen, LooksAlike, looksAlike, NotToldApart, notToldApart, OpenSight } from './notToldApart';
import { plainRule } from './plainRule';
import {
  BUDGET,
  Chances,
  chancesOf,
  hasLikely,
  judgedBy,
  onceThrough,
  Proof,
  ProofArgs,
  ProofProgress,
  weights,
} from './prove';
import { isAnyOpen, joinTold, Open, openIn, Told } from './told';
import { Widest, widestRange } from './widestRange';

/** Every case as rows of numbers, so that it is handed over at once. */
export interface CaseTable {
  /** What is chosen, in the order in which it is. */
  readonly names: readonly string[];
  /** By case times the number of names: what is chosen; NOT_CHOSEN where it ended before. */
  readonly values: Int32Array;
  /** By case: how it ended, as an index of ENDS. */
  readonly ends: Uint8Array;
}

export const NOT_CHOSEN = -(2 ** 31);
export const ENDS: readonly End[] = ['held', 'outs', 'failed'];

/** How far it is: what was counted, and the proof as soon as that is whole. */
export interface StudyProgress extends Counts {
  readonly share: number;
  /** The share of the whole that was done in a round of parts before. */
  readonly before?: number;
  readonly proof?: Proof;
}

/** A proof, and what can be said of it. It says how far it is as well: parts that have ended are told beside others. */
export interface Study extends StudyProgress {
  readonly proof: Proof;
  /** Whether anything is claimed. */
  readonly claimed: boolean;
  /** Whether it is stated of any choice how likely its values are. */
  readonly likely: boolean;
  /** What the cases weigh by the likelihood of each choice, and the chances that come of it. */
  readonly weights: Counts | undefined;
  readonly chances: Chances | undefined;
  /** Where there are not too many, and the same things are chosen in each. */
  readonly cases: CaseTable | undefined;
  /** The plain rule of the cases that fail, and of those that end in an out. */
  readonly rules: Readonly<Partial<Record<'failed' | 'outs', string>>>;
  readonly widest: Widest | undefined;
  readonly apart: NotToldApart | undefined;
  /** Of a part: what sights tell in it, where that must be judged over all parts; and cases that look alike. */
  readonly told?: Told;
  readonly alike?: readonly LooksAlike[];
}

export interface StudyArgs extends ProofArgs {
  /** How many parts there are, each some values of the first choice: each tells its share of the whole. */
  readonly parts?: number;
  /** What is known of all parts once each was run: in the second round they are judged by it. */
  readonly judged?: Judged;
}

/** What a part must know of all others, where something is claimed to be known. */
interface Judged {
  /** What sights leave open. */
  readonly open: Open;
  /** The proof of this part, which stands where nothing is open. */
  readonly proof: Proof;
  /** The first sights that leave something open, and how many values of it are looked for in this part. */
  readonly alike: { readonly sight: OpenSight; readonly most: number } | undefined;
}

/** More cases than this are not described by a rule. */
const MOST_DESCRIBED = 60_000;
/** A proof that may do more steps than this is done in parts, and in so many. */
const [LARGE, PARTS] = [1_000_000_000, 16];
/** One that does more than this before its first choice is not split. */
const MOST_BEFORE = 1_000_000;

const tableOf = ({ names, cases }: Cases): CaseTable => {
  const values = new Int32Array(cases.length * names.length).fill(NOT_CHOSEN);
  cases.forEach((each, index) => values.set(each.values, index * names.length));
  return { names, values, ends: Uint8Array.from(cases, ({ end }) => ENDS.indexOf(end)) };
};

const casesIn = ({ names, values, ends }: CaseTable): Cases => ({
  names,
  cases: Array.from(ends, (end, index) => ({
    end: ENDS[end],
    values: [...values.subarray(index * names.length, (index + 1) * names.length)].filter(
      (value) => value !== NOT_CHOSEN,
    ),
  })),
});

const addUp = (counts: readonly Counts[]): Counts =>
  counts.reduce<Counts>(
    (sum, each) => ({
      ...{ held: sum.held + each.held, outs: sum.outs + each.outs },
      ...{ failed: sum.failed + each.failed, leftOut: sum.leftOut + each.leftOut },
    }),
    { held: 0, outs: 0, failed: 0, leftOut: 0 },
  );

const shareOf = (parts: readonly StudyProgress[]): number =>
  parts.reduce((sum, { share }) => sum + share, 0) +
  parts.reduce((most, { before = 0 }) => Math.max(most, before), 0);

/** What the first choice may be. */
const firstChoice = (procedure: Procedure): { readonly low: number; readonly high: number } | undefined => {
  const program = compile(procedure);
  const machine = new Machine(program, { chosen: () => undefined });
  for (let done = false; !done && !machine.asked && machine.steps < MOST_BEFORE;)
    done = machine.run(machine.steps + 1);
  return machine.asked;
};

/** How far a proof is, as a share of the whole from one share of its part to another. */
const inShare =
  (args: StudyArgs, from: number, to: number) =>
  ({ share, ...progress }: ProofProgress): StudyProgress => ({
    ...progress,
    share: (from + share * (to - from)) / (args.parts ?? 1),
    ...(args.judged && { before: HALF }),
  });

/** Where something is claimed to be known, so much of the work is done once it is told what can be. */
const HALF = 0.5;

/** What all cases weigh where each holds. */
const CERTAIN: Counts = { held: 1, outs: 0, failed: 0, leftOut: 0 };

const NOTHING = {
  ...{ weights: undefined, chances: undefined, cases: undefined },
  ...{ apart: undefined, rules: {}, widest: undefined },
} as const;

/** What all parts are judged by, for each of them. @param told what sights tell in each. */
const judge = (told: readonly Told[], proofs: readonly Proof[]): readonly Judged[] => {
  const all = joinTold(told);
  const [open, sight] = [openIn(all), firstOpen(all)];
  if (!sight) return proofs.map((proof) => ({ open, proof, alike: undefined }));
  const values = told.map((part) => part[sight.claim].get(sight.sights));
  const one = values.findIndex((value) => value !== undefined);
  const other =
    values[one] === NONE ? one : values.findIndex((value) => value !== undefined && value !== values[one]);
  return proofs.map((proof, part) => ({
    ...{ open, proof },
    alike: part === one || part === other ? { sight, most: values[part] === NONE ? 2 : 1 } : undefined,
  }));
};

/** Proves a procedure, and then says of it what can be said; where that is long, in parts beside each other. */
export const STUDY: JobRule<StudyArgs, StudyProgress, Study> = {
  *start(args) {
    const { procedure, parts = 1 } = args;
    const said = { claimed: claimsAnything(procedure.steps), likely: hasLikely(procedure) };
    const program = compile(procedure);
    const isKnowing = program.claims.length > 0;
    let { judged } = args;
    if (!judged) {
      const { proof, told } = yield* telling(onceThrough(args), inShare(args, 0, isKnowing ? HALF : 1));
      const { held, outs, failed, leftOut } = proof;
      if (isKnowing && parts > 1)
        return { ...NOTHING, ...said, held, outs, failed, leftOut, share: HALF / parts, proof, told };
      [judged] = judge([told], [proof]);
    }
    const { open, alike } = judged;
    const from = isKnowing && !args.judged ? HALF : 0;
    const proof = isAnyOpen(open)
      ? yield* telling(judgedBy(open, args), inShare(args, from, args.judged ? HALF : 1))
      : judged.proof;
    const { held, outs, failed, leftOut } = proof;
    const share = (args.judged ? HALF : 1) / parts;
    const before = args.judged && { before: HALF };
    const counted: StudyProgress = { held, outs, failed, leftOut, share, ...before, proof };
    yield counted;
    if (!proof.complete) return { ...NOTHING, ...said, ...counted, proof };
    const so = (): StudyProgress => counted;
    const { budget = BUDGET, first } = args;
    // Where none weighs nothing and worlds are cases, the cases are weighed while they are listed.
    const weigh = !said.likely && program.pools === 0;
    const isFew = proof.cases <= MOST_CASES;
    const listed = isFew ? yield* telling(listing(procedure, open, { first, weigh }), so) : undefined;
    const isCertain = !said.likely && parts === 1 && outs + failed + leftOut === 0;
    const weighed = listed?.weights ?? (isCertain ? CERTAIN : yield* telling(weights(open, args), so));
    const seen =
      alike && (yield* telling(looksAlike(procedure, alike.sight, alike.most, { budget, first }), so));
    const cases = listed?.cases;
    return {
      ...{ ...NOTHING, ...said, ...counted, proof, weights: weighed, cases: cases && tableOf(cases) },
      ...(seen && { alike: seen }),
    };
  },
  parts: {
    split(args) {
      const choice = (args.budget ?? BUDGET) > LARGE ? firstChoice(args.procedure) : undefined;
      if (!choice || choice.high <= choice.low) return [args];
      const size = choice.high - choice.low + 1;
      const parts = Math.min(PARTS, size);
      return Array.from({ length: parts }, (_, index) => ({
        ...{ ...args, parts },
        first: {
          from: choice.low + Math.floor((index * size) / parts),
          to: choice.low + Math.floor(((index + 1) * size) / parts) - 1,
        },
      }));
    },
    again(round, results) {
      const told = results.map((result) => result.told).filter((each) => each !== undefined);
      if (told.length < results.length) return undefined;
      const judged = judge(
        told,
        results.map(({ proof }) => proof),
      );
      const isWhole = results.every(({ proof }) => proof.complete);
      return isWhole || isAnyOpen(judged[0].open)
        ? round.map((args, part) => ({ ...args, judged: judged[part] }))
        : undefined;
    },
    join<Value extends StudyProgress | Study>(values: readonly Value[]): Value {
      const ended = values.filter((value): value is Value & Study => 'rules' in value);
      if (ended.length === values.length) return describe(ended) as Value;
      return { ...addUp(values), share: shareOf(values) } as Value;
    },
  },
};

/** The table of all parts; undefined where one has none, or all together have too many. */
const joinTables = (tables: readonly (CaseTable | undefined)[]): CaseTable | undefined => {
  const found = tables.filter((table) => table !== undefined);
  const names = found.reduce<readonly string[]>(
    (longest, each) => (each.names.length > longest.length ? each.names : longest),
    [],
  );
  const count = found.reduce((sum, { ends }) => sum + ends.length, 0);
  const alike = found.every((table) => table.names.every((name, index) => names[index] === name));
  if (found.length < tables.length || count > MOST_CASES || !alike) return undefined;
  if (found.length === 1) return found[0];
  return tableOf({ names, cases: found.flatMap((table) => casesIn(table).cases) });
};

/** All parts together, and what can be said of them. */
const describe = (parts: readonly Study[]): Study => {
  const counts = addUp(parts.map(({ proof }) => proof));
  const proof: Proof = {
    ...counts,
    complete: parts.every((each) => each.proof.complete),
    cases: counts.held + counts.outs + counts.failed,
    failures: parts.flatMap((each) => each.proof.failures).slice(0, MOST_FAILURES),
  };
  const weighed = parts.map((each) => each.weights).filter((each) => each !== undefined);
  const whole = weighed.length === parts.length ? addUp(weighed) : undefined;
  const table = proof.complete ? joinTables(parts.map(({ cases }) => cases)) : undefined;
  const described = table && table.ends.length <= MOST_DESCRIBED ? casesIn(table) : undefined;
  return {
    ...{
      ...counts,
      share: shareOf(parts),
      proof,
      weights: whole,
      chances: whole && chancesOf(whole),
      cases: table,
    },
    rules: described ? { failed: plainRule(described, 'failed'), outs: plainRule(described, 'outs') } : {},
    claimed: parts[0].claimed,
    likely: parts[0].likely,
    widest: described && widestRange(described),
    apart: notToldApart(parts.flatMap(({ alike = [] }) => alike)),
  };
};
