import { Ask, StepPage } from './page';
import { numberOfGivens } from '../../procedure/laid';
import { NONE } from '../../procedure/form';
import { Procedure, StepOf } from '../../procedure/procedure';
import { pathOf, stepAt } from '../../rehearse/editSteps';
import { saidTo } from '../../rehearse/says';
import { WasChosen } from './done';

/** Between what numbers they can choose, as far as that can be said. */
const rangeOf = (
  { from, to }: Pick<StepOf<'choose'>, 'from' | 'to'>,
  givens: Procedure['givens'],
  ask: Ask | undefined,
): Pick<WasChosen, 'from' | 'to'> => {
  const [low, high] = [from, to].map((end) => numberOfGivens(end, givens ?? {}));
  const asked = ask?.kind === 'number' ? ask : undefined;
  const least = low === NONE ? asked?.from : low;
  const most = high === NONE ? asked?.to : high;
  return { ...(least !== undefined && { from: least }), ...(most !== undefined && { to: most }) };
};

/**
 * What was told on a page, with what was said to whoever chose it.
 *
 * @param procedure in which the page's step is written. @param audience whose words were said; undefined for all.
 */
export const chosenOn = (
  { path, name, ask }: Pick<StepPage, 'path' | 'name' | 'ask'>,
  value: number,
  procedure: Procedure | undefined,
  audience: string | undefined,
): WasChosen => {
  const was: WasChosen = { path, name, value, ...(ask?.kind === 'card' && { sort: 'card' }) };
  const step = procedure && stepAt(procedure.steps, pathOf(path));
  if (step?.do === 'see') return { ...was, seen: true };
  if (step?.do !== 'choose' && step?.do !== 'choose one') return was;
  const said = saidTo(step.says, audience);
  const told = { ...was, ...(said !== undefined && said !== '' && { said }) };
  if (step.do === 'choose')
    return { ...told, ...rangeOf(step, procedure?.givens, ask), ...(step.told && { named: true }) };
  const first = ask?.kind === 'option' ? ask.from : 1;
  const words = step.of.at(value - first)?.words;
  return { ...told, sort: 'way', ...(words !== undefined && { words: words.slice(0, 200) }) };
};
