import { Rng, seededRng } from '../../deck/rng';
import { compile, compileStepwise } from '../../procedure/compile';
import { Machine } from '../../procedure/machine';
import { Procedure } from '../../procedure/procedure';
import { Program } from '../../procedure/program';
import { End } from '../../rehearse/cases';
import { Weighing } from '../../procedure/weighing';
import { Acted, actOutBy, MakeChoice } from '../../rehearse/actOut';
import { hasChance, openSights } from '../../rehearse/prove';
import { anyStep } from '../../procedure/walk';

/** By claim to know something: the sights that leave it open. */
export type OpenSights = readonly ReadonlySet<string>[];

/** So many instructions are done to see what nobody can know. */
const BUDGET = 4_000_000;
/** More instructions than these no case takes. */
const LONGEST = 100_000;

/**
 * What a procedure claims to be known and is not, by running it over every choice.
 *
 * @param budget how many instructions may be done.
 * @returns undefined where nothing is left open, where it shuffles by chance, or where it is too much to run.
 */
export const openSightsOf = (procedure: Procedure, budget = BUDGET): OpenSights | undefined => {
  if (hasChance(procedure) || !anyStep(procedure.steps, (step) => step.do === 'claim known'))
    return undefined;
  const machine = new Machine(compile(procedure));
  return machine.run(budget) ? openSights(machine) : undefined;
};

/** One evening’s case of a routine, as helpers make it. */
export interface DrawnCase {
  readonly acted: Acted;
  /** What the world’s shuffles and choices were drawn by. */
  readonly seed: number;
}

/** So many cases are drawn before it is given up to find one that is not left out. */
const TRIES = 60;
/** Out of so many cases one that does not hit is chosen, where there is one; half of the times. */
const LOOKED_AT = 6;

/** Helpers choose by the stated likelihood. */
const byLikelihood = (rng: Rng): MakeChoice => {
  const weighing = new Weighing();
  return (choice, low, high) => {
    try {
      return weighing.draw(choice, low, high, rng);
    } catch {
      // Too many values to weigh: any is as likely.
      return low + Math.floor(rng() * (high - low + 1));
    }
  };
};

/** How the case of a seed ends; undefined where it is left out, or does not end. */
const endOf = (program: Program, seed: number, open: OpenSights | undefined): End | undefined => {
  let end: End | undefined;
  const machine = new Machine(program, {
    ...{ rng: seededRng(seed + 1), chosen: byLikelihood(seededRng(seed)), open },
    ended: (_, how) => {
      end = how;
    },
  });
  machine.run(LONGEST);
  return end;
};

/**
 * One case of a procedure, its choices drawn by their stated likelihood and its shuffles by the models. Cases that fail or
 * end in an out come up more often than chance would bring them.
 *
 * @param procedure one that `readProcedure` found right. @param seed any whole number: the same gives the same.
 * @param open what `openSightsOf` found of it.
 * @returns undefined where no case was found that is not left out.
 */
export const drawCase = (procedure: Procedure, seed: number, open?: OpenSights): DrawnCase | undefined => {
  const rng = seededRng(seed);
  const next = (): number => Math.floor(rng() * 2 ** 30);
  const wantsTrouble = rng() < 0.5;
  const program = compileStepwise(procedure);
  const found: { readonly seed: number; readonly end: End }[] = [];
  for (let tries = 0; tries < TRIES && found.length < (wantsTrouble ? LOOKED_AT : 1); tries++) {
    const one = next();
    const end = endOf(program, one, open);
    if (end) found.push({ seed: one, end });
  }
  const chosen = (wantsTrouble ? found.find(({ end }) => end !== 'held') : undefined) ?? found.at(0);
  if (!chosen) return undefined;
  const make = byLikelihood(seededRng(chosen.seed));
  return { acted: actOutBy(procedure, { seed: chosen.seed + 1, make, open }), seed: chosen.seed };
};
