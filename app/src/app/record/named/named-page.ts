import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { firstOf, rankOf, showCard, suitOf, SUITS, RANKS, cardOf } from '@enumeron/core/deck';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { nightsCounted } from '@enumeron/core/file/record/counted';
import {
  cardsNamed,
  type NamedOften,
  namedMore,
  numbersNamed,
  wordsNamed,
} from '@enumeron/core/file/record/named';
import { NightsStore } from '../../nouns/performances/nights.store';
import { AsTable, TableRow } from '../../ui/charts/as-table';
import { CardText } from '../../ui/card-text';
import { SuitCell, SuitSheet } from '../../ui/suit-sheet';
import { NumberLine } from './number-line';

const SUIT_WORDS = ['clubs', 'hearts', 'spades', 'diamonds'] as const;
const [DECK, MOST_WORDS] = [52, 40];

/** What was told of a list: what comes up more often than chance, or that nothing does. */
const tell = (found: readonly NamedOften[], say: (value: number) => string): string => {
  const told = found.filter(({ isTold }) => isTold);
  return told.map(({ value, count }) => `${say(value)} (${count.toString()})`).join(', ');
};

/** The numbers, cards and words that helpers name, with what comes up more often than chance. */
@Component({
  selector: 'en-named-page',
  imports: [AsTable, CardText, NumberLine, RouterLink, SuitSheet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './named-page.html',
  styleUrls: ['../../ui/page.scss', '../answer.scss', './named-page.scss'],
})
export class NamedPage {
  private readonly store = inject(NightsStore);
  protected readonly practice = signal(false);
  protected readonly isRead = computed(() => this.store.all() !== undefined);
  private readonly nights = computed(() =>
    nightsCounted(this.store.all() ?? [], { practice: this.practice() }),
  );
  protected readonly hasPractice = computed(
    () => this.store.all()?.some(({ practice }) => practice) === true,
  );

  private readonly numbers = computed(() => numbersNamed(this.nights()));
  protected readonly least = computed(() =>
    this.numbers().reduce((least, { from }) => Math.min(least, from), Infinity),
  );
  protected readonly most = computed(() =>
    this.numbers().reduce((most, { to }) => Math.max(most, to), -Infinity),
  );
  protected readonly numberCount = computed(() => this.numbers().length);
  protected readonly numbersFound = computed(() => namedMore(this.numbers()));
  protected readonly numbersTold = computed(() => tell(this.numbersFound(), String));

  private readonly cards = computed(() =>
    cardsNamed(this.nights())
      .map((card) => firstOf(card))
      .filter((card) => card < DECK),
  );
  protected readonly cardCount = computed(() => this.cards().length);
  private readonly cardsFound = computed(() =>
    namedMore(this.cards().map((value) => ({ value, from: 0, to: DECK - 1 }))),
  );
  private readonly suitsFound = computed(() =>
    namedMore(
      this.cards().flatMap((card) => {
        const suit = suitOf(card);
        return suit === undefined ? [] : [{ value: suit, from: 0, to: 3 }];
      }),
    ),
  );
  private readonly ranksFound = computed(() =>
    namedMore(
      this.cards().flatMap((card) => {
        const rank = rankOf(card);
        return rank === undefined ? [] : [{ value: rank, from: 1, to: 13 }];
      }),
    ),
  );
  protected readonly cardsTold = computed(() =>
    [
      tell(this.cardsFound(), showCard),
      tell(this.suitsFound(), (suit) => SUIT_WORDS[suit]),
      tell(this.ranksFound(), (rank) => `rank ${rank.toString()}`),
    ]
      .filter((part) => part !== '')
      .join(' · '),
  );
  protected readonly sheet = computed(() => {
    const found = new Map(this.cardsFound().map((each) => [each.value, each]));
    const most = Math.max(1, ...this.cardsFound().map(({ count }) => count));
    return SUITS.map((suit) =>
      RANKS.map((rank): SuitCell => {
        const card = cardOf(rank, suit);
        const { count = 0, isTold = false } = found.get(card) ?? {};
        return {
          ...{ card, part: count / most, text: count === 0 ? '·' : count.toString(), framed: isTold },
          spoken: `${countOf(count, 'time')}${isTold ? ', more than chance' : ''}`,
        };
      }),
    );
  });
  protected readonly words = computed(() => wordsNamed(this.nights()).slice(0, MOST_WORDS));
  protected readonly isNothing = computed(
    () => this.numberCount() + this.cardCount() + this.words().length === 0,
  );

  protected readonly numberRows = (): readonly TableRow[] =>
    this.numbersFound().map(({ value, count, of, isTold }) => ({
      ...{ head: value, cells: [count, of, isTold ? 'more than chance' : ''] },
    }));
  protected readonly cardRows = (): readonly TableRow[] =>
    this.cardsFound().map(({ value, count, of, isTold }) => ({
      ...{ head: '', card: value, cells: [count, of, isTold ? 'more than chance' : ''] },
    }));
  protected readonly countOf = countOf;
}
