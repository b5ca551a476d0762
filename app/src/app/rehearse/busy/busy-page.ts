import { CountPipe } from '../../ui/count-pipe';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router } from '@angular/router';
import { sayProblem } from '@enumeron/core/deck';
import {
  BusyHeap,
  busyProcedure,
  BusyWish,
  endsOnTop,
  FEWEST_HEAPS,
  heapsAfter,
  MOST_HEAPS,
  MOST_MOVES,
} from '@enumeron/core/file/rehearse/busyRow';
import { PatternsStore } from '../../nouns/pack/patterns.store';
import { EntryField } from '../../ui/form/entry-field';
import { numberReader } from '../../ui/form/reading';
import { once } from '../../platform/once';
import { answerOf, jobView } from '../../platform/workers/job-view';
import { ProceduresStore } from '../../nouns/procedures/procedures.store';
import { Choice } from '../../ui/choice';
import { Stepper } from '../../ui/stepper';
import { DEEPEST, depthsCode, depthsIn, LARGEST_CODE, readDepths, showDepths } from './depths';

/** Where what is told here is kept. */
const PLACE = 'busy row';
/** What there is until something is told: four heaps of thirteen, an ace in each. */
const [CARDS, DEPTHS, MOVES, HEAPS] = [13, [3, 5, 2, 6, 4, 1], 24, 4] as const;
const MOST_CARDS = DEEPEST;
/** What is wanted, heap by heap, in the procedure that is kept. */
const WANTED = ['AC', 'AD', 'AH', 'AS', 'KH', 'KS'];

const numbersIn = (value: unknown): readonly number[] =>
  Array.isArray(value) ? value.filter((each): each is number => typeof each === 'number') : [];
const wholeIn = (value: unknown, least: number, most: number, otherwise: number): number =>
  typeof value === 'number' && value >= least && value <= most ? value : otherwise;

/** A row of single-card moves that looks as if it wandered, shown one move at a time. */
@Component({
  selector: 'en-busy-page',
  imports: [Stepper, Choice, CountPipe, EntryField, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './busy-page.html',
  styleUrls: ['../../ui/page.scss', './busy-page.scss'],
})
export class BusyPage {
  private readonly told = inject(PatternsStore);
  private readonly procedures = inject(ProceduresStore);
  private readonly router = inject(Router);
  private readonly values = this.told.values(computed(() => PLACE));

  protected readonly counts = Array.from(
    { length: MOST_HEAPS - FEWEST_HEAPS + 1 },
    (_, index) => FEWEST_HEAPS + index,
  );
  protected readonly show = (value: number): string => value.toString();
  protected readonly readCards = numberReader(MOST_CARDS);
  protected readonly readDepths = readDepths;
  protected readonly showDepths = showDepths;
  protected readonly codeOf = ({ wanted }: BusyHeap): number => depthsCode(wanted);
  protected readonly readMoves = numberReader(MOST_MOVES);

  protected readonly wish = computed<BusyWish>(() => {
    const { heaps, cards, depths, moves, seed } = this.values();
    const [sizes, wanted] = [numbersIn(cards), numbersIn(depths)];
    return {
      heaps: Array.from({ length: wholeIn(heaps, FEWEST_HEAPS, MOST_HEAPS, HEAPS) }, (_, index): BusyHeap => {
        const depths = wholeIn(wanted.at(index), 0, LARGEST_CODE, DEPTHS[index]);
        return { cards: wholeIn(sizes.at(index), 1, MOST_CARDS, CARDS), wanted: depthsIn(depths) };
      }),
      moves: wholeIn(moves, 1, MOST_MOVES, MOVES),
      seed: wholeIn(seed, 1, 1e9, 1),
    };
  });

  private readonly job = jobView('busy row', this.wish);
  private readonly outcome = computed(() => answerOf(this.job()));
  protected readonly row = computed(() => {
    const outcome = this.outcome();
    return outcome?.ok ? outcome.row : undefined;
  });
  protected readonly problem = computed(() => {
    const outcome = this.outcome();
    return outcome && !outcome.ok ? sayProblem(outcome.problems[0]) : undefined;
  });
  protected readonly wanted = computed(() =>
    this.wish().heaps.reduce((sum, { wanted }) => sum + wanted.length, 0),
  );
  protected readonly isProved = computed(() => {
    const row = this.row();
    return row !== undefined && endsOnTop(this.wish().heaps, row.moves);
  });

  /** How many moves have been done: another row begins anew. */
  protected readonly step = linkedSignal<unknown, number>({ source: this.row, computation: () => 0 });
  protected readonly last = computed(() => this.row()?.moves.length ?? 0);
  /** The move that comes next. */
  protected readonly next = computed(() => this.row()?.moves.at(this.step()));
  protected readonly lying = computed(() => {
    const row = this.row();
    return row ? heapsAfter(this.wish().heaps, row.moves.slice(0, this.step())) : [];
  });
  protected readonly isUp = computed(() => this.lying().map((heap) => heap.length > 0 && heap[0].wanted));

  protected set(name: 'heaps' | 'moves', value: number | undefined): void {
    if (value !== undefined) void this.told.set(PLACE, name, value);
  }

  protected setHeap(name: 'cards' | 'depths', index: number, value: number | undefined): void {
    if (value === undefined) return;
    const now = this.wish().heaps.map(({ cards, wanted }) => (name === 'cards' ? cards : depthsCode(wanted)));
    const changed = now.map((each, heap) => (heap === index ? value : each));
    void this.told.set(PLACE, name, changed);
  }

  protected another(): void {
    void this.told.set(PLACE, 'seed', this.wish().seed + 1);
  }

  protected goTo(step: number): void {
    this.step.set(Math.max(0, Math.min(step, this.last())));
  }

  protected key(event: KeyboardEvent): void {
    if (event.target !== event.currentTarget || event.ctrlKey || event.altKey || event.metaKey) return;
    const step = this.step();
    const to = {
      ...{ ArrowLeft: step - 1, ArrowRight: step + 1, ' ': step + 1 },
      ...{ Home: 0, End: this.last() },
    }[event.key];
    if (to === undefined) return;
    this.goTo(to);
    event.preventDefault();
  }

  protected readonly keep = once('keep a busy row', async () => {
    const row = this.row();
    if (!row) return;
    const { heaps } = this.wish();
    const name = `A busy row of ${countOf(row.moves.length, 'move')}`;
    const procedure = busyProcedure(name, heaps, row.moves, WANTED.slice(0, this.wanted()));
    await this.router.navigate(['/rehearse', this.procedures.add(procedure, 'keep a busy row')]);
  });
}
