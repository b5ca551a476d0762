import { computed, inject, Injectable } from '@angular/core';
import { changedAt, doneIn } from '@enumeron/core/file/record/night';
import { type RoutineDone } from '@enumeron/core/file/perform/cue/done';
import { leftOut } from '@enumeron/core/file/record/leftOut';
import type { Plan, TimedTap } from '@enumeron/core/file/perform/cue/plan';
import { Clock } from '../../platform/clock';
import { newId } from '../../platform/new-id';
import { without } from '../../platform/without';
import { Committed, Journal } from '../../storage/journal';
import { onlyPlace, placeOf } from '../../storage/kind';
import { liveRows } from '../../storage/live-rows';
import { Rows } from '../../storage/rows';
import { ON_STAGE, TAPS } from './live.kind';
import { PERFORMANCES, PerformanceRow } from './performances.kind';

/** How a set went last is looked for among so many performances. */
const LATELY = 100;

const STAGE = onlyPlace(ON_STAGE);
const TAPPED = onlyPlace(TAPS);

/** The performance that goes on, live in every tab. */
@Injectable()
export class PerformancesStore {
  private readonly journal = inject(Journal);
  private readonly rows = inject(Rows);
  private readonly clock = inject(Clock);
  private readonly stage = this.rows.only(STAGE);
  private readonly tapped = this.rows.only(TAPPED);

  readonly isRead = computed(() => [STAGE, TAPPED].every((place) => this.rows.isRead(place)));
  /** What is performed, with its taps; undefined while nothing is. */
  readonly onStage = computed(() => {
    const [{ performance, plan }, { performance: of, taps }] = [this.stage(), this.tapped()];
    return performance === '' || !plan
      ? undefined
      : { id: performance, plan, taps: of === performance ? taps : [] };
  });
  readonly row = computed((): PerformanceRow | undefined => {
    const stage = this.onStage();
    return stage && this.rows.at(placeOf(PERFORMANCES, stage.id))();
  });

  private readonly all = liveRows(PERFORMANCES, (db) =>
    db.rows(PERFORMANCES).orderBy('at').reverse().limit(LATELY).toArray(),
  );

  /** How a set went the last time; undefined where it was never done, or that is not read yet. */
  lastOf(set: string): PerformanceRow | undefined {
    const { performance } = this.stage();
    return this.all()
      ?.filter((row) => row.set === set && row.id !== performance && !row.practice && doneIn(row).length > 0)
      .reduce<PerformanceRow | undefined>((last, row) => (last && last.at > row.at ? last : row), undefined);
  }

  /** Which set is tonight’s, by its id; empty where none was chosen. */
  readonly tonight = computed(() => this.stage().tonight ?? '');

  choose(set: string): void {
    void this.journal.commit('choose tonight’s set', [STAGE], ([stage]) => [{ ...stage, tonight: set }]);
  }

  /** Begins a performance; another that still went on is left as far as it had come. */
  begin(plan: Plan, about: Pick<PerformanceRow, 'real' | 'set'>): Promise<Committed> {
    const id = newId();
    const now = this.clock.now();
    const row: PerformanceRow = {
      ...{ id, at: now, changed: now, name: plan.name, audience: plan.audience, done: [] },
      ...about,
    };
    return this.journal.commit(
      `begin ${plan.name}`,
      [placeOf(PERFORMANCES, id), STAGE, TAPPED],
      ([, stage]) => [row, { ...stage, performance: id, plan }, { id: 'taps', performance: id, taps: [] }],
    );
  }

  /**
   * Notes a tap behind others; where another tab tapped meanwhile, nothing is noted.
   *
   * @param count how many were noted when it was made. @param done the routines that were done, with it.
   */
  tap(id: string, tap: TimedTap, count: number, done: readonly RoutineDone[]): Promise<Committed> {
    return this.write('tap', id, done, (taps) => (taps.length === count ? [...taps, tap] : undefined));
  }

  /** Takes the last tap back. */
  takeBack(id: string, count: number, done: readonly RoutineDone[]): Promise<Committed> {
    return this.write('take a tap back', id, done, (taps) =>
      taps.length === count && count > 0 ? taps.slice(0, -1) : undefined,
    );
  }

  private write(
    label: string,
    id: string,
    done: readonly RoutineDone[],
    change: (taps: readonly TimedTap[]) => readonly TimedTap[] | undefined,
  ): Promise<Committed> {
    const now = this.clock.now();
    return this.journal.commit(label, [placeOf(PERFORMANCES, id), TAPPED], ([row, before]) => {
      const taps = change(before.performance === id ? before.taps : []);
      const changed = Math.max(now, row ? changedAt(row) : 0);
      return taps && [row && { ...row, done, changed }, { id: 'taps', performance: id, taps }];
    });
  }

  /** Ends the performance that goes on: it is kept, and its set leaves the stage. */
  finish(id: string): Promise<Committed> {
    const now = this.clock.now();
    return this.journal.commit(
      'end the performance',
      [placeOf(PERFORMANCES, id), STAGE, TAPPED],
      ([row, stage]) =>
        stage.performance === id
          ? [
              row && {
                ...row,
                done: [...row.done, ...(stage.plan ? leftOut(stage.plan, row.done) : [])],
                seconds: Math.min(1e7, Math.max(0, Math.round((now - row.at) / 1000))),
                changed: Math.max(now, changedAt(row)),
              },
              { ...without(stage, 'plan'), performance: '' },
              { id: 'taps', performance: '', taps: [] },
            ]
          : undefined,
    );
  }
}
