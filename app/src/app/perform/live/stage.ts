import { computed, inject, Injectable, signal } from '@angular/core';
import type { Live } from '@enumeron/core/file/perform/cue/performance';
import { beginLive, tapped } from '@enumeron/core/file/perform/cue/perform';
import type { Plan, Tap, TimedTap } from '@enumeron/core/file/perform/cue/plan';
import { PerformancesStore } from '../../nouns/performances/performances.store';
import { Clock } from '../../platform/clock';

/** A performance behind each of its taps, as far as they were gone through. */
interface Gone {
  readonly plan: Plan;
  readonly taps: TimedTap[];
  /** How all was behind so many taps. */
  readonly states: Live[];
}

/** So many taps are gone through at once, when it comes back to where it was. */
const AT_ONCE = 2;

const isSame = (a: TimedTap, b: TimedTap): boolean =>
  a === b || (a.at === b.at && JSON.stringify(a.tap) === JSON.stringify(b.tap));

/** What is performed: where it is by all taps that were noted, and what a tap does. */
@Injectable()
export class Stage {
  private readonly store = inject(PerformancesStore);
  private readonly clock = inject(Clock);
  private gone: Gone | undefined;
  private readonly further = signal(0);

  readonly isRead = this.store.isRead;
  readonly row = this.store.row;
  readonly onStage = this.store.onStage;
  readonly count = computed(() => this.store.onStage()?.taps.length ?? 0);

  /** Where it is; undefined while nothing is performed, or not all taps were gone through yet. */
  readonly live = computed(() => {
    this.further();
    const stage = this.store.onStage();
    return stage && this.follow(stage.plan, stage.taps);
  });

  private follow(plan: Plan, taps: readonly TimedTap[]): Live | undefined {
    if (this.gone?.plan !== plan) this.gone = { plan, taps: [], states: [beginLive(plan)] };
    const { taps: known, states } = this.gone;
    let same = 0;
    while (same < known.length && same < taps.length && isSame(known[same], taps[same])) same++;
    known.length = same;
    states.length = same + 1;
    for (let count = 0; known.length < taps.length && count < AT_ONCE; count++) {
      const tap = taps[known.length];
      states.push(tapped(states[known.length], tap));
      known.push(tap);
    }
    if (known.length === taps.length) return states[known.length];
    // The rest comes behind the next frame: nothing waits for a long night to be gone through.
    setTimeout(() => this.further.update((times) => times + 1));
    return undefined;
  }

  /** Does a tap; one that means nothing where it is is not noted. */
  tap(tap: Tap): void {
    const [stage, live, row] = [this.store.onStage(), this.live(), this.row()];
    if (!stage || !live) return;
    const at = Math.max(live.since, this.clock.now() - (row?.at ?? this.clock.now()));
    const timed: TimedTap = { tap, at };
    const after = tapped(live, timed);
    if (after === live) return;
    // Gone through already: what is noted next is found here.
    if (this.gone?.taps.length === stage.taps.length) {
      this.gone.taps.push(timed);
      this.gone.states.push(after);
    }
    void this.store.tap(stage.id, timed, stage.taps.length, after.done);
  }

  /** Takes the last tap back. */
  takeBack(): void {
    const stage = this.store.onStage();
    if (!stage || stage.taps.length === 0) return;
    const before = this.gone?.states[stage.taps.length - 1];
    void this.store.takeBack(stage.id, stage.taps.length, before?.done ?? []);
  }

  finish(): Promise<unknown> {
    const stage = this.store.onStage();
    return stage ? this.store.finish(stage.id) : Promise.resolve();
  }
}
