import { CountPipe } from '../../ui/count-pipe';
import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { Router } from '@angular/router';
import { showCard } from '@enumeron/core/deck';
import { bestRuns, RUN_WAYS, runSequence, runTime, RunWay, slowestSteps } from '@enumeron/core/learn';
import { switchMap } from 'rxjs';
import { RunRow, RUNS } from '../../nouns/learning/runs.kind';
import { Reader } from '../../storage/reader';
import { Storage } from '../../storage/storage';
import { CardText } from '../../ui/card-text';
import { LearnStore } from '../../nouns/learning/learn.store';
import { startByEnter } from '../start-by-enter';
import { Choice } from '../../ui/choice';

/** So many of the best runs are shown, and so many of their slowest steps. */
const [BEST, SLOWEST] = [10, 3];

/** Where a run begins. */
const BEGINNINGS = ['the top', 'any card'] as const;

/** All cards of the order in turn, against the clock: how it is run, and the best runs so far. */
@Component({
  selector: 'en-run',
  imports: [Choice, CountPipe, CardText, DatePipe, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './run.html',
  styleUrls: ['../../ui/page.scss', './run.scss'],
})
export class Run {
  protected readonly store = inject(LearnStore);
  private readonly router = inject(Router);
  private readonly storage = inject(Storage);
  private readonly reader = inject(Reader);

  protected readonly ways = RUN_WAYS;
  protected readonly beginnings = BEGINNINGS;
  protected readonly way = signal<RunWay>('forwards');
  protected readonly begins = signal<(typeof BEGINNINGS)[number]>('the top');
  protected readonly aloud = signal(false);
  protected readonly howWords = (aloud: boolean): string =>
    aloud ? 'said aloud, a key or tap for each' : 'typed';

  private readonly runs = toSignal(
    toObservable(this.store.orderId).pipe(
      switchMap((id) =>
        this.storage
          .live((db) => db.rows(RUNS).where('[order+at]').between([id, 0], [id, Infinity]).toArray())
          .pipe(this.reader.sound(RUNS)),
      ),
    ),
    { initialValue: [] as RunRow[] },
  );
  protected readonly best = computed(() => {
    const order = this.store.order();
    const own = this.runs().filter(({ way }) => way === this.way());
    return bestRuns(own, order.length)
      .slice(0, BEST)
      .map((run) => {
        const sequence = runSequence(order.length, this.way(), run.from);
        const slow = slowestSteps(run, SLOWEST).map(({ index, ms }) => {
          return `${showCard(order[sequence[index] - 1])} ${(ms / 1000).toFixed(1)} s`;
        });
        return {
          ...{ id: run.id, at: run.at, wrong: run.wrong.length, slow: slow.join(', ') },
          ...{ time: clockTime(runTime(run)), each: (runTime(run) / order.length / 1000).toFixed(1) },
          how: run.said ? 'said' : 'typed',
        };
      });
  });

  constructor() {
    startByEnter(() => this.start());
  }

  protected start(): void {
    const size = this.store.order().length;
    if (size === 0) return;
    const from = this.begins() === 'the top' ? 1 : 1 + Math.floor(Math.random() * size);
    const queryParams = { way: this.way(), from, ...(this.aloud() ? { said: 1 } : {}) };
    void this.router.navigate(['/learn/run/practise'], { queryParams });
  }
}

/** `1:47.3` */
export const clockTime = (ms: number): string => {
  const tenths = Math.round(ms / 100);
  const [minutes, rest] = [Math.floor(tenths / 600), tenths % 600];
  return `${minutes.toString()}:${(rest / 10).toFixed(1).padStart(4, '0')}`;
};
