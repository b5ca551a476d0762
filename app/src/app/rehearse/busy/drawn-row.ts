import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { sayProblem } from '@enumeron/core/deck';
import { BusyWish, endsOnTop, heapsAfter, MOST_MOVES } from '@enumeron/core/file/rehearse/busyRow';
import { BUSY_PLACE } from '../../nouns/pack/busy-told';
import { PatternsStore } from '../../nouns/pack/patterns.store';
import { once } from '../../platform/once';
import { answerOf, jobView } from '../../platform/workers/job-view';
import { CountPipe } from '../../ui/count-pipe';
import { EntryField } from '../../ui/form/entry-field';
import { numberReader } from '../../ui/form/reading';
import { HeapPiles } from '../../ui/heap-piles';
import { Stepper } from '../../ui/stepper';
import { KeepRow } from './keep-row';

/** A row of single-card moves that looks as if it wandered, shown one move at a time. */
@Component({
  selector: 'en-drawn-row',
  imports: [CountPipe, EntryField, HeapPiles, MatButton, Stepper],
  providers: [KeepRow],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './drawn-row.html',
  styleUrls: ['../../ui/page.scss', './moves.scss'],
})
export class DrawnRow {
  private readonly told = inject(PatternsStore);
  private readonly keepRow = inject(KeepRow);
  readonly wish = input.required<BusyWish>();

  protected readonly show = (value: number): string => value.toString();
  protected readonly readMoves = numberReader(MOST_MOVES);

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

  protected setMoves(value: number | undefined): void {
    if (value !== undefined) void this.told.set(BUSY_PLACE, 'moves', value);
  }

  protected another(): void {
    void this.told.set(BUSY_PLACE, 'seed', this.wish().seed + 1);
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
    if (row) await this.keepRow.keep(this.wish().heaps, row.moves);
  });
}
