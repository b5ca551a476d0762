import { CountPipe } from '../../ui/count-pipe';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { sayProblem } from '@enumeron/core/deck';
import {
  checkWeights,
  DAY,
  Direction,
  DIRECTION_WORDS,
  DIRECTIONS,
  MORE_DIRECTIONS,
  Pace,
  PACE,
  parseEnds,
  SCHEDULE,
  scheduleChange,
  ScheduleSettings,
} from '@enumeron/core/learn';
import { HeadWayList } from '../../ui/head-way-list';
import { once } from '../../platform/once';
import { History } from '../../nouns/learning/history';
import { LearnStore } from '../../nouns/learning/learn.store';
import { Rescheduling, Tried } from '../../nouns/learning/rescheduling';
import { LearnFiles } from './learn-files';
import { Choice } from '../../ui/choice';

/** What the schedule's wanted retention may be, in percent. */
const [LEAST, MOST] = [70, 97];

const seconds = (ms: number): string => (ms / 1000).toString();

/** How the order is learnt: days, blocks and directions, what is fast, the schedule, and files of all that. */
@Component({
  selector: 'en-learn-settings',
  imports: [Choice, CountPipe, HeadWayList, LearnFiles, MatButton],
  providers: [History, Rescheduling],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './settings.html',
  styleUrls: ['../../ui/page.scss', './settings.scss'],
})
export class LearnSettings {
  protected readonly store = inject(LearnStore);
  private readonly rescheduling = inject(Rescheduling);

  protected readonly words = DIRECTION_WORDS;
  protected readonly allDirections = [...DIRECTIONS, ...MORE_DIRECTIONS];
  protected readonly lengths: readonly number[] = [2, 5, 10, 20];
  protected readonly inMinutes = (minutes: number): string => `${minutes.toString()} min`;
  protected readonly paces = [
    ['quick', 'Easy: right within'],
    ['fluent', 'Fluent: right within'],
    ['slow', 'Hard: right, but after more than'],
  ] as const satisfies readonly (readonly [keyof Pace, string])[];
  protected readonly seconds = seconds;
  protected readonly wrong = signal('');

  protected readonly blockSize = computed(() => {
    const { blocks } = this.store.settings();
    return blocks.kind === 'size' ? blocks.size : undefined;
  });
  /** After which stack numbers the user's own blocks end, as text; undefined where there are none. */
  protected readonly blockEnds = computed(() => {
    const { blocks } = this.store.settings();
    return blocks.kind === 'ends' ? blocks.ends.join(', ') : undefined;
  });
  protected readonly retention = computed(() => Math.round(this.store.scheduleSettings().retention * 100));
  protected readonly weights = computed(() => this.store.scheduleSettings().weights.join(', '));
  protected readonly isUsual = computed(() => {
    const { retention, weights } = this.store.scheduleSettings();
    return retention === SCHEDULE.retention && weights.join() === SCHEDULE.weights.join();
  });

  protected readonly tried = signal<Tried | undefined>(undefined);
  protected readonly trying = signal(false);
  protected readonly note = signal('');
  /** What the schedule that was tried would do. */
  protected readonly change = computed(() => {
    const tried = this.tried();
    if (!tried) return undefined;
    const until = this.store.dayBegan() + DAY;
    const { items, due, interval } = scheduleChange(this.store.memories(), tried.memories, until);
    const days = interval.map((each) => each.toFixed(1));
    return { items, due, days };
  });

  protected toggle(direction: Direction): void {
    const { directions } = this.store.settings();
    const next = directions.includes(direction)
      ? directions.filter((each) => each !== direction)
      : this.allDirections.filter((each) => each === direction || directions.includes(each));
    if (next.length > 0 || this.store.isComputed()) this.store.set({ directions: next });
  }

  protected setNew(field: HTMLInputElement): void {
    const count = Number(field.value);
    if (/^\d{1,2}$/.test(field.value.trim()) && count <= 60) this.store.set({ newCards: count });
    this.tell(field, this.store.settings().newCards.toString(), 'New cards a day: a number from 0 to 60.');
  }

  protected setBlocks(size: string): void {
    if (size === 'ends') this.store.set({ blocks: { kind: 'ends', ends: [10, 20, 30, 40] } });
    else this.store.set({ blocks: size === 'own' ? { kind: 'own' } : { kind: 'size', size: Number(size) } });
  }

  protected setEnds(field: HTMLInputElement): void {
    const ends = parseEnds(field.value);
    if (ends) this.store.set({ blocks: { kind: 'ends', ends } });
    this.wrong.set(ends ? '' : 'Blocks end after stack numbers that go up: 10, 20, 35.');
    field.value = this.blockEnds() ?? '';
  }

  /** A time in seconds; each must be longer than the one before. */
  protected setPace(which: keyof Pace, field: HTMLInputElement): void {
    const ms = Math.round(Number(field.value.trim().replace(',', '.')) * 1000);
    const pace = { ...this.store.pace(), [which]: ms };
    const fits = ms >= 100 && ms <= 60_000 && pace.quick <= pace.fluent && pace.fluent <= pace.slow;
    if (fits) this.store.set({ pace });
    this.tell(
      field,
      seconds(this.store.pace()[which]),
      'Times from 0.1 to 60 seconds: easy is not longer than fluent, and fluent not longer than hard.',
    );
  }

  protected usualPace(): void {
    this.store.set({ pace: PACE });
  }

  /** Puts what holds back into a field that could not be read, and says what it may hold. */
  private tell(field: HTMLInputElement, holds: string, words: string): void {
    const fits = Number(field.value.replace(',', '.')) === Number(holds);
    this.wrong.set(fits ? '' : words);
    if (!fits) field.value = holds;
  }

  protected async see(retention: string, weights: string): Promise<void> {
    this.tried.set(undefined);
    const percent = Number(retention.trim().replace('%', ''));
    if (!(percent >= LEAST && percent <= MOST)) {
      this.note.set(
        `How often you want to be right is from ${LEAST.toString()} to ${MOST.toString()} in 100.`,
      );
      return;
    }
    const read = checkWeights(
      weights
        .split(/[\s,;]+/)
        .filter((part) => part !== '')
        .map(Number),
    );
    if (!read.ok) {
      this.note.set(sayProblem(read.problems[0]));
      return;
    }
    await this.run({ retention: percent / 100, weights: read.weights });
  }

  protected readonly seeUsual = (): Promise<void> => this.run(SCHEDULE);

  private async run(settings: ScheduleSettings): Promise<void> {
    this.note.set('');
    this.trying.set(true);
    try {
      this.tried.set(await this.rescheduling.try(settings));
    } catch {
      this.note.set('Part of Enumeron could not be loaded, or storage cannot be read. Reload the page.');
    } finally {
      this.trying.set(false);
    }
  }

  protected readonly take = once('reschedule', async () => {
    const tried = this.tried();
    if (!tried) return;
    try {
      const taken = await this.rescheduling.take(tried);
      this.note.set(
        taken ? 'Done: every item is scheduled anew.' : 'Something was answered meanwhile. Try again.',
      );
    } catch {
      this.note.set('Storage takes nothing just now: nothing has changed.');
    }
    this.tried.set(undefined);
  });
}
