import { Card } from '../deck/card';
import { Outcome, Problem } from '../deck/problem';
import { finish, Job, JobRule } from '../job/job';
import { formatCard } from '../deck/notation';
import { mod } from '../deck/mod';
import { compileStepwise } from '../procedure/compile';
import { laidOut } from '../procedure/laid';
import { Machine } from '../procedure/machine';
import { INDIFFERENT } from '../procedure/packets';
import { Procedure, Step } from '../procedure/procedure';
import { hasChance, openSights, PROOF, through } from '../rehearse/prove';
import { readProcedure } from '../rehearse/readProcedure';
import { Described, describeWorld, namesOf } from './describe';
import { Out, PackState, Plus, Stray, Told } from './state';
import { endedWorld, lieOf, sightsOf } from './worlds';

/** What is asked of a procedure: which packet is the pack, and by what it is described. */
export interface LeavesOptions extends Described {
  /** The turns at which it may begin; 0 unless told. */
  readonly turns?: readonly number[];
  /** Steps that clear up where it holds, numbered on from the last. */
  readonly tidy?: readonly Step[];
}

/** One way in which a routine leaves its pack. */
export interface Ending {
  readonly state: PackState;
  /** How many cases end so, and how many of them in an out. */
  readonly cases: number;
  readonly outs: number;
}

export type Leaves = Outcome<{
  /** Those with the most cases first. */
  readonly endings: readonly Ending[];
  readonly failed: number;
  /** False where not every case was described. */
  readonly complete: boolean;
}>;

export interface LeavesArgs {
  readonly procedure: Procedure;
  readonly options: LeavesOptions;
  /** How many instructions may be done. */
  readonly budget?: number;
}

/** How far it is, 0 to 1. */
export interface LeavesProgress {
  readonly share: number;
}

/** More worlds than these are not described. */
const MOST_WORLDS = 200_000;
const BUDGET = 100_000_000;
/** So many instructions are done before it is told how far it is: each world that ends by them is described. */
const AT_ONCE = 4000;

/** A procedure whose pack is rotated, card by card. */
export const rotated = (procedure: Procedure, pack: string, turn: number): Procedure => {
  const { packets = {}, givens = {} } = procedure;
  if (!Object.hasOwn(packets, pack)) return procedure;
  const cards = (laidOut(packets[pack], givens) ?? []).map((card) =>
    card === INDIFFERENT ? '-' : formatCard(card),
  );
  const by = mod(turn, Math.max(1, cards.length));
  return { ...procedure, packets: { ...packets, [pack]: [...cards.slice(by), ...cards.slice(0, by)] } };
};

const CHANCE: Problem = {
  what: 'It shuffles by chance: how it leaves the pack is not certain.',
  remedy: 'Say yourself how it leaves the pack.',
};

/** How a world left the pack, and what was seen in it. */
interface Found {
  readonly state: PackState;
  readonly isOut: boolean;
  /** The turn at which it began. */
  readonly start: number;
  readonly sights: readonly number[];
}

/** Worlds of one shape are one ending: all that a performer does differently about. */
const shapeOf = (state: PackState): string => {
  if (state.lies === 'ready') return 'ready';
  const outs = state.out.map(({ where, packet, reversed, faceUp }) => [where, packet, reversed, faceUp]);
  const rest = [outs, state.extra > 0];
  if (state.lies === 'home')
    return JSON.stringify([
      'home',
      rest,
      state.packets.map(({ reversed, faceUp, stays }) => [reversed, faceUp, stays]),
    ]);
  return JSON.stringify(
    state.lies === 'bank' ? ['bank', rest, state.bank.at, state.bank.loose] : ['lost', rest, state.faceUp],
  );
};

/** The names by which the values of some worlds are known; undefined where they are not. */
const namesBy = (
  worlds: readonly Found[],
  values: readonly string[],
  names: readonly string[],
): readonly string[] | undefined => {
  const isKnownBy = (some: readonly number[]): boolean => {
    const known = new Map<string, string>();
    return worlds.every(({ sights }, index) => {
      const key = some.map((sight) => sights[sight]).join();
      const before = known.get(key);
      known.set(key, values[index]);
      return before === undefined || before === values[index];
    });
  };
  let kept = names.map((_, index) => index);
  if (!isKnownBy(kept)) return undefined;
  for (const index of names.keys()) {
    const fewer = kept.filter((each) => each !== index);
    if (isKnownBy(fewer)) kept = fewer;
  }
  return kept.map((index) => names[index]);
};

class Telling {
  constructor(
    private readonly found: readonly Found[],
    private readonly names: readonly string[],
  ) {}

  /** A value of every world: the same in all, known by sights, or not known. */
  told<Value>(of: (state: PackState) => Told<Value>): Told<Value> {
    const values = this.found.map(({ state }) => of(state) as Value);
    const texts = values.map((value) => JSON.stringify(value));
    if (texts.every((text) => text === texts[0])) return values[0];
    const seen = namesBy(this.found, texts, this.names);
    return seen ? { seen } : 'unseen';
  }

  most(of: (state: PackState) => number): number {
    return this.found.reduce((most, { state }) => Math.max(most, of(state)), 0);
  }

  turn(size: number): Told<number> | Plus {
    const turnOf = (state: PackState): number => (state.lies === 'home' ? (state.turn as number) : 0);
    const turn = this.told(turnOf);
    if (typeof turn === 'number') return turn;
    const far = this.found.map(({ state, start }) => mod(turnOf(state) - start, size));
    if (far.every((each) => each === far[0])) return { plus: far[0] };
    if (turn !== 'unseen') return turn;
    const seen = namesBy(this.found, far.map(String), this.names);
    return seen ? { plus: { seen } } : 'unseen';
  }
}

const outIn = (state: PackState, index: number): Out =>
  (state as Exclude<PackState, { lies: 'ready' }>).out[index];

const strayIn = (state: PackState, index: number): Stray =>
  (state as Extract<PackState, { lies: 'home' }>).packets[index];

/** The state of worlds of one shape, each of its values as it is told of all of them. */
const together = (found: readonly Found[], names: readonly string[], size: number): PackState => {
  const [{ state }] = found;
  if (state.lies === 'ready') return state;
  const telling = new Telling(found, names);
  const out = state.out.map((first, index): Out => ({
    ...first,
    count: telling.told((each) => outIn(each, index).count),
    most: telling.most((each) => outIn(each, index).most),
    cards: telling.told<readonly Card[]>((each) => outIn(each, index).cards),
    ...(first.behind !== undefined && { behind: telling.told((each) => outIn(each, index).behind ?? 0) }),
  }));
  const extra = telling.most((each) => (each.lies === 'ready' ? 0 : each.extra));
  if (state.lies !== 'home') return { ...state, out, extra };
  const packets = state.packets.map((first, index): Stray => ({
    ...first,
    place: telling.told((each) => strayIn(each, index).place),
    count: telling.told((each) => strayIn(each, index).count),
    most: telling.most((each) => strayIn(each, index).most),
    behind: telling.told((each) => strayIn(each, index).behind),
  }));
  return { ...state, turn: telling.turn(size), packets, out, extra };
};

/** The endings of all worlds, those with the most cases first. */
const endingsOf = (all: readonly Found[], names: readonly string[], size: number): readonly Ending[] => {
  const groups = new Map<string, Found[]>();
  for (const found of all) {
    const shape = shapeOf(found.state);
    const group = groups.get(shape);
    if (group) group.push(found);
    else groups.set(shape, [found]);
  }
  return [...groups.values()]
    .map((found): Ending => ({
      state: together(found, names, size),
      cases: found.length,
      outs: found.filter(({ isOut }) => isOut).length,
    }))
    .sort((a, b) => b.cases - a.cases);
};

function* run(procedure: Procedure, options: LeavesOptions, budget: number): Job<LeavesProgress, Leaves> {
  const { turns = [0], pack, home, bank } = options;
  const all: Found[] = [];
  let [failed, complete] = [0, true];
  let names: readonly string[] = [];
  for (const [index, start] of turns.entries()) {
    const program = compileStepwise(rotated(procedure, pack, start));
    names = program.sights.map((value) => program.names[value]);
    const packets = namesOf(program, pack);
    const told = function* (machine: Machine, part: number): Job<LeavesProgress, boolean> {
      const steps = through(machine, budget, AT_ONCE);
      for (;;) {
        const step = steps.next();
        if (step.done) return step.value;
        yield { share: (index + (part + step.value.share) / 2) / turns.length };
        if (all.length >= MOST_WORLDS) return false;
      }
    };
    let open;
    if (program.claims.length > 0) {
      const before = new Machine(program);
      if (!(yield* told(before, 0))) complete = false;
      open = openSights(before) ?? program.claims.map(() => new Set<string>());
    }
    // Many worlds of one start end alike.
    const described = new Map<string, PackState>();
    const machine = new Machine(program, {
      ...{ open, sights: true },
      ended: (ended, how) => {
        if (how === 'failed') failed++;
        else if (all.length >= MOST_WORLDS) complete = false;
        else {
          const lie = lieOf(ended);
          const state = described.get(lie) ?? describeWorld(endedWorld(ended, start), packets, options);
          described.set(lie, state);
          all.push({ state, isOut: how === 'outs', start, sights: sightsOf(ended) });
        }
      },
    });
    if (!(yield* told(machine, 1))) complete = false;
    yield { share: (index + 1) / turns.length };
  }
  const size = home?.length ?? bank?.cards.length ?? 1;
  return { ok: true, endings: endingsOf(all, names, size), failed, complete };
}

/** What a procedure leaves, as a job. */
export const LEAVES: JobRule<LeavesArgs, LeavesProgress, Leaves> = {
  *start({ procedure, options, budget = BUDGET }) {
    const steps = [...procedure.steps, ...(options.tidy ?? [])];
    // Outs clear up from version 2 of the language on: one that says no version means the latest.
    const read = readProcedure({ version: 2, ...procedure, steps });
    if (!read.ok) return { ok: false, problems: read.problems };
    if (hasChance(read.procedure)) return { ok: false, problems: [CHANCE] };
    return yield* run(read.procedure, options, budget);
  },
};

/**
 * How a procedure leaves its pack, over every choice (docs/code/performing.md, 2).
 *
 * @param options the packet that is the pack, and the order or the bank that it is described by.
 */
export const leaves = (procedure: Procedure, options: LeavesOptions): Leaves =>
  finish(LEAVES.start({ procedure, options }));

/** The turns of the pack, 0 to one less than it has cards, from which no case fails. */
export const turnsThatHold = (procedure: Procedure, pack: string): readonly number[] => {
  const read = readProcedure(procedure);
  if (!read.ok || hasChance(read.procedure)) return [];
  const laid = read.procedure.packets?.[pack];
  const size = laid ? (laidOut(laid, read.procedure.givens ?? {}) ?? []).length : 0;
  return Array.from({ length: size }, (_, turn) => turn).filter((turn) => {
    const proof = finish(PROOF.start({ procedure: rotated(read.procedure, pack, turn) }));
    return proof.complete && proof.failed === 0;
  });
};
