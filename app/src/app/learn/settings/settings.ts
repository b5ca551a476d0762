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
import { TextField } from '../../ui/form/text-field';

/** What the schedule's wanted retention may be, in percent. */
const [LEAST, MOST] = [70, 97];

/** The most cards that are met in a day. */
const MOST_NEW = 60;

const seconds = (ms: number): string => (ms / 1000).toString();

/** Milliseconds of a text in seconds; a comma may stand for the point. */
const msOf = (text: string): number => Math.round(Number(text.trim().replace(',', '.')) * 1000);

const percentOf = (text: string): number => Number(text.trim().replace('%', ''));

const numbersIn = (text: string): readonly number[] =>
  text
    .split(/[\s,;]+/)
    .filter((part) => part !== '')
    .map(Number);

/** How the order is learnt: days, blocks and directions, what is fast, the schedule, and files of all that. */
@Component({
  selector: 'en-learn-settings',
  imports: [Choice, CountPipe, HeadWayList, LearnFiles, MatButton, TextField],
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
    ['quick', 'At once: right within'],
    ['fluent', 'Fluent: right within'],
    ['slow', 'Slow: right, but after more than'],
  ] as const satisfies readonly (readonly [keyof Pace, string])[];
  protected readonly seconds = seconds;

  protected readonly blockSize = computed(() => {
    const { blocks } = this.store.settings();
    return blocks.kind === 'size' ? blocks.size : undefined;
  });
  /** After which stack numbers the user's own blocks end, as text; undefined where there are none. */
  protected readonly blockEnds = computed(() => {
    const { blocks } = this.store.settings();
    return blocks.kind === 'ends' ? blocks.ends.join(', ') : undefined;
  });
  protected readonly retention = computed(() => Math.round(this.wanted().retention * 100).toString());
  protected readonly weights = computed(() => this.wanted().weights.join(', '));
  protected readonly isUsual = computed(() => {
    const { retention, weights } = this.store.scheduleSettings();
    return retention === SCHEDULE.retention && weights.join() === SCHEDULE.weights.join();
  });

  protected readonly tried = signal<Tried | undefined>(undefined);
  /** The schedule that was tried last, or the one that holds. */
  private readonly wanted = computed<ScheduleSettings>(() => this.asked() ?? this.store.scheduleSettings());
  private readonly asked = signal<ScheduleSettings | undefined>(undefined);
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

  protected readonly whyNoCount = (text: string): string | undefined =>
    /^\d{1,2}$/.test(text.trim()) && Number(text) <= MOST_NEW
      ? undefined
      : `Write a number from 0 to ${MOST_NEW.toString()}.`;

  protected setNew(text: string): void {
    this.store.set({ newCards: Number(text) });
  }

  protected setBlocks(size: string): void {
    if (size === 'ends') this.store.set({ blocks: { kind: 'ends', ends: [10, 20, 30, 40] } });
    else this.store.set({ blocks: size === 'own' ? { kind: 'own' } : { kind: 'size', size: Number(size) } });
  }

  protected readonly whyNoEnds = (text: string): string | undefined =>
    parseEnds(text) ? undefined : 'Write stack numbers that go up, such as 10, 20, 35.';

  protected setEnds(text: string): void {
    const ends = parseEnds(text);
    if (ends) this.store.set({ blocks: { kind: 'ends', ends } });
  }

  /** Why a text is no time in seconds, or does not fit the others: each is as long as the one before at least. */
  protected whyNoPace(which: keyof Pace): (text: string) => string | undefined {
    return (text) => {
      const ms = msOf(text);
      const pace = { ...this.store.pace(), [which]: ms };
      if (!(ms >= 100 && ms <= 60_000)) return 'Write seconds from 0.1 to 60.';
      if (pace.quick > pace.fluent) return '“At once” can’t be longer than “fluent”.';
      return pace.fluent > pace.slow ? '“Fluent” can’t be longer than “slow”.' : undefined;
    };
  }

  protected setPace(which: keyof Pace, text: string): void {
    this.store.set({ pace: { ...this.store.pace(), [which]: msOf(text) } });
  }

  protected usualPace(): void {
    this.store.set({ pace: PACE });
  }

  protected readonly whyNoShare = (text: string): string | undefined =>
    percentOf(text) >= LEAST && percentOf(text) <= MOST
      ? undefined
      : `Write a number from ${LEAST.toString()} to ${MOST.toString()}.`;

  protected readonly whyNoNumbers = (text: string): string | undefined => {
    const read = checkWeights(numbersIn(text));
    return read.ok ? undefined : sayProblem(read.problems[0]);
  };

  /** Tries a schedule with what was typed: how often a card shall be right, and the numbers of the model. */
  protected see(part: Partial<ScheduleSettings>): Promise<void> {
    return this.run({ ...this.wanted(), ...part });
  }

  protected seeShare(text: string): Promise<void> {
    return this.see({ retention: percentOf(text) / 100 });
  }

  protected seeNumbers(text: string): Promise<void> {
    const read = checkWeights(numbersIn(text));
    return read.ok ? this.see({ weights: read.weights }) : Promise.resolve();
  }

  protected readonly seeUsual = (): Promise<void> => this.run(SCHEDULE);

  private async run(settings: ScheduleSettings): Promise<void> {
    this.asked.set(settings);
    this.tried.set(undefined);
    this.note.set('');
    this.trying.set(true);
    try {
      this.tried.set(await this.rescheduling.try(settings));
    } catch {
      this.note.set('Part of Enumeron or your answers didn’t load. Reload the page.');
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
        taken ? 'Done: everything is rescheduled.' : 'Something was answered meanwhile. Try again.',
      );
    } catch {
      this.note.set('The browser isn’t saving at the moment: nothing has changed.');
    }
    this.tried.set(undefined);
    this.asked.set(undefined);
  });
}
