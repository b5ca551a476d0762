import { Job, JobRule } from '../job/job';
import { compile } from '../procedure/compile';
import { Machine } from '../procedure/machine';
import { Procedure, Step } from '../procedure/procedure';
import { inTurn } from '../procedure/caseWorlds';
import { insideOf } from '../procedure/walk';
import { End } from './cases';
import { hasChance, openSights } from './prove';

/** Up to when a miss shows: before the helper looks at a card, before cards are mixed, before the end, or there. */
export type Moment = 'before they look' | 'before they mix' | 'before the end' | 'at the end';

/** Where cases that do not hold show it first to the performer. */
export interface Shows {
  /** The path of the step by which the performer can know it; of the one at which it ends where nothing shows before. */
  readonly at: string;
  readonly moment: Moment;
  readonly end: Exclude<End, 'held'>;
  /** How many worlds these are, and how likely all of them together. */
  readonly worlds: number;
  readonly chance: number;
  /** The outs that still come there, or behind it. */
  readonly outs: readonly string[];
}

export interface InTimeArgs {
  readonly procedure: Procedure;
  /** How many steps may be done in each of two runs. */
  readonly budget?: number;
}

const BUDGET = 3_000_000;
const AT_ONCE = 20_000;

/** What the performer knew behind a step of the world that is run: with what is known there, and how deep it is tried. */
interface Known {
  readonly at: number;
  readonly key: string;
  readonly behind: number;
}

/** Runs every world and tells at its end what the performer knew step by step; false where the budget ran out. */
function* throughWorlds(
  procedure: Procedure,
  open: ReturnType<typeof openSights>,
  budget: number,
  ended: (known: readonly Known[], machine: Machine, how: End) => void,
): Job<number, boolean> {
  const program = compile(procedure);
  const known: Known[] = [];
  const machine: Machine = new Machine(program, {
    ...{ weigh: true, sights: true, open: open ?? program.claims.map(() => new Set<string>()) },
    ended: (run, how) => {
      ended(known, run, how);
    },
  });
  let last = '';
  for (let done = false; !done;) {
    const [before, tries] = [machine.here, machine.tries];
    done = machine.run(machine.steps + 1);
    if (machine.full || machine.steps >= budget) return false;
    const isNew = machine.tries !== tries;
    if (isNew) {
      while ((known.at(-1)?.behind ?? -1) >= machine.behind) known.pop();
      last = known.at(-1)?.key.split('|')[1] ?? '';
    }
    const sights = program.sights.map((index) => machine.values[index]).join();
    if (sights !== last && !done) {
      const at = isNew ? machine.here - 1 : before;
      known.push({ at, key: `${at}|${sights}`, behind: machine.behind });
      last = sights;
    }
    if (machine.steps % AT_ONCE === 0) yield machine.progress;
  }
  return true;
}

/** Every step with its path, in turn. */
const stepsIn = (
  steps: readonly Step[],
  above = '',
): readonly { readonly path: string; readonly step: Step }[] =>
  steps.flatMap((step, index) => {
    const path = `${above}${index + 1}`;
    const inside = insideOf(step).flatMap((each, branch) => stepsIn(each, `${path}.${branch + 1}.`));
    return [{ path, step }, ...(step.do === 'out' ? [] : inside)];
  });

const isLook = (step: Step): boolean => step.do === 'see' && (step.by === 'helper' || step.by === 'all');
const isMix = (step: Step): boolean => step.do === 'mix';

/**
 * Where the cases that do not hold show it: the first step by which no world with the same sights holds. It is the
 * performer who can know it there; whoever watches sees it at the end.
 *
 * @returns those that show alike together, the earliest first; undefined where chance enters or there are too many.
 */
export const IN_TIME: JobRule<InTimeArgs, number, readonly Shows[] | undefined> = {
  *start({ procedure, budget = BUDGET }) {
    if (hasChance(procedure)) return undefined;
    const program = compile(procedure);
    const judge = new Machine(program);
    if (program.claims.length > 0 && !judge.run(budget)) return undefined;
    const open = program.claims.length > 0 ? openSights(judge) : undefined;
    const holds = new Set<string>();
    const first = yield* throughWorlds(procedure, open, budget, (known, _, how) => {
      if (how === 'held') for (const { key } of known) holds.add(key);
    });
    if (!first) return undefined;
    const all = stepsIn(procedure.steps);
    const found = new Map<string, Shows>();
    const second = yield* throughWorlds(procedure, open, budget, (known, machine, how) => {
      if (how === 'held') return;
      const shows = known.find(({ key }) => !holds.has(key));
      const path = shows ? program.paths[shows.at] : program.paths[machine.here];
      const key = `${path} ${how}`;
      const before = found.get(key) ?? {
        ...describe(all, path, shows !== undefined, how),
        worlds: 0,
        chance: 0,
      };
      found.set(key, { ...before, worlds: before.worlds + 1, chance: before.chance + machine.chance });
    });
    return second ? [...found.values()].sort((a, b) => inTurn(a.at, b.at)) : undefined;
  },
};

const describe = (
  all: readonly { readonly path: string; readonly step: Step }[],
  at: string,
  showsBefore: boolean,
  end: Shows['end'],
): Omit<Shows, 'worlds' | 'chance'> => {
  const later = all.filter(({ path }) => inTurn(path, at) > 0);
  const moment: Moment = !showsBefore
    ? 'at the end'
    : later.some(({ step }) => isLook(step))
      ? 'before they look'
      : later.some(({ step }) => isMix(step))
        ? 'before they mix'
        : 'before the end';
  const outs = all.flatMap(({ path, step }) =>
    step.do === 'out' && inTurn(path, at) >= 0 ? [step.words] : [],
  );
  return { at, moment, end, outs: [...new Set(outs)] };
};
