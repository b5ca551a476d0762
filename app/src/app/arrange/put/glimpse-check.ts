import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { checkGlimpses, PlacedCard } from '@enumeron/core/arrange';
import { Card, showCard } from '@enumeron/core/deck';
import { CardText } from '../../ui/card-text';
import { EntryField } from '../../ui/form/entry-field';
import { NextCard } from '../../ui/next-card';
import { numberReader } from '../../ui/form/reading';

/** A pack checked by a few looks: the card at this place, the card at that one. */
@Component({
  selector: 'en-glimpse-check',
  imports: [CardText, EntryField, MatButton, NextCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<p class="lead">
      Look at a few cards, each at a place that you know. Three that agree leave little doubt.
    </p>
    <en-entry-field
      class="row place"
      label="The place"
      [value]="place()"
      [show]="showNumber"
      [read]="readPlace()"
      (picked)="typedPlace.set($event)"
    />
    <en-next-card label="The card there" [pack]="order()" (picked)="see($event)">
      <section class="verdict" aria-live="polite" aria-label="Verdict">
        <p class="says"><en-card-text [text]="check().says" /></p>
        @if (check().lookNext; as place) {
          <p>{{ seen().length === 0 ? 'Begin at the face:' : 'Look next at' }} {{ place }}.</p>
        }
      </section>
    </en-next-card>
    @if (seen().length > 0) {
      <ul>
        @for (each of seen(); track each.place) {
          <li [class.odd]="check().odd.includes(each)">
            <en-card-text [text]="showCard(each.card) + ' at ' + each.place" />
            {{ check().odd.includes(each) ? ' does not fit' : '' }}
            <button mat-button (click)="forget(each)">Remove</button>
          </li>
        }
      </ul>
    }`,
  styleUrl: './glimpse-check.scss',
})
export class GlimpseCheck {
  readonly order = input.required<readonly Card[]>();
  protected readonly showCard = showCard;
  protected readonly showNumber = (place: number): string => place.toString();

  protected readonly seen = linkedSignal<readonly Card[], readonly PlacedCard[]>({
    source: this.order,
    computation: () => [],
  });
  protected readonly check = computed(() => checkGlimpses(this.order(), this.seen()));
  protected readonly readPlace = computed(() => numberReader(this.order().length));
  protected readonly typedPlace = signal<number | undefined>(undefined);
  /** The place that is looked at: the one typed, or else the one that would tell most. */
  protected readonly place = computed(() => this.typedPlace() ?? this.check().lookNext);

  protected see(card: Card): void {
    const place = this.place();
    if (place === undefined) return;
    this.seen.update((seen) => [...seen.filter((each) => each.place !== place), { place, card }]);
    this.typedPlace.set(undefined);
  }

  protected forget(glimpse: PlacedCard): void {
    this.seen.update((seen) => seen.filter((each) => each !== glimpse));
  }
}
