import { Case, Cases } from './cases';

/** What to ask for: a range of one choice or two. */
export interface Range {
  readonly name: string;
  readonly from: number;
  readonly to: number;
}

export interface Widest {
  readonly ranges: readonly Range[];
  readonly cases: number;
}

/** By value: how many cases there are, and how many of them fail. */
type Tally = ReadonlyMap<number, { readonly cases: number; readonly failed: number }>;

/** Adds cases to a tally, by what was chosen at an index. */
const addTo = (
  tally: Map<number, { cases: number; failed: number }>,
  cases: readonly Case[],
  index: number,
): void => {
  for (const { values, end } of cases) {
    if (index >= values.length) continue;
    const entry = tally.get(values[index]) ?? { cases: 0, failed: 0 };
    entry.cases++;
    if (end === 'failed') entry.failed++;
    tally.set(values[index], entry);
  }
};

const tallyOf = (cases: readonly Case[], index: number): Tally => {
  const tally = new Map<number, { cases: number; failed: number }>();
  addTo(tally, cases, index);
  return tally;
};

/**
 * The run of values without a failure that has most cases. A value that no case has (one that was asked for is left out)
 * ends no run.
 */
const bestRun = (
  tally: Tally,
): { readonly from: number; readonly to: number; readonly cases: number } | undefined => {
  let best: { from: number; to: number; cases: number } | undefined;
  let run: { from: number; to: number; cases: number } | undefined;
  for (const [value, { cases, failed }] of [...tally].sort(([a], [b]) => a - b)) {
    if (failed > 0) run = undefined;
    else if (run) run = { from: run.from, to: value, cases: run.cases + cases };
    else run = { from: value, to: value, cases };
    if (run && run.cases > (best?.cases ?? 0)) best = run;
  }
  return best;
};

/** How many cases ended before a choice was made; undefined where one of them fails, whatever would be chosen. */
const endedBefore = (cases: readonly Case[], index: number): number | undefined => {
  const early = cases.filter(({ values }) => values.length <= index);
  return early.some(({ end }) => end === 'failed') ? undefined : early.length;
};

/**
 * The widest ranges of choices in which no case fails: of one choice, the others being free, or of two. A case that
 * ended before a choice was made is in each of its ranges.
 *
 * @returns undefined where nothing fails, or where no ranges of one or two choices leave a case.
 */
export const widestRange = ({ names, cases }: Cases): Widest | undefined => {
  if (cases.every(({ end }) => end !== 'failed')) return undefined;
  const alone = names.flatMap((_, index) => widestOfOne({ names, cases }, index) ?? []);
  const pairs = names.flatMap((_, other) =>
    names.slice(0, other).flatMap((_name, one) => widestOfTwo({ names, cases }, one, other) ?? []),
  );
  return [...alone, ...pairs].reduce<Widest | undefined>(
    (best, each) => (each.cases > (best?.cases ?? 0) ? each : best),
    undefined,
  );
};

const widestOfOne = ({ names, cases }: Cases, index: number): Widest | undefined => {
  const early = endedBefore(cases, index);
  const run = early === undefined ? undefined : bestRun(tallyOf(cases, index));
  return (
    run && { ranges: [{ name: names[index], from: run.from, to: run.to }], cases: run.cases + (early ?? 0) }
  );
};

/** More values than this of a choice are not tried two by two. */
const MOST_TRIED = 60;

const widestOfTwo = ({ names, cases }: Cases, one: number, other: number): Widest | undefined => {
  const early = endedBefore(cases, one);
  if (early === undefined) return undefined;
  const byValue = new Map<number, Case[]>();
  for (const each of cases)
    if (one < each.values.length) {
      const alike = byValue.get(each.values[one]);
      if (alike) alike.push(each);
      else byValue.set(each.values[one], [each]);
    }
  const values = [...byValue.keys()].sort((a, b) => a - b);
  if (values.length > MOST_TRIED) return undefined;
  let best: Widest | undefined;
  for (const [index, from] of values.entries()) {
    const tally = new Map<number, { cases: number; failed: number }>();
    let between = early;
    for (const to of values.slice(index)) {
      const added = byValue.get(to) ?? [];
      const ended = endedBefore(added, other);
      // Who failed before the second was chosen fails whatever that is.
      if (ended === undefined) break;
      between += ended;
      addTo(tally, added, other);
      const run = bestRun(tally);
      if (!run || run.cases + between <= (best?.cases ?? 0)) continue;
      const ranges = [
        { name: names[one], from, to },
        { name: names[other], from: run.from, to: run.to },
      ];
      best = { ranges, cases: run.cases + between };
    }
  }
  return best;
};
