import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { doneIn, sortOf } from '@enumeron/core/file/record/night';
import { type RoutineDone } from '@enumeron/core/file/perform/cue/done';
import { ENDING_WORDS, sayChosenValue, sayHits, sayMinutes } from '@enumeron/core/file/record/sayNight';
import { NightsStore } from '../../nouns/performances/nights.store';
import { Clock } from '../../platform/clock';
import { Notices } from '../../platform/notices';
import { once } from '../../platform/once';
import { Undoing } from '../../storage/undoing';
import { CardText } from '../../ui/card-text';
import { titled } from '../../ui/titled';
import { sayClock, sayFullDay } from '../say-day';

const SORT_WORDS = {
  ...{ real: '', practice: 'practice with helpers', 'run-through': 'run-through' },
} as const;

/** A night as a programme: what was done, what they chose, and what it cost. */
@Component({
  selector: 'en-night-page',
  imports: [CardText, MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './night-page.html',
  styleUrls: ['../../ui/page.scss', './night-page.scss'],
})
export class NightPage {
  readonly id = input.required<string>();

  private readonly store = inject(NightsStore);
  private readonly router = inject(Router);
  private readonly notices = inject(Notices);
  private readonly undoing = inject(Undoing);
  private readonly clock = inject(Clock);

  protected readonly night = computed(() => this.store.find(this.id()));
  protected readonly isRead = computed(() => this.store.isRead(this.id()));
  protected readonly hits = computed(() => {
    const night = this.night();
    return night ? sayHits(night) : '';
  });
  protected readonly day = computed(() => sayFullDay(this.night()?.at ?? 0));
  /** Where, before whom, for how long. */
  protected readonly about = computed(() => {
    const night = this.night();
    if (!night) return '';
    const { place = '', audience, size, seconds, at } = night;
    return [
      ...[place, sayClock(at), audience, size === undefined ? '' : countOf(size, 'person', 'people')],
      ...[seconds === undefined ? '' : sayMinutes(seconds), SORT_WORDS[sortOf(night)]],
    ]
      .filter((part) => part !== '')
      .join(' · ');
  });
  protected readonly lines = computed(() => (this.night()?.done ?? []).map(lineOf));
  protected readonly isToCome = computed(() => {
    const night = this.night();
    return night !== undefined && doneIn(night).length === 0 && night.at > this.clock.now();
  });

  constructor() {
    titled('Record', () => this.day());
  }

  protected readonly remove = once('remove a night', async () => {
    const night = this.night();
    if (!night) return;
    await this.router.navigate(['/record']);
    await this.store.remove(night);
    await this.notices.offerUndo(`${this.day()} is removed.`, () => this.undoing.undo('record'));
  });

  protected readonly duplicate = once('duplicate a night', async () => {
    const night = this.night();
    if (night)
      await this.router.navigate(['/record', this.store.duplicate(night, this.clock.now()), 'write']);
  });
}

/** A routine of the programme. */
const lineOf = ({ name, how, out, why, wrong, slips = [], choices, mends }: RoutineDone) => {
  const took = mends.reduce((sum, { seconds }) => sum + seconds, 0);
  return {
    ...{ name, how, ends: ENDING_WORDS[how] },
    because: [
      why ?? out ?? '',
      wrong ? `claimed: ${wrong}` : '',
      ...slips.map((sum) => `slip: ${sum}`),
    ].filter((part) => part !== ''),
    choices: choices
      .filter(({ seen }) => !seen)
      .map((chosen) => ({
        ...{ name: chosen.name, value: sayChosenValue(chosen), said: chosen.said ?? '' },
        isSecret: chosen.inSecret === true,
      })),
    mended: took > 0 ? `mended before it in ${sayMinutes(took)}` : '',
  };
};
