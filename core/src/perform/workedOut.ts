import { Card, isCard } from '../deck/card';
import { countOf } from '../deck/countOf';
import { Order } from '../deck/order';
import { Outcome } from '../deck/problem';
import { Job, JobRule } from '../job/job';
import { laidOut } from '../procedure/laid';
import { INDIFFERENT } from '../procedure/packets';
import { Procedure } from '../procedure/procedure';
import { hasChance, PROOF } from '../rehearse/prove';
import { readProcedure } from '../rehearse/readProcedure';
import { withOrder } from '../rehearse/withOrder';
import { Ending, LEAVES, rotated } from './leaves';
import { PackNeed } from './need';
import { BankThere } from './state';

/** What is asked: which packet of a procedure is the pack, and the order in the place of the procedure's own. */
export interface WorkedOutArgs {
  readonly procedure: Procedure;
  readonly packet: string;
  readonly order?: Order;
  /** Whether the cards of a bank may lie in any sequence. */
  readonly loose?: boolean;
}

/** What a procedure needs and leaves of its pack, as running every choice shows it. */
export interface WorkedOut {
  readonly needs: PackNeed;
  /** The order that it is laid in, where it is one. */
  readonly home?: Order;
  readonly endings: readonly Ending[];
  /** Cases that fail, where it begins as it needs. */
  readonly failed: number;
  /** False where not every case was described: the user says what it leaves then. */
  readonly complete: boolean;
  /** Why it says what it says. */
  readonly why: readonly string[];
}

export interface WorkedOutProgress {
  readonly share: number;
}

export type WorkedOutOutcome = Outcome<{ readonly found: WorkedOut }>;

const isOrder = (cards: readonly Card[]): boolean =>
  cards.length > 1 && new Set(cards).size === cards.length && cards.every((card) => isCard(card));

/** Known cards at one end of a packet, indifferent ones elsewhere; at the face where both ends have some. */
export const bankOf = (cards: readonly Card[]): BankThere | undefined => {
  const known = cards.filter((card) => card !== INDIFFERENT);
  if (known.length === 0 || known.length === cards.length) return undefined;
  const isAt = (from: number): boolean => known.every((card, index) => cards[from + index] === card);
  if (isAt(0)) return { cards: known, at: 'top', loose: false };
  return isAt(cards.length - known.length) ? { cards: known, at: 'face', loose: false } : undefined;
};

/** The packets that can be a pack of the routine, the one with the most cards first. */
export const packsIn = ({ packets = {}, givens = {} }: Procedure): readonly string[] =>
  Object.entries(packets)
    .map(([name, row]) => ({ name, count: laidOut(row, givens)?.length ?? 0 }))
    .filter(({ count }) => count > 0)
    .sort((a, b) => b.count - a.count)
    .map(({ name }) => name);

/** A job as a part of another: how far it is, is told as a share of the whole. */
function* within<Result>(
  job: Job<{ readonly share: number } | object, Result>,
  from: number,
  part: number,
): Job<WorkedOutProgress, Result> {
  for (;;) {
    const step = job.next();
    if (step.done) return step.value;
    yield { share: from + ('share' in step.value ? step.value.share : 0) * part };
  }
}

/** So many instructions are done to try one cut: a list of routines waits for all of them. */
const ONE_CUT = 5_000_000;
/** And so many to describe what is left. */
const DESCRIBING = 20_000_000;
/** So many cases are described over all cuts: with more of them fewer cuts are tried. */
const MOST_CASES = 150_000;

/** The turns from which no case fails, and how many cases there are from one; undefined where they are too many to run. */
function* turnsHeld(
  procedure: Procedure,
  packet: string,
  size: number,
): Job<WorkedOutProgress, { readonly held: readonly number[]; readonly cases: number } | undefined> {
  const held: number[] = [];
  let most = 1;
  for (let turn = 0; turn < size; turn++) {
    const proof = PROOF.start({ procedure: rotated(procedure, packet, turn), budget: ONE_CUT });
    const { complete, failed, cases } = yield* within(proof, turn / size / 2, 1 / size / 2);
    if (!complete) return undefined;
    most = Math.max(most, cases);
    if (failed === 0) held.push(turn);
    yield { share: (turn + 1) / size / 2 };
  }
  return { held, cases: most };
}

/** So many of the turns that all their cases can be described, evenly among them: two at least, so that one sees what a cut changes. */
const someOf = (turns: readonly number[], cases: number): readonly number[] => {
  const count = Math.max(2, Math.floor(MOST_CASES / cases));
  if (turns.length <= count) return turns;
  return Array.from({ length: count }, (_, index) => turns[Math.floor((index * turns.length) / count)]);
};

/** What is known of the packet before anything is run. */
interface Laid {
  readonly home?: Order;
  readonly bank?: BankThere;
}

const laidAs = ({ packets = {}, givens = {} }: Procedure, packet: string): Laid => {
  const cards = Object.hasOwn(packets, packet) ? (laidOut(packets[packet], givens) ?? []) : [];
  if (isOrder(cards)) return { home: cards };
  const bank = bankOf(cards);
  return bank ? { bank } : {};
};

const whyTurns = (held: number, size: number): string =>
  held === 0
    ? 'Some case fails from wherever it is cut: it is taken to begin from the top.'
    : held === size
      ? `No case fails, wherever the ${size.toString()} cards are cut.`
      : `No case fails from ${held.toString()} of ${countOf(size, 'cut')}.`;

const TOO_MANY = 'Its cases are too many to try every cut: it is taken to begin from the top.';

const whyBank = ({ at }: BankThere): string =>
  `Its known cards lie ${at === 'top' ? 'on top' : 'at the face'}, with indifferent ones beside them.`;

const whyLeaves = (cases: number, complete: boolean): string =>
  complete
    ? `What it leaves is of all ${countOf(cases, 'case')}.`
    : `Only ${countOf(cases, 'case')} could be run: look at what it leaves, and say it yourself if it is more.`;

const OTHER_CARDS: WorkedOut = {
  ...{ needs: { kind: 'cards' }, endings: [], failed: 0, complete: false },
  why: [
    'Its procedure lays other cards than this order has: choose its own order, or say yourself what it leaves.',
  ],
};

function* workOut({
  packet,
  order,
  loose = false,
  ...args
}: WorkedOutArgs): Job<WorkedOutProgress, WorkedOutOutcome> {
  const given = order ? withOrder(args.procedure, order) : args.procedure;
  const read = readProcedure({ version: 2, ...(given ?? args.procedure) });
  if (!read.ok) return { ok: false, problems: read.problems.slice(0, 1) };
  const { procedure } = read;
  const { home, bank } = laidAs(procedure, packet);
  // A bank may lie in a pack of any order; an order in the place of another has the same cards.
  if (!given && home) return { ok: true, found: OTHER_CARDS };
  const needs = (turns: 'any' | readonly number[]): PackNeed =>
    home ? { kind: 'home', turns } : bank ? { kind: 'bank', ...bank, loose } : { kind: 'cards' };
  const notRun = (why: string): WorkedOutOutcome => ({
    ok: true,
    found: { needs: needs([0]), ...(home && { home }), endings: [], failed: 0, complete: false, why: [why] },
  });
  if (!home && !bank) return notRun('Its cards are in no order that is known: say yourself what it leaves.');
  if (hasChance(procedure)) return notRun('It shuffles by chance: say yourself what it leaves.');
  const found = home ? yield* turnsHeld(procedure, packet, home.length) : { held: [], cases: 1 };
  const held = found?.held ?? [];
  const turns = held.length > 0 ? held : [0];
  const tried = someOf(turns, found?.cases ?? 1);
  const options = { pack: packet, turns: tried, ...(home ? { home } : { bank }) };
  const left = yield* within(LEAVES.start({ procedure, options, budget: DESCRIBING }), 0.5, 0.5);
  if (!left.ok) return left;
  const { endings, failed, complete } = left;
  const cases = endings.reduce((sum, ending) => sum + ending.cases, failed);
  const why = [
    home ? (found ? whyTurns(held.length, home.length) : TOO_MANY) : bank ? whyBank(bank) : '',
    `${whyLeaves(cases, complete)}${tried.length < turns.length ? ` They are of ${countOf(tried.length, 'cut')}, evenly among all.` : ''}`,
  ];
  const isAny = held.length === home?.length;
  return {
    ok: true,
    found: { needs: needs(isAny ? 'any' : turns), ...(home && { home }), endings, failed, complete, why },
  };
}

/** What a procedure needs and leaves, as a job. */
export const WORKED_OUT: JobRule<WorkedOutArgs, WorkedOutProgress, WorkedOutOutcome> = { start: workOut };
