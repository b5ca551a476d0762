import { computed, effect, inject, Injectable, signal } from '@angular/core';
import { Card } from '@enumeron/core/deck';
import { NamedHome, UNKNOWN_HOME } from '@enumeron/core/file/perform/say';
import { PackNeed } from '@enumeron/core/file/perform/need';
import { PackState } from '@enumeron/core/file/perform/state';
import type { WorkedOut, WorkedOutArgs } from '@enumeron/core/file/perform/workedOut';
import { ByRecord } from '../nouns/procedures/by-record';
import { PROCEDURES } from '../nouns/procedures/procedures.kind';
import { PackStore } from '../nouns/pack/pack.store';
import { RoutineRow } from '../nouns/sets/routines.kind';
import { RoutinesStore } from '../nouns/sets/routines.store';
import { askedStamp, packKey, WorkedOutStore } from '../nouns/sets/worked-out.store';
import { jobView } from '../platform/workers/job-view';
import { liveRows } from '../storage/live-rows';

/** What is known of one pack of a routine. */
export interface PackFacts {
  readonly pack: string;
  /** The order that it belongs to; where none is known, any cards stand in for it. */
  readonly home: NamedHome;
  readonly hasHome: boolean;
  readonly needs: PackNeed;
  readonly leaves: readonly PackState[] | 'same';
  /** How many cases end so, for each ending. */
  readonly cases: readonly number[] | undefined;
  /** What was found of its procedure. */
  readonly found: WorkedOut | undefined;
  /** Whether it is still being worked out. */
  readonly isWaiting: boolean;
  /** Whether the user must say what it leaves, or what it needs: nothing else tells. */
  readonly mustSay: boolean;
}

const LOST: PackState = { lies: 'lost', faceUp: false, out: [], extra: 0 };
const ANY: PackNeed = { kind: 'cards' };

const sameCards = (a: readonly Card[], b: readonly Card[]): boolean =>
  a.length === b.length && a.every((card, index) => card === b[index]);

/** One pack of a routine whose procedure is there, as it is asked about. */
interface Asked {
  readonly key: string;
  readonly stamp: string;
  readonly args: WorkedOutArgs;
}

/** What routines need and leave: worked out one after the other, and kept until their procedures change. */
@Injectable()
export class Facts {
  private readonly routines = inject(RoutinesStore);
  private readonly store = inject(WorkedOutStore);
  private readonly pack = inject(PackStore);
  private readonly byRecord = inject(ByRecord);
  /** What acts take: the table, moved by what the record timed. */
  readonly costs = this.byRecord.costs;
  private readonly procedures = liveRows(PROCEDURES);
  private readonly byId = computed(
    () => new Map(this.procedures()?.map(({ id, procedure }) => [id, procedure])),
  );

  private readonly asked = computed(() =>
    (this.routines.all() ?? []).flatMap((row) =>
      Object.keys(row.routine.packs).flatMap((pack) => this.askedOf(row, pack) ?? []),
    ),
  );
  /** Those that were stopped, by what was asked: the user says what they leave, or has them go on. */
  private readonly stopped = signal<ReadonlySet<string>>(new Set());
  readonly isAnyStopped = computed(() => this.stopped().size > 0);
  private readonly left = computed(() =>
    this.store.isRead() && this.procedures()
      ? this.asked().filter(({ key, stamp }) => !this.store.of(key, stamp) && !this.stopped().has(stamp))
      : [],
  );
  private readonly next = computed(() => this.left().at(0));
  private readonly finding = jobView('worked out', () => this.next()?.args);

  /** How far the one is that is being worked out, 0 to 1, and how many are left with it; undefined where none is. */
  readonly working = computed(() => {
    if (!this.next()) return undefined;
    const view = this.finding();
    return {
      ...{ left: this.left().length, share: view?.kind === 'running' ? view.progress.share : 0 },
      failed: view?.kind === 'failed',
    };
  });

  constructor() {
    effect(() => {
      const [view, next] = [this.finding(), this.next()];
      if (!next || view?.kind !== 'ended') return;
      this.store.keep(next.key, next.stamp, view.result.ok ? view.result.found : undefined);
    });
  }

  /** Leaves the one that is being worked out: the others go on. */
  stop(): void {
    const next = this.next();
    if (next) this.stopped.update((stopped) => new Set([...stopped, next.stamp]));
  }

  /** Goes on with those that were stopped. */
  goOn(): void {
    this.stopped.set(new Set());
  }

  /** A procedure by its id, as it is now: its choices weighed by the record where the user wants that. */
  procedure(id: string | undefined) {
    const procedure = id === undefined ? undefined : this.byId().get(id);
    return id === undefined || !procedure ? procedure : this.byRecord.weighed(id, procedure);
  }

  /** What is known of every pack of a routine. */
  of(row: RoutineRow): readonly PackFacts[] {
    return Object.entries(row.routine.packs).map(([pack, { order, needs, leaves }]): PackFacts => {
      const asked = this.askedOf(row, pack);
      const kept = asked && this.store.of(asked.key, asked.stamp);
      const found = kept?.found;
      const cards = order?.cards ?? found?.home;
      const home = cards && { name: order?.name ?? this.nameOf(cards), cards };
      const endings = found?.complete && found.endings.length > 0 ? found.endings : undefined;
      // Procedures that are not read yet may tell it, too.
      const mayTell =
        (asked && !this.stopped().has(asked.stamp)) ?? (row.procedure !== undefined && !this.procedures());
      const isWaiting = mayTell && !kept && (needs === undefined || leaves === undefined);
      return {
        ...{ pack, found, isWaiting },
        ...{ home: home ?? UNKNOWN_HOME, hasHome: home !== undefined },
        needs: needs ?? found?.needs ?? ANY,
        leaves: leaves ?? endings?.map(({ state }) => state) ?? [LOST],
        cases: leaves === undefined ? endings?.map(({ cases: count }) => count) : undefined,
        mustSay: !isWaiting && ((leaves === undefined && !endings) || (needs === undefined && !found)),
      };
    });
  }

  private nameOf(cards: readonly Card[]): string {
    const { name, home } = this.pack.pack();
    return sameCards(cards, home) ? name : 'its own order';
  }

  private askedOf(row: RoutineRow, pack: string): Asked | undefined {
    // What it needs and leaves does not hang on how likely anything is.
    const procedure = row.procedure === undefined ? undefined : this.byId().get(row.procedure);
    const { packet, order, loose } = row.routine.packs[pack];
    if (!procedure || packet === undefined) return undefined;
    const args: WorkedOutArgs = {
      ...{ procedure, packet },
      ...(order && { order: order.cards }),
      ...(loose && { loose }),
    };
    return { key: packKey(row.id, pack), stamp: askedStamp(args), args };
  }
}
