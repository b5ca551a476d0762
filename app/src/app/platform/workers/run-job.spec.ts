import { JobRule, runJob } from '@enumeron/core/job';
import { JOBS } from '@enumeron/core/file/jobs';
import { seededRng, numberOrder } from '@enumeron/core/deck';
import { spreadCounter } from '@enumeron/core/arrange';
import { SCHEDULE } from '@enumeron/core/learn';
import { BehaviorSubject, firstValueFrom, lastValueFrom, toArray } from 'rxjs';
import { ArgsOf, JobState } from './jobs';
import { JobsInWorker } from './jobs-in-worker';
import { WorkerPool } from './worker-pool';
import { quiet as quietOf } from './quiet';
import { Jobs, remembering, runOn } from './run-job';
import { SilentWorker } from './silence';
import { until } from '../../../testing/fresh';
import { pass } from '../../../testing/pass';

const pack = numberOrder();
const keyCard: ArgsOf<'key card'> = {
  now: pack,
  bank: pack.slice(0, 13),
  key: pack[13],
  side: 'above',
  riffles: 3,
  packs: 9_001,
  seed: 4,
};

const PROCEDURE: ArgsOf<'proof'>['procedure'] = {
  name: 'a cut',
  packets: { pack: ['AC', '2C', '3C'] },
  steps: [
    { do: 'choose', name: 'cut', from: 0, to: 2 },
    { do: 'claim', that: { less: ['cut', 2] } },
  ],
};
const NO_CONDITIONS = { ranksApart: false, suitsApart: false, colourRun: undefined };

/** What workers offer, called as over a channel: every answer comes later. */
const worker = (): Jobs => {
  const own = new JobsInWorker();
  return {
    split: (...asked) => Promise.resolve(own.split(...asked)),
    again: (...asked) => Promise.resolve(own.again(...asked)),
    join: (...asked) => Promise.resolve(own.join(...asked)),
    hold: (held) => {
      own.hold(held);
      return Promise.resolve();
    },
    run: (...asked) => Promise.resolve(own.run(...asked)),
    alive: () => Promise.resolve(own.alive()),
    stop: () => {
      own.stop();
      return Promise.resolve();
    },
  };
};

let lent: number;
let ended: number;
let back: number;
let gaveUp: number;
const pool = (fail?: Promise<never>) => (): WorkerPool<Jobs> => ({
  lend: () => {
    lent++;
    return Promise.resolve(worker());
  },
  failed: fail ?? new Promise<never>(() => undefined),
  end: () => ended++,
  giveBack: () => back++,
  giveUp: (atRest) => {
    void atRest.then(() => gaveUp++);
  },
});

beforeEach(() => {
  lent = 0;
  ended = 0;
  back = 0;
  gaveUp = 0;
});

test.each([1, 2, 3, 8])('%d workers come to what one computation comes to', async (cores) => {
  const states = await lastValueFrom(runOn(pool(), cores)('key card', keyCard).pipe(toArray()));
  expect(states.at(-1)).toEqual({ kind: 'ended', result: runJob(JOBS['key card'], keyCard) });
  expect(states.filter(({ kind }) => kind === 'ended')).toHaveLength(1);
  expect(lent).toBe(Math.min(cores, 4));
  // Done, they can be lent again.
  expect([ended, back]).toEqual([0, 1]);
});

test.each([1, 3])('what is judged over all parts takes two rounds, by %d workers', async (cores) => {
  // Their number is seen in one case of four only.
  const procedure: ArgsOf<'study'>['procedure'] = {
    ...PROCEDURE,
    steps: [
      { do: 'choose', name: 'cut', from: 0, to: 7 },
      { do: 'work out', name: 'seen', what: { remainder: ['cut', 4] }, by: 'helper' },
      { do: 'claim known', what: 'cut' },
    ],
  };
  const args = { procedure, budget: 2_000_000_000 };
  const states = await lastValueFrom(runOn(pool(), cores)('study', args).pipe(toArray()));
  const result = runJob(JOBS.study, args);
  expect(states.at(-1)).toEqual({ kind: 'ended', result });
  expect(result).toMatchObject({ failed: 8, apart: { one: [['cut', 0]], other: [['cut', 1]] } });
  const shares = states.flatMap((state) => (state.kind === 'running' ? [state.progress.share] : []));
  expect(shares).toEqual([...shares].sort((a, b) => a - b));
  expect(lent).toBe(cores);
});

test('progress is that of all parts together, and never goes back', async () => {
  const states: JobState<unknown, unknown>[] = await lastValueFrom(
    runOn(pool(), 3)('key card', keyCard).pipe(toArray()),
  );
  const tries = states.flatMap((state) =>
    state.kind === 'running' ? [(state.progress as { tries: number }).tries] : [],
  );
  expect(tries.length).toBeGreaterThan(2);
  expect(tries).toEqual([...tries].sort((a, b) => a - b));
  expect(tries.at(-1)).toBeLessThanOrEqual(keyCard.packs);
});

test('what cannot be done in parts is done by one, and gives what core gives', async () => {
  const args = { pack, packs: 3000, seed: 9 };
  const counter = spreadCounter(pack, seededRng(9));
  counter.run(3000);
  const last = await lastValueFrom(runOn(pool(), 4)('spreads', args));
  expect(last).toEqual({ kind: 'ended', result: counter.read() });
  expect(lent).toBe(1);
});

test('held it waits, then it goes on from where it was', async () => {
  const held = new BehaviorSubject(false);
  const seen: JobState<unknown, unknown>[] = [];
  const run = runOn(pool(), 1)('key card', keyCard, held);
  await new Promise<void>((resolve, reject) => {
    let stoppedAt = -1;
    run.subscribe({
      next: (state) => {
        seen.push(state);
        if (seen.length > 1) return;
        held.next(true);
        setTimeout(() => {
          stoppedAt = seen.length;
          setTimeout(() => {
            expect(seen.length).toBe(stoppedAt);
            held.next(false);
          }, 30);
        }, 30);
      },
      complete: resolve,
      error: reject,
    });
  });
  expect(seen.at(-1)).toEqual({ kind: 'ended', result: runJob(JOBS['key card'], keyCard) });
});

test('left alone it has a worker more, which waits while somebody works, and the end is the same', async () => {
  const holds: [number, boolean][] = [];
  const parts = new Map<number, number>();
  const counting = (): WorkerPool<Jobs> => ({
    ...pool()(),
    lend: () => {
      const [own, which] = [worker(), lent++];
      return Promise.resolve({
        ...own,
        hold: (held: boolean) => {
          holds.push([which, held]);
          return own.hold(held);
        },
        run: (...asked: Parameters<Jobs['run']>) => {
          parts.set(which, (parts.get(which) ?? 0) + 1);
          return own.run(...asked);
        },
      });
    },
  });
  const quiet = new BehaviorSubject(false);
  const long = { ...keyCard, packs: 30_000 };
  const states: JobState<unknown, unknown>[] = [];
  await new Promise<void>((resolve, reject) => {
    runOn(
      counting,
      1,
      quiet,
    )('key card', long).subscribe({
      next: (state) => {
        states.push(state);
        // Somebody goes away, and comes back.
        if (states.length === 1) quiet.next(true);
        if (states.length === 4) quiet.next(false);
      },
      complete: resolve,
      error: reject,
    });
  });
  expect(states.at(-1)).toEqual({ kind: 'ended', result: runJob(JOBS['key card'], long) });
  expect(lent).toBe(2);
  expect(parts.get(1)).toBeGreaterThan(0);
  expect([...parts.values()].reduce((a, b) => a + b)).toBe(4);
  // It waits when somebody comes back, and is let go on for what it has begun when nobody else has anything to do.
  expect(holds).toContainEqual([1, true]);
  expect(holds.at(-1)).toEqual([1, false]);
  expect(quiet.observed).toBe(false);
});

test('with nobody away there is no worker more; a job that is stopped forgets it', async () => {
  const quiet = new BehaviorSubject(false);
  await lastValueFrom(runOn(pool(), 1, quiet)('key card', keyCard));
  expect(lent).toBe(1);
  const running = runOn(pool(), 1, quiet)('key card', keyCard).subscribe();
  await pass(20);
  expect(quiet.observed).toBe(true);
  running.unsubscribe();
  expect(quiet.observed).toBe(false);
});

test('a page is left alone when nobody touches it for a while, or when it is not in sight', async () => {
  const seen: boolean[] = [];
  const listening = quietOf(document, 60).subscribe((isQuiet) => seen.push(isQuiet));
  await pass(120);
  document.dispatchEvent(new Event('pointermove'));
  document.dispatchEvent(new Event('keydown'));
  await pass(120);
  expect(seen).toEqual([false, true, false, true]);
  const hidden = jest.spyOn(document, 'visibilityState', 'get').mockReturnValue('hidden');
  document.dispatchEvent(new Event('keydown'));
  document.dispatchEvent(new Event('visibilitychange'));
  expect(seen.at(-1)).toBe(true);
  hidden.mockRestore();
  listening.unsubscribe();
});

test('what was asked before is answered at once, what was not is worked out', async () => {
  const run = remembering(runOn(pool(), 1));
  const first = await lastValueFrom(run('spreads', { pack, packs: 1000, seed: 9 }));
  expect(await firstValueFrom(run('spreads', { pack: [...pack], packs: 1000, seed: 9 }))).toBe(first);
  expect(lent).toBe(1);
  expect(await lastValueFrom(run('spreads', { pack, packs: 1000, seed: 10 }))).not.toEqual(first);
  for (let seed = 100; seed < 150; seed++)
    await lastValueFrom(run('random order', { pack: [0, 1], conditions: NO_CONDITIONS, seed }));
  // Forgotten by now.
  const before = lent;
  expect(await lastValueFrom(run('spreads', { pack, packs: 1000, seed: 9 }))).toEqual(first);
  expect(lent).toBe(before + 1);
});

const rowWish: ArgsOf<'row'> = {
  ...{ from: pack, goal: { kind: 'order', to: [...pack].reverse() }, cuts: 'none', longest: 3 },
  kinds: { weaves: true, unweaves: false, reversals: true },
};

test('what is held from the beginning waits too; a worker that is lent again does not', async () => {
  const own = worker();
  const again: WorkerPool<Jobs> = {
    ...pool()(),
    lend: () => Promise.resolve(own),
  };
  const held = new BehaviorSubject(true);
  let ended = false;
  const first = lastValueFrom(runOn(() => again, 1)('key card', keyCard, held)).then(() => (ended = true));
  await pass(60);
  expect(ended).toBe(false);
  held.next(false);
  await first;
  // Held again at the moment of its end: the next one has nothing to do with that.
  const atEnd = new BehaviorSubject(false);
  await new Promise<void>((resolve) => {
    runOn(() => again, 1)('spreads', { pack, packs: 1, seed: 1 }, atEnd).subscribe({
      next: ({ kind }) => {
        if (kind === 'ended') atEnd.next(true);
      },
      complete: resolve,
    });
  });
  expect(await lastValueFrom(runOn(() => again, 1)('key card', keyCard))).toMatchObject({ kind: 'ended' });
});

test('a job that is given up is stopped, and its worker can be lent again; whoever asked is told no more', async () => {
  let told = 0;
  const running = runOn(pool(), 2)('key card', { ...keyCard, packs: 4_000_000 }).subscribe(() => told++);
  await until(() => told > 0);
  running.unsubscribe();
  const before = told;
  await until(() => gaveUp === 1);
  expect([told, ended, back]).toEqual([before, 0, 0]);
  // So soon that none was lent yet.
  runOn(pool(), 2)('row', rowWish).subscribe().unsubscribe();
  await until(() => gaveUp === 2);
});

test('a worker that was ended is asked nothing more, though what it said comes late', async () => {
  let report: (progress: unknown) => void = () => undefined;
  let joined = 0;
  const one: Partial<Jobs> = {
    split: () => Promise.resolve([1, 2]),
    join: () => Promise.resolve({ tries: ++joined, hits: [] }),
    run: (_name, _args, tell) => {
      report = tell;
      tell({ tries: 0, hits: [] });
      return new Promise(() => undefined);
    },
  };
  const offered = (): WorkerPool<Jobs> => ({
    ...pool()(),
    lend: () => Promise.resolve({ ...worker(), ...one }),
  });
  let told = 0;
  const running = runOn(offered, 1)('key card', keyCard).subscribe(() => told++);
  await until(() => told > 0);
  running.unsubscribe();
  const before = joined;
  report({ tries: 1, hits: [] });
  expect(joined).toBe(before);
});

test('a worker that says nothing is given up: at once where it never did, or from its last sign on', async () => {
  const silent = (part: Partial<Jobs>) => (): WorkerPool<Jobs> => ({
    ...pool()(),
    lend: () => Promise.resolve({ ...worker(), ...part }),
  });
  const nothing = (): Promise<never> => new Promise(() => undefined);
  const run = (part: Partial<Jobs>, held?: BehaviorSubject<boolean>) =>
    lastValueFrom(runOn(silent(part), 1, undefined, 40)('key card', keyCard, held));
  await expect(run({ alive: nothing })).rejects.toBeInstanceOf(SilentWorker);
  const stuck: Jobs['run'] = (_name, _args, report) => {
    report({ tries: 0, hits: [] });
    return nothing();
  };
  await expect(run({ run: stuck })).rejects.toBeInstanceOf(SilentWorker);
  expect([ended, back]).toEqual([2, 0]);
  // One that waits because it was told to is not.
  const held = new BehaviorSubject(false);
  let outcome = '';
  const waiting = run(
    {
      run: (...asked) => {
        held.next(true);
        return stuck(...asked);
      },
    },
    held,
  ).catch(() => (outcome = 'given up'));
  await pass(150);
  expect(outcome).toBe('');
  held.next(false);
  await waiting;
  expect(outcome).toBe('given up');
});

test('a worker that fails is tried again, then is an error', async () => {
  const failing = pool(Promise.reject(new Error('no script')));
  lent = 0;
  const never = (): WorkerPool<Jobs> => ({ ...failing(), lend: () => new Promise(() => lent++) });
  await expect(firstValueFrom(runOn(never, 2)('spreads', { pack, packs: 1, seed: 1 }))).rejects.toThrow(
    'no script',
  );
  expect(lent).toBe(3);
});

test.each(Object.keys(JOBS) as (keyof typeof JOBS)[])('%s: its parts are plain values', (name) => {
  const examples: { readonly [Name in keyof typeof JOBS]: ArgsOf<Name> } = {
    'busy row': { heaps: [1, 1, 2].map((cards) => ({ cards, wanted: [cards] })), moves: 8, seed: 1 },
    curve: { procedure: { ...PROCEDURE, givens: { k: 1 } }, given: 'k', from: 1, to: 2 },
    estimate: { procedure: PROCEDURE, seed: 1, worlds: 20 },
    knowing: { procedure: PROCEDURE, chosen: [1] },
    'in time': { procedure: PROCEDURE },
    study: { procedure: PROCEDURE },
    verdict: { procedure: PROCEDURE },
    'try question': { path: 'mates', values: { kinds: 4, each: 2 }, seed: 1, tries: 50, width: 0 },
    diagnosis: { before: pack, intended: 'in', seen: [] },
    forecast: {
      ...{ order: pack, directions: ['number'], blocks: [pack], newCards: 5, schedule: SCHEDULE },
      ...{ memories: [], now: 1.7e12, offset: 0, minutes: 5, answerTime: 5000, recallRate: 1 },
      ...{ days: 5, runs: 4, seed: 1 },
    },
    'key card': { ...keyCard, packs: 40 },
    'sent pattern': { procedure: PROCEDURE, told: {}, home: pack, now: pack },
    invariants: { order: pack },
    places: { size: 52, wanted: [{ from: 1, to: 5 }], cuts: true },
    possible: { now: pack, facts: [{ kind: 'cut' }] },
    proof: { procedure: PROCEDURE },
    properties: { order: pack },
    reschedule: { schedule: SCHEDULE, history: [['number 7D', [{ at: 1.7e12, grade: 3 }]]] },
    'random order': {
      pack,
      conditions: NO_CONDITIONS,
      seed: 1,
    },
    reset: { now: pack.map((card) => ({ card, faceUp: false })).reverse(), home: pack },
    row: rowWish,
    'running order': {
      wish: {
        packs: { blue: { home: pack } },
        routines: [
          {
            ...{ id: 'a', minutes: 5 },
            packs: { blue: { needs: { kind: 'home', turns: 'any' }, leaves: 'same' } },
          },
        ],
      },
    },
    spreads: { pack, packs: 10, seed: 1 },
    weight: { procedure: PROCEDURE },
    wish: { list: { pack: ['AC', '2C', '3C', '4C'], wishes: [{ kind: 'ranks step', step: 1 }] } },
    'wish checks': { order: ['AC', '2C', '3C', '4C'], wishes: [{ kind: 'ranks step', step: 1 }] },
    'worked out': { procedure: PROCEDURE, packet: 'pack' },
  };
  const rule = JOBS[name] as unknown as JobRule<unknown, unknown, unknown>;
  const once = runJob(rule, examples[name]);
  // What goes to a worker and back is copied.
  expect(structuredClone(runJob(rule, structuredClone(examples[name])))).toEqual(once);
});
