import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DOCUMENT,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { Router, RouterLink } from '@angular/router';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { audiencesIn } from '@enumeron/core/file/rehearse/says';
import { PerformancesStore } from '../../nouns/performances/performances.store';
import { RoutinesStore } from '../../nouns/sets/routines.store';
import { SetsStore } from '../../nouns/sets/sets.store';
import { once } from '../../platform/once';
import { enterFullScreen } from '../../platform/whole-screen';
import { Choice } from '../../ui/choice';
import { CountPipe } from '../../ui/count-pipe';
import { titled } from '../../ui/titled';
import { BeforeList } from '../before/before-list';
import { Facts } from '../facts';
import { makePlan } from '../live/make-plan';
import { SetDesk } from '../sets/set-desk';

/** The set of tonight: what to look at before one goes on, and the way onto the stage. */
@Component({
  selector: 'en-tonight-page',
  imports: [
    BeforeList,
    Choice,
    CountPipe,
    MatButton,
    MatMenu,
    MatMenuContent,
    MatMenuItem,
    MatMenuTrigger,
    RouterLink,
  ],
  providers: [SetDesk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './tonight-page.html',
  styleUrls: ['../../ui/page.scss', './tonight-page.scss'],
})
export class TonightPage {
  protected readonly desk = inject(SetDesk);
  protected readonly facts = inject(Facts);
  private readonly sets = inject(SetsStore);
  private readonly routines = inject(RoutinesStore);
  private readonly performances = inject(PerformancesStore);
  private readonly router = inject(Router);
  private readonly document = inject(DOCUMENT);

  protected readonly all = computed(() => this.sets.all() ?? []);
  protected readonly isRead = computed(() => this.sets.all() !== undefined && this.performances.isRead());
  /** The performance that still goes on. */
  protected readonly onStage = this.performances.onStage;
  /** The set that was chosen for tonight, or the one that was changed last. */
  protected readonly chosen = computed(
    () => this.all().find(({ id }) => id === this.performances.tonight()) ?? this.all().at(0),
  );
  protected readonly says = computed(
    () => `${countOf(this.desk.lines().length, 'routine')}, ${countOf(this.desk.minutes(), 'minute')}`,
  );
  /** The audiences that anything is said to in other words. */
  protected readonly audiences = computed(() => {
    const words = this.desk.lines().flatMap(({ row }) => {
      const procedure = this.facts.procedure(row?.procedure);
      return [...(row?.routine.says.map(({ to }) => to) ?? []), ...(procedure ? audiencesIn(procedure) : [])];
    });
    const named = [...new Set(words)].filter((each) => each !== '');
    return named.length === 0 ? [] : ['', ...named];
  });
  /** Whether the set may begin: what its routines need is known, or nobody waits for it. */
  protected readonly evenSo = signal(false);
  protected readonly isHeld = computed(() => this.desk.isWaiting() && !this.evenSo());
  protected readonly audience = signal('');
  protected readonly sayAudience = (audience: string): string => (audience === '' ? 'everybody' : audience);

  constructor() {
    titled('Perform', () => 'Tonight');
    // The stage is there before it is entered: in the wings there may be no network.
    afterNextRender(() => {
      import('../live/live-page').catch((error: unknown) => console.warn(error));
    });
    effect(() => {
      const id = this.chosen()?.id ?? '';
      untracked(() => this.desk.id.set(id));
    });
  }

  protected choose(id: string): void {
    this.performances.choose(id);
  }

  protected goOn(): void {
    enterFullScreen(this.document);
    void this.router.navigate(['/perform', 'live']);
  }

  /** Ends what is on stage as far as it had come: that is kept. */
  protected endIt(): void {
    const stage = this.onStage();
    if (stage) void this.performances.finish(stage.id);
  }

  /** Begins the set, before an audience or alone. */
  protected readonly begin = once('begin the set', async (real: boolean) => {
    const [row, all] = [this.chosen(), this.routines.all()];
    if (!row || !all) return;
    enterFullScreen(this.document);
    const { set, id } = row;
    const audience = this.audiences().includes(this.audience()) ? this.audience() : '';
    const { name, order, spares, intervalMinutes } = set;
    const asked = {
      ...{ name, order, spares, audience, intervalMinutes },
      ...(this.desk.interval() !== undefined && { interval: this.desk.interval() }),
    };
    void this.performances.begin(makePlan(asked, all, this.facts), { real, set: id });
    await this.router.navigate(['/perform', 'live']);
  });
}
