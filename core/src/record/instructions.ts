import { NONE } from '../procedure/form';
import { numberOfGivens } from '../procedure/laid';
import { Expression, Likely, Procedure, Step } from '../procedure/procedure';
import { likelihoods } from '../procedure/likely';
import { insideOf } from '../procedure/walk';
import { sayPath } from '../rehearse/editSteps';
import { textsOf } from '../rehearse/says';
import { Night } from './night';
import { WasChosen } from '../perform/cue/done';

/** More values than these no instruction is fitted over. */
const MOST_VALUES = 400;

/** One choice that somebody made. */
export interface MadeChoice {
  readonly night: Night;
  /** The routine in which it was made. */
  readonly routine: { readonly id: string; readonly name: string };
  readonly chosen: WasChosen;
}

/** An instruction as it is said, and every choice that was made on it. */
export interface Instruction {
  /** What tells it from every other: the words, whatever their case and stops; without words the routine and the name. */
  readonly key: string;
  /** The words as they were said last; empty where none were noted. */
  readonly said: string;
  /** What is chosen, and in which routine last. */
  readonly name: string;
  readonly routine: string;
  /** Whether one of several ways is chosen, and no number. */
  readonly isWay: boolean;
  /** The values that they can choose: those told, or those that were chosen. */
  readonly from: number;
  readonly to: number;
  /** Of ways, what each is called, from `from` on. */
  readonly words: readonly string[];
  readonly made: readonly MadeChoice[];
}

/** The key of an instruction. */
export const instructionKey = (
  { said = '', name }: Pick<WasChosen, 'said' | 'name'>,
  routine: string,
): string => {
  const words = said
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
  return words === '' ? `${routine}: ${name}` : `“${words}”`;
};

/** The choices of nights that are of numbers or ways, by the instruction on which they were made; the most used first. */
export const instructionsOf = (nights: readonly Night[]): readonly Instruction[] => {
  const found = new Map<string, MadeChoice[]>();
  // Thousands of choices are made on a few instructions: each key is made once.
  const keys = new Map<string, string>();
  const keyOf = (chosen: WasChosen, routine: string): string => {
    const words = chosen.said ?? `\0${routine}\0${chosen.name}`;
    const key = keys.get(words) ?? instructionKey(chosen, routine);
    // Words of stops alone say nothing: such a choice is known by its routine and name.
    if (chosen.said === undefined || key.startsWith('“')) keys.set(words, key);
    return key;
  };
  for (const night of nights)
    for (const routine of night.done)
      for (const chosen of routine.choices) {
        if (chosen.seen || (chosen.sort !== undefined && chosen.sort !== 'way')) continue;
        const key = keyOf(chosen, routine.name);
        const made = found.get(key);
        const one: MadeChoice = { night, routine, chosen };
        if (made) made.push(one);
        else found.set(key, [one]);
      }
  return [...found.entries()]
    .map(([key, made]) => instructionOf(key, made))
    .filter(({ from, to }) => to - from < MOST_VALUES)
    .sort((a, b) => b.made.length - a.made.length || (a.key < b.key ? -1 : 1));
};

const instructionOf = (key: string, made: readonly MadeChoice[]): Instruction => {
  const last = made.reduce((newest, each) => (each.night.at >= newest.night.at ? each : newest));
  let [from, to] = [Infinity, -Infinity];
  const words: string[] = [];
  for (const { chosen } of made) {
    from = Math.min(from, chosen.from ?? chosen.value, chosen.value);
    to = Math.max(to, chosen.to ?? chosen.value, chosen.value);
  }
  for (const { chosen } of made)
    if (chosen.sort === 'way' && chosen.words !== undefined) words[chosen.value - from] = chosen.words;
  return {
    ...{ key, said: last.chosen.said ?? '', name: last.chosen.name, routine: last.routine.name },
    ...{ isWay: last.chosen.sort === 'way', from, to, made },
    words: Array.from(words, (each: string | undefined) => each ?? ''),
  };
};

/** A choice as a procedure states it. */
export interface StatedChoice {
  readonly path: string;
  readonly name: string;
  readonly likely: Likely | undefined;
  /** What is said, to everybody or to an audience. */
  readonly said: readonly string[];
  /** What its ways are called; undefined where a number is chosen. */
  readonly ways: readonly string[] | undefined;
  /** Between what numbers they choose, as far as that is the same always. */
  readonly from: number | undefined;
  readonly to: number | undefined;
}

/** Every choice of a helper in a procedure, in the order in which they are written. */
export const statedIn = ({ steps, givens = {} }: Procedure): readonly StatedChoice[] => {
  const end = (value: Expression): number | undefined => {
    const number = numberOfGivens(value, givens);
    return number === NONE ? undefined : number;
  };
  const walk = (inside: readonly Step[], above: readonly number[]): StatedChoice[] =>
    inside.flatMap((step, index) => {
      const path = [...above, index + 1];
      const below = insideOf(step).flatMap((branch, which) => walk(branch, [...path, which + 1]));
      if ((step.do !== 'choose' && step.do !== 'choose one') || step.by === 'performer') return below;
      const own: StatedChoice = {
        ...{ path: sayPath(path), name: step.name, likely: step.likely },
        said: textsOf(step.says).map(({ text }) => text),
        ways: step.do === 'choose one' ? step.of.map(({ words }) => words) : undefined,
        from: step.do === 'choose' ? end(step.from) : 1,
        to: step.do === 'choose' ? end(step.to) : step.of.length,
      };
      return [own, ...below];
    });
  return walk(steps, []);
};

/** The chance of each value of an instruction as it is stated; all alike where nothing is. */
export const statedChances = (
  likely: Likely | undefined,
  { from, to }: Pick<Instruction, 'from' | 'to'>,
): readonly number[] => {
  const weights = likelihoods(likely, from, to);
  return weights?.some((each) => each > 0)
    ? [...weights]
    : Array.from({ length: to - from + 1 }, () => 1 / (to - from + 1));
};
