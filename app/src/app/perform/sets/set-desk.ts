import { computed, inject, Injectable, linkedSignal, signal } from '@angular/core';
import { along, runAsTheyStand } from '@enumeron/core/file/perform/along';
import {
  FixedPoint,
  fixedPointsOf,
  isKept,
  withoutPoint,
  withPoint,
} from '@enumeron/core/file/perform/fixedPoints';
import { OrderedRoutine, OrderWish } from '@enumeron/core/file/perform/orderWish';
import { MOST_IN_SET, SetList, withoutRoutine } from '@enumeron/core/file/perform/routine';
import { NamedHome } from '@enumeron/core/file/perform/say';
import { ByRecord } from '../../nouns/procedures/by-record';
import { RoutineRow } from '../../nouns/sets/routines.kind';
import { RoutinesStore } from '../../nouns/sets/routines.store';
import { SetsStore } from '../../nouns/sets/sets.store';
import { without } from '../../platform/without';
import { answerOf, jobView } from '../../platform/workers/job-view';
import { Facts, PackFacts } from '../facts';

/** A routine of the set as it stands there. */
export interface SetLine {
  readonly id: string;
  readonly name: string;
  readonly minutes: number;
  readonly row: RoutineRow | undefined;
  readonly facts: readonly PackFacts[];
}

/** A pack of the set. */
export interface SetPack {
  readonly name: string;
  readonly home: NamedHome;
  readonly hasHome: boolean;
  readonly spares: number;
  /** Two routines that have it in different orders, by their names. */
  readonly clash: readonly [string, string] | undefined;
}

/** The minutes of an interval that is put in. */
const LIKELY_INTERVAL = 15;

const isSameOrder = (a: NamedHome, b: NamedHome): boolean => a.cards.join() === b.cards.join();

/** The set that is open: its routines with what they need and leave, what it costs, and what is fixed about it. */
@Injectable()
export class SetDesk {
  private readonly sets = inject(SetsStore);
  private readonly routines = inject(RoutinesStore);
  private readonly facts = inject(Facts);
  /** What acts take: the table, moved by what the record timed. */
  readonly costs = inject(ByRecord).costs;

  readonly id = signal('');
  readonly row = computed(() => (this.id() === '' ? undefined : this.sets.find(this.id())));
  readonly isRead = computed(() => this.sets.isRead(this.id()));
  readonly set = computed(() => this.row()?.set);

  readonly lines = computed((): readonly SetLine[] =>
    (this.set()?.order ?? []).map((id): SetLine => {
      const row = this.routines.find(id);
      return {
        ...{ id, row, facts: row ? this.facts.of(row) : [] },
        ...{ name: row?.routine.name ?? 'A routine that was removed', minutes: row?.routine.minutes ?? 0 },
      };
    }),
  );
  readonly nameOf = (id: string): string =>
    this.lines().find((line) => line.id === id)?.name ??
    this.routines.find(id)?.routine.name ??
    'a routine that was removed';
  readonly minutes = computed(() => this.lines().reduce((sum, { minutes }) => sum + minutes, 0));
  /** After how many routines the interval comes; undefined where there is none, or too few routines for it. */
  readonly interval = computed(() => {
    const interval = this.set()?.interval;
    return interval !== undefined && interval < this.lines().length ? interval : undefined;
  });
  /** The routines that are not in the set. */
  readonly others = computed(() => {
    const order = this.set()?.order ?? [];
    return this.routines.all()?.filter(({ id }) => !order.includes(id)) ?? [];
  });
  readonly isFull = computed(() => this.lines().length >= MOST_IN_SET);

  readonly packs = computed((): readonly SetPack[] => {
    const packs = new Map<string, SetPack & { readonly by: string }>();
    for (const { name: by, facts } of this.lines())
      for (const { pack, home, hasHome } of facts) {
        const known = packs.get(pack);
        if (!known?.hasHome) {
          const spares = this.set()?.spares[pack] ?? 0;
          if (!known || hasHome) packs.set(pack, { name: pack, home, hasHome, spares, clash: undefined, by });
        } else if (hasHome && !known.clash && !isSameOrder(known.home, home))
          packs.set(pack, { ...known, clash: [known.by, by] });
      }
    return [...packs.values()];
  });
  readonly homeOf = (pack: string): NamedHome | undefined =>
    this.packs().find(({ name }) => name === pack)?.home;

  /** Whether the order of a pack is known. */
  readonly isKnown = (pack: string): boolean =>
    this.packs().find(({ name }) => name === pack)?.hasHome === true;

  /** Packs of which is not known yet what is left of them. */
  readonly isWaiting = computed(() => this.lines().some(({ facts }) => facts.some((each) => each.isWaiting)));

  /** What is put in order, with all that is fixed. */
  private readonly wish = computed(() => this.makeWish(), {
    // What is found of a routine elsewhere changes nothing here.
    equal: (a, b) => JSON.stringify(a) === JSON.stringify(b),
  });

  private readonly present = computed(() => {
    const wish = this.wish();
    return wish && !this.isWaiting() ? runAsTheyStand(wish, this.costs()) : undefined;
  });
  /** What the set costs in its order; undefined while that is not known. */
  readonly running = computed(() => {
    const present = this.present();
    return present?.ok ? present.running : undefined;
  });
  readonly junctions = computed(() => {
    const [wish, running] = [this.wish(), this.running()];
    return wish && running ? along(wish, running, this.costs()) : [];
  });
  readonly asked = computed(() => this.wish());

  readonly points = computed(() => {
    const set = this.set();
    if (!set) return [];
    const minutesOf = (id: string): number => this.lines().find((line) => line.id === id)?.minutes ?? 0;
    return fixedPointsOf(set).map((point) => ({ point, kept: isKept(set, point, minutesOf) }));
  });

  /** What the best order is looked for, while it is wanted; a change of the set ends that. */
  readonly seeking = linkedSignal<OrderWish | undefined, boolean>({
    source: this.wish,
    computation: () => false,
  });
  private readonly search = jobView('running order', () => {
    const wish = this.wish();
    return this.seeking() && wish ? { wish, costs: this.costs() } : undefined;
  });
  readonly searching = computed(() => {
    if (!this.seeking()) return undefined;
    const view = this.search();
    return view?.kind === 'running'
      ? { share: view.progress.share }
      : view === undefined
        ? { share: 0 }
        : undefined;
  });
  readonly failed = computed(() => this.seeking() && this.search()?.kind === 'failed');
  readonly best = computed(() => (this.seeking() ? answerOf(this.search()) : undefined));

  /** The line that is chosen, by its routine. */
  readonly chosen = signal('');
  readonly isChosenThere = computed(() => this.lines().some(({ id }) => id === this.chosen()));
  /** A line that the focus goes to once it is there. */
  readonly wanted = signal<string | undefined>(undefined);

  private makeWish(): OrderWish | undefined {
    const set = this.set();
    if (!set || this.lines().length === 0) return undefined;
    const { opener, closer, before, directly, apart, must, choose, minutes, interval, intervalMinutes } = set;
    const ids = new Set(this.lines().map(({ id }) => id));
    const both = (pairs: SetList['before']) => pairs.filter((pair) => pair.every((id) => ids.has(id)));
    return {
      packs: Object.fromEntries(
        this.packs().map(({ name, home, spares }) => [name, { home: home.cards, spares }]),
      ),
      routines: this.lines().map(({ id, minutes: own, row, facts }): OrderedRoutine => ({
        ...{ id, minutes: own, value: row?.routine.value ?? 1 },
        packs: Object.fromEntries(
          facts.map(({ pack, needs, leaves, cases }) => [pack, { needs, leaves, ...(cases && { cases }) }]),
        ),
      })),
      ...(opener !== undefined && ids.has(opener) && { opener }),
      ...(closer !== undefined && ids.has(closer) && { closer }),
      ...{ before: both(before), directly: both(directly), apart: both(apart) },
      ...{ must: must.filter((id) => ids.has(id)), choose },
      ...(minutes !== undefined && { minutes }),
      ...(interval !== undefined && interval < ids.size && { interval, intervalMinutes }),
    };
  }

  change(label: string, make: (set: SetList) => SetList): void {
    void this.sets.change(this.id(), label, make);
  }

  add(id: string): void {
    this.change(`add ${this.nameOf(id)}`, (set) =>
      set.order.includes(id) ? set : { ...set, order: [...set.order, id] },
    );
    this.chosen.set(id);
  }

  takeOut(id: string): void {
    const at = this.lines().findIndex((line) => line.id === id);
    const next = this.lines()[at + 1] ?? this.lines()[at - 1];
    this.change(`take ${this.nameOf(id)} out`, (set) => withoutRoutine(set, id));
    this.chosen.set((next as SetLine | undefined)?.id ?? '');
    this.wanted.set((next as SetLine | undefined)?.id);
  }

  /** Moves a routine to an index, from 0, of the routines without it. */
  move(id: string, to: number): void {
    this.change(`move ${this.nameOf(id)}`, (set) => {
      const others = set.order.filter((each) => each !== id);
      const at = Math.max(0, Math.min(others.length, to));
      return { ...set, order: [...others.slice(0, at), id, ...others.slice(at)] };
    });
    this.chosen.set(id);
    this.wanted.set(id);
  }

  fix(point: FixedPoint): void {
    this.change('fix a point of the order', (set) => withPoint(set, point));
  }

  free(point: FixedPoint): void {
    this.change('let a fixed point go', (set) => withoutPoint(set, point));
  }

  /** The interval comes after so many routines; none where undefined. */
  setInterval(after: number | undefined): void {
    this.change(after === undefined ? 'take the interval out' : 'move the interval', (set) => {
      const rest = without(set, 'interval');
      return after === undefined
        ? rest
        : { ...rest, interval: after, intervalMinutes: set.intervalMinutes ?? LIKELY_INTERVAL };
    });
  }

  useBest(order: readonly string[]): void {
    this.change('use the best order', (set) => ({ ...set, order: [...order] }));
  }
}
