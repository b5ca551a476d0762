import { countOf } from '@enumeron/core/file/deck/countOf';
import { ChangeDetectionStrategy, Component, computed, inject, signal, viewChildren } from '@angular/core';
import { RouterLink } from '@angular/router';
import { offsetOf, showCard, suitOf } from '@enumeron/core/deck';
import { countOfCards } from '@enumeron/core/file/moves/wording';
import {
  describeSame,
  easyRange,
  describeCost,
  describeHandling,
  describeResult,
} from '@enumeron/core/reckon';
import { SettingsStore } from '../../nouns/settings/settings.store';
import { PackStore } from '../../nouns/pack/pack.store';
import { WantedStore } from '../../nouns/pack/wanted.store';
import { CardText } from '../../ui/card-text';
import { EntryField } from '../../ui/form/entry-field';
import { MissingPart } from '../../ui/missing-part';
import { cardCompleter, cardReader, numberReader } from '../../ui/form/reading';
import { Ring } from '../../ui/ring';
import { Viewport } from '../../platform/viewport';
import { Entry } from './entry';

/** How many ways are shown until more are asked for. */
const FEW = 3;

/** A card at a number: the answer, what it costs, and the other ways. */
@Component({
  selector: 'en-wanted',
  imports: [CardText, EntryField, MissingPart, Ring, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './wanted.html',
  styleUrl: './wanted.scss',
})
export class Wanted {
  protected readonly pack = inject(PackStore);
  protected readonly wanted = inject(WantedStore);
  protected readonly entry = inject(Entry);
  private readonly settings = inject(SettingsStore);
  protected readonly phone = inject(Viewport).phone;
  private readonly fields = viewChildren(EntryField);

  protected readonly readCard = computed(() => cardReader(this.pack.now()));
  protected readonly complete = computed(() => cardCompleter(this.pack.now()));
  protected readonly readNumber = computed(() => numberReader(this.pack.size()));
  protected readonly showCard = showCard;
  protected readonly showNumber = (number: number): string => number.toString();
  protected readonly suit = computed(() => {
    const card = this.wanted.card();
    return card === undefined ? undefined : suitOf(card);
  });

  protected readonly ways = computed(() =>
    this.wanted.ways().map((way) => ({ way, says: describeHandling(way), cost: describeCost(way) })),
  );

  protected readonly FEW = FEW;
  protected readonly all = signal(false);
  protected readonly shownWays = computed(() => (this.all() ? this.ways() : this.ways().slice(0, FEW)));

  protected readonly answer = computed(() => {
    const chosen = this.wanted.chosen();
    const card = this.wanted.card();
    return chosen === undefined || card === undefined
      ? undefined
      : {
          says: describeHandling(chosen),
          then: describeResult(card, chosen),
          same: describeSame(chosen),
          move: chosen.move,
        };
  });

  /** Which numbers would need only a few cards, when the helper may still be led to one. */
  protected readonly easy = computed(() => {
    const card = this.wanted.card();
    const { shift } = this.settings.tolerance();
    const range = card === undefined ? undefined : easyRange(this.pack.now(), card, shift);
    return range && `${range.from} to ${range.to}: at most ${countOfCards(shift)}.`;
  });

  /** What is still to be told before there is an answer, or why there can be none. */
  protected readonly lacking = computed(() => {
    const [card, number] = [this.wanted.card(), this.wanted.number()];
    if (card === undefined) return number === undefined ? 'Name a card and a number.' : 'Name a card.';
    if (this.wanted.place() === undefined) return `${showCard(card)} is not in this pack. Name another card.`;
    if (number === undefined) return `${showCard(card)} lies at ${this.wanted.place() ?? ''}. Name a number.`;
    return `The pack has ${countOf(this.pack.size(), 'card')}. Name a number from 1 to ${this.pack.size()}.`;
  });

  /** A card and a number to try it with, while neither is named. */
  protected readonly example = computed(() => {
    const now = this.pack.now();
    return this.wanted.card() === undefined && this.wanted.number() === undefined && now.length > 2
      ? { card: now[Math.floor(now.length * 0.38)], number: Math.ceil(now.length * 0.28) }
      : undefined;
  });

  protected readonly offsetAfter = computed(() => {
    const move = this.wanted.chosen()?.move;
    return move && offsetOf(this.pack.home(), this.pack.preview(move));
  });

  protected toNumber(): void {
    this.fields()[1].focus();
  }
}
