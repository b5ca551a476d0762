import { Card } from '../../deck/card';
import { parseCard } from '../../deck/notation';
import { Rng, seededRng } from '../../deck/rng';
import { laidOut } from '../../procedure/laid';
import { Procedure } from '../../procedure/procedure';
import { actOut, Acted } from '../../rehearse/actOut';
import { pathOf, stepAt } from '../../rehearse/editSteps';
import { readProcedure } from '../../rehearse/readProcedure';
import { WORKED } from '../../rehearse/worked/worked';
import { keyOf } from '../afterRoutine';
import { packState } from '../packState';
import { rotated } from '../leaves';
import { LyingCard, outOf, PackState } from '../state';
import { finish } from '../../job/job';
import { WORKED_OUT } from '../workedOut';
import { isTold } from './amounts';
import { Live, Run } from './performance';
import { beginLive, packsAtPage, performed, tapped, TO_END } from './perform';
import { Plan, PlannedRoutine, Tap, TimedTap } from './plan';

const worked = (name: string): Procedure => {
  const found = WORKED.find(({ procedure }) => procedure.name === name);
  const read = readProcedure({ version: 2, ...found?.procedure });
  if (!read.ok) throw new Error(name);
  return read.procedure;
};

const cardsOf = ({ packets = {}, givens = {} }: Procedure, packet: string): readonly Card[] =>
  laidOut(packets[packet], givens) ?? [];

/** What a procedure needs and leaves, as it is worked out for a set. */
const workedOut = (procedure: Procedure, packet: string) => {
  const outcome = finish(WORKED_OUT.start({ procedure, packet }));
  if (!outcome.ok) throw new Error(procedure.name);
  const { needs, endings } = outcome.found;
  return { needs, leaves: endings.map(({ state }) => state) };
};

const NAMES = [
  'Key card, called list and their number',
  'Two cuts and a packet of numbers',
  'A card made of two',
];
const HOME = cardsOf(worked(NAMES[0]), 'pack');

const routine = (name: string): PlannedRoutine => ({
  ...{
    id: name,
    name,
    minutes: 5,
    says: [{ to: '', words: 'Good evening.' }],
    outs: '',
    notes: '',
    clearUp: '',
  },
  procedure: worked(name),
  packs: { blue: { packet: 'pack', ...workedOut(worked(name), 'pack'), isSaid: false } },
});

const ROUTINES = NAMES.map(routine);

const plan = (order: readonly string[], more: Partial<Plan> = {}): Plan => ({
  ...{ name: 'The late set', order, routines: ROUTINES, start: {}, audience: '' },
  packs: { blue: { home: { name: 'Tidemark', cards: HOME }, hasHome: true, spares: 0 } },
  ...more,
});

const at = (taps: readonly Tap[]): readonly TimedTap[] =>
  taps.map((tap, index) => ({ tap, at: 1000 * (index + 1) }));
const run = ({ phase }: Live): Run => {
  if (phase.kind !== 'run') throw new Error(`${phase.kind}, not a routine`);
  return phase.run;
};
const page = (live: Live) => run(live).pages[run(live).index];

/** A pack in hand, handled card by card as a routine does it: the pack of each scene. */
const packIn = (acted: Acted, index: number): readonly LyingCard[] =>
  acted.scenes[index].packets.find(({ name }) => name === 'pack')?.cards ?? [];

const cardsOutOf = (state: PackState): readonly Card[] =>
  outOf(state).flatMap(({ cards }) => (Array.isArray(cards) ? (cards as readonly Card[]) : []));

/** What the performer sees and is told in a world that is acted out, in turn. */
const toldIn = (procedure: Procedure, { scenes }: Acted): number[] =>
  scenes.slice(1).flatMap(({ path, names }) => {
    const step = stepAt(procedure.steps, pathOf(path));
    return step && isTold(step) && 'name' in step
      ? (names.find(({ name }) => name === step.name)?.value ?? [])
      : [];
  });

/** Performs one routine to its end with what really happens; the taps, and what was acted out. */
const performReally = (live: Live, rng: Rng): { live: Live; acted: Acted; turn: number } => {
  const { routine: own, before } = run(live);
  const [state] = before['blue'];
  const turn = state.lies === 'home' && typeof state.turn === 'number' ? state.turn : 0;
  const procedure = rotated(own.procedure as Procedure, 'pack', turn);
  const acted = actOut(procedure, [], 1, rng);
  const told = toldIn(procedure, acted);
  let [now, seconds] = [live, live.since];
  const tap = (each: Tap): void => {
    seconds += 1500;
    now = tapped(now, { tap: each, at: seconds });
  };
  for (let taps = 0; now.phase.kind === 'run' && now.phase.run.routine === own; taps++) {
    if (taps > 200) throw new Error('It does not end');
    const here = page(now);
    if (here.kind === 'step' && here.ask) tap({ do: 'answer', value: told.shift() ?? NaN });
    else if (here.kind === 'step' || here.kind === 'end') {
      const known = packsAtPage(run(now), now.plan)?.['blue'];
      // What the rail shows is how the pack lies at some point of what is done.
      if (known && here.kind === 'end') expect(known).toHaveLength(1);
      tap({ do: 'next' });
    } else throw new Error(here.kind);
  }
  expect(told).toEqual([]);
  return { live: now, acted, turn };
};

test.each(NAMES)(
  '%s, whatever they choose: at its end the pack is known to lie as it was handled',
  (name) => {
    const rng = seededRng(3);
    for (let time = 0; time < 12; time++) {
      const { live, acted, turn } = performReally(beginLive(plan([name])), rng);
      const really = packState(packIn(acted, acted.scenes.length - 1), HOME, turn);
      // Cards that lie elsewhere are told with their place; a pack alone shows only which they are.
      const plain = (state: PackState) =>
        keyOf(
          state.lies === 'home'
            ? {
                ...state,
                out: [
                  { where: 'gone', count: 0, most: 0, cards: [...cardsOutOf(state)].sort((a, b) => a - b) },
                ],
              }
            : state,
        );
      const known: readonly PackState[] = live.packs['blue'];
      expect([name, time, known.map(plain)]).toEqual([name, time, expect.arrayContaining([plain(really)])]);
      const [done] = live.done;
      expect(done.how).toBe(acted.end === 'held' ? 'hit' : acted.end === 'outs' ? 'out' : 'missed');
      // What was told is noted, and of what was done in secret what can be known.
      for (const choice of done.choices)
        expect([
          name,
          choice.name,
          acted.scenes.at(-1)?.names.find((each) => each.name === choice.name)?.value,
        ]).toEqual([name, choice.name, choice.value]);
      expect(done.steps.every(({ seconds }) => seconds === 1.5)).toBe(true);
    }
  },
);

test('an evening: each routine begins as the one before left the pack, a mend is a page, and all its taps make it again', () => {
  const rng = seededRng(11);
  for (let time = 0; time < 10; time++) {
    const evening = plan([...NAMES, NAMES[0]].slice(0, 3));
    let live = beginLive(evening);
    while (live.phase.kind !== 'over') {
      if (live.phase.kind === 'mend') {
        expect(live.phase.acts.length).toBeGreaterThan(0);
        live = tapped(live, { tap: { do: 'next' }, at: live.since + 100 });
        continue;
      }
      if (live.phase.kind === 'face') {
        const states = live.packs['blue'];
        const [{ lies }] = states;
        expect(lies).toBe('home');
        live = tapped(live, { tap: { do: 'answer', value: HOME[51] }, at: live.since + 100 });
        continue;
      }
      ({ live } = performReally(live, rng));
    }
    expect(live.done.map(({ id }) => id)).toEqual(NAMES);
  }
});

const KEY = plan([NAMES[0], NAMES[2]]);
const card = (name: string): number => parseCard(name) ?? NaN;

test('a routine that is left half-way asks how the packs lie, and the next one is mended from there', () => {
  const begun = beginLive(KEY);
  expect(page(begun)).toMatchObject({ kind: 'step' });
  // Nothing was done yet: to jump leaves nothing behind.
  expect(tapped(begun, at([{ do: 'jump', to: NAMES[2] }])[0]).done).toEqual([]);
  const left = performed(KEY, at([{ do: 'next' }, { do: 'end', how: 'missed' }]));
  expect(left.steps).toEqual([{ what: '1', seconds: 1 }]);
  expect(left.phase).toMatchObject({ kind: 'left', how: 'missed' });
  const cut = tapped(left, { tap: { do: 'left', lies: 'cut' }, at: 9000 });
  expect(cut.packs['blue']).toMatchObject([{ lies: 'home', turn: 'unseen' }]);
  expect(cut.done).toMatchObject([{ how: 'missed', choices: [{ name: 'key', path: '1' }] }]);
  const lost = tapped(left, { tap: { do: 'left', lies: 'lost' }, at: 9000 });
  expect(lost.phase).toMatchObject({ kind: 'mend', pack: 'blue' });
  expect(lost.phase.kind === 'mend' && lost.phase.cannot).toMatch(/order is lost/);
  // A spare pack takes its place, once.
  const spared = performed({ ...KEY, packs: { blue: { ...KEY.packs['blue'], spares: 1 } } }, [
    ...at([{ do: 'next' }, { do: 'end', how: 'missed' }, { do: 'left', lies: 'lost' }]),
  ]);
  expect(spared.phase).toMatchObject({
    kind: 'mend',
    isChange: true,
    acts: ['Change the pack for a spare one'],
  });
  const changed = tapped(spared, { tap: { do: 'next' }, at: 9000 });
  expect([changed.phase.kind, changed.spares['blue']]).toEqual(['run', 0]);
});

test('what means nothing on a page changes nothing', () => {
  const begun = beginLive(KEY);
  for (const tap of [
    { do: 'answer', value: 127 },
    { do: 'at', at: '9' },
    { do: 'left', lies: 'cut' },
    { do: 'spare' },
  ] as const)
    expect(tapped(begun, { tap, at: 5 })).toBe(begun);
  const over = tapped(begun, { tap: { do: 'jump', to: TO_END }, at: 5 });
  expect(over.phase.kind).toBe('over');
  expect(tapped(over, { tap: { do: 'next' }, at: 6 })).toBe(over);
});

test('a card that nothing they did can show is told, and the routine is left from there', () => {
  let live = beginLive(plan([NAMES[1]]));
  const first = run(live);
  while (page(live).kind === 'step' && !(page(live) as { ask?: unknown }).ask)
    live = tapped(live, { tap: { do: 'next' }, at: live.since + 10 });
  live = tapped(live, { tap: { do: 'answer', value: card('X1') }, at: live.since + 10 });
  expect([first.routine.id, page(live)]).toEqual([NAMES[1], { kind: 'nothing' }]);
  live = tapped(live, { tap: { do: 'next' }, at: live.since + 10 });
  expect(live.phase).toMatchObject({ kind: 'left', how: 'missed' });
});

test('behind the routine before it, the interval puts the pack in order; a jump goes past it', () => {
  const late = plan(NAMES, { interval: 1, intervalMinutes: 15 });
  const rng = seededRng(5);
  const { live } = performReally(beginLive(late), rng);
  expect(live.phase).toMatchObject({ kind: 'interval', to: NAMES[1] });
  const on = tapped(live, { tap: { do: 'next' }, at: live.since + 1 });
  expect(['run', 'face', 'mend']).toContain(on.phase.kind);
  expect(on.current).toBe(1);
  const jump = tapped(live, { tap: { do: 'jump', to: NAMES[2] }, at: live.since + 1 });
  expect(jump.current).toBe(2);
});
