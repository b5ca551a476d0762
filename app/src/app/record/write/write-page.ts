import {
  ApplicationRef,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  input,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { Router, RouterLink } from '@angular/router';
import { notNoted, withoutDone, withDone, withText } from '@enumeron/core/file/record/changeNight';
import { type Night, sortOf } from '@enumeron/core/file/record/night';
import { ON_STAGE } from '../../nouns/performances/live.kind';
import { NightsStore } from '../../nouns/performances/nights.store';
import { RoutinesStore } from '../../nouns/sets/routines.store';
import { Viewport } from '../../platform/viewport';
import { without } from '../../platform/without';
import { onlyPlace } from '../../storage/kind';
import { Rows } from '../../storage/rows';
import { Choice } from '../../ui/choice';
import { titled } from '../../ui/titled';
import { fieldOf, sayClock, sayFullDay } from '../say-day';
import { Stated } from '../stated';
import { RoutineChange, RoutineRow } from './routine-row';

const SORTS = ['real', 'practice', 'run-through'] as const;
const SORT_WORDS = {
  ...{ real: 'before an audience', practice: 'practice with helpers', 'run-through': 'run-through' },
} as const;

/** A night as it is written down: a row a routine, kept with every key. */
@Component({
  selector: 'en-write-page',
  imports: [Choice, MatButton, MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger, RouterLink, RoutineRow],
  providers: [Stated],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './write-page.html',
  styleUrls: ['../../ui/page.scss', './write-page.scss'],
})
export class WritePage {
  readonly id = input.required<string>();

  private readonly store = inject(NightsStore);
  private readonly routines = inject(RoutinesStore);
  private readonly router = inject(Router);
  private readonly app = inject(ApplicationRef);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;

  protected readonly night = computed(() => this.store.find(this.id()));
  protected readonly isRead = computed(() => this.store.isRead(this.id()));
  protected readonly sorts = SORTS;
  protected readonly saySort = (sort: (typeof SORTS)[number]): string => SORT_WORDS[sort];
  protected readonly sort = computed(() => {
    const night = this.night();
    return night ? sortOf(night) : 'real';
  });
  protected readonly when = computed(() => fieldOf(this.night()?.at ?? 0));
  protected readonly day = computed(() => sayFullDay(this.night()?.at ?? 0));
  private readonly stage = inject(Rows).only(onlyPlace(ON_STAGE));
  /** Whether it goes on just now. */
  protected readonly isOnStage = computed(() => this.stage().performance === this.id());
  protected readonly phone = inject(Viewport).phone;
  /** When, where and before whom, in a line. */
  protected readonly about = computed(() => {
    const { at = 0, place = '', audience = '', name = '' } = this.night() ?? {};
    return [sayClock(at), name, place, audience].filter((part) => part !== '').join(' · ');
  });
  protected readonly mine = computed(() => this.routines.all() ?? []);
  /** Places and audiences of other nights, to choose from. */
  protected readonly places = computed(() => [...new Set(this.store.all()?.map(({ place = '' }) => place))]);
  protected readonly audiences = computed(() => [...new Set(this.store.all()?.map((each) => each.audience))]);

  constructor() {
    titled('Record', () => `Write down · ${this.day()}`);
    let begun = false;
    effect(() => {
      if (begun || !this.night()) return;
      begun = true;
      // With nothing told yet it begins at the first routine; the head is filled as it was the last time.
      untracked(() => setTimeout(() => this.fields().at(0)?.focus({ preventScroll: true })));
    });
  }

  protected change(label: string, about: string, make: (night: Night) => Night): void {
    void this.store.change(this.id(), label, make, about);
  }

  protected changeRoutine(index: number, id: string, { label, about, make }: RoutineChange): void {
    this.change(label, about, (night) => withDone(night, index, id, make));
  }

  protected text(field: 'place' | 'note', text: string): void {
    this.change(`write the ${field}`, field, (night) => withText(night, field, text));
  }

  protected setName(text: string): void {
    this.change('name the night', 'name', (night) => ({ ...night, name: text }));
  }

  protected setAudience(text: string): void {
    this.change('name the audience', 'audience', (night) => ({ ...night, audience: text.slice(0, 80) }));
  }

  protected setSize(text: string): void {
    const size = Number(text);
    if (text.trim() !== '' && !(Number.isSafeInteger(size) && size >= 0 && size <= 1_000_000)) return;
    this.change('note how many they were', 'size', (night) => ({
      ...without(night, 'size'),
      ...(text.trim() !== '' && { size }),
    }));
  }

  protected setMinutes(text: string): void {
    const minutes = Number(text);
    if (text.trim() !== '' && !(minutes >= 0 && minutes <= 6000)) return;
    this.change('note the minutes', 'minutes', (night) => ({
      ...without(night, 'seconds'),
      ...(text.trim() !== '' && { seconds: Math.round(minutes * 60) }),
    }));
  }

  protected setWhen(text: string): void {
    const at = new Date(text).getTime();
    if (!Number.isFinite(at)) return;
    this.change('move the night', 'when', (night) => ({ ...night, at }));
  }

  protected setSort(sort: (typeof SORTS)[number]): void {
    this.change(SORT_WORDS[sort], '', (night) => ({
      ...{ ...without(night, 'practice'), real: sort === 'real' },
      ...(sort === 'practice' && { practice: true as const }),
    }));
  }

  protected add(id: string, name: string): void {
    this.change(`add ${name}`, '', (night) => ({ ...night, done: [...night.done, notNoted(id, name)] }));
  }

  /** Of practice, the routine that was tried last: it is tried again and again. */
  protected readonly again = computed(() => {
    const night = this.night();
    return night?.practice ? night.done.at(-1) : undefined;
  });

  /** One more trial: the focus goes to what they choose. */
  protected onceMore(id: string, name: string): void {
    this.add(id, name);
    this.app.tick();
    this.host.querySelector<HTMLElement>('en-routine-row:last-of-type input.goes-on')?.focus();
  }

  protected remove(index: number, id: string): void {
    this.change('take a routine out', '', (night) => withoutDone(night, index, id));
  }

  /** The focus goes to the field behind one that is told; behind the last to what ends it. */
  protected goOn(from: HTMLElement): void {
    // What an ending opens must stand there before the next key comes.
    this.app.tick();
    const fields = this.fields();
    const own = from.classList.contains('goes-on') ? from : from.querySelector<HTMLElement>('.goes-on');
    const next = fields.at(fields.findIndex((each) => each === own) + 1);
    next?.focus();
    if (next instanceof HTMLInputElement) next.select();
  }

  protected finish(): void {
    void this.router.navigate(['/record', this.id()]);
  }

  private fields(): readonly HTMLElement[] {
    return [...this.host.querySelectorAll<HTMLElement>('.goes-on')];
  }
}
