import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import {
  Card,
  cardOf,
  isJoker,
  Rank,
  RANKS,
  showCard,
  showRank,
  showSuit,
  speakCard,
  speakRank,
  speakSuit,
  Suit,
  SUITS,
} from '@enumeron/core/deck';
import { CuePad as Pad } from './cue';

const DIGITS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 0] as const;

/** What is answered under one thumb: a card by rank and suit, a rank, or a number digit by digit. */
@Component({
  selector: 'en-cue-pad',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@switch (pad().kind) {
    @case ('number') {
      <div class="keys digits" role="group" aria-label="Number">
        @for (digit of digits; track digit) {
          <button type="button" (click)="pickDigit(digit)">{{ digit }}</button>
        }
      </div>
      <div class="keys last">
        <button type="button" class="word" [disabled]="typed() === ''" (click)="deleteDigit()">delete</button>
        <button type="button" class="go" [disabled]="!isNumber()" (click)="done()">
          @if (typed() === '') {
            number
          } @else {
            {{ typed() }}, next
          }
        </button>
      </div>
    }
    @default {
      @if (rank() === undefined) {
        <div class="keys ranks" role="group" aria-label="Rank">
          @for (each of ranks; track each) {
            <button type="button" [attr.aria-label]="speakRank(each)" (click)="pickRank(each)">
              {{ showRank(each) }}
            </button>
          }
          @for (each of jokers(); track each) {
            <button
              type="button"
              class="word"
              [attr.aria-label]="speakCard(each)"
              (click)="picked.emit(each)"
            >
              {{ showCard(each) }}
            </button>
          }
        </div>
      } @else {
        <div class="keys suits" role="group" aria-label="Suit">
          @for (each of suits; track each) {
            <button
              type="button"
              class="suit-{{ each }}"
              [attr.aria-label]="speakRank(rank()!) + ' of ' + speakSuit(each)"
              (click)="pickSuit(each)"
            >
              {{ showRank(rank()!) }}{{ showSuit(each) }}
            </button>
          }
          <button type="button" class="word again" (click)="rank.set(undefined)">another rank</button>
        </div>
      }
    }
  }`,
  styleUrl: './cue-pad.scss',
})
export class CuePad {
  readonly pad = input.required<Exclude<Pad, { kind: 'choices' }>>();
  /** The cards that may be seen: its jokers have keys of their own. */
  readonly cards = input<readonly Card[]>([]);
  /** A card, a rank or a number. */
  readonly picked = output<number>();

  protected readonly digits = DIGITS;
  protected readonly ranks = RANKS;
  protected readonly suits = SUITS;
  protected readonly showRank = showRank;
  protected readonly showSuit = showSuit;
  protected readonly showCard = showCard;
  protected readonly speakRank = speakRank;
  protected readonly speakSuit = speakSuit;
  protected readonly speakCard = speakCard;
  protected readonly jokers = computed(() =>
    this.pad().kind === 'card' ? [...new Set(this.cards())].filter((card) => isJoker(card)).slice(0, 2) : [],
  );
  protected readonly rank = linkedSignal<unknown, Rank | undefined>({
    source: this.pad,
    computation: () => undefined,
  });
  readonly typed = linkedSignal({ source: this.pad, computation: () => '' });

  private readonly range = computed(() => {
    const pad = this.pad();
    return pad.kind === 'number' ? pad : { from: 0, to: 0 };
  });
  protected readonly isNumber = computed(() => {
    const { from, to } = this.range();
    return this.typed() !== '' && Number(this.typed()) >= from && Number(this.typed()) <= to;
  });

  /** Takes a digit; where no other can follow the number is told. */
  pickDigit(digit: number): void {
    const { to } = this.range();
    const longer = `${this.typed() === '0' ? '' : this.typed()}${digit.toString()}`;
    this.typed.set(Number(longer) > to ? digit.toString() : longer);
    if (this.isNumber() && Number(this.typed()) * 10 > to) this.done();
  }

  /** Takes the last digit away; gives whether there was one. */
  deleteDigit(): boolean {
    if (this.pad().kind !== 'number') {
      const had = this.rank() !== undefined;
      this.rank.set(undefined);
      return had;
    }
    const had = this.typed() !== '';
    this.typed.set(this.typed().slice(0, -1));
    return had;
  }

  /** Tells the number that was typed; gives whether there was one that may be. */
  done(): boolean {
    if (!this.isNumber()) return false;
    this.picked.emit(Number(this.typed()));
    this.typed.set('');
    return true;
  }

  protected pickRank(rank: Rank): void {
    if (this.pad().kind === 'rank') this.picked.emit(rank);
    else this.rank.set(rank);
  }

  protected pickSuit(suit: Suit): void {
    const rank = this.rank();
    if (rank === undefined) return;
    this.rank.set(undefined);
    this.picked.emit(cardOf(rank, suit));
  }

  /** A key of a keyboard; gives whether it means anything here. */
  key(key: string): boolean {
    const low = key.toLowerCase();
    if (this.pad().kind === 'number') {
      if (!/^\d$/.test(key)) return false;
      this.pickDigit(Number(key));
      return true;
    }
    const suit =
      this.rank() === undefined ? undefined : SUITS.find((each) => speakSuit(each).startsWith(low));
    if (suit !== undefined) {
      this.pickSuit(suit);
      return true;
    }
    const rank = RANKS.find((each) => keyOf(each) === low);
    if (rank === undefined) return false;
    this.pickRank(rank);
    return true;
  }
}

const keyOf = (rank: Rank): string => (rank === 10 ? 't' : showRank(rank).toLowerCase());
