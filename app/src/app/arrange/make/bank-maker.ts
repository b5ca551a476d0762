import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatHint, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import {
  BANK_POSITIONS,
  likeGroupsBank,
  longestCountingRun,
  matesBank,
  Origin,
  readBank,
  suitBank,
} from '@enumeron/core/arrange';
import {
  BankPosition,
  Card,
  fillSlots,
  formatOrder,
  freeSlots,
  sayProblem,
  showSuit,
  Suit,
  SUITS,
} from '@enumeron/core/deck';
import { PackStore } from '../../nouns/pack/pack.store';
import { keepDraft } from '../../storage/draft-fields';
import { previewOnRail } from '../../nouns/pack/rail-preview';
import { OrderSheet } from '../../ui/order-sheet';
import { LeftDrafts } from '../../ui/left-drafts';
import { NewTabs } from './new-tabs';
import { SaveOrder } from '../../nouns/orders/save-order';

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
  protected readonly where = signal<BankPosition['kind']>('behind');
  protected readonly count = signal('20');
  protected readonly step = signal('3');
  protected readonly loose = signal(false);
  protected readonly name = signal('');

  private readonly outcome = computed(() =>
    readBank(
      {
        cards: this.text(),
        where: this.where(),
        count: this.count(),
        step: this.step(),
        loose: this.loose(),
      },
      this.pack.home(),
    ),
  );
  private readonly bank = computed(() => {
    const outcome = this.outcome();
    return outcome.ok ? outcome.bank : undefined;
  });
  protected readonly problem = computed(() => {
    const outcome = this.outcome();
    return outcome.ok ? undefined : sayProblem(outcome.problems[0]);
  });
  /** The field that what is wrong stands beside: a count that is no number, or else the cards. */
  protected readonly wrongField = computed(() => {
    if (this.problem() === undefined) return undefined;
    const isNumber = (text: string): boolean => /^\d+$/.test(text.trim());
    const asked =
      this.where() === 'every'
        ? (['count', 'step'] as const)
        : this.where() === 'behind'
          ? (['count'] as const)
          : [];
    return asked.find((field) => !isNumber(this[field]())) ?? 'cards';
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
    (name, value) => name !== 'where' || BANK_POSITIONS.some((each) => each === value),
  );

  constructor() {
    previewOnRail(() => {
      const order = this.order();
      return order && { home: order, now: order, label: 'The pack with this bank' };
    });
  }

  protected suitInSequence(suit: Suit): void {
    this.write(suitBank(suit));
  }

  /** Groups of like rank, in any order, around the middle of the pack. */
  protected likeGroups(): void {
    this.where.set('around the middle');
    this.loose.set(true);
    this.write(likeGroupsBank());
  }

  protected mates(): void {
    this.write(matesBank());
  }

  protected counting(): void {
    const cards = longestCountingRun(Number(this.count()));
    if (!cards) return;
    this.where.set('behind');
    this.write(cards);
  }

  private write(cards: readonly Card[]): void {
    this.text.set(formatOrder(cards));
  }
}
