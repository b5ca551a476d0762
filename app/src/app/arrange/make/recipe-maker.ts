import { CdkDrag, CdkDragDrop, CdkDragHandle, CdkDropList, moveItemInArray } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatHint, MatLabel } from '@angular/material/form-field';
import { MatIcon } from '@angular/material/icon';
import { MatInput } from '@angular/material/input';
import { Origin } from '@enumeron/core/file/arrange/origin';
import { arrangementBefore, inverseMoves, recipeSteps, sizeBefore } from '@enumeron/core/file/arrange/recipe';
import { Card } from '@enumeron/core/deck';
import { describeMove, Move, MOVE_USAGE, parseMove, parseMoveText } from '@enumeron/core/moves';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { Icons } from '../../ui/icons';
import { PackStore } from '../../nouns/pack/pack.store';
import { keepDraft } from '../../storage/draft-fields';
import { previewOnRail } from '../../nouns/pack/rail-preview';
import { OrderSheet } from '../../ui/order-sheet';
import { Strip } from '../../ui/strip';
import { LeftDrafts } from '../../ui/left-drafts';
import { NewTabs } from './new-tabs';
import { SaveOrder } from '../../nouns/orders/save-order';

/** An order made by moves from another one, or the order from which these moves make that one. */
@Component({
  selector: 'en-recipe-maker',
  imports: [
    CdkDrag,
    CdkDragHandle,
    CdkDropList,
    MatButton,
    MatFormField,
    MatHint,
    MatIcon,
    MatInput,
    MatLabel,
    LeftDrafts,
    NewTabs,
    OrderSheet,
    SaveOrder,
    Strip,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './recipe-maker.html',
  styleUrl: './recipe-maker.scss',
})
export class RecipeMaker {
  private readonly store = inject(OrdersStore);
  protected readonly orders = this.store.names();
  private readonly pack = inject(PackStore);

  protected readonly baseId = signal<string | undefined>(undefined);
  protected readonly chosenId = computed(() => this.baseId() ?? this.pack.pack().orderId);
  protected readonly base = computed<readonly Card[]>(
    () => this.store.find(this.chosenId())?.cards ?? this.pack.home(),
  );
  protected readonly moves = signal<readonly Move[]>([]);
  /** Whether the base is what the moves should end in, and the order wanted is the one before them. */
  protected readonly inverse = signal(false);
  protected readonly written = signal('');
  protected readonly name = signal('');
  protected readonly usage = MOVE_USAGE;
  protected readonly reading = computed(() =>
    parseMoveText(this.written(), this.orderAfter()[this.moves().length]),
  );

  /** The arrangement that these moves make the base of; undefined where one of them cannot be taken back. */
  private readonly before = computed(() => arrangementBefore(this.moves(), this.base()));
  /** The order with which the moves begin. */
  protected readonly start = computed(() => (this.inverse() ? (this.before() ?? this.base()) : this.base()));
  private readonly orderAfter = computed(() => recipeSteps({ base: this.start(), moves: this.moves() }));
  protected readonly steps = computed(() =>
    this.moves().map((move, index) => ({
      says: describeMove(move, this.orderAfter()[index].length),
      order: this.orderAfter()[index + 1],
    })),
  );
  /** After how many moves the rail shows the order; all of them until a step is chosen. */
  protected readonly shown = signal<number | undefined>(undefined);
  protected readonly order = computed(() =>
    this.inverse() ? this.start() : this.orderAfter()[this.moves().length],
  );
  /** The step after which a card is there twice, where moves were put into another order. */
  protected readonly broken = computed(() => {
    if (this.inverse() && !this.before())
      return 'A shuffle by chance cannot be taken back: nobody knows which arrangement leads to this order.';
    const at = this.orderAfter().findIndex((order) => new Set(order).size < order.length);
    return at < 0
      ? undefined
      : `After move ${at.toString()} a card is there twice. Move or remove that step.`;
  });
  /** The moves taken back, which make the arrangement before them of the base. */
  private readonly takenBack = computed(
    () => inverseMoves(this.moves(), sizeBefore(this.moves(), this.base().length)) ?? [],
  );
  protected readonly origin = computed<Origin>(() => ({
    kind: 'recipe',
    base: this.base(),
    moves: this.inverse() ? this.takenBack() : this.moves(),
  }));

  protected readonly draft = keepDraft(
    'recipe',
    {
      baseId: this.baseId,
      moves: this.moves,
      inverse: this.inverse,
      written: this.written,
      name: this.name,
    },
    (name, value) => name !== 'moves' || (Array.isArray(value) && value.every((move) => parseMove(move).ok)),
  );

  constructor() {
    inject(Icons);
    previewOnRail(() => {
      const step = Math.min(this.shown() ?? this.moves().length, this.moves().length);
      const label = step === 0 ? 'Before the moves' : `After ${step} of ${this.moves().length} moves`;
      return { home: this.start(), now: this.orderAfter()[step], label };
    });
  }

  protected add(move: Move): void {
    this.moves.update((moves) => [...moves, move]);
    this.shown.set(undefined);
  }

  protected addWritten(): void {
    const { move } = this.reading();
    if (!move) return;
    this.add(move);
    this.written.set('');
  }

  protected remove(index: number): void {
    this.moves.update((moves) => moves.filter((_, at) => at !== index));
  }

  protected drop({ previousIndex, currentIndex }: CdkDragDrop<unknown>): void {
    this.shift(previousIndex, currentIndex);
  }

  protected shift(from: number, to: number): void {
    const moves = [...this.moves()];
    moveItemInArray(moves, from, to);
    this.moves.set(moves);
  }
}
