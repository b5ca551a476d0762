import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatHint, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { Origin } from '@enumeron/core/arrange';
import {
  BankPosition,
  cardOf,
  countingRun,
  fillSlots,
  formatOrder,
  freeSlots,
  layBank,
  mateOf,
  Problem,
  RANKS,
  readEntries,
  sayProblem,
  showSuit,
  Suit,
  SUITS,
  whyNotCard,
} from '@enumeron/core/deck';
import { PackStore } from '../../pack/pack.store';
import { keepDraft } from '../../data/draft-fields';
import { previewOnRail } from '../../pack/rail-preview';
import { OrderSheet } from '../../shared/order-sheet';
import { LeftDrafts } from '../../shared/left-drafts';
import { NewTabs } from './new-tabs';
import { SaveOrder } from './save-order';

type Where = BankPosition['kind'];
const WHERES: readonly Where[] = ['behind', 'at the face', 'around the middle', 'every'];

/** A known row of cards laid between indifferent ones. */
@Component({
  selector: 'en-bank-maker',
  imports: [MatButton, MatFormField, MatHint, MatInput, LeftDrafts, MatLabel, NewTabs, OrderSheet, SaveOrder],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bank-maker.html',
  styleUrl: './rule-maker.scss',
})
export class BankMaker {
  private readonly pack = inject(PackStore);

  protected readonly suits = SUITS;
  protected readonly showSuit = showSuit;
  protected readonly text = signal('AH 2H 3H 4H 5H 6H 7H 8H 9H 10H JH QH KH');
  protected readonly where = signal<Where>('behind');
  protected readonly count = signal('20');
  protected readonly step = signal('3');
  protected readonly loose = signal(false);
  protected readonly name = signal('');

  private readonly position = computed<BankPosition>(() => {
    const count = Number(this.count());
    switch (this.where()) {
      case 'behind':
        return { kind: 'behind', count };
      case 'every':
        return { kind: 'every', first: count, step: Number(this.step()) };
      case 'at the face':
      case 'around the middle':
        return { kind: this.where() } as BankPosition;
    }
  });

  private readonly outcome = computed(() => {
    const entries = readEntries(this.text());
    const unread = entries.find(({ card }) => card === undefined);
    const outside = entries.find(({ card }) => card !== undefined && !this.pack.home().includes(card));
    const numbers = [this.count(), this.step()].every((text) => /^\d{1,2}$/.test(text));
    if (unread) return refuse(`“${unread.text.slice(0, 20)}” is not a card.`, whyNotCard(unread.text));
    if (outside) return refuse(`${outside.text} is not in the pack.`, 'Take it out of the bank.');
    if (!numbers || (this.where() === 'every' && Number(this.step()) < 1))
      return refuse('The count must be a whole number.', 'Write how many cards.');
    return layBank(
      entries.flatMap(({ card }) => card ?? []),
      this.position(),
      this.pack.home().length,
    );
  });
  private readonly bank = computed(() => {
    const outcome = this.outcome();
    if (!outcome.ok) return undefined;
    return this.loose() ? { ...outcome.bank, loose: true } : outcome.bank;
  });
  protected readonly problem = computed(() => {
    const outcome = this.outcome();
    return outcome.ok ? undefined : sayProblem(outcome.problems[0]);
  });
  protected readonly slots = computed(() => {
    const bank = this.bank();
    return bank && freeSlots(bank, this.pack.home().length);
  });
  protected readonly cells = computed(() => this.slots()?.map((card) => ({ card, text: '' })) ?? []);
  /** The rest of the pack falls into the free slots as the pack has it. */
  protected readonly order = computed(() => {
    const slots = this.slots();
    return slots && fillSlots(slots, this.pack.home());
  });
  protected readonly origin = computed<Origin>(() => ({
    kind: 'bank',
    bank: this.bank() ?? { cards: [], places: [] },
  }));

  protected readonly draft = keepDraft(
    'bank',
    {
      text: this.text,
      where: this.where,
      count: this.count,
      step: this.step,
      loose: this.loose,
      name: this.name,
    },
    (name, value) => name !== 'where' || WHERES.includes(value as Where),
  );

  constructor() {
    previewOnRail(() => {
      const order = this.order();
      return order && { home: order, now: order, label: 'The pack with this bank' };
    });
  }

  protected suitInSequence(suit: Suit): void {
    this.text.set(formatOrder(RANKS.map((rank) => cardOf(rank, suit))));
  }

  /** Four of each of the ranks about the middle, sevens first, around the middle of the pack. */
  protected likeGroups(): void {
    this.where.set('around the middle');
    this.loose.set(true);
    this.text.set(
      formatOrder(([7, 8, 9] as const).flatMap((rank) => SUITS.map((suit) => cardOf(rank, suit)))),
    );
  }

  /** Six pairs of mates, each side by side. */
  protected mates(): void {
    this.text.set(
      formatOrder(RANKS.slice(0, 6).flatMap((rank) => [cardOf(rank, 2), mateOf(cardOf(rank, 2))])),
    );
  }

  /** The longest run behind so many cards on which the next two ranks give the number cut. */
  protected counting(): void {
    const count = Number(this.count());
    for (let length = 26; length >= 2; length--)
      for (const rank of RANKS) {
        const cards = countingRun(count, length, rank);
        if (!cards) continue;
        this.where.set('behind');
        this.text.set(formatOrder(cards));
        return;
      }
  }
}

const refuse = (what: string, remedy: string): { ok: false; problems: readonly Problem[] } => ({
  ok: false,
  problems: [{ what, remedy }],
});
