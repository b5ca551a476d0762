import { computed, inject, Injectable, signal } from '@angular/core';
import { Card, seededRng } from '@enumeron/core/deck';
import { Beat, beatsOf } from '@enumeron/core/file/perform/dress/beats';
import { drawCase, openSightsOf } from '@enumeron/core/file/perform/dress/drawCase';
import { Slip, slipInto } from '@enumeron/core/file/perform/dress/slips';
import { procedureOf } from '@enumeron/core/file/perform/cue/starts';
import type { Plan, PlannedRoutine } from '@enumeron/core/file/perform/cue/plan';
import { rotated } from '@enumeron/core/file/perform/leaves';
import { laidFor } from '@enumeron/core/file/perform/need';
import { Clock } from '../../platform/clock';

/** A routine as helpers make it in a dress rehearsal. */
interface Scene {
  readonly routine: PlannedRoutine;
  readonly beats: readonly Beat[];
  readonly end: 'held' | 'outs' | 'failed' | 'none';
  /** What was chosen, those in secret too. */
  readonly choices: readonly (readonly [name: string, value: number])[];
  readonly slip: Slip | undefined;
}

/** What was answered to something asked. */
export interface Answered {
  readonly routine: PlannedRoutine;
  readonly text: string;
  readonly truth: string;
  readonly given: string;
  readonly isRight: boolean;
  readonly seconds: number;
}

/** So many instructions are done on the page to see what nobody can know; what takes more is not judged. */
const AT_HAND = 100_000;

/** How often something slips, in a hundred routines. */
export const SLIP_RATES = [0, 15, 40] as const;
export type SlipRate = (typeof SLIP_RATES)[number];

/** A set run against helpers that the program plays. */
@Injectable()
export class Dress {
  private readonly clock = inject(Clock);

  readonly plan = signal<Plan | undefined>(undefined);
  private readonly rate = signal<SlipRate>(0);
  private readonly seed = signal(1);
  private readonly at = signal({ routine: 0, beat: 0 });
  readonly answered = signal<readonly Answered[]>([]);
  private began = 0;
  /** When this beat came, in the page’s own time; and how long all took. */
  private since = 0;
  readonly took = signal(0);

  private readonly routines = computed(() => {
    const plan = this.plan();
    return plan ? plan.order.flatMap((id) => plan.routines.find((each) => each.id === id) ?? []) : [];
  });
  /** The scenes up to the one that is on: each is drawn when it comes. */
  private readonly drawn = new Map<number, Scene>();
  readonly isOver = computed(() => this.plan() !== undefined && this.at().routine >= this.routines().length);
  readonly scene = computed(() =>
    this.isOver() || !this.plan() ? undefined : this.sceneAt(this.at().routine),
  );
  readonly beat = computed(() => this.scene()?.beats.at(this.at().beat));
  /** Which routine it is, from 1, and of how many. */
  readonly where = computed(() => ({ number: this.at().routine + 1, of: this.routines().length }));
  /** How each routine ended. */
  readonly scenes = computed(() =>
    this.isOver() ? this.routines().map((_, index) => this.sceneAt(index)) : [],
  );

  begin(plan: Plan, rate: SlipRate): void {
    this.drawn.clear();
    this.answered.set([]);
    this.rate.set(rate);
    this.seed.set(Math.floor(this.clock.now()) % 2 ** 30);
    this.at.set({ routine: 0, beat: 0 });
    this.began = this.since = this.clock.pageNow();
    this.plan.set(plan);
  }

  /** Ends it, and forgets how it went. */
  leave(): void {
    this.plan.set(undefined);
  }

  next(): void {
    const [scene, { routine, beat }] = [this.scene(), this.at()];
    if (!scene) return;
    this.since = this.clock.pageNow();
    this.at.set(
      beat + 1 < scene.beats.length ? { routine, beat: beat + 1 } : { routine: routine + 1, beat: 0 },
    );
    this.took.set(Math.round((this.since - this.began) / 1000));
  }

  answer(value: number, says: string): void {
    const [scene, beat] = [this.scene(), this.beat()];
    if (!scene || beat?.kind !== 'asked') return;
    const seconds = Math.round((this.clock.pageNow() - this.since) / 100) / 10;
    this.answered.update((before) => [
      ...before,
      {
        ...{ routine: scene.routine, text: beat.text, truth: beat.shows, given: says },
        ...{ isRight: value === beat.truth, seconds },
      },
    ]);
    this.next();
  }

  private sceneAt(index: number): Scene {
    const known = this.drawn.get(index);
    if (known) return known;
    const scene = this.draw(this.routines()[index], this.seed() + 7919 * index);
    this.drawn.set(index, scene);
    return scene;
  }

  private draw(routine: PlannedRoutine, seed: number): Scene {
    const plan = this.plan();
    const written = procedureOf(routine);
    const notes: Scene = {
      ...{ routine, end: 'none', choices: [], slip: undefined },
      beats: [{ kind: 'happens', path: '', says: [], text: routine.notes.split('\n')[0] || routine.name }],
    };
    if (!plan || !written) return notes;
    const procedure = Object.entries(routine.packs).reduce((laid, [name, { packet, needs }]) => {
      if (packet === undefined || needs.kind !== 'home') return laid;
      const state = laidFor(needs, plan.packs[name].home.cards);
      const turns = needs.turns === 'any' ? plan.packs[name].home.cards.length : 0;
      // Where any cut will do it begins with one.
      const turn =
        turns > 0 ? seed % turns : state.lies === 'home' && typeof state.turn === 'number' ? state.turn : 0;
      return rotated(laid, packet, turn);
    }, written);
    const rng = seededRng(seed);
    const slipped = 100 * rng() < this.rate() ? slipInto(procedure, rng) : undefined;
    const done = slipped?.procedure ?? procedure;
    const drawn = drawCase(done, seed, slipped ? undefined : openSightsOf(procedure, AT_HAND));
    if (!drawn) return notes;
    const { acted } = drawn;
    // A slip of one's own is not told: what one means to do stands there, as it is written.
    const told = slipped?.laidIn === undefined ? procedure : done;
    const beats = beatsOf(told, acted, plan.audience, slipped?.laidIn);
    return {
      ...{ routine, slip: slipped?.slip, choices: acted.choices },
      beats: beats.length > 0 ? beats : notes.beats,
      end: acted.end === undefined || acted.end === 'left out' ? 'none' : acted.end,
    };
  }

  /** The cards that may be answered with: those of the packs of the set. */
  readonly cards = computed((): readonly Card[] =>
    Object.values(this.plan()?.packs ?? {}).flatMap(({ home }) => home.cards),
  );
}
