import { byOf, Procedure } from '../../procedure/procedure';
import { insideOf } from '../../procedure/walk';
import { afterRoutine, distinct } from '../afterRoutine';
import { describeWorld, namesOf } from '../describe';
import { laidFor } from '../need';
import { Out, outOf, PackState } from '../state';
import { EndedWorld } from '../worlds';
import { fitting } from './fits';
import { Answer } from './search';
import { RunPage } from './page';
import { Pages } from './pages';
import { WasChosen } from './done';
import { chosenOn } from './chosen';
import { homeOf, PacksNow, Run } from './performance';
import { Plan, PlannedPack, PlannedRoutine } from './plan';
import { procedureOf, startsOf } from './starts';

/** The states of a pack of a routine that began with cards out elsewhere: those are still where they were. */
const withOutBefore = (state: PackState, before: readonly Out[]): PackState => {
  if (state.lies === 'ready' || before.length === 0) return state;
  const were = new Map(
    before.flatMap((out) =>
      Array.isArray(out.cards) ? (out.cards as readonly number[]).map((card) => [card, out]) : [],
    ),
  );
  const out = state.out.flatMap((each): Out[] => {
    if (each.where !== 'gone' || !Array.isArray(each.cards)) return [each];
    const cards = (each.cards as readonly number[]).filter((card) => !were.has(card));
    return cards.length === 0 ? [] : [{ ...each, cards, count: cards.length, most: cards.length }];
  });
  return { ...state, out: [...before, ...out].sort((a, b) => (a.where < b.where ? -1 : 1)) };
};

/** How a pack lies at a point of a world of its routine. */
export const stateIn = (
  { routine, starts, before }: Run,
  plan: Plan,
  name: string,
  world: EndedWorld,
): PackState => {
  const { packet = '', needs } = routine.packs[name];
  const { home, hasHome } = homeOf(plan, name);
  const names = namesOf(starts[0].followed.program, packet);
  if (needs.kind === 'bank') {
    const { cards, at, loose } = needs;
    return describeWorld(world, names, { pack: packet, bank: { cards, at, loose } });
  }
  if (!hasHome) return { lies: 'lost', faceUp: false, out: [], extra: 0 };
  return withOutBefore(
    describeWorld(world, names, { pack: packet, home: home.cards }),
    outOf(before[name][0]),
  );
};

/** More states than these are told as what the procedure leaves in all its cases. */
const MOST_STATES = 60;

/** How a pack lies when its routine has come to its end. */
export const statesAfter = (
  run: Run,
  plan: Plan,
  name: string,
  { leaves, isSaid, packet }: PlannedPack,
): readonly PackState[] => {
  const { home } = homeOf(plan, name);
  const { found } = run;
  const byLeaves = () => afterRoutine(run.before[name], leaves, home.cards.length);
  if (!found?.isWhole || isSaid || packet === undefined || found.fits.length === 0) return byLeaves();
  const worlds = [...new Set(found.fits.map(({ world }) => world))];
  return worlds.length > MOST_STATES
    ? byLeaves()
    : distinct(worlds.map((world) => stateIn(run, plan, name, world)));
};

/** The one page that a routine of plain notes has, and every routine that cannot be followed. */
const NOTES: RunPage = { kind: 'end', how: 'held', words: [] };

/** The pages that follow what was told. */
export const cued = (run: Run, plan: Plan, answers: readonly Answer[]): Run => {
  if (run.starts.length === 0) return { ...run, answers, found: undefined, pages: [NOTES], index: 0 };
  const found = fitting(run.starts, answers);
  const { followed } = run.starts[0];
  const pages = new Pages(followed, plan.audience === '' ? undefined : plan.audience, found).of();
  return { ...run, answers, found, pages, index: 0 };
};

/** How the packs of a routine lie when it begins: what was not used yet is laid as it needs it. */
export const laidBefore = ({ packs: own }: PlannedRoutine, plan: Plan, packs: PacksNow): PacksNow =>
  Object.fromEntries(
    Object.entries(own).map(([name, { needs }]) => [
      name,
      packs[name].map((state) =>
        state.lies === 'ready' ? laidFor(needs, homeOf(plan, name).home.cards) : state,
      ),
    ]),
  );

/** Begins a routine with its packs as they lie. */
export const beginRun = (routine: PlannedRoutine, plan: Plan, before: PacksNow): Run => {
  const procedure = procedureOf(routine);
  const starts = procedure ? startsOf(procedure, routine, plan, before) : [];
  const run: Run = {
    ...{ routine, procedure, starts, before, answers: [], told: [] },
    ...{ found: undefined, pages: [], index: 0 },
  };
  return cued(run, plan, []);
};

/**
 * Choices that nobody told, where all that fits has them alike.
 *
 * @param audience whose words were said; undefined for all.
 */
export const secretsOf = (
  { found, procedure, told }: Run,
  audience: string | undefined,
): readonly WasChosen[] => {
  if (!found?.isWhole || !procedure) return [];
  const [first] = found.fits;
  return first.choices.flatMap(([name, value], index): WasChosen[] => {
    if (told.some((each) => each.name === name)) return [];
    const isSame = found.fits.every(({ choices }) => {
      const other = choices.at(index);
      return other?.[0] === name && other[1] === value;
    });
    const path = isSame ? choicePath(procedure, name) : undefined;
    if (path === undefined) return [];
    return [{ ...chosenOn({ path, name, ask: undefined }, value, procedure, audience), inSecret: true }];
  });
};

/** The path of the helper's choice of a name; undefined where there are several, or it is the performer's. */
const choicePath = ({ steps }: Procedure, name: string): string | undefined => {
  const paths: string[] = [];
  const walk = (inside: Procedure['steps'], above: string): void => {
    inside.forEach((step, index) => {
      const path = `${above}${(index + 1).toString()}`;
      const isIt = (step.do === 'choose' || step.do === 'choose one') && step.name === name;
      if (isIt && byOf(step) === 'helper') paths.push(path);
      insideOf(step).forEach((branch, which) => {
        walk(branch, `${path}.${(which + 1).toString()}.`);
      });
    });
  };
  walk(steps, '');
  return paths.length === 1 ? paths[0] : undefined;
};
