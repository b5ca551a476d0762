import { cycleBound } from './bound';
import { breaksOf, closedBy, lastStep, Row, Step, stepped, stepsAt } from './breaks';

/** A move closes at most so many breaks. */
const MOST_CLOSED = 4;

const allGaps = (row: Row): readonly number[] => Array.from({ length: row.length - 1 }, (_, gap) => gap);

/** The gaps that are breaks, and those one card beside. */
const besideBreaks = (row: Row, breaks: readonly number[]): readonly number[] => {
  const gaps = new Set(breaks.flatMap((gap) => [gap - 1, gap, gap + 1]));
  return [...gaps].filter((gap) => gap >= 0 && gap < row.length - 1).sort((a, b) => a - b);
};

/** Steps that open given gaps and leave at most so many breaks, those that leave the fewest first. */
const leaving = (
  row: Row,
  breaks: readonly number[],
  gaps: readonly number[],
  most: number,
): readonly Step[] => {
  const steps = stepsAt(row, gaps, breaks.length - most);
  const closed = steps.map(({ kind, i, j, k }) => closedBy(row, kind, i, j, k));
  return steps
    .map((_, index) => index)
    .sort((a, b) => closed[b] - closed[a])
    .map((index) => steps[index]);
};

/** One step home; every one is tried. */
const inOne = (row: Row, breaks: readonly number[]): readonly Step[] | undefined => {
  const step = lastStep(row, breaks);
  return step && [step];
};

/** Two steps home, the first of which opens given gaps. */
const inTwoFrom = (
  row: Row,
  breaks: readonly number[],
  gaps: readonly number[],
): readonly Step[] | undefined => {
  for (const step of stepsAt(row, gaps, breaks.length - MOST_CLOSED)) {
    const after = stepped(row, step);
    const last = lastStep(after, breaksOf(after));
    if (last) return [step, last];
  }
  return undefined;
};

const inTwoAtBreaks = (row: Row, breaks: readonly number[]): readonly Step[] | undefined =>
  breaks.length > 2 * MOST_CLOSED ? undefined : inTwoFrom(row, breaks, breaks);

/** Two steps home; every first one is tried after which one may be left. */
const inTwo = (row: Row, breaks: readonly number[]): readonly Step[] | undefined =>
  breaks.length > 2 * MOST_CLOSED
    ? undefined
    : (inTwoFrom(row, breaks, breaks) ??
      (cycleBound(row) > 2 ? undefined : inTwoFrom(row, breaks, allGaps(row))));

/** A first step that opens some of these gaps, and two behind it that are looked for so. */
const inThreeFrom = (
  row: Row,
  breaks: readonly number[],
  gaps: readonly number[],
  two: typeof inTwo,
): readonly Step[] | undefined => {
  for (const step of leaving(row, breaks, gaps, 2 * MOST_CLOSED)) {
    const after = stepped(row, step);
    const rest = two(after, breaksOf(after));
    if (rest) return [step, ...rest];
  }
  return undefined;
};

/** Three steps home, the first of which opens breaks or gaps one card beside. */
const inThree = (row: Row, breaks: readonly number[]): readonly Step[] | undefined => {
  if (breaks.length > 3 * MOST_CLOSED) return undefined;
  const quick = inThreeFrom(row, breaks, breaks, inTwoAtBreaks);
  if (quick || cycleBound(row) > 3) return quick;
  return (
    inThreeFrom(row, breaks, breaks, inTwo) ?? inThreeFrom(row, breaks, besideBreaks(row, breaks), inTwo)
  );
};

/** So many steps home that open breaks only; how many rows may be looked at is counted down. */
const inMore = (row: Row, count: number, left: { rows: number }): readonly Step[] | undefined => {
  const breaks = breaksOf(row);
  if (breaks.length > count * MOST_CLOSED || cycleBound(row) > count) return undefined;
  if (count <= 2) return inTwoAtBreaks(row, breaks);
  for (const step of leaving(row, breaks, breaks, (count - 1) * MOST_CLOSED)) {
    if (left.rows-- <= 0) return undefined;
    const rest = inMore(stepped(row, step), count - 1, left);
    if (rest) return [step, ...rest];
  }
  return undefined;
};

/** A row on the way home in the beam, and how it came about. */
interface Beamed {
  readonly row: Row;
  readonly breaks: readonly number[];
  readonly step?: Step;
  readonly before?: Beamed;
}

const stepsTo = (end: Beamed): readonly Step[] => {
  const steps: Step[] = [];
  for (let at: Beamed | undefined = end; at?.step; at = at.before) steps.unshift(at.step);
  return steps;
};

/** The steps from a row that close the most breaks. */
const closing = (row: Row, breaks: readonly number[]): readonly Step[] => {
  for (let least = 3; least > 0; least--) {
    const steps = stepsAt(row, breaks, least);
    if (steps.length > 0) return steps;
  }
  return stepsAt(row, breaks, 0);
};

/** Of the rows that each round comes to, those go on that have the fewest breaks. */
const byBeam = (row: Row, width: number): readonly Step[] => {
  let beam: readonly Beamed[] = [{ row, breaks: breaksOf(row) }];
  for (;;) {
    const home = beam.find(({ breaks }) => breaks.length === 0);
    if (home) return stepsTo(home);
    const next = new Map<string, Beamed>();
    for (const before of beam)
      for (const step of closing(before.row, before.breaks).slice(0, width)) {
        const after = stepped(before.row, step);
        next.set(after.join(), { row: after, breaks: breaksOf(after), step, before });
      }
    beam = [...next.values()].sort((a, b) => a.breaks.length - b.breaks.length).slice(0, width);
  }
};

/** Up to three steps home; there are never fewer than are found. */
export const ofFew = (row: Row, count: number): readonly Step[] | undefined => {
  const breaks = breaksOf(row);
  if (count === 0) return breaks.length === 0 ? [] : undefined;
  if (breaks.length > count * MOST_CLOSED) return undefined;
  return count === 1 ? inOne(row, breaks) : count === 2 ? inTwo(row, breaks) : inThree(row, breaks);
};

/** More steps than these are looked for by the beam alone, and no longer than while so many rows are looked at. */
const [MOST_STEPS, MOST_ROWS, BEAM] = [6, 20_000, 30];

/** The fewest steps home that are found, where it takes more than three. */
export const ofMany = (row: Row, bound: number): readonly Step[] => {
  for (let count = Math.max(4, bound); count <= MOST_STEPS; count++) {
    const steps = inMore(row, count, { rows: MOST_ROWS });
    if (steps) return steps;
  }
  return byBeam(row, BEAM);
};
