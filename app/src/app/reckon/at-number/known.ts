import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { cardAt, fromFace, placeOf, showCard } from '@enumeron/core/deck';
import { handSum, placeSum } from '@enumeron/core/reckon';
import { PackStore } from '../../nouns/pack/pack.store';
import { WantedStore } from '../../nouns/pack/wanted.store';
import { HandSum } from '../../ui/hand-sum';
import { HeadSum } from '../answer/head-sum';
import { KnownList, ShownFact } from '../answer/known-list';

/** What follows from what was seen, and the sum that gets there in the head. */
@Component({
  selector: 'en-known',
  imports: [HandSum, HeadSum, KnownList, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './known.html',
  styleUrl: './known.scss',
})
export class Known {
  private readonly pack = inject(PackStore);
  protected readonly wanted = inject(WantedStore);

  protected readonly lead = computed(() =>
    this.pack.offset() === undefined
      ? 'The pack is out of step with its order: sums do not help, look at the rail.'
      : 'Only one arrangement fits what you saw.',
  );

  protected readonly facts = computed<readonly ShownFact[]>(() => {
    const [now, size] = [this.pack.now(), this.pack.size()];
    const [card, place, number] = [this.wanted.card(), this.wanted.place(), this.wanted.number()];
    return [
      { words: 'Cut at', value: this.pack.offset() ?? 'out of step' },
      this.cardFact('On top', 1),
      ...(size > 1 ? [this.cardFact('Second', 2)] : []),
      this.cardFact('At the face', size),
      ...(card === undefined || place === undefined
        ? []
        : [
            { words: `${showCard(card)} lies at`, value: place },
            { words: '… from the face', value: fromFace(place, size) },
          ]),
      ...(number === undefined || cardAt(now, number) === undefined
        ? []
        : [this.cardFact(`At ${number.toString()} now`, number)]),
    ];
  });

  protected readonly sum = computed(() => {
    const [home, now] = [this.pack.home(), this.pack.now()];
    const [card, number] = [this.wanted.card(), this.wanted.number()];
    if (card === undefined) return [];
    return number === undefined || number > now.length
      ? placeSum(home, now, card)
      : handSum(home, now, card, number);
  });

  private cardFact(words: string, place: number): ShownFact {
    const card = cardAt(this.pack.now(), place);
    return card === undefined ? { words } : { words, card, stackNumber: placeOf(this.pack.home(), card) };
  }
}
