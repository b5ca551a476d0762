import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { fromHere, PackNow } from '@enumeron/core/file/perform/fromHere';
import { packState } from '@enumeron/core/file/perform/packState';
import { NamedHome, sayMend, sayState, whyNoMend } from '@enumeron/core/file/perform/say';
import { PackState } from '@enumeron/core/file/perform/state';
import { PackStore } from '../../nouns/pack/pack.store';
import { RoutineRow } from '../../nouns/sets/routines.kind';
import { RoutinesStore } from '../../nouns/sets/routines.store';
import { SetsStore } from '../../nouns/sets/sets.store';
import { CardText } from '../../ui/card-text';
import { Choice } from '../../ui/choice';
import { Facts } from '../facts';
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
  imports: [CardText, Choice, RouterLink],
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
    <ul class="rows">
      @for (each of rows(); track each.id) {
        <li [class.cannot]="each.cannot">
          <a [routerLink]="['/perform/routines', each.id]">
            <strong>{{ each.name }}</strong>
            <span class="says">{{ each.when }}</span>
            <span class="more-words"><en-card-text [text]="each.what" /></span>
          </a>
        </li>
      } @empty {
        <li class="note">No routine yet. <a routerLink="/perform/routines">Write one</a></li>
      }
    </ul>
  </section>`,
  styleUrls: ['../../ui/page.scss', '../../ui/lists.scss'],
  styles: `
    .now {
      margin: 10px 0;
      font: 650 1.2rem var(--heading);
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
    return fromHere(routines, now).map(({ id, price, lacks }) => {
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
        what: lacks
          .map(({ state, need, parts }) =>
            parts ? `${sayMend(parts, state, need, home).join('. ')}.` : whyNoMend(state, need, home),
          )
          .join(' '),
      };
    });
  });
}
