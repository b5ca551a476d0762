import { ChangeDetectionStrategy, Component, computed, DOCUMENT, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { fromHere, PackNow } from '@enumeron/core/file/perform/fromHere';
import { packState } from '@enumeron/core/file/perform/packState';
import { NamedHome, sayMend, sayState, whyNoMend } from '@enumeron/core/file/perform/say';
import { PackState } from '@enumeron/core/file/perform/state';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { PackStore } from '../../nouns/pack/pack.store';
import { ByRecord } from '../../nouns/procedures/by-record';
import { PerformancesStore } from '../../nouns/performances/performances.store';
import { RoutineRow } from '../../nouns/sets/routines.kind';
import { RoutinesStore } from '../../nouns/sets/routines.store';
import { SetsStore } from '../../nouns/sets/sets.store';
import { once } from '../../platform/once';
import { enterFullScreen } from '../../platform/whole-screen';
import { CardText } from '../../ui/card-text';
import { Choice } from '../../ui/choice';
import { Facts, PackFacts } from '../facts';
import { makePlan } from '../live/make-plan';
import { Stage } from '../live/stage';
import { sayTime } from '../sets/junction-words';

/** How the pack in hand lies: as the rail has it, or less is known of it. */
const LIES = ['rail', 'cut', 'lost'] as const;
type Lies = (typeof LIES)[number];
const LIES_WORDS: Readonly<Record<Lies, string>> = {
  ...{ rail: 'as on the rail', cut: 'cut, I did not see where', lost: 'in no known order' },
};

/** Which routines can be done from how the pack in hand lies: at once, after which mend, or not. */
@Component({
  selector: 'en-from-here',
  imports: [CardText, Choice, MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<section>
    <h2>From here</h2>
    <p class="lead">
      Something went wrong, or they ask for one more: what you can do with {{ name() }}, the pack in hand.
      Tell the ask line what happened to it; the packs that you have not used are ready.
    </p>
    <en-choice
      lead="It lies"
      name="How the pack in hand lies"
      [options]="options"
      [says]="words"
      [(value)]="lies"
    />
    <p class="now">Now: <en-card-text [text]="says()" />.</p>
    @if (!onStage()) {
      <en-choice
        lead="Begin one"
        name="Begin one for real or as a run-through"
        [options]="ways"
        [says]="sayWay"
        [(value)]="way"
      />
    }
    <ul class="rows">
      @for (each of rows(); track each.id) {
        <li class="row" [class.cannot]="each.cannot">
          @if (!each.cannot) {
            <button
              mat-stroked-button
              type="button"
              [attr.aria-label]="'Do ' + each.name + ' now'"
              (click)="go(each.id)"
            >
              do it
            </button>
          }
          <a [routerLink]="['/perform/routines', each.id]">
            <strong>{{ each.name }}</strong>
            <span class="says">{{ each.when }}</span>
            <span class="more-words"><en-card-text [text]="each.what" /> {{ each.outs }}</span>
          </a>
        </li>
      } @empty {
        <li class="note">No routine yet. <a routerLink="/perform/routines">Write one</a></li>
      }
    </ul>
  </section>`,
  providers: [Stage],
  styleUrls: ['../../ui/page.scss', '../../ui/lists.scss'],
  styles: `
    .now {
      margin: 10px 0;
      font: 650 1.2rem var(--heading);
    }
    .row {
      display: flex;
      gap: 12px;
      align-items: center;
    }
    .row a {
      flex: 1;
      min-width: 0;
    }
    .cannot strong,
    .cannot .says {
      color: var(--muted);
    }
  `,
})
export class FromHere {
  private readonly pack = inject(PackStore);
  private readonly routines = inject(RoutinesStore);
  private readonly sets = inject(SetsStore);
  private readonly facts = inject(Facts);
  private readonly performances = inject(PerformancesStore);
  private readonly byRecord = inject(ByRecord);
  private readonly stage = inject(Stage);
  private readonly router = inject(Router);
  private readonly document = inject(DOCUMENT);

  /** What is on stage: a routine that is begun here is one of it. */
  protected readonly onStage = this.performances.onStage;
  protected readonly ways = [true, false] as const;
  protected readonly way = signal(true);
  protected readonly sayWay = (real: boolean): string => (real ? 'for real' : 'as a run-through');
  protected readonly options = LIES;
  protected readonly words = (lies: Lies): string => LIES_WORDS[lies];
  protected readonly lies = signal<Lies>('rail');
  protected readonly name = computed(() => this.pack.pack().name);

  private readonly home = computed((): NamedHome => ({ name: this.name(), cards: this.pack.home() }));
  private readonly state = computed((): PackState => {
    const home = this.pack.home();
    switch (this.lies()) {
      case 'rail':
        return packState(
          this.pack.now().map((card) => ({ card, faceUp: false })),
          home,
        );
      case 'cut':
        return { lies: 'home', turn: 'unseen', packets: [], out: [], extra: 0 };
      case 'lost':
        return { lies: 'lost', faceUp: false, out: [], extra: 0 };
    }
  });
  protected readonly says = computed(() => sayState(this.state(), this.home()));

  /** What is known of each routine; those of sets come first. */
  private readonly known = computed(() => {
    const inSets = new Set((this.sets.all() ?? []).flatMap(({ set }) => set.order));
    const first = (row: RoutineRow): number => (inSets.has(row.id) ? 0 : 1);
    return [...(this.routines.all() ?? [])]
      .sort((a, b) => first(a) - first(b))
      .map((row) => ({ row, facts: this.facts.of(row) }));
  });
  protected readonly rows = computed(() => {
    const known = this.known();
    const home = this.home();
    const mine = home.cards.join();
    // Packs that lie in the order of the pack in hand are that pack.
    const now: Readonly<Record<string, PackNow>> = Object.fromEntries(
      known
        .flatMap(({ facts }) => facts)
        .filter((each) => each.hasHome && each.home.cards.join() === mine)
        .map(({ pack }) => [pack, { home: home.cards, states: [this.state()] }]),
    );
    const routines = known.map(({ row, facts }) => ({
      id: row.id,
      packs: Object.fromEntries(facts.map(({ pack, needs, leaves }) => [pack, { needs, leaves }])),
    }));
    return fromHere(routines, now, this.byRecord.costs()).map(({ id, price, lacks }) => {
      const [cannot, outOfSight, seconds] = price;
      const found = known.find(({ row }) => row.id === id);
      const isWaiting = found?.facts.some((each) => each.isWaiting) === true;
      return {
        ...{ id, name: found?.row.routine.name ?? '', cannot: cannot > 0 },
        when: isWaiting
          ? 'being worked out …'
          : cannot > 0
            ? 'not now'
            : seconds === 0
              ? 'at once'
              : `${sayTime(seconds)}${outOfSight > 0 ? ', out of sight' : ', in view'}`,
        outs: found ? outsOf(found.facts) : '',
        what: lacks
          .map(({ state, need, parts }) =>
            parts ? `${sayMend(parts, state, need, home).join('. ')}.` : whyNoMend(state, need, home),
          )
          .join(' '),
      };
    });
  });

  /** Begins a routine on stage, with the pack in hand as it lies. */
  protected readonly go = once('begin a routine', async (id: string) => {
    const [row, all] = [this.routines.find(id), this.routines.all()];
    if (!row || !all) return;
    enterFullScreen(this.document);
    if (this.onStage()) this.stage.tap({ do: 'jump', to: id });
    else {
      const asked = { name: row.routine.name, order: [id], audience: '', start: this.start() };
      void this.performances.begin(makePlan(asked, all, this.facts), { real: this.way() });
    }
    await this.router.navigate(['/perform', 'live']);
  });

  /** Every pack that lies in the order of the pack in hand, as that lies. */
  private start(): Readonly<Record<string, readonly PackState[]>> {
    const mine = this.home().cards.join();
    const packs = this.known()
      .flatMap(({ facts }) => facts)
      .filter((each) => each.hasHome && each.home.cards.join() === mine);
    return Object.fromEntries(packs.map(({ pack }) => [pack, [this.state()]]));
  }
}

/** In how many of its cases a routine ends in an out. */
const outsOf = (facts: readonly PackFacts[]): string => {
  const found = facts.find((each) => each.found?.complete)?.found;
  const cases = found?.endings.reduce((sum, each) => sum + each.cases, found.failed) ?? 0;
  const outs = found?.endings.reduce((sum, each) => sum + each.outs, 0) ?? 0;
  return outs === 0 ? '' : `Of ${countOf(cases, 'case')} ${outs.toLocaleString('en')} end in an out.`;
};
