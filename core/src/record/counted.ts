import { fitChoice, Fit } from './fitChoice';
import { Instruction, instructionsOf, StatedChoice, statedChances } from './instructions';
import { Night, sortOf } from './night';

/** Whose choices count: those before an audience, of one kind or all; trials with a friend where that is asked for. */
export interface Counted {
  /** Undefined for every audience. */
  readonly audience?: string;
  readonly practice?: boolean;
}

/** The nights whose choices count. Run-throughs never do: nobody chose in them. */
export const nightsCounted = (nights: readonly Night[], { audience, practice }: Counted): readonly Night[] =>
  nights.filter((night) => {
    const sort = sortOf(night);
    if (sort === 'run-through' || (sort === 'practice' && practice !== true)) return false;
    return audience === undefined || sort === 'practice' || night.audience === audience;
  });

/** What was chosen on an instruction, as numbers. */
export const observedIn = ({ made }: Pick<Instruction, 'made'>): readonly number[] =>
  made.map(({ chosen }) => chosen.value);

/** An instruction among nights by its key; undefined where nothing was chosen on it. */
export const instructionNamed = (nights: readonly Night[], key: string): Instruction | undefined =>
  instructionsOf(nights).find((each) => each.key === key);

/**
 * A choice of a procedure, fitted to what was chosen on an instruction.
 *
 * @param stated the choice as the procedure states it. Values that it does not have are left out.
 */
export const fitFor = (stated: StatedChoice, instruction: Instruction | undefined): Fit => {
  const from = stated.from ?? instruction?.from ?? 1;
  const to = Math.max(from, stated.to ?? instruction?.to ?? from);
  const chances = statedChances(stated.likely, { from, to });
  return fitChoice(instruction ? observedIn(instruction) : [], chances, from);
};
