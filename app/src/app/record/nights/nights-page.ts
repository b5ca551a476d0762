import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { Router, RouterLink } from '@angular/router';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { hitsOf, type Night, type NightSort, sortOf } from '@enumeron/core/file/record/night';
import { ROUTINE_ENDINGS } from '@enumeron/core/file/perform/cue/done';
import { rateOf } from '@enumeron/core/file/record/rates';
import { ENDING_WORDS } from '@enumeron/core/file/record/sayNight';
import { sinceLast } from '@enumeron/core/file/record/sinceLast';
import { NightsStore } from '../../nouns/performances/nights.store';
import { PERFORMANCES } from '../../nouns/performances/performances.kind';
import { Clock } from '../../platform/clock';
import { Notices } from '../../platform/notices';
import { once } from '../../platform/once';
import { SampleRoom } from '../../storage/sample-room';
import { Undoing } from '../../storage/undoing';
import { beginNight } from '../write/begin-night';
import { sayDay } from '../say-day';
import { NightsLookedFor } from './looked-for';
import { Month } from './month';
import { NightTable } from './night-table';
import { timesFrom } from './times';

const SORTS: Readonly<Record<NightSort, string>> = {
  ...{ real: 'before an audience', practice: 'practice with helpers', 'run-through': 'run-throughs' },
};

/** Every night, what to practise since the last one, and the way to write tonight down. */
@Component({
  selector: 'en-nights-page',
  imports: [MatButton, MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger, Month, NightTable, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './nights-page.html',
  styleUrls: ['../../ui/page.scss', '../answer.scss', '../../ui/sample-line.scss', './nights-page.scss'],
})
export class NightsPage {
  protected readonly store = inject(NightsStore);
  protected readonly looked = inject(NightsLookedFor);
  private readonly begin = beginNight();
  private readonly router = inject(Router);
  private readonly clock = inject(Clock);
  private readonly notices = inject(Notices);
  private readonly undoing = inject(Undoing);
  private readonly sample = inject(SampleRoom);

  protected readonly all = computed(() => this.store.all() ?? []);
  protected readonly nights = computed(() => this.looked.of(this.all()));
  /** How it went on the nights that are shown: those before an audience where not others are looked for. */
  protected readonly answer = computed(() => {
    const sort = this.looked.wish().sort ?? 'real';
    const counted = this.nights().filter((night) => sortOf(night) === sort && night.done.length > 0);
    const [hits, of] = counted
      .map(hitsOf)
      .reduce(([all, tries], { hits: each, of: from }) => [all + each, tries + from], [0, 0]);
    if (of === 0) return undefined;
    const { low, high } = rateOf(hits, of);
    const [least, most] = [low, high].map((share) => Math.round(share * 100).toString());
    return {
      headline: `${hits.toString()} of ${of.toString()} hit`,
      says: `${countOf(counted.length, 'night')}. Between ${least} and ${most} of 100 would, by these.`,
    };
  });
  protected readonly practise = computed(() => sinceLast(this.all()));
  protected readonly next = computed(() => {
    const now = this.clock.now();
    const coming = this.all().filter(({ at, done }) => at > now && done.length === 0);
    return coming.at(-1);
  });
  protected readonly day = sayDay;

  protected readonly routines = computed(() => {
    const names = new Map<string, string>();
    for (const { done } of this.all())
      for (const { id, name } of done) if (!names.has(id)) names.set(id, name);
    return [...names].map(([id, name]) => ({ id, name })).sort((a, b) => (a.name < b.name ? -1 : 1));
  });
  protected readonly routineName = computed(() => {
    const id = this.looked.wish().routine;
    return this.routines().find((each) => each.id === id)?.name ?? 'any routine';
  });
  protected readonly places = computed(() => told(this.all().map(({ place = '' }) => place)));
  protected readonly audiences = computed(() => told(this.all().map(({ audience }) => audience)));
  protected readonly endings = ROUTINE_ENDINGS;
  protected readonly endingWords = ENDING_WORDS;
  protected readonly times = timesFrom(this.clock.now());
  protected readonly timeWords = computed(() => {
    const { from, before } = this.looked.wish();
    const found = this.times.find((each) => each.from === from && each.before === before);
    return found?.words ?? (from === undefined ? 'any time' : sayDay(from));
  });
  protected readonly sorts = Object.entries(SORTS) as readonly [NightSort, string][];
  protected readonly sortWords = computed(() => {
    const { sort } = this.looked.wish();
    return sort === undefined ? 'all nights' : SORTS[sort];
  });

  /** Looks for the nights of one day. */
  protected showDay(nights: readonly Night[]): void {
    const day = new Date(nights[0].at);
    const from = new Date(day.getFullYear(), day.getMonth(), day.getDate()).getTime();
    const before = new Date(day.getFullYear(), day.getMonth(), day.getDate() + 1).getTime();
    this.looked.set({ from, before });
  }

  protected readonly write = once('write a night down', async (about: Partial<Night>) => {
    await this.router.navigate(['/record', this.begin(about), 'write']);
  });

  protected readonly duplicate = once('duplicate a night', async (night: Night) => {
    await this.router.navigate(['/record', this.store.duplicate(night, this.clock.now()), 'write']);
  });

  protected readonly remove = once('remove a night', async (night: Night) => {
    await this.store.remove(night);
    await this.notices.offerUndo(`${sayDay(night.at)}, ${night.name || 'a night'} is removed.`, () =>
      this.undoing.undo('record'),
    );
  });

  protected readonly takeAway = once('take the sample away', () => this.sample.takeAway([PERFORMANCES]));
}

/** Each text once, in the sequence of letters, without empty ones. */
const told = (texts: readonly string[]): readonly string[] =>
  [...new Set(texts.map((text) => text.trim()))].filter((text) => text !== '').sort();
