import { Procedure, Step } from '../procedure/procedure';
import { insideOf } from '../procedure/walk';

/** A text for everybody, or one for each audience. */
export type Texts = string | Readonly<Record<string, string>>;

export const isTexts = (value: unknown): value is Texts =>
  typeof value === 'string' ||
  (typeof value === 'object' &&
    value !== null &&
    !Array.isArray(value) &&
    Object.values(value).every((text) => typeof text === 'string'));

/** The words of several audiences, each with whom it is for; nobody where it is for all. */
export const textsOf = (texts: unknown): readonly { readonly audience?: string; readonly text: string }[] => {
  if (!isTexts(texts)) return [];
  if (typeof texts === 'string') return texts === '' ? [] : [{ text: texts }];
  return Object.entries(texts)
    .filter(([, text]) => text !== '')
    .map(([audience, text]) => ({ audience, text }));
};

/** What is said to an audience; to one that nothing is written for, what is written first. */
export const saidTo = (texts: unknown, audience?: string): string | undefined => {
  const all = textsOf(texts);
  return (all.find((each) => each.audience === undefined || each.audience === audience) ?? all.at(0))?.text;
};

/** Everything that a step has to say: meanwhile, and where a choice is off. */
export const spokenIn = (step: Step): readonly unknown[] =>
  step.do === 'choose' ? [step.says, step['too few'], step['too many']] : [step.says];

/** The audiences that a procedure has words for, in the order in which they come. */
export const audiencesIn = ({ steps }: Procedure): readonly string[] => {
  const walk = (inside: readonly Step[]): string[] =>
    inside.flatMap((step) => [
      ...spokenIn(step)
        .flatMap(textsOf)
        .flatMap(({ audience }) => audience ?? []),
      ...insideOf(step).flatMap(walk),
    ]);
  return [...new Set(walk(steps))];
};
