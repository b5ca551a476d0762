import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import {
  Card,
  cardOf,
  isJoker,
  isSecond,
  Rank,
  RANKS,
  showRank,
  showSuit,
  speakRank,
  speakSuit,
  Suit,
  SUITS,
} from '@enumeron/core/deck';
import { mdiBackspaceOutline } from '@mdi/js';
import { CardFace } from '../card-face';

const DIGITS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 0] as const;

/** Cards in two taps (rank, then suit) or a number digit by digit, under one thumb. */
@Component({
  selector: 'en-thumb-pad',
  imports: [CardFace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './thumb-pad.html',
  styleUrl: './thumb-pad.scss',
})
export class ThumbPad {
  /** Whether cards, ranks alone or a number are asked for. */
  readonly asks = input.required<'card' | 'rank' | 'number'>();
  /** The pack that is asked about: its jokers and second copies have a key each. */
  readonly pack = input<readonly Card[]>([]);
  readonly number = input<number>();
  readonly largest = input.required<number>();
  readonly cardPicked = output<Card>();
  readonly rankPicked = output<Rank>();
  readonly numberPicked = output<number | undefined>();

  protected readonly backspace = mdiBackspaceOutline;
  protected readonly ranks = RANKS;
  protected readonly suits = SUITS;
  protected readonly digits = DIGITS;
  protected readonly extras = computed(() => this.pack().filter((card) => isJoker(card) || isSecond(card)));
  protected readonly rank = signal<Rank | undefined>(undefined);
  /** Whether the next digit goes on with the number or begins another. */
  private fresh = true;

  protected readonly showRank = showRank;
  protected readonly showSuit = showSuit;
  protected readonly speakRank = speakRank;
  protected readonly speakSuit = speakSuit;

  protected pickRank(rank: Rank): void {
    if (this.asks() === 'rank') this.rankPicked.emit(rank);
    else this.rank.set(rank);
  }

  protected pickSuit(suit: Suit): void {
    const rank = this.rank();
    if (rank === undefined) return;
    this.rank.set(undefined);
    this.fresh = true;
    this.cardPicked.emit(cardOf(rank, suit));
  }

  protected pickDigit(digit: number): void {
    const longer = this.fresh ? digit : (this.number() ?? 0) * 10 + digit;
    const next = longer > this.largest() ? digit : longer;
    this.fresh = next === 0;
    if (next > 0) this.numberPicked.emit(next);
  }

  protected takeDigit(): void {
    const shorter = Math.floor((this.number() ?? 0) / 10);
    this.fresh = shorter === 0;
    this.numberPicked.emit(shorter === 0 ? undefined : shorter);
  }
}
