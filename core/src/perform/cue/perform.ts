import { firstOf, isCard } from '../../deck/card';
import { distinct } from '../afterRoutine';
import { laidFor } from '../need';
import { RoutineDone, Took, WasChosen } from './done';
import { MendPart } from '../costs';
import { PackState } from '../state';
import { Answer } from './search';
import { beginRun, cued, laidBefore, secretsOf, stateIn, statesAfter } from './following';
import { intervalWork, isFaceAsked, mendingOf } from './mending';
import { RunPage } from './page';
import { chosenOn } from './chosen';
import { homeOf, Live, Phase, routineOf, Run } from './performance';
import { HowEnded, HowLeft, Plan, Tap, TimedTap } from './plan';

/** What a mend is called is cut off behind so many letters. */
const LONGEST_WHAT = 600;

/** Whose words are said; undefined for all. */
const audienceOf = ({ audience }: Plan): string | undefined => (audience === '' ? undefined : audience);

/** Begins a routine, or what must be done before it. */
const enter = (live: Live, id: string): Live => {
  const { plan, packs } = live;
  const routine = routineOf(plan, id);
  if (!routine) return { ...live, phase: { kind: 'over' } };
  const at = plan.order.indexOf(id);
  const here = { ...live, current: at < 0 ? live.current : at };
  for (const name of Object.keys(routine.packs)) {
    const mending = mendingOf(here, routine, name);
    if (mending) return { ...here, phase: mending };
  }
  for (const pack of Object.keys(routine.packs))
    if (isFaceAsked(here, routine, pack)) return { ...here, phase: { kind: 'face', routine, pack } };
  const before = laidBefore(routine, plan, packs);
  const run = beginRun(routine, plan, before);
  return { ...here, packs: { ...packs, ...before }, phase: { kind: 'run', run } };
};

/** Goes on with the next routine of the set that was not done; behind the last the evening is over. */
const goOn = (live: Live): Live => {
  const { plan, current, done } = live;
  const next = plan.order.findIndex((id, at) => at > current && !done.some((each) => each.id === id));
  if (next < 0) return { ...live, phase: { kind: 'over' } };
  const { interval } = plan;
  const isInterval =
    interval !== undefined && !live.hadInterval && current >= 0 && current < interval && next >= interval;
  if (!isInterval) return enter(live, plan.order[next]);
  const to = plan.order[next];
  return { ...live, hadInterval: true, phase: { kind: 'interval', to, packs: intervalWork(live, to) } };
};

const withPack = (live: Live, pack: string, states: readonly PackState[]): Live => ({
  ...live,
  packs: { ...live.packs, [pack]: distinct(states) },
});

/** The words of the out that a routine has come to by its procedure. */
const outOfRun = ({ pages, index }: Run): string | undefined => {
  const page = pages.at(index);
  return page?.kind === 'end' && page.how === 'outs' ? page.words.at(0) : undefined;
};

/** The routine as it was done, kept; its packs as they lie now. */
const ended = (live: Live, run: Run, how: HowEnded, packs: Live['packs']): Live => {
  const { id, name } = run.routine;
  const out = how === 'out' ? outOfRun(run) : undefined;
  const isAtEnd = run.pages.at(run.index)?.kind === 'end';
  const done: RoutineDone = {
    ...{ id, name, how, ...(out !== undefined && { out }) },
    choices: [...run.told, ...(isAtEnd ? secretsOf(run, audienceOf(live.plan)) : [])],
    ...{ steps: live.steps, mends: live.mends },
  };
  return { ...live, packs: { ...live.packs, ...packs }, done: [...live.done, done], steps: [], mends: [] };
};

const packsAfter = (run: Run, plan: Plan): Live['packs'] =>
  Object.fromEntries(
    Object.entries(run.routine.packs).map(([name, pack]) => [name, statesAfter(run, plan, name, pack)]),
  );

const UNSEEN_CUT: PackState = { lies: 'home', turn: 'unseen', packets: [], out: [], extra: 0 };
const LOST: PackState = { lies: 'lost', faceUp: false, out: [], extra: 0 };

/** How the packs of a routine lie at the page at which it was left, where the program can know it. */
export const packsAtPage = (run: Run, plan: Plan): Live['packs'] | undefined => {
  const { routine, before, pages, index, found, starts } = run;
  if (starts.length === 0) return before;
  const page = pages.at(index);
  // Before a page's step is done, all lies as it lay behind the one before it.
  const isWaiting = page?.kind !== 'step' || page.ask !== undefined;
  const previous = index > 0 ? pages[index - 1] : undefined;
  const moment = previous?.kind === 'step' ? previous.moment : found?.moments.at(0);
  const world = isWaiting
    ? sameWorld(found?.isWhole ? found.fits.map((fit) => fit.world) : [])
    : moment?.isCertain
      ? moment.world
      : undefined;
  if (!world) return undefined;
  return Object.fromEntries(
    Object.keys(routine.packs).map((name) => [
      name,
      routine.packs[name].packet === undefined ? before[name] : [stateIn(run, plan, name, world)],
    ]),
  );
};

const sameWorld = <World>(worlds: readonly World[]): World | undefined =>
  worlds.length > 0 && worlds.every((world) => world === worlds[0]) ? worlds[0] : undefined;

const packsLeft = (run: Run, plan: Plan, lies: HowLeft): Live['packs'] => {
  const shown = lies === 'shown' ? packsAtPage(run, plan) : undefined;
  return (
    shown ??
    Object.fromEntries(
      Object.keys(run.routine.packs).map((name) => [
        name,
        [lies === 'cut' && homeOf(plan, name).hasHome ? UNSEEN_CUT : LOST],
      ]),
    )
  );
};

/** Whether nothing of a routine was done yet. */
const isUntouched = ({ index, answers }: Run): boolean => index === 0 && answers.length === 0;

const took = (live: Live, at: number): number => Math.round((at - live.since) / 100) / 10;

/** What was done on a page, and how long it took. */
const withStep = (live: Live, run: Run, at: number): Live => {
  const page = run.pages.at(run.index);
  const path = page?.kind === 'step' ? page.path : '';
  const step: Took = { what: path, seconds: took(live, at) };
  return { ...live, steps: [...live.steps, step] };
};

const withMend = (live: Live, what: string, acts: readonly MendPart[], at: number): Live => ({
  ...live,
  mends: [
    ...live.mends,
    { what: what.slice(0, LONGEST_WHAT), seconds: took(live, at), ...(acts.length > 0 && { acts }) },
  ],
});

/** How a routine ends that comes to the end of its steps. */
const BY_END = { held: 'hit', outs: 'out', failed: 'missed' } as const;

const inRun = (live: Live, run: Run, tap: Tap, at: number): Live => {
  const { plan } = live;
  const page = run.pages.at(run.index);
  const onPage = (next: Run): Live => ({
    ...withStep(live, run, at),
    phase: { kind: 'run', run: next },
  });
  const told = (answer: Answer, more: readonly WasChosen[] = []): Live =>
    onPage(cued({ ...run, told: [...run.told, ...more] }, plan, [...run.answers, answer]));
  const end = (how: HowEnded): Live => goOn(ended(withStep(live, run, at), run, how, packsAfter(run, plan)));
  switch (tap.do) {
    case 'next':
      if (page?.kind === 'end') return end(BY_END[page.how]);
      if (page?.kind === 'nothing')
        return { ...live, phase: { kind: 'left', run, how: 'missed', to: undefined } };
      if (page?.kind !== 'step') return live;
      if (!page.ask)
        return run.index + 1 < run.pages.length ? onPage({ ...run, index: run.index + 1 }) : live;
      return page.shows ? inRun(live, run, { do: 'answer', value: page.shows.value }, at) : live;
    case 'answer': {
      if (page?.kind !== 'step' || !page.ask || !isRight(page, tap.value)) return live;
      return told({ value: tap.value }, [chosenOn(page, tap.value, run.procedure, audienceOf(plan))]);
    }
    case 'at':
      return page?.kind === 'which' && page.options.some((each) => each.at === tap.at)
        ? told({ at: tap.at })
        : live;
    case 'end':
      if (page?.kind === 'end') return end(tap.how);
      return { ...live, phase: { kind: 'left', run, how: tap.how, to: undefined } };
    case 'jump':
      if (isUntouched(run)) return jumped(live, tap.to);
      return { ...live, phase: { kind: 'left', run, how: 'stopped', to: tap.to } };
    case 'left':
    case 'spare':
      return live;
  }
};

/** Whether a value may be what is asked for. */
const isRight = ({ ask }: Extract<RunPage, { kind: 'step' }>, value: number): boolean => {
  switch (ask?.kind) {
    case 'card':
      return isCard(value);
    case 'rank':
      return value >= 1 && value <= 13;
    case 'number':
      return value >= ask.from && value <= ask.to;
    case 'option':
      return value >= ask.from && value < ask.from + ask.options.length;
    case undefined:
      return false;
  }
};

/** `end` of the evening, in the place of a routine. */
export const TO_END = 'end';

const jumped = (live: Live, to: string): Live =>
  to === TO_END ? { ...live, phase: { kind: 'over' } } : enter(live, to);

const inLeft = (
  live: Live,
  { run, how, to }: Extract<Phase, { kind: 'left' }>,
  tap: Tap,
  at: number,
): Live => {
  const lies: HowLeft | undefined = tap.do === 'left' ? tap.lies : undefined;
  if (tap.do === 'jump') return { ...live, phase: { kind: 'left', run, how, to: tap.to } };
  if (lies === undefined) return live;
  const after = ended(withStep(live, run, at), run, how, packsLeft(run, live.plan, lies));
  return to === undefined ? goOn(after) : jumped(after, to);
};

const inMend = (live: Live, mending: Extract<Phase, { kind: 'mend' }>, tap: Tap, at: number): Live => {
  const { routine, pack, acts, parts, isChange, after } = mending;
  const changed = (): Live => ({
    ...withPack(withMend(live, 'change', [{ act: 'change' }], at), pack, [
      laidFor(routine.packs[pack].needs, homeOf(live.plan, pack).home.cards),
    ]),
    spares: { ...live.spares, [pack]: Math.max(0, (live.spares[pack] ?? 0) - 1) },
  });
  switch (tap.do) {
    case 'next':
      if (isChange) return enter(changed(), routine.id);
      // What nothing mends is taken to lie as it is needed: the performer says so.
      return enter(withPack(withMend(live, acts.join('. '), parts, at), pack, after), routine.id);
    case 'spare':
      return mending.canChange ? enter(changed(), routine.id) : live;
    case 'jump':
      return jumped(live, tap.to);
    default:
      return live;
  }
};

/** The card at the face tells how far a pack was cut. */
const inFace = (
  live: Live,
  { routine, pack }: Extract<Phase, { kind: 'face' }>,
  tap: Tap,
  at: number,
): Live => {
  if (tap.do === 'jump') return jumped(live, tap.to);
  if (tap.do !== 'answer') return live;
  const { cards } = homeOf(live.plan, pack).home;
  // Of two copies that look the same either may lie there.
  const turns = cards.flatMap((card, index) =>
    firstOf(card) === firstOf(tap.value) ? [(index + 1) % cards.length] : [],
  );
  if (turns.length === 0) return live;
  const states = live.packs[pack].flatMap((state) =>
    state.lies === 'home' ? turns.map((turn): PackState => ({ ...state, turn })) : [state],
  );
  return enter(withPack(withMend(live, 'see', [{ act: 'see' }], at), pack, states), routine.id);
};

const inInterval = (
  live: Live,
  { to, packs }: Extract<Phase, { kind: 'interval' }>,
  tap: Tap,
  at: number,
): Live => {
  if (tap.do === 'jump') return jumped(live, tap.to);
  if (tap.do !== 'next') return live;
  const after = packs.reduce(
    (done, { pack, acts, after: states }) => withPack(withMend(done, acts.join('. '), [], at), pack, states),
    live,
  );
  return enter(after, to);
};

const moved = (live: Live, tap: Tap, at: number): Live => {
  const { phase } = live;
  switch (phase.kind) {
    case 'run':
      return inRun(live, phase.run, tap, at);
    case 'left':
      return inLeft(live, phase, tap, at);
    case 'mend':
      return inMend(live, phase, tap, at);
    case 'face':
      return inFace(live, phase, tap, at);
    case 'interval':
      return inInterval(live, phase, tap, at);
    case 'over':
      return tap.do === 'jump' ? jumped(live, tap.to) : live;
  }
};

/** A performance that begins, at the first routine of its set. */
export const beginLive = (plan: Plan): Live =>
  goOn({
    ...{ plan, phase: { kind: 'over' }, done: [], current: -1, hadInterval: false, since: 0 },
    packs: Object.fromEntries(
      Object.keys(plan.packs).map((name) => [
        name,
        Object.hasOwn(plan.start, name) ? plan.start[name] : [{ lies: 'ready' } as const],
      ]),
    ),
    spares: Object.fromEntries(Object.entries(plan.packs).map(([name, { spares }]) => [name, spares])),
    ...{ steps: [], mends: [] },
  });

/** What a tap leads to. One that means nothing on its page changes nothing: the same comes back. */
export const tapped = (live: Live, { tap, at }: TimedTap): Live => {
  const after = moved(live, tap, at);
  return after === live ? live : { ...after, since: at };
};

/** A performance by all its taps. */
export const performed = (plan: Plan, taps: readonly TimedTap[]): Live =>
  taps.reduce(tapped, beginLive(plan));
