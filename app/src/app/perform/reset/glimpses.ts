import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  input,
  linkedSignal,
  output,
  signal,
} from '@angular/core';
import { PlacedCard } from '@enumeron/core/arrange';
import { Card, showCard } from '@enumeron/core/deck';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { glimpsed, HAPPENED, Happened } from '@enumeron/core/file/perform/glimpses';
import { CardText } from '../../ui/card-text';
import { Choice } from '../../ui/choice';
import { NextCard } from '../../ui/next-card';

const HAPPENED_WORDS: Readonly<Record<Happened, string>> = {
  cut: 'only cut',
  dealt: 'cut, and some cards dealt singly',
};

/** How a pack lies, by a few cards seen at their places: it asks for those that leave one way. */
@Component({
  selector: 'en-glimpses',
  imports: [CardText, Choice, NextCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<en-choice
      lead="Since it was in order it was"
      name="What happened to it"
      [options]="happenings"
      [says]="words"
      [(value)]="happened"
    />
    <en-next-card
      label="The card there"
      [pack]="home()"
      [backable]="seen().length > 0"
      (picked)="see($event)"
      (back)="back()"
    >
      <p class="ask" aria-live="polite">
        @if (found().left === 0) {
          It can’t lie so: look again, or spread the cards.
        } @else if (found().lookNext; as place) {
          The card at <strong>{{ place }}</strong>{{ place === home().length ? ', the face' : '' }}?
          <small>{{ ways() }}</small>
        }
      </p>
    </en-next-card>
    @if (seen().length > 0) {
      <p class="seen">
        Seen:
        @for (each of seen(); track each.place) {
          <en-card-text [text]="showCard(each.card) + ' at ' + each.place" />{{ $last ? '' : ', ' }}
        }
      </p>
    }`,
  styles: `
    .ask {
      margin: 8px 0;
      font: 650 1.4rem/1.25 var(--heading);
    }
    small {
      display: block;
      color: var(--muted);
      font: 400 0.95rem var(--text);
    }
    .seen {
      color: var(--muted);
    }
  `,
})
export class Glimpses {
  readonly home = input.required<readonly Card[]>();
  /** The pack, once there is one way only. */
  readonly told = output<readonly Card[]>();

  protected readonly happenings = HAPPENED;
  protected readonly words = (happened: Happened): string => HAPPENED_WORDS[happened];
  protected readonly happened = signal<Happened>('cut');
  protected readonly seen = linkedSignal<unknown, readonly PlacedCard[]>({
    source: () => [this.home(), this.happened()],
    computation: () => [],
  });
  protected readonly found = computed(() => glimpsed(this.home(), this.happened(), this.seen()));
  protected readonly ways = computed(() => `${countOf(this.found().left, 'way')} in which it can lie.`);
  protected readonly showCard = showCard;

  constructor() {
    effect(() => {
      const { pack } = this.found();
      if (pack) this.told.emit(pack);
    });
  }

  protected see(card: Card): void {
    const place = this.found().lookNext;
    if (place !== undefined) this.seen.update((seen) => [...seen, { place, card }]);
  }

  protected back(): void {
    this.seen.update((seen) => seen.slice(0, -1));
  }
}
