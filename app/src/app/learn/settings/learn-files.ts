import { ChangeDetectionStrategy, Component, inject, Injector, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { DAY, forecastOf } from '@enumeron/core/learn';
import { filter, firstValueFrom, map } from 'rxjs';
import { Clock } from '../../platform/clock';
import { download } from '../../platform/download';
import { once } from '../../platform/once';
import { Scripts } from '../../platform/scripts';
import { RUN_JOB } from '../../platform/workers/jobs';
import type { Learnt } from '../files/learning-csv';
import { History } from '../../nouns/learning/history';
import { LearnStore } from '../../nouns/learning/learn.store';

/** So many days are entered, from so many runs of the schedule. */
const [DAYS, RUNS, SEED] = [30, 8, 11];

/** Answers, items and the coming practice as files. */
@Component({
  selector: 'en-learn-files',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h3>Files</h3>
    <p class="lead">
      Every answer, with the numbers to replay the schedule; every question as it stands; the next 30 days for
      a calendar. All of it is in the backup, too.
    </p>
    <div class="row">
      <button mat-stroked-button type="button" (click)="answers()">Answers, CSV</button>
      <button mat-stroked-button type="button" (click)="items()">Questions, CSV</button>
      <button mat-stroked-button type="button" (click)="calendar()">Practice days, iCalendar</button>
    </div>
    <p class="lead" role="status">{{ note() }}</p>`,
  styleUrl: '../../ui/page.scss',
})
export class LearnFiles {
  private readonly store = inject(LearnStore);
  private readonly history = inject(History);
  private readonly scripts = inject(Scripts);
  private readonly clock = inject(Clock);
  private readonly injector = inject(Injector);
  protected readonly note = signal('');

  protected readonly answers = once('save the answers', () =>
    this.save('answers.csv', 'text/csv', async () => {
      const { reviewsCsv } = await this.scripts.load(() => import('../files/learning-csv'));
      const rows = await this.history.read(this.store.orderId());
      return rows.length === 0 ? undefined : reviewsCsv(this.learnt(), rows.reverse());
    }),
  );

  protected readonly items = once('save the items', () =>
    this.save('items.csv', 'text/csv', async () => {
      const { itemsCsv } = await this.scripts.load(() => import('../files/learning-csv'));
      const rows = [...this.store.itemRows().values()];
      return rows.length === 0 ? undefined : itemsCsv(this.learnt(), rows);
    }),
  );

  protected readonly calendar = once('save the calendar', () =>
    this.save('practice.ics', 'text/calendar', async () => {
      const { practiceCalendar } = await this.scripts.load(() => import('../files/practice-calendar'));
      const args = this.store.forecastArgs(DAYS, RUNS, SEED);
      if (!args) return undefined;
      const runs = await firstValueFrom(
        this.injector
          .get(RUN_JOB)('forecast', args)
          .pipe(
            filter((state) => state.kind === 'ended'),
            map(({ result }) => result),
          ),
      );
      const { answers } = forecastOf(runs, DAYS);
      const days = answers.map(({ middle }, day) => ({
        date: new Date(this.store.dayBegan() + day * DAY + DAY / 2),
        answers: middle,
        minutes: Math.max(1, Math.round((middle * args.answerTime) / 60_000)),
      }));
      return practiceCalendar(this.store.name(), days, this.store.orderId());
    }),
  );

  private learnt(): Learnt {
    return { name: this.store.name(), order: this.store.order(), schedule: this.store.scheduleSettings() };
  }

  /** Makes a file and hands it over; says what came of it. */
  private async save(name: string, type: string, make: () => Promise<string | undefined>): Promise<void> {
    this.note.set('');
    try {
      const text = await make();
      if (text === undefined) {
        this.note.set('There is nothing to write yet.');
        return;
      }
      const file = `${this.store.name()} ${new Date(this.clock.now()).toISOString().slice(0, 10)} ${name}`;
      download(text, file, type);
      this.note.set(`Saved as ${file}.`);
    } catch {
      this.note.set('The file couldn’t be made: part of Enumeron or your answers didn’t load. Try again.');
    }
  }
}
