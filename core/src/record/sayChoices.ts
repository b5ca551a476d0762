import { countOf } from '../deck/countOf';
import { Stretch } from '../odds/narrowest';
import { Likely } from '../procedure/procedure';
import { ChoiceAnswer } from './answer';
import { Fit } from './fitChoice';
import { Instruction } from './instructions';
import { Share } from './within';

/** An instruction as it is named on screen: its words, or the routine and what is chosen in it. */
export const sayInstruction = ({
  said,
  name,
  routine,
}: Pick<Instruction, 'said' | 'name' | 'routine'>): string =>
  said.trim() === '' ? `${routine}: ${name}` : `“${said.trim()}”`;

/** What was chosen so often: `64 cuts`; a name that does not take an s is told as choices. */
export const sayCount = ({ isWay }: Pick<Instruction, 'isWay'>, n: number): string =>
  countOf(n, isWay ? 'time' : 'choice');

/** A share in 100, no sooner 0 or 100 than it is. */
export const inHundred = (share: number): string => {
  if (share <= 0) return '0';
  if (share >= 1) return '100';
  return Math.min(99, Math.max(1, Math.round(share * 100))).toString();
};

/** A range as it is said: `17 to 25`. */
export const sayStretch = ({ from, to }: Pick<Stretch, 'from' | 'to'>): string =>
  from === to ? from.toString() : `${from.toString()} to ${to.toString()}`;

/** A share with its interval: `58 in 100 (46 to 69)`. */
export const sayShareOf = ({ share, low, high }: Share): string =>
  `${inHundred(share)} in 100 (${inHundred(low)} to ${inHundred(high)})`;

/** How much of a fit is data: `9 parts in 10 data`. */
export const sayData = (data: number): string => {
  if (data <= 0) return 'as it was stated';
  const parts = Math.min(9, Math.max(1, Math.round(data * 10)));
  return `${parts.toString()} ${parts === 1 ? 'part' : 'parts'} in 10 data, the rest as it was stated`;
};

/** The answer of an instruction in one sentence; no more than the numbers carry. */
export const sayChoices = (instruction: Instruction, { n }: Fit, answer: ChoiceAnswer): string => {
  const said = sayInstruction(instruction);
  if (instruction.isWay) return said;
  if (n === 0) return `${said}: nothing was noted yet`;
  const { middle, statedMiddle, differs } = answer;
  if (differs) return `${said} is ${middle.toString()}, not ${statedMiddle.toString()}`;
  return `${said} is about ${middle.toString()}`;
};

/** How likely a choice is as it is stated: `about 26 within 6`. */
export const sayStated = (likely: Likely | undefined): string => {
  if (!likely) return 'each as likely';
  return 'table' in likely
    ? 'by a table'
    : `about ${likely.around.toString()} within ${likely.within.toString()}`;
};
