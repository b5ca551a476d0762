import { showCard } from '@enumeron/core/deck';
import { countOf } from '@enumeron/core/file/deck/countOf';
import type { Ask, RunPage, StepPage } from '@enumeron/core/file/perform/cue/page';
import { homeOf, Live, Mending, Phase, Run } from '@enumeron/core/file/perform/cue/performance';
import { packsAtPage } from '@enumeron/core/file/perform/cue/perform';
import type { HowEnded, Tap } from '@enumeron/core/file/perform/cue/plan';
import { NamedHome, sayState } from '@enumeron/core/file/perform/say';
import { PackState } from '@enumeron/core/file/perform/state';
import { pathOf, stepAt } from '@enumeron/core/file/rehearse/editSteps';
import { sayStep } from '@enumeron/core/file/rehearse/sentence';

/** A large button, and the tap that it is. */
export interface CueChoice {
  readonly words: string;
  readonly tap: Tap;
}

/** What is asked for under the thumb. */
export type CuePad =
  Exclude<Ask, { kind: 'option' }> | { readonly kind: 'choices'; readonly choices: readonly CueChoice[] };

/** One page of the live cue. */
export interface Cue {
  readonly title: string;
  readonly where: string;
  readonly says: readonly string[];
  /** What to do: the largest thing on the page. */
  readonly does: string;
  /** What else is done there, in turn. */
  readonly acts: readonly string[];
  readonly sums: readonly string[];
  readonly notes: readonly string[];
  /** What must not be missed: that it cannot hit any more, or that nothing mends it. */
  readonly warns: string;
  /** What is asked; none where the next page comes by itself. */
  readonly pad: CuePad | undefined;
  /** What must be seen: the pad comes only where it is something else. */
  readonly shows: string;
  /** What goes on; undefined where only the pad does. */
  readonly next: string | undefined;
  /** Which ends can be noted here. */
  readonly ends: readonly HowEnded[];
  readonly canChange: boolean;
}

const NOTHING: Cue = {
  ...{ title: '', where: '', says: [], does: '', acts: [], sums: [], notes: [], warns: '' },
  ...{ pad: undefined, shows: '', next: undefined, ends: [], canChange: false },
};

const numbered = ({ plan, current }: Live, id: string, name: string): string =>
  plan.order.includes(id) ? `${(current + 1).toString()} · ${name}` : name;

/** What a routine opens with, in the words of an audience. */
const opening = ({ routine }: Run, audience: string): readonly string[] => {
  const own = routine.says.filter(({ to }) => to === audience && to !== '');
  const said = own.length > 0 ? own : routine.says.filter(({ to }) => to === '');
  return (said.length > 0 ? said : routine.says.slice(0, 1)).map(({ words }) => words);
};

const padOf = (ask: Ask): CuePad =>
  ask.kind !== 'option'
    ? ask
    : {
        kind: 'choices',
        choices: ask.options.map((words, index) => ({
          words: words.replace(/\.$/, ''),
          tap: { do: 'answer', value: ask.from + index },
        })),
      };

/** Why nothing that fits can hit any more, and the out. */
const lostWords = ({ procedure, routine, found }: Run): string => {
  if (!found?.lost || !procedure) return '';
  const step = stepAt(procedure.steps, pathOf(found.lost.path));
  const out = routine.outs.trim();
  if (found.lost.how === 'outs')
    return `It will end in an out: ${step?.do === 'out' ? step.words : sayStepOf(step)}`;
  return `It cannot come right any more. ${out === '' ? 'Take an out.' : out}`;
};

const sayStepOf = (step: ReturnType<typeof stepAt>): string => (step ? sayStep(step) : '');

const whereOf = ({ procedure }: Run, page: RunPage): string => {
  if (!procedure || page.kind !== 'step') return '';
  const [step] = pathOf(page.path);
  return `step ${step.toString()} of ${procedure.steps.length.toString()}`;
};

const ENDED = { held: 'it hit, next', outs: 'the out is done, next', failed: 'missed, next' } as const;

const stepCue = (page: StepPage): Partial<Cue> => ({
  ...{ says: page.says, does: page.does, sums: page.sums },
  notes: [page.caution, page.note].filter((each) => each !== undefined),
  ...(page.ask && { pad: padOf(page.ask) }),
  ...(page.shows
    ? { shows: page.shows.says, next: `I see ${page.shows.says}` }
    : !page.ask && { next: 'next' }),
  ends: ['out', 'missed'],
});

const endCue = (
  run: Run,
  { how, words }: Extract<RunPage, { kind: 'end' }>,
  audience: string,
): Partial<Cue> => {
  const { routine, procedure } = run;
  const ends = (['hit', 'out', 'missed'] as const).filter((each) => each !== BY_END[how]);
  const clearUp = routine.clearUp.trim();
  const notes = clearUp === '' ? [] : [`Clear up: ${clearUp}`];
  if (!procedure) {
    const [first = routine.name, ...rest] = routine.notes.split('\n').filter((line) => line.trim() !== '');
    return { says: opening(run, audience), does: first, acts: rest, notes, next: ENDED.held, ends };
  }
  const outs = routine.outs.trim();
  const more = how === 'failed' && outs !== '' ? [`Outs: ${outs}`] : [];
  const does =
    how === 'outs'
      ? `Out: ${words.join(' ')}`
      : how === 'failed'
        ? 'It does not come right'
        : (words.at(0) ?? 'That is the end of it');
  return {
    ...{ does, acts: how === 'held' ? words.slice(1) : how === 'failed' ? words : [] },
    ...{ notes: [...more, ...notes], next: ENDED[how], ends },
  };
};

/** How a routine ends that comes to the end of its steps: what the large button notes. */
const BY_END = { held: 'hit', outs: 'out', failed: 'missed' } as const;

const runCue = (live: Live, run: Run): Cue => {
  const { plan } = live;
  const page = run.pages[run.index];
  const isFirst = run.index === 0 && run.answers.length === 0;
  const title = numbered(live, run.routine.id, run.routine.name);
  const base: Cue = { ...NOTHING, title, where: whereOf(run, page), warns: lostWords(run) };
  switch (page.kind) {
    case 'step': {
      const cue = stepCue(page);
      const says = isFirst ? [...opening(run, plan.audience), ...page.says] : page.says;
      return { ...base, ...cue, says };
    }
    case 'which':
      return {
        ...{ ...base, does: 'Which is it?', ends: ['out', 'missed'] },
        pad: {
          kind: 'choices',
          choices: page.options.map(({ at, words }) => ({ words, tap: { do: 'at', at } })),
        },
      };
    case 'end':
      return { ...base, ...endCue(run, page, plan.audience), warns: '' };
    case 'nothing':
      return {
        ...{ ...base, does: 'Nothing that they can have done shows that' },
        ...{
          notes: ['Back, if it was a wrong tap; or go on from how the pack lies.'],
          next: 'go on from here',
        },
      };
  }
};

const mendCue = (live: Live, { routine, pack, acts, cannot, ...mending }: Mending): Cue => {
  const [does = 'It cannot be mended', ...rest] = acts;
  return {
    ...{ ...NOTHING, title: `Before ${numbered(live, routine.id, routine.name)}`, where: pack },
    ...{ does: cannot === undefined ? does : 'It cannot be mended', acts: rest, warns: cannot ?? '' },
    notes:
      cannot === undefined
        ? [
            `${countOf(Math.round(mending.seconds), 'second')}, ${mending.outOfSight ? 'out of sight' : 'in view'}`,
            ...(mending.ways > 1
              ? [`It may lie in ${mending.ways.toString()} ways: this is what the worst of them takes.`]
              : []),
          ]
        : [],
    next: cannot === undefined ? 'done' : 'it lies as needed, go on',
    canChange: mending.canChange,
  };
};

const leftCue = (live: Live, { run }: Extract<Phase, { kind: 'left' }>): Cue => {
  const isKnown = packsAtPage(run, live.plan) !== undefined;
  const choices: CueChoice[] = [
    ...(isKnown ? [{ words: 'As the rail shows it', tap: { do: 'left', lies: 'shown' } as const }] : []),
    { words: 'Cut, and I did not see where', tap: { do: 'left', lies: 'cut' } },
    { words: 'In no known order', tap: { do: 'left', lies: 'lost' } },
  ];
  return {
    ...{ ...NOTHING, title: run.routine.name, where: 'left half-way', does: 'How does the pack lie now?' },
    pad: { kind: 'choices', choices },
  };
};

const HOW: Readonly<Record<HowEnded, string>> = {
  ...{ hit: 'hit', out: 'in an out', missed: 'missed', stopped: 'left half-way' },
};

const overCue = ({ done, plan }: Live): Cue => {
  const counts = (Object.keys(HOW) as HowEnded[]).flatMap((how) => {
    const count = done.filter((each) => each.how === how).length;
    return count === 0 ? [] : [`${count.toString()} ${HOW[how]}`];
  });
  const left = plan.order.filter((id) => !done.some((each) => each.id === id)).length;
  return {
    ...{ ...NOTHING, title: plan.name, does: 'That was all' },
    acts: [counts.join(', '), left > 0 ? `${countOf(left, 'routine')} left out` : ''].filter(Boolean),
    next: 'finish, and keep it',
  };
};

/** What stands on the page where a performance is. */
export const cueOf = (live: Live): Cue => {
  const { phase, plan } = live;
  switch (phase.kind) {
    case 'run':
      return runCue(live, phase.run);
    case 'mend':
      return mendCue(live, phase);
    case 'face':
      return {
        ...{
          ...NOTHING,
          title: `Before ${numbered(live, phase.routine.id, phase.routine.name)}`,
          where: phase.pack,
        },
        ...{ does: 'Which card is at the face?', pad: { kind: 'card' } },
      };
    case 'left':
      return leftCue(live, phase);
    case 'interval': {
      const minutes = plan.intervalMinutes ?? 0;
      return {
        ...{ ...NOTHING, title: 'Interval', where: minutes > 0 ? countOf(minutes, 'minute') : '' },
        does: phase.packs.length === 0 ? 'Every pack lies as it should' : 'Put the packs in order',
        acts: phase.packs.map(({ pack, acts }) => `${pack}: ${acts.join('. ')}`),
        next: 'go on',
      };
    }
    case 'over':
      return overCue(live);
  }
};

/** A pack as the small rail shows it. */
export interface RailPack {
  readonly pack: string;
  readonly home: NamedHome;
  readonly isKnown: boolean;
  readonly state: PackState;
  readonly says: string;
}

const UNKNOWN: PackState = { lies: 'lost', faceUp: false, out: [], extra: 0 };

/** Which card lies on top and which at the face, where it lies in its order. */
const ends = (state: PackState, home: NamedHome): string => {
  if (state.lies !== 'home' || typeof state.turn !== 'number' || home.isUnknown || state.packets.length > 0)
    return '';
  const { cards } = home;
  const top = cards[state.turn % cards.length];
  return state.out.length > 0 ? '' : `, ${showCard(top)} on top`;
};

/** The pack that it is about now; undefined where there is none. */
export const railPack = (live: Live): RailPack | undefined => {
  const { phase, packs, plan } = live;
  const routine =
    phase.kind === 'run' || phase.kind === 'left'
      ? phase.run.routine
      : phase.kind === 'mend' || phase.kind === 'face'
        ? phase.routine
        : undefined;
  const pack =
    phase.kind === 'mend' || phase.kind === 'face'
      ? phase.pack
      : Object.keys(routine?.packs ?? plan.packs).at(0);
  if (pack === undefined) return undefined;
  const { home, hasHome } = homeOf(plan, pack);
  const states =
    phase.kind === 'run' || phase.kind === 'left' ? packsAtPage(phase.run, plan)?.[pack] : packs[pack];
  const state = states?.length === 1 ? states[0] : UNKNOWN;
  const says =
    states === undefined
      ? 'not known until you see a card'
      : states.length > 1
        ? `one of ${states.length.toString()} ways`
        : `${sayState(state, home)}${ends(state, home)}`;
  return { pack, home, isKnown: hasHome && states?.length === 1, state, says };
};
